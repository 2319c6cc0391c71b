import type { RuleId, Severity } from './rule-ids.js';
import type { StateId } from '../quantity/index.js';
import { HEARD } from './heard.js';
import { familyOf } from './surveyed.js';
import type { StateOf, StateReading } from './state-of.js';

/** A condition over readings: what speaks for it, or nothing. `quantity` tells what must be settled before. `causes`: what it may come from, the likeliest first. */
export interface Rule {
  readonly id: RuleId;
  readonly severity: Severity;
  readonly quantity: StateId | null;
  readonly causes: readonly RuleId[];
  readonly when: (s: StateOf) => readonly StateReading[];
}

const high = (id: StateId) => (s: StateOf) => s.of(id).filter((t) => t.standing === 'high');
const low = (id: StateId) => (s: StateOf) => s.of(id).filter((t) => t.standing === 'low');
const surely = (id: StateId, is: (least: number, most: number) => boolean) => (s: StateOf) =>
  s.of(id).filter((t) => is(t.reading.value - t.reading.limit, t.reading.value + t.reading.limit));
const answered = (id: StateId, answer: number) => (s: StateOf) => s.of(id).filter((t) => t.reading.value === answer);
const heard = (feature: string) => (s: StateOf) => s.of('symptom').filter((t) => t.target.feature === feature && t.reading.value === 1);
/** Both, or nothing. */
const and = (a: (s: StateOf) => readonly StateReading[], b: (s: StateOf) => readonly StateReading[]) => (s: StateOf) => {
  const [x, y] = [a(s), b(s)];
  return x.length > 0 && y.length > 0 ? [...x, ...y] : [];
};
const zeroFret = (s: StateOf): boolean => s.surveyed.anatomy.neck.zeroFret;
const acoustic = (s: StateOf): boolean => familyOf(s.surveyed.kind) === 'acoustic';

/** More high frets than this are levelled all together [memory]. */
const SPOT_FRETS = 3;
/** Below this height a fret is replaced, mm [trade]. */
const REFRET = 0.6;
/** More relief than this is no matter of set-up, mm [trade]. */
const BEYOND_ROD = 1;
/** The two edges are equal within this, mm [trade]. */
const EDGES_EQUAL = 0.5;
/** A coil above this is open, below the other shorted, Ω [memory]. */
const OPEN = 200_000;
const SHORTED = 50;
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
  const coils = [...s.of('resistance')].filter((t) => t.reading.value > SHORTED && t.reading.value < OPEN).sort((a, b) => y(a) - y(b));
  const [neck, bridge] = [coils[0], coils.at(-1)];
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

/** The rules, upstream first. Common practice, no source, where docs/trade/survey.md says nothing else. */
export const RULES: readonly Rule[] = [
  rule('stopNow', 'stop', null, answered('stopSign', 1)),
  rule('roomDry', 'put right', null, low('humidity')),
  rule('roomWet', 'put right', null, high('humidity')),
  rule('jointOpen', 'put right', 'jointGap', high('jointGap')),
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
  ),
  rule('reliefLow', 'put right', 'relief', (s) => low('relief')(s).filter((t) => t.reading.value + t.reading.limit >= 0)),
  rule('reliefHigh', 'put right', 'relief', (s) => high('relief')(s).filter((t) => t.reading.value - t.reading.limit <= BEYOND_ROD), 'rodAtEnd'),
  rule('fullLevel', 'put right', 'fretRock', (s) => (high('fretRock')(s).length > SPOT_FRETS ? high('fretRock')(s) : []), 'fretsLoose'),
  rule('spotLevel', 'put right', 'fretRock', (s) => (high('fretRock')(s).length <= SPOT_FRETS ? high('fretRock')(s) : []), 'fretsLoose'),
  rule(
    'refret',
    'put right',
    'fretHeight',
    surely('fretHeight', (_, most) => most < REFRET),
  ),
  rule('oneLevelLeft', 'watch', 'fretHeight', (s) => low('fretHeight')(s).filter((t) => t.reading.value + t.reading.limit >= REFRET)),
  rule('fretEndsDry', 'put right', 'fretEnds', answered('fretEnds', 2), 'roomDry'),
  rule('fretEndsLumps', 'put right', 'fretEnds', answered('fretEnds', 1)),
  rule('fretEndsBevel', 'put right', 'fretEnds', answered('fretEnds', 3)),
  rule('nutHigh', 'put right', 'nutGap', (s) => (zeroFret(s) ? [] : high('nutGap')(s))),
  rule('nutLow', 'put right', 'nutGap', (s) => (zeroFret(s) ? [] : low('nutGap')(s))),
  rule('zeroFretHigh', 'put right', 'nutGap', (s) => (zeroFret(s) ? high('nutGap')(s) : [])),
  rule('zeroFretWorn', 'put right', 'nutGap', (s) => (zeroFret(s) ? low('nutGap')(s) : [])),
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
  rule('topSunken', 'watch', 'stringsOverTop', (s) => (acoustic(s) ? low('stringsOverTop')(s) : []), 'roomDry'),
  rule('bridgeLifting', 'stop', null, high('bridgeLift')),
  rule('neckAngle', 'put right', 'action', and(high('action'), low('saddleTravel')), 'reliefHigh', 'jointOpen'),
  rule('overAngled', 'put right', 'action', and(low('action'), high('saddleTravel'))),
  rule('saddleAtEnd', 'watch', 'saddleTravel', (s) => [...low('saddleTravel')(s), ...high('saddleTravel')(s)], 'neckAngle', 'overAngled'),
  rule('actionHigh', 'put right', 'action', high('action'), 'reliefHigh', 'neckAngle', 'neckReset', 'nutHigh', 'zeroFretHigh'),
  rule('actionLow', 'put right', 'action', low('action'), 'backBow', 'reliefLow', 'overAngled', 'topSunken'),
  rule('neckShifted', 'put right', null, shifted, 'jointOpen'),
  rule('edgeNarrow', 'watch', null, low('edgeGap'), 'neckShifted'),
  rule('pickupNear', 'put right', 'pickupHeight', low('pickupHeight')),
  rule('pickupFar', 'watch', 'pickupHeight', high('pickupHeight')),
  rule(
    'intonationOff',
    'put right',
    'intonation',
    (s) => [...low('intonation')(s), ...high('intonation')(s)],
    'nutHigh',
    'zeroFretHigh',
    'actionHigh',
    'reliefHigh',
  ),
  rule(
    'coilOpen',
    'put right',
    null,
    surely('resistance', (least) => least > OPEN),
  ),
  rule(
    'coilShorted',
    'put right',
    null,
    surely('resistance', (_, most) => most < SHORTED),
  ),
  rule('setUneven', 'leave', null, uneven),
  rule('groundOpen', 'put right', null, high('groundResistance')),
  rule('twist', 'watch', 'relief', twisted),
  rule('rodFree', 'stop', null, answered('rodFeel', 1)),
  rule('fretsLoose', 'put right', null, answered('looseFrets', 1)),
  rule('jointLine', 'leave', null, answered('jointLine', 1)),
  rule('jointLineOpens', 'stop', null, answered('jointLine', 2)),
  rule('screwStripped', 'put right', null, answered('screws', 1)),
  rule('screwBinds', 'put right', null, answered('screws', 2)),
  rule('finishTacky', 'watch', null, answered('finish', 1)),
  rule('finishBloom', 'watch', null, answered('finish', 2)),
  rule('finishCraters', 'put right', null, answered('finish', 3)),
  rule('bellyUp', 'put right', 'stringsOverTop', answered('topShape', 1), 'roomWet'),
  rule('crackMoves', 'put right', null, answered('topCrack', 1), 'roomDry'),
  rule('polesOff', 'watch', null, high('poleOffset'), 'neckShifted'),
  rule('tunersLoose', 'put right', null, (s) => s.of('tuners').filter((t) => t.reading.value > 0)),
  rule('tapSilent', 'put right', null, answered('tapTest', 1), 'coilOpen', 'coilShorted'),
  rule('shieldOpen', 'watch', null, high('shieldResistance')),
  rule('breakShallow', 'watch', null, low('breakAngle'), 'neckReset'),
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
