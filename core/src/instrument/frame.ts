import { placeOutline, type Outline, type Placement } from '../shape/index.js';
import { BODY_FRAME, HEADSTOCK_FRAME, NECK_FRAME, type Anatomy } from './anatomy.js';

const HERE: Placement = { x: 0, y: 0, turn: 0 };
const placed = new WeakMap<Outline, Map<string, Outline>>();

/** Where a frame lies in the body's; neck and headstock are laid flat, at the body where their distance is not known. Throws RangeError for a frame that the anatomy does not have. */
export function placementOf(anatomy: Anatomy, frame: string): Placement {
  if (frame === BODY_FRAME) return HERE;
  if (frame === NECK_FRAME || frame === HEADSTOCK_FRAME) return { x: 0, y: -(anatomy.neck.nutToMouth?.value ?? 0), turn: 0 };
  const found = anatomy.frames.find((f) => f.id === frame);
  if (!found) throw new RangeError(`no frame ${frame}`);
  return found.at;
}

/** The one way from any frame to the body's. The same outline in the same place gives the same object again. */
export function toBody(anatomy: Anatomy, frame: string, outline: Outline): Outline {
  if (frame === BODY_FRAME) return outline;
  const at = placementOf(anatomy, frame);
  const key = `${at.x}|${at.y}|${at.turn}`;
  let byPlace = placed.get(outline);
  if (!byPlace) placed.set(outline, (byPlace = new Map<string, Outline>()));
  let result = byPlace.get(key);
  if (!result) byPlace.set(key, (result = placeOutline(outline, at)));
  return result;
}
