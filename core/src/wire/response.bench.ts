// node --conditions=rinnovo-source --import tsx core/src/wire/response.bench.ts
// Five positions of 400 points and all readings with their limits, against the analysis time of an independent simulator: its analysis repeated in one process, start-up taken off.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { performance } from 'node:perf_hooks';
import { exactly, humbucker } from '../testing/circuit.js';
import * as wire from './index.js';

const POINTS = 400;
const ROUNDS = 9;
const REPEATED = 200;

const circuit = exactly(
  'three pickups, lever of five and four poles, neck and bridge split with the middle',
  ['neck', 'middle', 'bridge'].map((name, i) => humbucker(name, 3900 + 90 * i, 4050 + 70 * i)),
);
const hertz = wire.heardFrequencies(POINTS);
const settings = wire.everySetting(circuit);

const median = (all: readonly number[]): number => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? 0;
let sink = 0;

/** From the description of the circuit to the levels of every position, ms. */
function ours(): number {
  const begun = performance.now();
  const w = wire.wired({ ...circuit });
  for (const s of settings) sink += wire.levelsOf(wire.networkOf(wire.netlistOf(w, s), wire.USUAL_LOAD), hertz)[7] ?? 0;
  return performance.now() - begun;
}

const kept = wire.wired(circuit);
let knob = 0.5;
/** A slider moves: the lugs stay numbered, ms. */
function moved(): number {
  const begun = performance.now();
  knob = knob > 0.9 ? 0.3 : knob + 0.01;
  for (const s of settings)
    sink += wire.levelsOf(wire.networkOf(wire.netlistOf(kept, { ...s, knobs: { volume: knob, tone: knob } }), wire.USUAL_LOAD), hertz)[7] ?? 0;
  return performance.now() - begun;
}

/** Every reading with its limits, a knob of each kind between its stops, ms. */
function readings(): number {
  const begun = performance.now();
  const w = wire.wired(circuit);
  for (const s of settings) {
    const n = wire.netlistOf(w, { ...s, knobs: { volume: 0.7, tone: 0.5 } });
    sink += wire.resistanceBetween(n, { element: 'jack', lug: 'tip' }, { element: 'jack', lug: 'sleeve' }).most;
  }
  return performance.now() - begun;
}

/** The simulator's own analysis of the five positions, ms: 200 times in one process, less a process that analyses none. */
function theirs(folder: string): number {
  const load = settings.map((_, i) => `source ${path.join(folder, `${i}.cir`)}`);
  const run = (times: number): number => {
    const analyses = load.flatMap((l) => [l, `let n = 0`, `repeat ${times}`, `ac dec ${(POINTS - 1) / 3} 20 20000`, 'destroy all', 'end', 'remcirc']);
    writeFileSync(
      path.join(folder, 'all.sp'),
      ['* all', '.control', ...(times > 0 ? analyses : load.flatMap((l) => [l, 'remcirc'])), 'quit', '.endc', '.end', ''].join('\n'),
    );
    const begun = performance.now();
    execFileSync('ngspice', ['-b', path.join(folder, 'all.sp')], { stdio: 'ignore' });
    return performance.now() - begun;
  };
  return (run(REPEATED) - run(0)) / REPEATED;
}

const folder = mkdtempSync(path.join(tmpdir(), 'bench-'));
settings.forEach((s, i) => {
  const n = wire.networkOf(wire.netlistOf(kept, s), wire.USUAL_LOAD);
  writeFileSync(path.join(folder, `${i}.cir`), wire.deckText(wire.responseDeck('bench', n, wire.asStruck(n)).deck, 'response'));
});
for (let i = 0; i < 300; i++) for (const warm of [ours, moved, readings]) warm();
const rows = Array.from({ length: ROUNDS }, () => {
  const many = (f: () => number): number => median(Array.from({ length: 60 }, f));
  return { theirs: theirs(folder), ours: many(ours), moved: many(moved), readings: many(readings) };
});
rmSync(folder, { recursive: true });
const figure = (of: keyof (typeof rows)[number]): number => median(rows.map((r) => r[of]));
console.log(`five positions × ${POINTS} points: ${figure('ours').toFixed(3)} ms from the description, ${figure('moved').toFixed(3)} ms as a slider moves`);
console.log(`an independent simulator's own analysis: ${figure('theirs').toFixed(2)} ms`);
console.log(
  `times faster: ${median(rows.map((r) => r.theirs / r.ours)).toFixed(1)} from the description, ${median(rows.map((r) => r.theirs / r.moved)).toFixed(1)} as a slider moves`,
);
console.log(`all readings of the five positions with limits, knobs between stops: ${figure('readings').toFixed(2)} ms`);
if (sink === 0.5) console.log(sink);
