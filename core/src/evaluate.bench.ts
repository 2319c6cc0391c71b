// A rigid move of a planned route to its verdicts, on Node: node --conditions=rinnovo-source --import tsx core/src/evaluate.bench.ts
import { evaluateChoice } from './house/index.js';
import type { PlannedLevel } from './check/index.js';
import { routeFigures } from './cut/index.js';
import { circle, roundedRectangle } from './shape/index.js';
import { plainChoice, plainState } from './testing/plan.js';

const levels: readonly PlannedLevel[] = [
  { id: 'main', outline: roundedRectangle(87, 41, 5), depth: 19, bored: false },
  { id: 'ear 1', outline: roundedRectangle(16, 13, 5, { x: -40, y: 0 }), depth: 22, bored: false },
  { id: 'ear 2', outline: roundedRectangle(16, 13, 5, { x: 40, y: 0 }), depth: 22, bored: false },
  { id: 'well', outline: circle(6, { x: 38, y: 0 }), depth: 24, bored: true },
];
const state = plainState();
const cavity = state.anatomy.cavities.find((c) => c.id === 'route');
if (!cavity) throw new RangeError('the bench has no route');

const times: number[] = [];
for (let i = 0; i < 600; i++) {
  const route = { at: { x: 3 * Math.sin(i), y: 110 + 3 * Math.cos(i), turn: 0 }, levels };
  const begun = process.hrtime.bigint();
  evaluateChoice(state, plainChoice({ route }));
  routeFigures(state, cavity, route);
  if (i >= 100) times.push(Number(process.hrtime.bigint() - begun) / 1e6);
}
times.sort((a, b) => a - b);
console.log(
  `evaluate and figures after a move: median ${(times[250] ?? NaN).toFixed(2)} ms, p95 ${(times[475] ?? NaN).toFixed(2)} ms (500, after 100 to warm up)`,
);
