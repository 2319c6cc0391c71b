import { exactly, humbucker } from '../testing/circuit.js';
import { startingAnatomy, type StartingKind } from '../instrument/index.js';
import { STATES, usualLimit, type Reading, type StateId, type StateTarget } from '../quantity/index.js';
import { plainAnatomy } from '../testing/plan.js';
import { ALONE } from '../testing/symptoms.js';
import { seeded } from '../testing/random.js';
import {
  aimFor,
  findingsOf,
  inspectionOf,
  isPlace,
  placesOf,
  standing,
  stateOf,
  surveyedOf,
  waitsFor,
  type RuleId,
  type StateOf,
  type Surveyed,
} from './index.js';
import { HEARD } from './heard.js';
import { RULES } from './rules.js';

const electric: Surveyed = { anatomy: plainAnatomy(), kind: 'bolt-on solid', fitted: [] };
const of = (kind: StartingKind): Surveyed => ({ anatomy: startingAnatomy(kind), kind, fitted: [] });

/** With a zero fret on which the strings rest, not in the nut's slots. */
const zeroFretted: Surveyed = { ...electric, anatomy: { ...electric.anatomy, neck: { ...electric.anatomy.neck, zeroFret: true } } };

/** With a tremolo and a battery. */
const full: Surveyed = { ...electric, fitted: ['tremolo', 'active'] };

let n = 0;
function reading(quantity: StateId, feature: string, value: number, part?: string): Reading {
  n += 1;
  const target: StateTarget = part === undefined ? { quantity, feature } : { quantity, feature, part };
  const at = new Date(Date.UTC(2026, 0, 1, 0, 0, n)).toISOString();
  return {
    id: `r${n}`,
    instrument: 'i',
    target,
    value,
    limit: usualLimit(quantity, value),
    raw: String(value),
    tool: STATES[quantity].by,
    person: 'p',
    at,
    blind: false,
    survey: null,
    corrects: null,
  };
}
const room = reading('humidity', 'room', 50);
const state = (s: Surveyed, ...readings: readonly Reading[]): StateOf => stateOf(s, [room, ...readings]);
const rules = (s: Surveyed, ...readings: readonly Reading[]): readonly RuleId[] => findingsOf(state(s, ...readings)).map((f) => f.rule);

describe('the places of a survey', () => {
  it('are those that the instrument has: strings, frets, pickups; nothing electrical on an acoustic', () => {
    expect(placesOf('action', of('bass')).length).toBe(4);
    expect(placesOf('fretHeight', of('flat-top acoustic')).length).toBe(20);
    expect(placesOf('pickupHeight', electric).length).toBe(2 * electric.anatomy.positions.length);
    expect(placesOf('groundResistance', of('flat-top acoustic'))).toEqual([]);
    expect(placesOf('bridgeLift', electric)).toEqual([]);
    const signs = (s: Surveyed) => placesOf('stopSign', s).map((p) => p.feature);
    expect(signs(of('flat-top acoustic'))).toContain('sinking top');
    expect(signs(of('flat-top acoustic'))).not.toContain('tingle from the strings');
    expect(signs(electric)).not.toContain('lifting bridge');
    expect(signs(electric)).toContain('tingle from the strings');
    expect(isPlace({ quantity: 'fretHeight', feature: 'fret 22' }, electric)).toBeTrue();
    expect(isPlace({ quantity: 'fretHeight', feature: 'fret 23' }, electric)).toBeFalse();
    expect(isPlace({ quantity: 'action', feature: 'string 7' }, electric)).toBeFalse();
  });

  it('come in the order of the inspection, and every quantity is asked once', () => {
    const rounds = inspectionOf(of('flat-top acoustic'));
    expect(rounds.map((r) => r.id)).toEqual(['stop', 'room', 'played', 'stringsOn', 'stringsOff', 'opened', 'finish']);
    const asked = [...inspectionOf({ ...full, anatomy: twoPickups().anatomy }), ...rounds].flatMap((r) => r.steps.map((s) => s.quantity));
    // what is read of a circuit comes by its test sheet
    const inspected = (Object.keys(STATES) as StateId[]).filter((id) => STATES[id].of !== 'circuit');
    expect([...new Set(asked)].sort()).toEqual(inspected.sort());
  });
});

describe('the places of a circuit', () => {
  it('are the lines of its test sheet, and none without a circuit', () => {
    const circuit = exactly('two pickups, toggle, one volume and tone', [humbucker('neck', 4000, 4100), humbucker('bridge', 4200, 4300)]);
    const wired = { ...electric, circuit };
    expect(placesOf('jackResistance', electric)).toEqual([]);
    expect(placesOf('jackResistance', wired).map((p) => p.part)).toEqual([
      'selector 1',
      'selector 2',
      'selector 3',
      'selector 1, volume at 0',
      'selector 1, tone at 0',
    ]);
    expect(isPlace({ quantity: 'partResistance', feature: 'neck', part: 'north start – north finish' }, wired)).toBeTrue();
    expect(isPlace({ quantity: 'partResistance', feature: 'neck', part: 'north start – south finish' }, wired)).toBeFalse();
    expect(isPlace({ quantity: 'tapAt', feature: 'jack', part: 'selector 4' }, wired)).toBeFalse();
  });
});

describe('what an instrument has', () => {
  it('brings steps of its own: no tremolo, no tremolo step; a cell only where it is active; two pickups together only where there are two', () => {
    const anatomy = plainAnatomy();
    const about = (bridge: string, electronics: string) =>
      surveyedOf(anatomy, { kind: 'bolt-on solid', identity: { bridge: { value: bridge }, electronics: { value: electronics } } });
    expect(about('two-stud tremolo', 'passive').fitted).toEqual(['tremolo']);
    expect(about('fixed', 'active, 9 V').fitted).toEqual(['active']);
    expect(about('', 'passive').fitted).toEqual([]);
    expect(surveyedOf(anatomy, { kind: 'bass', identity: {} })).toEqual({ anatomy, kind: 'bass', fitted: [] });
    expect(placesOf('tremoloRest', electric)).toEqual([]);
    expect(placesOf('tremoloRest', full).length).toBe(1);
    expect(placesOf('supply', electric)).toEqual([]);
    const heard = (s: Surveyed) => placesOf('symptom', s).map((p) => p.feature);
    expect(heard(electric)).not.toContain('cell empty in days');
    expect(heard(full)).toContain('cell empty in days');
    expect(heard(electric)).not.toContain('two pickups together thin');
    expect(heard(twoPickups())).toContain('two pickups together thin');
    expect(heard(of('flat-top acoustic'))).toContain('buzz at one pitch on any string');
    expect(placesOf('reliefAt', electric).map((p) => p.feature)).toEqual(['fret 3', 'fret 5', 'fret 7', 'fret 9', 'fret 12']);
  });
});

describe('what is aimed at', () => {
  it('goes evenly from the highest to the lowest string: 1.2–1.6 and 1.5–2.0 on six', () => {
    expect(aimFor({ quantity: 'action', feature: 'string 1' }, electric)).toEqual({ min: 1.2, max: 1.6 });
    expect(aimFor({ quantity: 'action', feature: 'string 6' }, electric)).toEqual({ min: 1.5, max: 2 });
    expect(aimFor({ quantity: 'action', feature: 'string 3' }, electric)).toEqual({ min: 1.32, max: 1.76 });
    expect(aimFor({ quantity: 'relief', feature: 'neck' }, of('bass'))).toEqual({ min: 0.25, max: 0.4 });
  });

  it('is met, missed, or nearer to its bound than the tool can tell', () => {
    const aim = { min: 0.1, max: 0.3 };
    expect([0.2, 0.12, 0.08, 0.06, 0.32, 0.34].map((v) => standing(v, 0.03, aim))).toEqual(['within', 'within', 'atEdge', 'low', 'atEdge', 'high']);
  });
});

describe('findings', () => {
  const action = (...mm: readonly number[]): readonly Reading[] => mm.map((v, i) => reading('action', `string ${i + 1}`, v));

  it('are none of an instrument that is as it should be', () => {
    expect(rules(electric, reading('relief', 'neck', 0.2), ...action(1.4, 1.5, 1.5, 1.6, 1.7, 1.8), reading('fretEnds', 'neck', 0))).toEqual([]);
  });

  it('three symptoms of one cause: relief 0.6, action 2.4 and a buzz from the 12th up are the relief', () => {
    const found = findingsOf(state(electric, reading('relief', 'neck', 0.6), ...action(2.4, 2.4), reading('symptom', 'buzz from the 12th up', 1)));
    expect(found[0]!.rule).toBe('reliefHigh');
    expect(found[0]!.cause).toBeNull();
    expect([...found[0]!.explains].sort()).toEqual(['actionHigh', 'buzzHighFrets']);
    expect(found.filter((f) => f.cause === 'reliefHigh').length).toBe(2);
  });

  it('sour open chords and sharp notes over high nut slots are the slots, not the intonation', () => {
    const found = findingsOf(
      state(electric, reading('nutGap', 'string 2', 0.4), reading('symptom', 'sour first-position chords', 1), reading('intonation', 'string 2', 9)),
    );
    expect(found.map((f) => [f.rule, f.cause])).toEqual([
      ['nutHigh', null],
      ['intonationOff', 'nutHigh'],
      ['sourFirst', 'nutHigh'],
    ]);
    expect(found[1]!.waitsFor?.target.quantity).toBe('nutGap');
  });

  it('a dry room holds up the judgement of fret ends and is their cause', () => {
    const dry = stateOf(electric, [reading('humidity', 'room', 31), reading('fretEnds', 'neck', 2)]);
    expect(waitsFor('fretEnds', dry)?.target.quantity).toBe('humidity');
    const ends = findingsOf(dry).find((f) => f.rule === 'fretEndsDry')!;
    expect([ends.cause, ends.waitsFor?.reading.value]).toEqual(['roomDry', 31]);
    expect(waitsFor('fretEnds', state(electric))).toBeNull();
  });

  it('nothing downstream is judged while something upstream is wrong, link by link', () => {
    const chain: readonly (readonly [StateId, Reading])[] = [
      ['jointGap', reading('humidity', 'room', 30)],
      ['relief', reading('jointGap', 'neck', 0.5)],
      ['fretRock', reading('relief', 'neck', 0.6)],
      ['nutGap', reading('fretRock', 'fret 5', 0.1)],
      ['action', reading('nutGap', 'string 1', 0.6)],
      ['pickupHeight', reading('action', 'string 1', 3)],
      ['intonation', reading('pickupHeight', electric.anatomy.positions[0]!.id, 0.5, 'bass')],
    ];
    for (const [downstream, wrong] of chain) {
      const s = stateOf(electric, wrong.target.quantity === 'humidity' ? [wrong] : [room, wrong]);
      expect(waitsFor(downstream, s)?.reading.id).withContext(downstream).toBe(wrong.id);
    }
    expect(waitsFor('resistance', stateOf(electric, [reading('humidity', 'room', 30)]))).toBeNull();
  });

  /** What is heard calls up its own rule on an instrument where it can be heard. */
  const heardOn = (on: (typeof HEARD)[number]['on']): Surveyed => (on === 'acoustic' ? of('flat-top acoustic') : on === 'two pickups' ? twoPickups() : full);
  type Case = readonly [Surveyed, ...Reading[]];
  const HEARD_CASES: Readonly<Record<string, Case>> = Object.fromEntries(
    HEARD.map((x): [string, Case] => [x.rule, [heardOn(x.on), reading('symptom', x.symptom, 1)]]),
  );
  /** For each rule the least that calls it up. */
  const pickup = electric.anatomy.positions[0]!.id;
  const CASES: Readonly<Record<string, Case>> = {
    stopNow: [electric, reading('stopSign', 'headstock break', 1)],
    roomDry: [electric, reading('humidity', 'room', 38)],
    roomWet: [electric, reading('humidity', 'room', 62)],
    jointOpen: [electric, reading('jointGap', 'neck', 0.3)],
    neckBeyondRod: [electric, reading('relief', 'neck', 1.2)],
    backBow: [electric, reading('relief', 'neck', -0.1)],
    reliefLow: [electric, reading('relief', 'neck', 0.02)],
    reliefHigh: [electric, reading('relief', 'neck', 0.5)],
    rodAtEnd: [electric, reading('relief', 'neck', 0.5), reading('rodTurns', 'neck', 0)],
    fullLevel: [electric, ...[3, 5, 7, 9].map((f) => reading('fretRock', `fret ${f}`, 0.08))],
    spotLevel: [electric, reading('fretRock', 'fret 7', 0.08)],
    refret: [electric, reading('fretHeight', 'fret 2', 0.5)],
    oneLevelLeft: [electric, reading('fretHeight', 'fret 2', 0.75)],
    fretEndsDry: [electric, reading('fretEnds', 'neck', 2)],
    fretEndsLumps: [electric, reading('fretEnds', 'neck', 1)],
    fretEndsBevel: [electric, reading('fretEnds', 'neck', 3)],
    nutHigh: [electric, reading('nutGap', 'string 1', 0.3)],
    nutLow: [electric, reading('nutGap', 'string 1', 0)],
    zeroFretHigh: [zeroFretted, reading('nutGap', 'string 1', 0.3)],
    zeroFretWorn: [zeroFretted, reading('nutGap', 'string 1', 0)],
    neckAngle: [electric, ...action(2.4), reading('saddleTravel', 'string 1', 2)],
    overAngled: [electric, ...action(0.9), reading('saddleTravel', 'string 1', 98)],
    saddleAtEnd: [electric, reading('saddleTravel', 'string 1', 2)],
    actionHigh: [electric, ...action(2.4)],
    actionLow: [electric, ...action(0.9)],
    neckReset: [of('flat-top acoustic'), reading('planeOverBridge', 'bridge', -2), reading('saddleShown', 'bridge', 1.5)],
    topSunken: [of('flat-top acoustic'), reading('stringsOverTop', 'bridge', 10)],
    bridgeLifting: [of('flat-top acoustic'), reading('bridgeLift', 'bridge', 9)],
    neckShifted: [electric, reading('edgeGap', 'bass edge', 4), reading('edgeGap', 'treble edge', 2.6)],
    edgeNarrow: [electric, reading('edgeGap', 'treble edge', 2)],
    pickupNear: [electric, reading('pickupHeight', pickup, 1.2, 'bass')],
    pickupFar: [electric, reading('pickupHeight', pickup, 4, 'bass')],
    intonationOff: [electric, reading('intonation', 'string 6', -8)],
    coilOpen: [electric, reading('resistance', pickup, 500_000)],
    coilShorted: [electric, reading('resistance', pickup, 10)],
    setUneven: [twoPickups(), reading('resistance', 'neck one', 9000), reading('resistance', 'bridge one', 7500)],
    groundOpen: [electric, reading('groundResistance', 'bridge', 400)],
    twist: [electric, reading('relief', 'neck', 0.1), reading('reliefTreble', 'neck', 0.35)],
    rodFree: [electric, reading('rodFeel', 'neck', 1)],
    fretsLoose: [electric, reading('looseFrets', 'neck', 1)],
    jointLine: [electric, reading('jointLine', 'neck', 1)],
    jointLineOpens: [electric, reading('jointLine', 'neck', 2)],
    screwStripped: [electric, reading('screws', 'body', 1)],
    screwBinds: [electric, reading('screws', 'body', 2)],
    finishTacky: [electric, reading('finish', 'body', 1)],
    finishBloom: [electric, reading('finish', 'body', 2)],
    finishCraters: [electric, reading('finish', 'body', 3)],
    bellyUp: [of('flat-top acoustic'), reading('topShape', 'bridge', 1)],
    crackMoves: [of('flat-top acoustic'), reading('topCrack', 'bridge', 1)],
    polesOff: [electric, reading('poleOffset', pickup, 1.8, 'treble')],
    tunersLoose: [electric, reading('tuners', 'neck', 1)],
    tapSilent: [electric, reading('tapTest', pickup, 1)],
    shieldOpen: [electric, reading('shieldResistance', 'route', 40_000)],
    breakShallow: [of('flat-top acoustic'), reading('breakAngle', 'saddle', 9)],
    tremoloSticks: [full, reading('tremoloRest', 'tremolo', 1)],
    fretWorn: [
      electric,
      ...(
        [
          [4, 1.2],
          [5, 0.98],
          [6, 1.2],
        ] as const
      ).map(([f, mm]) => reading('fretHeight', `fret ${f}`, mm)),
    ],
    breakNut: [electric, reading('breakAngle', 'nut', 1)],
    splitOn: [electric, reading('splitState', pickup, 1)],
    parallelOn: [electric, reading('splitState', pickup, 2)],
    cellLow: [full, reading('supply', 'battery', 6.9)],
    ...HEARD_CASES,
  };
  for (const [id, [s, ...readings]] of Object.entries(CASES)) {
    it(`${id} is found when its condition is met, and not without it`, () => {
      expect(rules(s, ...readings)).toContain(id as RuleId);
      expect(rules(s)).not.toContain(id as RuleId);
    });
  }

  it('do not blame the slots of a nut on which no string rests', () => {
    for (const gap of [0, 0.4]) expect(rules(zeroFretted, reading('nutGap', 'string 1', gap)).filter((r) => r === 'nutHigh' || r === 'nutLow')).toEqual([]);
  });

  it('name every rule once, and causes that are rules', () => {
    expect(RULES.map((r) => r.id).sort()).toEqual([...new Set([...(Object.keys(CASES) as RuleId[]), ...ALONE.map(([, , rule]) => rule)])].sort());
  });

  it('do not depend on the order of readings, and the newest of a place counts', () => {
    const readings = [reading('relief', 'neck', 0.6), ...action(2.4, 2.4, 1.5), reading('relief', 'neck', 0.2)];
    const r = seeded(5);
    const shuffled = [...readings].sort(() => r() - 0.5);
    expect(rules(electric, ...shuffled)).toEqual(rules(electric, ...readings));
    expect(rules(electric, ...readings)).toEqual(['actionHigh']);
  });

  it('leave out a reading of a place that is not there', () => {
    expect(rules(electric, reading('fretHeight', 'fret 99', 0.1))).toEqual([]);
  });
});

function twoPickups(): Surveyed {
  const [one] = electric.anatomy.positions;
  const positions = [
    { ...one!, id: 'bridge one', at: { x: 0, y: 200 } },
    { ...one!, id: 'neck one', at: { x: 0, y: 100 } },
  ];
  return { ...electric, anatomy: { ...electric.anatomy, positions } };
}
