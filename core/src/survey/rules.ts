import type { StateId } from '../quantity/index.js';
import * as coils from './coils.js';
import { among, and, answered, heard, high, low, only, surely, where, type Condition } from './condition.js';
import { HEARD } from './heard.js';
import type { RuleId, Severity } from './rule-ids.js';
import type { StateOf, StateReading } from './state-of.js';
import { familyOf } from './surveyed.js';

/** A condition over readings: what speaks for it, or nothing. `quantity` tells what must be settled before. `causes`: what it may come from, the likeliest first. */
export interface Rule {
  readonly id: RuleId;
  readonly severity: Severity;
  readonly quantity: StateId | null;
  readonly causes: readonly RuleId[];
  readonly when: Condition;
}

const zeroFret = (s: StateOf): boolean => s.surveyed.anatomy.neck.zeroFret;
const nutRests = (s: StateOf): boolean => !zeroFret(s);
const acoustic = (s: StateOf): boolean => familyOf(s.surveyed.kind) === 'acoustic';

/** More high frets than this are levelled all together [memory]. */
const SPOT_FRETS = 3;
/** Below this height a fret is replaced, mm [trade]. */
const REFRET = 0.6;
/** More relief than this is no matter of set-up, mm [trade]. */
const BEYOND_ROD = 1;
/** The two edges are equal within this, mm [trade]. */
const EDGES_EQUAL = 0.5;
/** What a coil can read at all, Ω [memory]. */
const COIL = [50, 60_000] as const;
/** A fret so much lower than those beside it is worn, mm [memory]. */
const WORN = 0.1;
/** Relief that differs more than this between the bass and the treble side is twist, mm [trade]. */
const TWIST = 0.15;
/** A supply below this under load distorts, V [trade]. */
const CELL_LOW = 7.5;
/** Less saddle than this under a low fret plane: neck reset, mm [memory]. */
const SADDLE_LEFT = 2;

const rule = (id: RuleId, severity: Severity, quantity: StateId | null, when: Rule['when'], ...causes: readonly RuleId[]): Rule => ({
  id,
  severity,
  quantity,
  causes,
  when,
});

/** The pickups from the neck to the bridge whose resistance goes the wrong way: the neck's is not below the bridge's. */
function uneven(s: StateOf): readonly StateReading[] {
  const y = (t: StateReading): number => s.surveyed.anatomy.positions.find((p) => p.id === t.target.feature)?.at.y ?? 0;
  const read = [...s.of('resistance')].filter((t) => t.reading.value > COIL[0] && t.reading.value < COIL[1]).sort((a, b) => y(a) - y(b));
  const [neck, bridge] = [read[0], read.at(-1)];
  if (!neck || !bridge || neck === bridge) return [];
  return neck.reading.value - neck.reading.limit > bridge.reading.value + bridge.reading.limit ? [neck, bridge] : [];
}

function twisted(s: StateOf): readonly StateReading[] {
  const [bass, treble] = [s.at('relief', 'neck'), s.at('reliefTreble', 'neck')];
  if (!bass || !treble) return [];
  const off = Math.abs(bass.reading.value - treble.reading.value);
  return off - bass.reading.limit - treble.reading.limit > TWIST ? [bass, treble] : [];
}

function shifted(s: StateOf): readonly StateReading[] {
  const [bass, treble] = [s.at('edgeGap', 'bass edge'), s.at('edgeGap', 'treble edge')];
  if (!bass || !treble) return [];
  const off = Math.abs(bass.reading.value - treble.reading.value);
  return off - bass.reading.limit - treble.reading.limit > EDGES_EQUAL ? [bass, treble] : [];
}

const many = (list: readonly StateReading[]): readonly StateReading[] => (list.length > SPOT_FRETS ? list : []);
const few = (list: readonly StateReading[]): readonly StateReading[] => (list.length <= SPOT_FRETS ? list : []);

/** Frets that are lower than both of their neighbours, with those. */
function worn(s: StateOf): readonly StateReading[] {
  const height = (n: number): StateReading | null => s.at('fretHeight', `fret ${n}`);
  return s.of('fretHeight').flatMap((t) => {
    const n = Number(t.target.feature.replace('fret ', ''));
    const beside = [height(n - 1), height(n + 1)];
    const lower = (by: StateReading | null): boolean => by !== null && by.reading.value - by.reading.limit - t.reading.value - t.reading.limit > WORN;
    return beside.every(lower) ? [t] : [];
  });
}

/** What of the screws and tuners' seats is read by hand, in the order of the answers. */
const SCREWS = { stripped: 1, binds: 2, dropsIn: 3 } as const;
/** How the coils of a pickup are set, in the order of the answers. */
const SET = { split: 1, parallel: 2 } as const;
/** Where a saddle has no room left, in the order of the answers: away from the nut. */
const NO_ROOM_BACK = 2;

/** The rules, upstream first. Common practice, no source, where docs/trade/survey.md says nothing else. */
export const RULES: readonly Rule[] = [
  rule('stopNow', 'stop', null, answered('stopSign', 1)),
  rule('roomDry', 'put right', null, low('humidity')),
  rule('roomWet', 'put right', null, high('humidity')),
  rule('screwStripped', 'put right', null, answered('screws', SCREWS.stripped)),
  rule('screwBinds', 'put right', null, answered('screws', SCREWS.binds)),
  rule('bushLoose', 'put right', null, answered('screws', SCREWS.dropsIn)),
  rule('jointOpen', 'put right', 'jointGap', high('jointGap'), 'screwStripped'),
  rule(
    'neckBeyondRod',
    'stop',
    'relief',
    surely('relief', (least) => least > BEYOND_ROD),
  ),
  rule('rodAtEnd', 'put right', 'relief', and(high('relief'), low('rodTurns'))),
  rule(
    'backBow',
    'put right',
    'relief',
    surely('relief', (_, most) => most < 0),
    'roomWet',
    'roomDry',
  ),
  rule(
    'reliefLow',
    'put right',
    'relief',
    only(low('relief'), (t) => t.reading.value + t.reading.limit >= 0),
    'roomWet',
    'roomDry',
  ),
  rule(
    'reliefHigh',
    'put right',
    'relief',
    only(high('relief'), (t) => t.reading.value - t.reading.limit <= BEYOND_ROD),
    'rodAtEnd',
    'rodFree',
  ),
  rule('fretsLoose', 'put right', null, answered('looseFrets', 1)),
  rule(
    'fullLevel',
    'put right',
    'fretRock',
    among(['fretRock'], (s) => many(high('fretRock').holds(s))),
    'fretsLoose',
  ),
  rule(
    'spotLevel',
    'put right',
    'fretRock',
    among(['fretRock'], (s) => few(high('fretRock').holds(s))),
    'fretsLoose',
  ),
  rule(
    'refret',
    'put right',
    'fretHeight',
    surely('fretHeight', (_, most) => most < REFRET),
  ),
  rule('fretWorn', 'put right', 'fretHeight', among(['fretHeight'], worn)),
  rule(
    'oneLevelLeft',
    'watch',
    'fretHeight',
    only(low('fretHeight'), (t) => t.reading.value + t.reading.limit >= REFRET),
  ),
  rule('fretEndsDry', 'put right', 'fretEnds', answered('fretEnds', 2), 'roomDry'),
  rule('fretEndsLumps', 'put right', 'fretEnds', answered('fretEnds', 1)),
  rule('fretEndsBevel', 'put right', 'fretEnds', answered('fretEnds', 3)),
  rule('nutHigh', 'put right', 'nutGap', where(nutRests, high('nutGap'))),
  rule('nutLow', 'put right', 'nutGap', where(nutRests, low('nutGap'))),
  rule('zeroFretHigh', 'put right', 'nutGap', where(zeroFret, high('nutGap'))),
  rule('zeroFretWorn', 'put right', 'nutGap', where(zeroFret, low('nutGap'))),
  rule(
    'neckReset',
    'put right',
    'planeOverBridge',
    and(
      low('planeOverBridge'),
      surely('saddleShown', (_, most) => most < SADDLE_LEFT),
    ),
    'roomDry',
    'roomWet',
  ),
  rule('topSunken', 'watch', 'stringsOverTop', where(acoustic, low('stringsOverTop')), 'roomDry'),
  rule('bridgeLifting', 'stop', null, high('bridgeLift')),
  rule('neckAngle', 'put right', 'action', and(high('action'), low('saddleTravel')), 'neckBeyondRod', 'reliefHigh', 'jointOpen'),
  rule('overAngled', 'put right', 'action', and(low('action'), high('saddleTravel'))),
  rule(
    'saddleAtEnd',
    'watch',
    'saddleTravel',
    among(['saddleTravel', 'action'], (s) => [...low('saddleTravel').holds(s), ...high('saddleTravel').holds(s)]),
    'neckAngle',
    'overAngled',
  ),
  rule('actionHigh', 'put right', 'action', high('action'), 'reliefHigh', 'neckAngle', 'neckBeyondRod', 'neckReset', 'nutHigh', 'zeroFretHigh'),
  rule('actionLow', 'put right', 'action', low('action'), 'backBow', 'reliefLow', 'overAngled', 'topSunken'),
  rule(
    'bridgeOff',
    'put right',
    null,
    among(['bridgeOffset'], (s) => [...low('bridgeOffset').holds(s), ...high('bridgeOffset').holds(s)]),
  ),
  rule('neckShifted', 'put right', null, among(['edgeGap'], shifted), 'jointOpen', 'bridgeOff'),
  rule('edgeNarrow', 'watch', null, low('edgeGap'), 'neckShifted', 'bridgeOff'),
  rule(
    'breakNut',
    'put right',
    null,
    only(low('breakAngle'), (t) => t.target.feature === 'nut'),
  ),
  rule('pickupNear', 'put right', 'pickupHeight', low('pickupHeight')),
  rule('pickupFar', 'watch', 'pickupHeight', high('pickupHeight')),
  rule('sharpAtEnd', 'put right', 'intonation', and(high('intonation'), answered('saddleRoom', NO_ROOM_BACK)), 'actionHigh'),
  rule(
    'intonationOff',
    'put right',
    'intonation',
    among(['intonation'], (s) => [...low('intonation').holds(s), ...high('intonation').holds(s)]),
    'nutHigh',
    'zeroFretHigh',
    'actionHigh',
    'reliefHigh',
    'sharpAtEnd',
    'stringsOld',
  ),
  rule('jackOpen', 'put right', null, among(['resistance'], coils.jackOpen)),
  rule('hotShorted', 'put right', null, among(['resistance'], coils.hotShorted)),
  rule('coilOpen', 'put right', null, among(['resistance'], coils.coilOpen)),
  rule('coilShorted', 'put right', null, among(['resistance'], coils.coilShorted)),
  rule('splitOn', 'leave', null, answered('splitState', SET.split)),
  rule('parallelOn', 'leave', null, answered('splitState', SET.parallel)),
  rule('halfCoil', 'put right', null, among(['resistance'], coils.halfCoil), 'splitOn'),
  rule('quarterCoil', 'put right', null, among(['resistance'], coils.quarterCoil), 'parallelOn'),
  rule('pairIsOne', 'put right', null, among(['pairResistance', 'resistance'], coils.pairIsOne)),
  rule('pairIsSum', 'watch', null, among(['pairResistance', 'resistance'], coils.pairIsSum)),
  rule('coldCopper', 'leave', null, among(['resistance'], coils.coldCopper)),
  rule('turnsShorted', 'put right', null, among(['inductance', 'resistance'], coils.turnsShorted)),
  rule('capLeaky', 'put right', null, among(['toneResistance', 'resistance'], coils.capLeaky)),
  rule('setUneven', 'leave', null, among(['resistance'], uneven)),
  rule('groundOpen', 'put right', null, high('groundResistance')),
  rule('twist', 'watch', 'relief', among(['relief', 'reliefTreble'], twisted)),
  rule('rodFree', 'stop', null, answered('rodFeel', 1)),
  rule('jointLine', 'leave', null, answered('jointLine', 1)),
  rule('jointLineOpens', 'stop', null, answered('jointLine', 2)),
  rule('finishTacky', 'watch', null, answered('finish', 1)),
  rule('finishBloom', 'watch', null, answered('finish', 2)),
  rule('finishCraters', 'put right', null, answered('finish', 3)),
  rule('bellyUp', 'put right', 'stringsOverTop', answered('topShape', 1), 'roomWet'),
  rule('crackMoves', 'put right', null, answered('topCrack', 1), 'roomDry'),
  rule('polesOff', 'watch', null, high('poleOffset'), 'neckShifted', 'bridgeOff'),
  rule(
    'tunersLoose',
    'put right',
    null,
    among(['tuners'], (s) => s.of('tuners').filter((t) => t.reading.value > 0)),
  ),
  rule('tapSilent', 'put right', null, answered('tapTest', 1), 'coilOpen', 'coilShorted', 'jackOpen', 'hotShorted'),
  rule('shieldOpen', 'watch', null, high('shieldResistance')),
  rule(
    'breakShallow',
    'watch',
    null,
    only(low('breakAngle'), (t) => t.target.feature !== 'nut'),
    'neckReset',
  ),
  rule('tremoloSticks', 'put right', null, answered('tremoloRest', 1), 'nutHigh'),
  rule(
    'cellLow',
    'put right',
    null,
    surely('supply', (_, most) => most < CELL_LOW),
  ),
  ...HEARD.map((x) => rule(x.rule, x.severity, x.judgedAt, heard(x.symptom), ...x.causes)),
];

/** Every rule by its name, in the order in which causes are looked for. */
export const RULE_IDS: readonly RuleId[] = RULES.map((r) => r.id);
