// Findings and what is missing from 400 readings, on Node: node --conditions=rinnovo-source --import tsx core/src/survey/findings.bench.ts
import { startingAnatomy } from '../instrument/index.js';
import { STATES, usualLimit, type Reading, type StateId } from '../quantity/index.js';
import { findingsOf, missingFor, placesOf, stateOf, WORK_KINDS, type Surveyed } from './index.js';

const surveyed: Surveyed = { anatomy: startingAnatomy('bolt-on solid'), kind: 'bolt-on solid', fitted: ['tremolo', 'active'] };
const places = (Object.keys(STATES) as StateId[]).flatMap((id) => placesOf(id, surveyed));
/** Every place again and again until there are 400, each outside what is wished. */
const readings: readonly Reading[] = Array.from({ length: 400 }, (_, i) => {
  const target = places[i % places.length];
  if (!target) throw new RangeError('no places');
  const { min, max, unit, by } = STATES[target.quantity];
  const value = unit === 'choice' ? max : Math.max(min, max * (0.5 + (i % 7) / 14));
  const at = new Date(Date.UTC(2026, 0, 1, 0, 0, i)).toISOString();
  const limit = usualLimit(target.quantity, value);
  return { id: `r${i}`, instrument: 'i', target, value, limit, raw: '', tool: by, person: 'p', at, blind: false, survey: 's', corrects: null };
});

function time(what: string, run: () => number): void {
  for (let i = 0; i < 50; i++) run();
  const times = Array.from({ length: 200 }, () => {
    const begun = performance.now();
    run();
    return performance.now() - begun;
  }).sort((a, b) => a - b);
  console.log(`${what}: median ${(times[100] ?? NaN).toFixed(2)} ms, p95 ${(times[190] ?? NaN).toFixed(2)} ms (${run()} rows)`);
}

time('findings over 400 readings', () => findingsOf(stateOf(surveyed, readings)).length);
time(
  'what is missing for every kind of work, over 400 readings',
  () => missingFor(WORK_KINDS, stateOf(surveyed, readings), readings, [], '2026-06-01T00:00:00.000Z').length,
);
