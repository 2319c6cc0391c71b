import { routePockets, type PickupChoice } from '../check/index.js';
import { cutSetOf } from '../gate/index.js';
import { applyChanges, type Anatomy, type Change, type Pocket } from '../instrument/index.js';
import type { OperationKind, Settings } from '../operation/index.js';

/** A depth that was read while the work was done. */
export interface DepthRead {
  readonly pocket: string;
  readonly value: number;
  readonly limit: number;
  /** The ledger entry it stands in. */
  readonly entry: string;
}

export interface DoneWork {
  readonly kind: OperationKind;
  readonly decision: string;
  readonly choice: PickupChoice;
  readonly entry: string;
  readonly depths: readonly DepthRead[];
}

/** What a finished operation did to the instrument; most only prepare and change nothing. */
export function changesOf(work: DoneWork, anatomy: Anatomy, settings: Settings): readonly Change[] {
  const position = anatomy.positions.find((p) => p.id === work.choice.position);
  if (!position) throw new RangeError(`nothing here is called ${work.choice.position}`);
  switch (work.kind) {
    case 'removePart':
      return [{ kind: 'fitPart', position: position.id, part: null }];
    case 'fitPart':
      return [{ kind: 'fitPart', position: position.id, part: work.choice.part }];
    case 'takeOffInsert':
      return [{ kind: 'setInsert', plate: position.plate, opening: position.opening, fitted: false }];
    case 'routePasses':
    case 'boreWells': {
      const bored = work.kind === 'boreWells';
      const pockets = work.choice.route ? routePockets(work.choice.route, settings).filter((p) => p.bored === bored) : [];
      return pockets.length === 0 ? [] : [{ kind: 'addPockets', cavity: position.cavity, pockets: pockets.map((p) => asCut(p, work)) }];
    }
    default:
      return [];
  }
}

/** A planned pocket as it was cut: the depth that was read, or the planned one with its planned limit. */
function asCut(p: Pocket, work: DoneWork): Pocket {
  const read = work.depths.find((d) => d.pocket === p.id);
  const basis = { kind: 'work', entry: work.entry } as const;
  const depth = read ? { value: read.value, limit: read.limit, basis: { kind: 'work', entry: read.entry } as const } : p.depth && { ...p.depth, basis };
  return { ...p, id: `${p.id} ${work.decision.slice(0, 8)}`, set: cutSetOf(work.decision), outline: { ...p.outline, basis }, depth };
}

/** The instrument after a finished operation. */
export function asLeft(work: DoneWork, anatomy: Anatomy, settings: Settings): Anatomy {
  return applyChanges(anatomy, changesOf(work, anatomy, settings));
}
