import { isThere, PLANNED_SET, worksOf, type CheckRows, type Choice, type PlanState } from '../check/index.js';
import { BODY_FRAME, type Level } from '../instrument/index.js';
import { moveOutline } from '../shape/index.js';

/** Which way a cut went beyond its line, as the instrument lies: towards bass or treble, neck or bridge. */
export const SIDES = ['bass', 'treble', 'neck', 'bridge'] as const;
export type Side = (typeof SIDES)[number];

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

/** What a choice cuts, cavity by cavity: its route, levels that are added, floors that are cut deeper; in the body's frame. Nothing where its place is gone. */
export function levelsCut(rows: CheckRows, state: PlanState, choice: Choice): readonly { readonly cavity: string; readonly level: Level }[] {
  if (!isThere(rows, state.anatomy, choice)) return [];
  return worksOf(rows, choice, state).flatMap(({ does }) =>
    does.flatMap((w) => {
      if (w.kind === 'addLevels') return w.levels.map((level) => ({ cavity: w.cavity, level }));
      if (w.kind === 'addCavity') return w.cavity.levels.map((level) => ({ cavity: w.cavity.id, level }));
      const cavity = w.kind === 'setDepth' ? state.anatomy.cavities.find((c) => c.id === w.cavity && c.frame === BODY_FRAME) : undefined;
      return (cavity?.levels ?? []).flatMap((level) => (w.kind === 'setDepth' && level.id === w.level ? [{ cavity: w.cavity, level }] : []));
    }),
  );
}
