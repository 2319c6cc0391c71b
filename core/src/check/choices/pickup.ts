import { cavityOf } from '../../instrument/index.js';
import type { Act, WorkItem } from '../../operation/index.js';
import { workKey } from '../../operation/index.js';
import type { ChoiceRow } from '../row.js';
import type { PickupChoice } from '../choice.js';
import { filled, routed } from '../routed.js';
import type { Ground } from '../row.js';
import { only } from '../works.js';

/** A pickup for a pickup place. */
export const pickup: ChoiceRow<PickupChoice> = {
  kind: 'pickup',
  isThere(anatomy, choice) {
    const position = anatomy.positions.find((p) => p.id === choice.position);
    return position !== undefined && anatomy.cavities.some((c) => c.id === position.cavity);
  },
  places({ position }, anatomy) {
    const where = anatomy.positions.find((p) => p.id === position);
    return [position, ...(where ? [where.cavity, where.opening] : [])];
  },
  works,
  bare(choice) {
    const { fill, work, returns, ...rest } = choice;
    return fill === undefined && work === undefined && returns === undefined && choice.route === null ? choice : { ...rest, route: null };
  },
  fits: 'fitPart',
  found: (anatomy, choice) => anatomy.positions.find((p) => p.id === choice.position)?.part ?? null,
  cavity: cavityOf,
};

/** The old one out, what is done to the place, the new one tried and in. */
function works({ anatomy, settings, done }: Ground, choice: PickupChoice): readonly WorkItem[] {
  const where = anatomy.positions.find((p) => p.id === choice.position);
  if (!where) throw new RangeError(`nothing here is called ${choice.position}`);
  const { part, route, insertFitted } = choice;
  const insert = anatomy.plates.find((p) => p.id === where.plate)?.openings.find((o) => o.id === where.opening)?.insert;
  const items = choice.work ?? [];
  // once the new one is in, what comes out again is other work
  const isIn = done.has(workKey(choice.id, 'fitPart'));
  const nothing = part === where.part && !route && items.length === 0 && (insert?.fitted ?? false) === insertFitted;
  if (nothing && !isIn) return [];
  const set = (fitted: boolean): Act => ({ kind: 'setInsert', plate: where.plate, opening: where.opening, fitted });
  const anew = part !== null && choice.returns !== true;
  // what is done to the part on the bench is told of its place once it sits there
  const ofPart = (w: WorkItem): boolean => w.does.some((act) => act.kind === 'trimPickup' || act.kind === 'changeCover');
  return [
    ...only('meterPart', anew && (part !== where.part || isIn)),
    ...only('removePart', where.part !== null && !isIn, { kind: 'fitPart', position: where.id, part: null }),
    ...only('takeOffInsert', insert?.fitted === true && !insertFitted, set(false)),
    ...filled(choice, where.cavity),
    ...routed({ anatomy, settings }, choice, where.cavity),
    ...items.flatMap((w) => (!ofPart(w) ? [w] : choice.returns ? [] : [{ kind: w.kind, does: [] }])),
    ...only('putInsertBack', insert?.fitted === false && insertFitted, set(true)),
    ...only('testFit', anew),
    ...only('fitPart', part !== null, { kind: 'fitPart', position: where.id, part }, ...items.filter(ofPart).flatMap((w) => w.does)),
  ];
}
