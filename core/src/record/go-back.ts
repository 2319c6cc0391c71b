import type { Choice, HardwareChoice, PickupChoice, PlanState } from '../check/index.js';
import { applyChanges, compareAnatomies, type Anatomy, type Change } from '../instrument/index.js';
import { hasStarted, type OperationKind, type OperationState } from '../operation/index.js';
import { changesOf, type DepthRead } from './as-left.js';
import { placesWorkedOn } from './places-worked-on.js';
import { undoRecipe, type UndoStep } from './undo-recipe.js';

/** An operation as far as it was done, with what was read and shown in it. */
export interface WorkSoFar {
  readonly kind: OperationKind;
  readonly state: OperationState;
  /** Its logged steps, oldest first: their kinds and the drill that each one named, mm. */
  readonly steps: readonly { readonly kind: string; readonly drill: number | null }[];
  readonly depths: readonly DepthRead[];
  /** The newest ledger entry; empty where it has not started. */
  readonly entry: string;
}

/** What leads back from a decision whose work has begun. */
export interface Return {
  /** What was there before, and what is changed so that it goes in again. */
  readonly choice: Choice;
  readonly operations: readonly OperationKind[];
  /** What stays for good. */
  readonly stays: readonly UndoStep[];
  /** The instrument with what was cut so far, also by operations that were not brought to their end. */
  readonly anatomy: Anatomy;
}

/** The step that takes wood or metal away; once it was logged the work counts as done there. */
const TAKES: Readonly<Partial<Record<OperationKind, string>>> = {
  openHole: 'openTo',
  plugHole: 'gluePlug',
  drillHole: 'drillNew',
  fillRoute: 'fillIn',
  openWindow: 'fileWindow',
  widenCavity: 'widenTo',
  openSlot: 'openSlotTo',
  deepenBore: 'boreDeeper',
  drillRow: 'drillRowTo',
  trimPart: 'cutDown',
};

/**
 * The operations that lead back to what was there when a decision was made, the choice that they make, and what stays.
 * `was` is the anatomy that the decision was made on. What of a route was not read is not measured, never guessed.
 * Throws RangeError when the place of the choice was not there.
 */
export function goBack(
  decision: string,
  chosen: Choice,
  work: readonly WorkSoFar[],
  was: Anatomy,
  now: Anatomy,
  state: Pick<PlanState, 'settings' | 'parts'>,
): Return {
  const begun = work.filter(hasStarted);
  const done = (kind: OperationKind, w: WorkSoFar): readonly Change[] =>
    changesOf({ kind, decision, choice: chosen, entry: w.entry, depths: w.depths.toReversed() }, now, state);
  const anatomy = applyChanges(now, [...routeSoFar(begun, done), ...begun.flatMap((w) => brokenOff(w, done))]);
  const started = (kind: OperationKind): boolean => begun.some((w) => w.kind === kind);
  const back = chosen.kind === 'pickup' ? pickupBack(chosen, started, was) : hardwareBack(chosen, started, was, anatomy);
  const places = placesWorkedOn(chosen, anatomy);
  const stays = undoRecipe(compareAnatomies(was, anatomy)).filter((s) => !s.possible && places.has(s.subject));
  const cutPart: readonly UndoStep[] =
    started('trimPart') && !stays.some((s) => s.kind === 'cannotReturnPart')
      ? [{ kind: 'cannotReturnPart', subject: chosen.id, part: chosen.part, possible: false }]
      : [];
  return { ...back, stays: [...stays, ...cutPart], anatomy };
}

type Done = (kind: OperationKind, w: WorkSoFar) => readonly Change[];

const did = (w: WorkSoFar, step: string): boolean => w.steps.some((s) => s.kind === step);
const wasRead = (w: WorkSoFar, level: string): boolean => w.depths.some((d) => level.startsWith(`${d.level} `));

/** A route that was begun, by boring or in passes, and not brought to its end: its floors as far as they were read. */
function routeSoFar(begun: readonly WorkSoFar[], done: Done): readonly Change[] {
  const cut = begun.filter((w) => (w.kind === 'boreBulk' && did(w, 'bore')) || (w.kind === 'routePasses' && did(w, 'cut')));
  const last = cut.find((w) => w.kind === 'routePasses') ?? cut[0];
  if (!last || cut.some((w) => w.kind === 'routePasses' && w.state === 'done')) return [];
  return done('routePasses', last).map((c) =>
    c.kind === 'addLevels' ? { ...c, levels: c.levels.map((p) => (wasRead(last, p.id) ? p : { ...p, depth: null })) } : c,
  );
}

/** What another operation that was not brought to its end has done to the instrument. */
function brokenOff(w: WorkSoFar, done: Done): readonly Change[] {
  if (w.state === 'done') return [];
  if (w.kind === 'boreWells' || w.kind === 'deepenRoute' || w.kind === 'cutChannel' || w.kind === 'cutCavity')
    return done(w.kind, w).flatMap((c) => onlyRead(c, w));
  const takes = TAKES[w.kind];
  if (takes === undefined || !did(w, takes)) return [];
  const drill = w.steps.findLast((s) => s.drill !== null)?.drill ?? Infinity;
  return done(w.kind, w).map((c) => (c.kind === 'sizeHole' ? { ...c, diameter: { ...c.diameter, value: Math.min(c.diameter.value, drill) } } : c));
}

/** Floors and wells of which the depth was read; the others were not begun. */
function onlyRead(c: Change, w: WorkSoFar): readonly Change[] {
  if (c.kind === 'setDepth') return wasRead(w, `${c.level} `) ? [c] : [];
  if (c.kind === 'addCavity') return c.cavity.levels.some((p) => wasRead(w, `${p.id} `)) ? [c] : [];
  if (c.kind !== 'addLevels') return wasRead(w, 'floor ') || w.kind !== 'cutCavity' ? [c] : [];
  const levels = c.levels.filter((p) => wasRead(w, p.id));
  return levels.length > 0 ? [{ ...c, levels }] : [];
}

type Started = (kind: OperationKind) => boolean;

function pickupBack(chosen: PickupChoice, started: Started, was: Anatomy): Pick<Return, 'choice' | 'operations'> {
  const position = was.positions.find((p) => p.id === chosen.position);
  if (!position) throw new RangeError(`nothing here is called ${chosen.position}`);
  const plate = was.plates.find((p) => p.id === position.plate);
  const wasFitted = plate?.openings.find((o) => o.id === position.opening)?.insert?.fitted ?? false;
  const work: Change[] = [];
  if (started('fitSpacer')) work.push({ kind: 'raisePickup', position: position.id, by: position.raised ?? NOT_RAISED });
  if (started('makePlate') && plate) work.push({ kind: 'sizePlate', plate: plate.id, outline: plate.outline });
  if (position.trimmed) work.push({ kind: 'trimPickup', position: position.id, trimmed: position.trimmed });
  const refit = position.part !== null && (started('removePart') || started('fitPart'));
  return {
    choice: {
      kind: 'pickup',
      id: chosen.id,
      position: chosen.position,
      part: position.part,
      alternatives: [],
      insertFitted: wasFitted,
      leadsNeeded: 0,
      route: null,
      work,
      returns: true,
    },
    operations: only([
      [started('fitPart'), 'removePart'],
      [started('fitSpacer'), 'takeSpacerOut'],
      [started('makePlate'), 'refitPlate'],
      [started('takeOffInsert') && wasFitted, 'putInsertBack'],
      [refit, 'fitPart'],
    ]),
  };
}

function hardwareBack(chosen: HardwareChoice, started: Started, was: Anatomy, after: Anatomy): Pick<Return, 'choice' | 'operations'> {
  const { place } = chosen;
  const feature = place.on === 'feature' && place.screw === undefined ? place.feature : null;
  const hole = was.holes.find((h) => h.id === feature);
  const cavity = was.cavities.find((c) => c.id === feature);
  const plate = was.plates.find((p) => p.id === feature);
  const part = hole?.part ?? cavity?.part ?? plate?.part ?? null;
  const left = after.holes.find((h) => h.id === feature);
  const drillAgain = started('plugHole') && left?.condition === 'plugged' && hole?.diameter != null;
  const narrower = hole?.diameter != null && left?.diameter != null && left.diameter.value < hole.diameter.value - 1e-6;
  const pullSleeve = started('fitSleeve') && narrower;
  const openAgain = started('plugHole') && !drillAgain && narrower && left.basis.kind !== 'work';
  const work: Change[] = [];
  if (hole?.diameter && (drillAgain || pullSleeve || openAgain))
    work.push({ kind: 'sizeHole', hole: hole.id, by: pullSleeve ? 'sleeve' : 'drill', diameter: pullSleeve ? hole.diameter : planned(hole.diameter) });
  for (const w of chosen.work)
    if (w.kind === 'raiseCover' && (started('fitSpacer') || started('makePlate')))
      work.push({ kind: 'raiseCover', cavity: w.cavity, by: was.cavities.find((c) => c.id === w.cavity)?.raised ?? NOT_RAISED });
  const anotherPlate = plate !== undefined && started('fitHardware');
  if (anotherPlate) work.push({ kind: 'setPlate', plate });
  const madePlate = started('makePlate') && !anotherPlate;
  const refit =
    (started('removeHardware') || started('fitHardware')) && !anotherPlate && (part !== null || (place.on === 'feature' && place.screw !== undefined));
  return {
    choice: {
      kind: 'hardware',
      id: chosen.id,
      place,
      part,
      alternatives: [],
      count: chosen.count,
      work,
      returns: true,
      ...(chosen.cut ? { cut: chosen.cut } : {}),
    },
    operations: only([
      [started('fitHardware'), 'removeHardware'],
      [started('fitSpacer'), 'takeSpacerOut'],
      [pullSleeve, 'takeSleeveOut'],
      [drillAgain, 'drillHole'],
      [openAgain, 'openHole'],
      [madePlate || anotherPlate, 'refitPlate'],
      [refit, 'fitHardware'],
    ]),
  };
}

const NOT_RAISED = { value: 0, limit: 0, basis: { kind: 'planned' } } as const;

/** What is to be drilled to an old size is planned, however well that size was known. */
const planned = <T extends { readonly basis: unknown }>(d: T): T => ({ ...d, basis: { kind: 'planned' } });

function only(list: readonly (readonly [boolean, OperationKind])[]): readonly OperationKind[] {
  return list.flatMap(([wanted, kind]) => (wanted ? [kind] : []));
}
