import { featureOf, frameOfFace, type Anatomy, type Hole } from '../../instrument/index.js';
import { workKey, type Act, type Settings, type WorkItem } from '../../operation/index.js';
import { goesInto, isHardware } from '../../part/index.js';
import type { ChoiceRow } from '../row.js';
import type { HardwareChoice, PlaceRef } from '../choice.js';
import { plateAs } from '../plate-as.js';
import { filled, routed } from '../routed.js';
import type { Ground } from '../row.js';
import { only } from '../works.js';

/** Any other part for its place. */
export const hardware: ChoiceRow<HardwareChoice> = {
  kind: 'hardware',
  isThere: (anatomy, { place }) => isPlaceThere(anatomy, place),
  places: ({ id, place }) => [id, ...(place.on === 'feature' ? [place.feature] : [])],
  works,
  bare: ({ kind, id, place, part, alternatives, count }) => ({ kind, id, place, part, alternatives, count, work: [] }),
  fits: 'fitHardware',
  found: partAt,
  cavity: (anatomy, { place }) => (place.on === 'feature' ? (anatomy.cavities.find((c) => c.id === place.feature) ?? null) : null),
};

/** Is what a place names still on the instrument? */
export function isPlaceThere(a: Anatomy, place: PlaceRef): boolean {
  if (place.on === 'face') return true;
  const plate = a.plates.find((p) => p.id === place.feature);
  if (place.screw !== undefined) return plate?.screws[place.screw] !== undefined;
  return plate !== undefined || a.holes.some((h) => h.id === place.feature) || a.cavities.some((c) => c.id === place.feature);
}

function partAt(a: Anatomy, { id, place }: HardwareChoice): string | null {
  if (place.on === 'face') return a.holes.find((h) => h.id === id)?.part ?? null;
  if (place.screw !== undefined) return null;
  return [...a.holes, ...a.cavities, ...a.plates].find((f) => f.id === place.feature)?.part ?? null;
}

/** The old one out, what is done to the place, the new one in. */
function works({ rows, anatomy, settings, parts, done }: Ground, choice: HardwareChoice): readonly WorkItem[] {
  const { place, part } = choice;
  const named = new Set(choice.work.map((w) => w.kind));
  const trimmed = only('trimPart', (choice.trim ?? 0) > 0);
  if (place.on === 'face') {
    const hole = newHole(choice.id, place, settings);
    const there = anatomy.holes.find((h) => h.id === hole.id);
    const made: Act = { kind: 'addHole', hole };
    const begun = there !== undefined && !done.has(workKey(choice.id, 'drillHole'));
    const items = choice.work.map((w) => (w.kind === 'drillHole' && !begun ? { ...w, does: [made, ...w.does] } : w));
    return [
      ...only('removeHardware', there?.part != null && there.part !== part && !named.has('removeHardware'), fit(hole.id, null)),
      ...only('drillHole', !there && part !== null && !named.has('drillHole'), made),
      ...items,
      ...trimmed,
      ...only('fitHardware', part !== null && !named.has('fitHardware'), fit(hole.id, part)),
    ];
  }
  if (!featureOf(anatomy, place.feature)) throw new RangeError(`nothing here is called ${place.feature}`);
  if (place.screw !== undefined) return [...choice.work, ...trimmed, ...only('fitHardware', part !== null && !named.has('fitHardware'))];
  const plate = anatomy.plates.find((p) => p.id === place.feature);
  const found = partAt(anatomy, choice);
  const mate = plate ? undefined : parts[found ?? '']?.kind;
  const chosen = parts[part ?? ''];
  // what is screwed into another part leaves that one where it is
  const within = chosen !== undefined && mate !== undefined && goesInto(rows, chosen.kind, mate);
  const isIn = done.has(workKey(choice.id, 'fitHardware'));
  const cavity = anatomy.cavities.find((c) => c.id === place.feature)?.id;
  const cut = cavity === undefined ? [] : [...filled(choice, cavity), ...routed({ anatomy, settings }, choice, cavity)];
  const nothing = part === found && choice.work.length + cut.length + trimmed.length === 0;
  if (nothing && !isIn) return [];
  const made = choice.work.some((w) => w.does.some((a) => a.kind === 'setPlate'));
  const laid = plate && chosen && isHardware(chosen) && !made ? plateAs(plate, chosen) : null;
  return [
    ...only('removeHardware', found !== null && !isIn && !within && !named.has('removeHardware'), fit(place.feature, null)),
    ...cut,
    ...choice.work,
    ...trimmed,
    ...only(
      'fitHardware',
      part !== null && !named.has('fitHardware') && !named.has('refitPlate'),
      ...(laid ? [{ kind: 'setPlate' as const, plate: laid }] : []),
      ...(within ? [] : [fit(place.feature, part)]),
    ),
  ];
}

const fit = (feature: string, part: string | null): Act => ({ kind: 'fitHardware', feature, part });

/** A new hole as it is thought of: its place as sure as a template lays it, its size still to be chosen. */
function newHole(id: string, place: Extract<PlaceRef, { on: 'face' }>, settings: Settings): Hole {
  return {
    id,
    name: `New ${place.hole} hole`,
    kind: place.hole,
    face: place.face,
    frame: frameOfFace(place.face),
    at: place.at,
    diameter: null,
    bare: null,
    through: false,
    depth: null,
    limit: settings.limitTemplate,
    basis: { kind: 'planned' },
    hiddenBy: null,
    condition: 'sound',
  };
}
