import type { BenchRow } from '../row.js';

/** What lies over a hole or a cavity without being a part of the job: a bridge, a tailpiece; off before the place under it is worked on. */
const OVER: ReadonlySet<string> = new Set(['bridge', 'tailpiece', 'tremolo']);

export const covering: BenchRow = {
  of: 'part',
  start: 'on',
  states: { on: 'putPartBack', off: 'takePartOff' },
  needs({ at }, { anatomy }) {
    const over = new Set([...anatomy.holes, ...anatomy.cavities].flatMap((f) => (at.features.includes(f.id) && f.hiddenBy !== null ? [f.hiddenBy] : [])));
    return anatomy.plates.flatMap((p) => (over.has(p.id) && OVER.has(p.kind) && !at.features.includes(p.id) ? [{ of: 'part', at: p.id, is: ['off'] }] : []));
  },
};
