import { asLeft } from '@rinnovo/core/record';
import { isPickupChoice, type Choice } from '@rinnovo/core/check';
import { boundsOf, featureOf, featuresOf, lies, type Anatomy, type Face, type Hole } from '@rinnovo/core/instrument';
import { pickupIn, type Shelf } from '@rinnovo/core/part';
import type { PlannedOperation } from '@rinnovo/core/work';
import { drawAnatomy, drawPart, frameOfWhole, markChanged, type DrawnPath, type Frame } from '../../ui/drawing';
import { drawSide, frameOfSide } from '../../ui/draw-side';

/** The instrument with what an operation changes on it in heavy line, and where to look. */
export interface StepPlan {
  readonly side: 'top' | 'back' | 'side';
  readonly paths: readonly DrawnPath[];
  readonly frame: Frame;
}

/** Least width that is looked at, and what is shown round the work, mm. */
const LEAST = 90;
const ROUND = 22;

/** An operation as it is seen by whoever stands at the machine: on its face, its cut heavy; where it cuts nothing its place heavy, with its part. */
export function drawStep(a: Anatomy, choice: Choice | null, operation: PlannedOperation, shelf: Shelf): StepPlan {
  const after = asLeft({ decision: operation.decision, does: operation.does, entry: operation.id, depths: [] }, a);
  const side = sideOf(after, operation);
  const draw = (x: Anatomy): readonly DrawnPath[] => (side === 'side' ? drawSide(x) : drawAnatomy(x, side));
  const part = partOf(a, choice, shelf);
  const cuts = operation.does.length > 0;
  const here = new Set([...operation.at.features, ...operation.at.cavities]);
  const paths = cuts
    ? markChanged(draw(a), draw(after))
    : draw(after).map((p) => (here.has(p.id.split('/')[0] ?? '') && p.kind !== 'hidden' ? { ...p, now: true } : p));
  const some = paths.some((p) => p.now);
  return { side, paths: [...paths, ...(side === 'top' ? part.map((p) => (some ? p : { ...p, now: true })) : [])], frame: frameOfStep(after, operation, side) };
}

function partOf(a: Anatomy, choice: Choice | null, shelf: Shelf): readonly DrawnPath[] {
  const pickup = choice && isPickupChoice(choice) ? pickupIn(shelf, choice.part) : null;
  const position = choice && isPickupChoice(choice) ? a.positions.find((p) => p.id === choice.position) : undefined;
  return pickup && position ? drawPart(pickup, lies(position)) : [];
}

/** The face that the work is done from; what is done on neither alone is looked at from the top. */
function sideOf(a: Anatomy, { at, does }: PlannedOperation): StepPlan['side'] {
  const faces = new Set(
    featuresOf(a).flatMap((f): (Face | Hole['face'])[] => (at.features.includes(f.id) && !(does.length > 0 && f.kind === 'plate') ? [f.of.face] : [])),
  );
  const only = [...faces];
  if (only.length === 1 && only[0] === 'side') return 'side';
  return only.length > 0 && only.every((f) => f === 'back' || f === 'headstock back') ? 'back' : 'top';
}

/** Round what is cut; else round the smallest that the work is at. */
function frameOfStep(a: Anatomy, { at, does }: PlannedOperation, side: StepPlan['side']): Frame {
  if (side === 'side') return frameOfSide(a);
  const touched = does.flatMap((act) => ('cavity' in act ? [idOf(act.cavity)] : 'hole' in act ? [idOf(act.hole)] : 'plate' in act ? [idOf(act.plate)] : []));
  const features = (touched.length > 0 ? touched : at.features).flatMap((id) => featureOf(a, id) ?? []);
  const nearest = (['hole', 'cavity', 'plate'] as const).map((kind) => features.filter((f) => f.kind === kind)).find((list) => list.length > 0);
  if (!nearest) return frameOfWhole(a);
  const boxes = nearest.map((f) => boundsOf(a, f));
  const [x, y] = [Math.min(...boxes.map((b) => b.minX)), Math.min(...boxes.map((b) => b.minY))];
  const [right, bottom] = [Math.max(...boxes.map((b) => b.maxX)), Math.max(...boxes.map((b) => b.maxY))];
  const half = { x: Math.max(LEAST, right - x + 2 * ROUND) / 2, y: Math.max(LEAST, bottom - y + 2 * ROUND) / 2 };
  return { x: (x + right) / 2 - half.x, y: (y + bottom) / 2 - half.y, width: 2 * half.x, height: 2 * half.y };
}

const idOf = (x: string | { readonly id: string }): string => (typeof x === 'string' ? x : x.id);
