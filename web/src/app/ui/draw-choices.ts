import { actsOfChoice, type Choice, isCutChoice, isPickupChoice, isPlaced, type PlacedChoice } from '@rinnovo/core/check';
import { boundsOf, featureOf, frameOfFace, lies, placementOf, toBody, type Anatomy } from '@rinnovo/core/instrument';
import { isPickup, pickupIn, type Part, type Shelf } from '@rinnovo/core/part';
import { bounds, circle, moveOutline, placePoint, roundedRectangle, type Outline, type Point, pathData } from '@rinnovo/core/shape';
import { drawPart, frameRound, UNKNOWN_HOLE, type DrawnPath, type Frame } from './drawing';

/** The middle of the place of a part that is no pickup, in the body's frame. */
export function pointOfPlace(a: Anatomy, { place }: Pick<PlacedChoice, 'place'>): Point {
  if (place.on === 'face') return placePoint(place.at, placementOf(a, frameOfFace(place.face)));
  const f = featureOf(a, place.feature);
  if (!f) return { x: 0, y: 0 };
  if (f.kind === 'plate' && place.screw !== undefined) {
    const screw = f.of.screws[place.screw];
    return screw ? placePoint(screw, placementOf(a, f.of.frame)) : { x: 0, y: 0 };
  }
  const b = boundsOf(a, f);
  return { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
}

/** What a part shows from above, round its own middle: what hides the hole full, what is under the face dashed. */
export function drawHardware(part: Part): readonly DrawnPath[] {
  if (isPickup(part)) return drawPart(part, { x: 0, y: 0, turn: 0 });
  const mm = (id: keyof typeof part.sizes): number | undefined => part.sizes[id]?.value;
  const path = (id: string, outline: Outline, kind: DrawnPath['kind']): DrawnPath => ({ id, kind, d: pathData(outline), title: `${part.name}: ${id}` });
  const out: DrawnPath[] = [];
  const add = (id: string, diameter: number | undefined, kind: DrawnPath['kind']): void => {
    if (diameter !== undefined) out.push(path(id, circle(diameter), kind));
  };
  if (part.shape) out.push(path('outline', part.shape.outline.outline, 'part'));
  const [long, wide] = [mm('bodyLength') ?? mm('slotLength'), mm('bodyWidth') ?? mm('slotWidth')];
  if (long !== undefined && wide !== undefined) out.push(path('body', roundedRectangle(wide, long, 0), 'hidden'));
  add('body', mm('body'), 'hidden');
  add('knob', mm('knob'), 'part');
  add('washer', mm('washer') ?? mm('flange') ?? mm('head'), 'part');
  add('through the hole', mm('bushing') ?? mm('outer') ?? mm('diameter'), 'part');
  return out;
}

/** The other parts of a plan in their places. */
export function drawChosen(a: Anatomy, choices: readonly Choice[], shelf: Shelf): readonly DrawnPath[] {
  return choices.flatMap((c): readonly DrawnPath[] => {
    const named = (p: DrawnPath): DrawnPath => ({ ...p, id: `${c.id}/${p.id}` });
    if (isPickupChoice(c)) {
      const part = pickupIn(shelf, c.part);
      const position = a.positions.find((p) => p.id === c.position);
      return part && position ? drawPart(part, lies(position)).map(named) : [];
    }
    const part = shelf[c.part ?? ''];
    if (!part || isPickup(part) || !isPlaced(c)) return [];
    const at = pointOfPlace(a, c);
    const d = part.sizes.washer?.value ?? part.sizes.flange?.value ?? part.sizes.head?.value ?? part.sizes.bushing?.value ?? 6;
    return [{ id: `${c.id}/part`, kind: 'part', d: pathData(moveOutline(circle(d), at.x, at.y)), title: part.name }];
  });
}

/** What a cut by itself takes, in the body's frame: floors that go deeper, channels, holes in a row. */
export function outlinesOfCut(a: Anatomy, choice: PlacedChoice): readonly Outline[] {
  return actsOfChoice(choice).flatMap((w): readonly Outline[] => {
    if (w.kind === 'addHole') return [toBody(a, w.hole.frame, circle(w.hole.diameter?.value ?? UNKNOWN_HOLE, w.hole.at))];
    if (w.kind === 'addCavity') return w.cavity.levels.map((p) => toBody(a, w.cavity.frame, p.outline.outline));
    const cavity = 'cavity' in w ? a.cavities.find((c) => c.id === w.cavity) : undefined;
    if (!cavity) return [];
    const levels = w.kind === 'addLevels' ? w.levels : w.kind === 'setDepth' ? cavity.levels.filter((p) => p.id === w.level) : [];
    return levels.map((p) => toBody(a, cavity.frame, p.outline.outline));
  });
}

/** A cut that is moved whole, round the middle of its place. */
export function drawMovableCut(a: Anatomy, choice: PlacedChoice): readonly DrawnPath[] {
  const at = pointOfPlace(a, choice);
  return outlinesOfCut(a, choice).map((o, i) => ({ id: `cut ${i + 1}`, kind: 'planned', d: pathData(moveOutline(o, -at.x, -at.y)), title: 'Planned' }));
}

export function drawCut(a: Anatomy, choice: PlacedChoice): readonly DrawnPath[] {
  return outlinesOfCut(a, choice).map((o, i) => ({ id: `planned/cut ${i + 1}`, kind: 'planned', d: pathData(o), title: 'Planned' }));
}

/** Least room round a place, mm. */
const ROOM = 26;
/** A hole that is not there yet is looked at with what is round it. */
const ROUND = 75;

/** The surroundings of a place: the part itself, and enough of what is round it. */
export function frameOfPlace(a: Anatomy, choice: PlacedChoice, shelf: Shelf): Frame {
  const cut = isCutChoice(choice) ? outlinesOfCut(a, choice) : [];
  if (cut.length > 0) return frameRound(cut, ROOM);
  const { x, y } = pointOfPlace(a, choice);
  const part = shelf[choice.part ?? ''];
  const shape = part && !isPickup(part) && part.shape ? bounds([part.shape.outline.outline]) : null;
  const half = Math.max(choice.place.on === 'face' ? ROUND : ROOM, shape ? Math.max(shape.maxX - shape.minX, shape.maxY - shape.minY) / 2 + 8 : 0);
  return { x: x - half, y: y - half, width: 2 * half, height: 2 * half };
}
