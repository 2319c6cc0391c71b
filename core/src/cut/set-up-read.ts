import { leavesOf, setting, sum, valueOf, type Working } from '../measure/index.js';
import { SET_UPS, type DepthSetUps, type SetUpId } from './set-up.js';

/** Settings that differ by less are the same one, mm [memory: what a bit is set to by hand and rule]. */
const SAME_SETTING = 0.2;

/** What a set-up that was read comes to. */
export interface SetUpRead {
  /** How far it is from the plan's, mm; positive is deeper. */
  readonly off: number;
  readonly agrees: boolean;
  /** The set-up that it would be right for, where it is not right for the one that is worked by: a slip. */
  readonly slip: SetUpId | null;
  /** What the reading leaves for straight edge and template beside the wanted depth; negative where the straight edge is taken off. */
  readonly left: Working;
  /** What lies there of them. */
  readonly there: Working;
  /** How deep the bit goes with what lies there. */
  readonly depth: Working;
}

/**
 * A set-up as it was read against what the plan asks of it. By (c), 1 3/32 in with 7/8 wanted leaves 7/32 for straight edge and template: 1/32 and 3/16 are that; a
 * template of 1/4 is 1/16 more, and the cut comes out 13/16 [law]. 1 3/32 read where (a) is worked by is off by the straight edge, 1/32: the slip is named.
 */
export function readSetUp(setUps: DepthSetUps, by: SetUpId, reading: number): SetUpRead {
  const parts = new Map(leavesOf(setUps.finished).map((l) => [l.label, l]));
  const [straightEdge, template, wanted] = ['straightEdge', 'templateThickness', 'targetDepth'].map((label) => parts.get(label));
  if (!wanted) throw new RangeError('a set-up without a depth');
  const read = setting('setUpRead', reading, 'typed');
  const edge = straightEdge && by !== 'projection' ? [[by === 'finished' ? 1 : -1, straightEdge] as const] : [];
  const there = sum('stackThere', ...edge, ...(template ? [[1, template] as const] : []));
  const off = reading - valueOf(setUps[by]);
  const agrees = Math.abs(off) <= SAME_SETTING;
  const apart = (id: SetUpId): number => Math.abs(reading - valueOf(setUps[id]));
  const nearest = [...SET_UPS].sort((a, b) => apart(a) - apart(b))[0];
  return {
    off,
    agrees,
    slip: !agrees && nearest && nearest !== by && apart(nearest) <= SAME_SETTING ? nearest : null,
    left: sum('stackLeft', [1, read], [-1, wanted]),
    there,
    depth: sum('depthSo', [1, read], ...there.terms.map(({ sign, of }) => [sign === 1 ? -1 : 1, of] as const)),
  };
}
