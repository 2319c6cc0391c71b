import { choiceChanges, FOUND_SET, joinsOf, routeLevels, stillToDo, type Choice, type HardwareChoice, type PlanState } from '../check/index.js';
import { cutSetOf } from '../gate/index.js';
import { applyChanges, type Anatomy, type Change, type Hole, type Level } from '../instrument/index.js';
import type { OperationKind } from '../operation/index.js';
import { beyondLine, type Beyond } from './beyond-line.js';

/** A depth that was read while the work was done. */
export interface DepthRead {
  readonly level: string;
  readonly value: number;
  readonly limit: number;
  /** The ledger entry it stands in. */
  readonly entry: string;
}

export interface DoneWork {
  readonly kind: OperationKind;
  readonly decision: string;
  readonly choice: Choice;
  readonly entry: string;
  readonly depths: readonly DepthRead[];
}

/** What a finished operation did to the instrument; most only prepare and change nothing. */
export function changesOf(work: DoneWork, anatomy: Anatomy, state: Pick<PlanState, 'settings' | 'parts'>): readonly Change[] {
  if (work.choice.kind === 'hardware') return hardwareDone(work, work.choice, { ...state, anatomy });
  const { choice } = work;
  const position = anatomy.positions.find((p) => p.id === choice.position);
  if (!position) throw new RangeError(`nothing here is called ${choice.position}`);
  switch (work.kind) {
    case 'removePart':
      return [{ kind: 'fitPart', position: position.id, part: null }];
    case 'fitPart':
      return [{ kind: 'fitPart', position: position.id, part: choice.part }, ...broughtBy(work, choice.work ?? [])];
    case 'takeOffInsert':
    case 'putInsertBack':
      return [{ kind: 'setInsert', plate: position.plate, opening: position.opening, fitted: work.kind === 'putInsertBack' }];
    case 'routePasses':
    case 'boreWells': {
      const bored = work.kind === 'boreWells';
      const levels = choice.route ? routeLevels(choice.route, state.settings).filter((p) => p.bored === bored) : [];
      return levels.length === 0
        ? []
        : [{ kind: 'addLevels', cavity: position.cavity, levels: levels.map((p) => asCut(p, work)), ...(choice.route ? joinsOf(choice.route) : {}) }];
    }
    case 'fillRoute':
      return choice.fill ? [{ kind: 'fillLevels', cavity: position.cavity, set: FOUND_SET }] : [];
    default:
      return broughtBy(work, choice.work ?? []);
  }
}

/** What of a choice's work a finished operation did, on the word of its entry. */
function broughtBy(done: DoneWork, work: readonly Change[]): readonly Change[] {
  const brings = BRINGS[done.kind];
  return brings ? work.filter(brings).map((c) => onEntry(c, done)) : [];
}

function onEntry(c: Change, done: DoneWork): Change {
  // what comes back is what it was, and as well known
  if (RETURNS.has(done.kind)) return c;
  const { entry, depths } = done;
  const basis = { kind: 'work', entry } as const;
  if (c.kind === 'sizeHole') return { ...c, diameter: { ...c.diameter, basis } };
  if (c.kind === 'setDepth') {
    const read = depths.find((d) => d.level === c.level);
    return { ...c, depth: read ? { value: read.value, limit: read.limit, basis: { kind: 'work', entry: read.entry } } : { ...c.depth, basis } };
  }
  if (c.kind === 'raisePickup' || c.kind === 'raiseCover') return { ...c, by: { ...c.by, basis } };
  if (c.kind === 'addLevels') return { ...c, levels: c.levels.map((p) => asCut(p, done)) };
  if (c.kind === 'moveHole') return { ...c, basis };
  if (c.kind === 'deepenHole') return { ...c, depth: { ...c.depth, basis } };
  if (c.kind === 'sizePlate' || c.kind === 'sizeWindow' || c.kind === 'sizeLevel') return { ...c, outline: { ...c.outline, basis } };
  if (c.kind === 'setPlate')
    return { ...c, plate: { ...c.plate, outline: c.plate.outline.basis.kind === 'planned' ? { ...c.plate.outline, basis } : c.plate.outline } };
  if (c.kind === 'addCavity') return { ...c, cavity: { ...c.cavity, levels: c.cavity.levels.map((p) => ({ ...asCut(p, done), id: p.id })) } };
  return c.kind === 'addHole' ? { ...c, hole: drilled(c.hole, entry) } : c;
}

/** A planned hole as it was drilled. */
function drilled(hole: Hole, entry: string): Hole {
  const basis = { kind: 'work', entry } as const;
  const size = <T extends { readonly basis: unknown }>(d: T | null): T | null => d && { ...d, basis };
  return { ...hole, basis, diameter: size(hole.diameter), depth: size(hole.depth) };
}

const RETURNS: ReadonlySet<OperationKind> = new Set<OperationKind>(['takeSpacerOut', 'refitPlate', 'takeSleeveOut']);

/** Which changes of a choice's work an operation brings about; fitting brings the part itself. */
const BRINGS: Readonly<Partial<Record<OperationKind, (c: Change) => boolean>>> = {
  openHole: (c) => c.kind === 'sizeHole' && c.by === 'drill',
  plugHole: (c) => c.kind === 'closeHole' || (c.kind === 'sizeHole' && c.by === 'plug'),
  drillHole: (c) => c.kind === 'addHole' || c.kind === 'sizeHole' || c.kind === 'moveHole',
  fitSleeve: (c) => c.kind === 'sizeHole' && c.by === 'sleeve',
  deepenRoute: (c) => c.kind === 'setDepth',
  fitSpacer: (c) => c.kind === 'raiseCover' || c.kind === 'raisePickup',
  makePlate: (c) => c.kind === 'raiseCover' || c.kind === 'sizePlate',
  openWindow: (c) => c.kind === 'sizeWindow',
  widenCavity: (c) => c.kind === 'addLevels',
  openSlot: (c) => c.kind === 'sizeLevel',
  deepenBore: (c) => c.kind === 'deepenHole',
  cutChannel: (c) => c.kind === 'addLevels',
  drillRow: (c) => c.kind === 'addHole',
  cutCavity: (c) => c.kind === 'addCavity' || c.kind === 'raisePickup' || c.kind === 'raiseCover',
  fitPart: (c) => c.kind === 'trimPickup',
  fitHardware: (c) => c.kind === 'fitHardware' || c.kind === 'setPlate',
  takeSpacerOut: (c) => c.kind === 'raiseCover' || c.kind === 'raisePickup',
  refitPlate: (c) => c.kind === 'raiseCover' || c.kind === 'sizePlate' || c.kind === 'setPlate',
  takeSleeveOut: (c) => c.kind === 'sizeHole' && c.by === 'sleeve',
};

function hardwareDone(work: DoneWork, choice: HardwareChoice, state: Parameters<typeof choiceChanges>[1]): readonly Change[] {
  const { kind } = work;
  if (choice.cut) return broughtBy(work, choice.work).flatMap((c) => (c.kind === 'addCavity' ? stillToDo(state.anatomy, c) : [c]));
  if (kind === 'removeHardware') {
    const { place } = choice;
    const feature = place.on === 'face' ? choice.id : place.screw === undefined ? place.feature : null;
    const there = place.on === 'feature' || state.anatomy.holes.some((h) => h.id === feature);
    return feature !== null && there ? [{ kind: 'fitHardware', feature, part: null }] : [];
  }
  const there = (c: Change): boolean => c.kind !== 'addHole' || !state.anatomy.holes.some((h) => h.id === c.hole.id);
  return broughtBy(work, choiceChanges(choice, state).filter(there));
}

/** A planned level as it was cut: the depth that was read, or the planned one with its planned limit. */
function asCut(p: Level, work: DoneWork): Level {
  const read = work.depths.find((d) => d.level === p.id);
  const basis = { kind: 'work', entry: work.entry } as const;
  const depth = read ? { value: read.value, limit: read.limit, basis: { kind: 'work', entry: read.entry } as const } : p.depth && { ...p.depth, basis };
  return { ...p, id: `${p.id} ${work.decision.slice(0, 8)}`, set: cutSetOf(work.decision), outline: { ...p.outline, basis }, depth };
}

/** The instrument after wood went beyond the line: what is gone stands beside what was planned, on the word of the entry. Unchanged where nothing tells which wood. */
export function asSlipped(decision: string, choice: Choice, gone: Beyond, entry: string, anatomy: Anatomy, state: Pick<PlanState, 'settings'>): Anatomy {
  const left = beyondLine({ ...state, anatomy }, choice, gone);
  if (!left) return anatomy;
  const basis = { kind: 'work', entry } as const;
  const { level } = left;
  const cut = {
    ...level,
    id: `${level.id} ${entry.slice(0, 8)}`,
    set: cutSetOf(decision),
    outline: { ...level.outline, basis },
    depth: level.depth && { ...level.depth, basis },
  };
  const cavity = (choice.work ?? []).flatMap((w) => (w.kind === 'addCavity' && w.cavity.id === left.cavity ? [w.cavity] : []))[0];
  const begun = anatomy.cavities.some((c) => c.id === left.cavity);
  const change: Change =
    begun || !cavity ? { kind: 'addLevels', cavity: left.cavity, levels: [cut] } : { kind: 'addCavity', cavity: { ...cavity, levels: [cut] } };
  return applyChanges(anatomy, [change]);
}

/** The instrument after a finished operation. */
export function asLeft(work: DoneWork, anatomy: Anatomy, state: Pick<PlanState, 'settings' | 'parts'>): Anatomy {
  return applyChanges(anatomy, changesOf(work, anatomy, state));
}
