import { levelsCut, PLANNED_SET, type CheckRows, type Choice, type PlanState } from '../check/index.js';
import type { Level } from '../instrument/index.js';
import type { Side } from '../job/index.js';
import { moveOutline } from '../shape/index.js';

/** Wood that is gone beyond the line of a level: which way, how far, and how deep, mm. */
export interface Beyond {
  readonly level: string;
  readonly side: Side;
  readonly by: number;
  readonly depth: number;
}

/** So much of a level's name goes into that of its slip. */
const LONGEST = 40;

const WAY: Readonly<Record<Side, readonly [number, number]>> = { bass: [-1, 0], treble: [1, 0], neck: [0, -1], bridge: [0, 1] };

/**
 * The level that a slip leaves: the level's own outline moved that way by so much, which with the level itself is all that is gone at most.
 * 80 wide and 1.5 towards the treble: from −40 to 40 with it reaches 41.5. Null where the choice cuts no such level in the body's frame.
 */
export function beyondLine(rows: CheckRows, state: PlanState, choice: Choice, gone: Beyond): { readonly cavity: string; readonly level: Level } | null {
  const found = levelsCut(rows, state, choice).find(({ level }) => level.id === gone.level);
  if (!found) return null;
  const [dx, dy] = WAY[gone.side];
  const { level, cavity } = found;
  return {
    cavity,
    level: {
      ...level,
      id: `slip ${gone.side} ${level.id.slice(0, LONGEST)}`,
      set: PLANNED_SET,
      outline: { ...level.outline, outline: moveOutline(level.outline.outline, dx * gone.by, dy * gone.by) },
      depth: { value: gone.depth, limit: state.settings.limitPlannedDepth, basis: { kind: 'planned' } },
    },
  };
}
