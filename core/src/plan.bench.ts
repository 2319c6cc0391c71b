// A plan of 40 parts on an instrument of 120 features, on Node: node --conditions=rinnovo-source --import tsx core/src/plan.bench.ts
import { evaluateIn, evaluatePlan, optionsFor, typicalHardware } from './house/index.js';
import { newHardwareChoice, withChoice, type HardwareChoice, type Plan, type PlanState } from './check/index.js';
import type { Cavity, Hole } from './instrument/index.js';
import { roundedRectangle } from './shape/index.js';
import { dim, edge, plainAnatomy, plainChoice, plainState } from './testing/plan.js';

const hole = (i: number): Hole => ({
  id: `hole ${i}`,
  name: `Hole ${i}`,
  kind: 'pot',
  face: 'top',
  frame: 'body',
  at: { x: -130 + (i % 10) * 26, y: 200 + Math.floor(i / 10) * 26 },
  diameter: dim(8),
  bare: null,
  through: true,
  depth: null,
  limit: 0.1,
  basis: { kind: 'stated' },
  hiddenBy: null,
  condition: 'sound',
});
const cavity = (i: number): Cavity => ({
  id: `cavity ${i}`,
  name: `Cavity ${i}`,
  kind: 'control',
  face: 'back',
  frame: 'body',
  hiddenBy: null,
  condition: 'sound',
  levels: [
    {
      id: 'c',
      set: 'found',
      outline: edge(roundedRectangle(58, 30, 8, { x: -110 + (i % 4) * 70, y: 200 + Math.floor(i / 4) * 34 })),
      depth: dim(32),
      bored: false,
    },
  ],
});

/** The same instrument anew: nothing of it has been worked out before. */
function fresh(): { readonly state: PlanState; readonly plan: Plan } {
  const a = plainAnatomy();
  const anatomy = {
    ...a,
    holes: Array.from({ length: 100 }, (_, i) => hole(i)),
    cavities: [...a.cavities, ...Array.from({ length: 16 }, (_, i) => cavity(i))],
  };
  const pots = ['pot', 'push-pull pot', 'jack', 'mini toggle'] as const;
  const shelf = pots.map((kind) => typicalHardware(kind, kind, kind));
  const base = plainState(anatomy);
  const state = { ...base, parts: { ...base.parts, ...Object.fromEntries(shelf.map((p) => [p.id, p])) } };
  const choices = Array.from({ length: 39 }, (_, i) => newHardwareChoice(`hole ${i}`, { on: 'feature', feature: `hole ${i}` }, pots[i % 4] ?? 'pot'));
  return { state, plan: { format: 5, choices: [plainChoice(), ...choices] } };
}

const ms = (act: () => unknown): number => {
  const begun = process.hrtime.bigint();
  act();
  return Number(process.hrtime.bigint() - begun) / 1e6;
};
const given = (name: string, times: readonly number[], limit: number): void => {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number): string => (sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN).toFixed(1);
  console.log(`${name}: median ${at(0.5)} ms, p95 ${at(0.95)} ms, slowest ${at(1)} ms of ${sorted.length} (limit ${limit})`);
};

const count = fresh().state.anatomy;
console.log(`${count.holes.length + count.cavities.length + count.plates.length} features, ${fresh().plan.choices.length} parts`);
given(
  'cold, everything new',
  Array.from({ length: 12 }, () => {
    const { state, plan } = fresh();
    return ms(() => evaluatePlan(state, plan));
  }),
  500,
);

const { state, plan } = fresh();
evaluatePlan(state, plan);
given(
  'after one change',
  Array.from({ length: 60 }, (_, i) => {
    const changed = withChoice(plan, newHardwareChoice('hole 3', { on: 'feature', feature: 'hole 3' }, i % 2 === 0 ? 'pot' : 'jack'));
    return ms(() => evaluatePlan(state, changed));
  }),
  50,
);

const dragged = (i: number): HardwareChoice =>
  newHardwareChoice('new', { on: 'face', face: 'top', at: { x: 60 + Math.sin(i) * 8, y: 300 + Math.cos(i) * 8 }, hole: 'pot' }, 'pot');
given(
  'a part in the hand',
  Array.from({ length: 300 }, (_, i) => {
    const c = dragged(i);
    const moved = withChoice(plan, c);
    return ms(() => evaluateIn(state, moved, c));
  }),
  16,
);

const request = { kind: null, reversibleOnly: false, doNotTouch: [] };
let remedies = 0;
given(
  'ways out of ten places',
  Array.from({ length: 5 }, () =>
    ms(() => {
      remedies = plan.choices.slice(0, 10).reduce((n, c) => n + optionsFor(state, plan, c, request).length, 0);
    }),
  ),
  1500,
);
console.log(`${remedies} remedies evaluated each time`);
