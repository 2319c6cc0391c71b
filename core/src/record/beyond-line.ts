import { PLANNED_SET, routePockets, type Choice, type PlanState } from '../check/index.js';
import { BODY_FRAME, cavityOf, type Pocket } from '../instrument/index.js';
import { moveOutline } from '../shape/index.js';

/** Which way a cut went beyond its line, as the instrument lies: towards bass or treble, neck or bridge. */
export const SIDES = ['bass', 'treble', 'neck', 'bridge'] as const;
export type Side = (typeof SIDES)[number];

/** Wood that is gone beyond the line of a pocket: which way, how far, and how deep, mm. */
export interface Beyond {
  readonly pocket: string;
  readonly side: Side;
  readonly by: number;
  readonly depth: number;
}

/** So much of a pocket's name goes into that of its slip. */
const LONGEST = 40;

const WAY: Readonly<Record<Side, readonly [number, number]>> = { bass: [-1, 0], treble: [1, 0], neck: [0, -1], bridge: [0, 1] };

/**
 * The pocket that a slip leaves: the pocket's own outline moved that way by so much, which with the pocket itself is all that is gone at most.
 * 80 wide and 1.5 towards the treble: from −40 to 40 with it reaches 41.5. Null where the choice cuts no such pocket in the body's frame.
 */
export function beyondLine(
  state: Pick<PlanState, 'anatomy' | 'settings'>,
  choice: Choice,
  gone: Beyond,
): { readonly cavity: string; readonly pocket: Pocket } | null {
  const found = pocketsCut(state, choice).find(({ pocket }) => pocket.id === gone.pocket);
  if (!found) return null;
  const [dx, dy] = WAY[gone.side];
  const { pocket, cavity } = found;
  return {
    cavity,
    pocket: {
      ...pocket,
      id: `slip ${gone.side} ${pocket.id.slice(0, LONGEST)}`,
      set: PLANNED_SET,
      outline: { ...pocket.outline, outline: moveOutline(pocket.outline.outline, dx * gone.by, dy * gone.by) },
      depth: { value: gone.depth, limit: state.settings.limitPlannedDepth, basis: { kind: 'planned' } },
    },
  };
}

/** What a choice cuts, hollow by hollow: its route, pockets that are added, floors that are cut deeper; in the body's frame. */
export function pocketsCut(
  { anatomy, settings }: Pick<PlanState, 'anatomy' | 'settings'>,
  choice: Choice,
): readonly { readonly cavity: string; readonly pocket: Pocket }[] {
  const own = choice.kind === 'pickup' ? cavityOf(anatomy, choice) : null;
  const route = choice.kind === 'pickup' && choice.route && own ? routePockets(choice.route, settings).map((pocket) => ({ cavity: own.id, pocket })) : [];
  const work = (choice.work ?? []).flatMap((w) => {
    if (w.kind === 'addPockets') return w.pockets.map((pocket) => ({ cavity: w.cavity, pocket }));
    if (w.kind === 'addCavity') return w.hollow.pockets.map((pocket) => ({ cavity: w.hollow.id, pocket }));
    const cavity = w.kind === 'setDepth' ? anatomy.cavities.find((c) => c.id === w.cavity && c.frame === BODY_FRAME) : undefined;
    return (cavity?.pockets ?? []).flatMap((pocket) => (w.kind === 'setDepth' && pocket.id === w.pocket ? [{ cavity: w.cavity, pocket }] : []));
  });
  return [...route, ...work];
}
