import { featureOf, frameOfFace, lapsesOf, type Anatomy, type Hole } from '../instrument/index.js';
import { workKey, type Act, type OperationKind, type Settings, type Work } from '../operation/index.js';
import { goesInto, isHardware, type Shelf } from '../part/index.js';
import { boresIn } from './bores.js';
import { FOUND_SET, isCut, joinsOf, routeLevels, type Choice, type HardwareChoice, type PickupChoice, type PlaceRef } from './choice.js';
import { plateAs } from './plate-as.js';

/** What choices are turned into work on. */
export interface Ground {
  readonly anatomy: Anatomy;
  readonly settings: Settings;
  readonly parts: Shelf;
  /** Source and key of what is done already. */
  readonly done: ReadonlySet<string>;
}

/**
 * The work that a choice comes to, in the order in which it changes the instrument; each operation owns what it does.
 * Nothing where all stays as it is. Throws RangeError when its place is not there.
 */
export function worksOf(choice: Choice, ground: Ground): readonly Work[] {
  const list = choice.kind === 'pickup' ? pickupWorks(choice, ground) : hardwareWorks(choice, ground);
  const subject = { aspect: 'anatomy' as const, id: choice.kind === 'pickup' ? choice.position : choice.id };
  return list.map(({ kind, does }) => ({ key: kind, kind, subject, does, lapses: does.flatMap(lapsesOf) }));
}

/** A choice as changes to the instrument it is for: what its work does, less what is done. */
export function choiceChanges(choice: Choice, ground: Ground): readonly Act[] {
  return worksOf(choice, ground)
    .filter((w) => !ground.done.has(workKey(choice.id, w.key)))
    .flatMap((w) => w.does)
    .flatMap((act) => stillToDo(ground.anatomy, act));
}

interface Item {
  readonly kind: OperationKind;
  readonly does: readonly Act[];
}

const only = (kind: OperationKind, wanted: boolean, ...does: readonly Act[]): readonly Item[] => (wanted ? [{ kind, does }] : []);

/** The old one out, what is done to the place, the new one tried and in. */
function pickupWorks(choice: PickupChoice, { anatomy, settings, done }: Ground): readonly Item[] {
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
  const levels = route ? routeLevels(route, settings) : [];
  const bores = boresIn(
    choice.id,
    anatomy.cavities.find((c) => c.id === where.cavity),
  );
  const cut = (bored: boolean): Act => ({
    kind: 'addLevels',
    cavity: where.cavity,
    levels: levels.filter((p) => p.bored === bored),
    ...(route ? joinsOf(route) : {}),
    ...(bored || bores.length === 0 ? {} : { replaces: bores }),
  });
  const anew = part !== null && choice.returns !== true;
  // a part is cut on the bench: it is cut once it sits there
  const trimmed = items.find((w) => w.kind === 'trimPart');
  return [
    ...only('meterPart', anew && (part !== where.part || isIn)),
    ...only('removePart', where.part !== null && !isIn, { kind: 'fitPart', position: where.id, part: null }),
    ...only('takeOffInsert', insert?.fitted === true && !insertFitted, set(false)),
    ...only('fillRoute', choice.fill === true, { kind: 'fillLevels', cavity: where.cavity, set: FOUND_SET }),
    ...only('tracePlate', route !== null),
    ...only('fixTemplate', route !== null),
    ...only('boreBulk', route !== null),
    ...only(
      'routePasses',
      levels.some((p) => !p.bored),
      cut(false),
    ),
    ...only(
      'boreWells',
      levels.some((p) => p.bored),
      cut(true),
    ),
    ...items.flatMap((w) => (w !== trimmed ? [w] : choice.returns ? [] : [{ kind: w.kind, does: [] }])),
    ...only('putInsertBack', insert?.fitted === false && insertFitted, set(true)),
    ...only('testFit', anew),
    ...only('fitPart', part !== null, { kind: 'fitPart', position: where.id, part }, ...(trimmed?.does ?? [])),
  ];
}

/** The same of any other part; a cut by itself is nothing else than its own work. */
function hardwareWorks(choice: HardwareChoice, { anatomy, settings, parts, done }: Ground): readonly Item[] {
  const { place, part } = choice;
  if (choice.cut) return choice.work;
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
  const found = [...anatomy.holes, ...anatomy.cavities, ...anatomy.plates].find((f) => f.id === place.feature)?.part ?? null;
  const mate = plate ? undefined : parts[found ?? '']?.kind;
  const chosen = parts[part ?? ''];
  // what is screwed into another part leaves that one where it is
  const within = chosen !== undefined && mate !== undefined && goesInto(chosen.kind, mate);
  const isIn = done.has(workKey(choice.id, 'fitHardware'));
  const nothing = part === found && choice.work.length === 0 && trimmed.length === 0;
  if (nothing && !isIn) return [];
  const made = choice.work.some((w) => w.does.some((a) => a.kind === 'setPlate'));
  const laid = plate && chosen && isHardware(chosen) && !made ? plateAs(plate, chosen) : null;
  return [
    ...only('removeHardware', found !== null && !isIn && !within && !named.has('removeHardware'), fit(place.feature, null)),
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

/** What of an act is still to do, where work on it has begun: of a cavity the levels that are not cut yet; nothing of a floor that is as deep as it was to be. */
export function stillToDo(anatomy: Anatomy, act: Act): readonly Act[] {
  switch (act.kind) {
    case 'addCavity': {
      const there = anatomy.cavities.find((c) => c.id === act.cavity.id);
      if (!there) return [act];
      const levels = act.cavity.levels.filter((p) => !there.levels.some((q) => q.id === p.id));
      return levels.length > 0 ? [{ kind: 'addLevels', cavity: there.id, levels }] : [];
    }
    case 'addLevels': {
      const into = anatomy.cavities.find((c) => c.id === act.cavity);
      return into ? [{ ...act, levels: act.levels.filter((p) => !isCut(into, p)) }] : [act];
    }
    case 'addHole':
      return anatomy.holes.some((h) => h.id === act.hole.id) ? [] : [act];
    case 'setDepth': {
      const cut = anatomy.cavities.find((c) => c.id === act.cavity)?.levels.find((p) => p.id === act.level)?.depth;
      return cut?.basis.kind === 'work' && cut.value >= act.depth.value - act.depth.limit ? [] : [act];
    }
    default:
      return [act];
  }
}

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
