import {
  bounds,
  circle,
  gapWhenInside,
  moveOutline,
  mirrorOutline,
  placeOutline,
  recognise,
  shaped,
  type Bounds,
  type Outline,
  type PlainShape,
  type Point,
} from '../shape/index.js';
import type { Anatomy, Cavity, Condition, FeatureOutline, Hole, Plate, Level } from './anatomy.js';
import { BODY_FRAME } from './anatomy.js';
import { placementOf, toBody } from './frame.js';

/** Something on an instrument that has a place: a cavity, a hole, a plate. Ids are unique over all of them. */
export type Feature =
  | { readonly kind: 'cavity'; readonly id: string; readonly of: Cavity }
  | { readonly kind: 'hole'; readonly id: string; readonly of: Hole }
  | { readonly kind: 'plate'; readonly id: string; readonly of: Plate };

export function featuresOf(a: Anatomy): readonly Feature[] {
  return [
    ...a.plates.map((of): Feature => ({ kind: 'plate', id: of.id, of })),
    ...a.cavities.map((of): Feature => ({ kind: 'cavity', id: of.id, of })),
    ...a.holes.map((of): Feature => ({ kind: 'hole', id: of.id, of })),
  ];
}

export function featureOf(a: Anatomy, id: string): Feature | null {
  return featuresOf(a).find((f) => f.id === id) ?? null;
}

/** The box round a feature in the body's frame, mm; of a hole by its finished diameter, a point where that is not known. */
export function boundsOf(a: Anatomy, f: Feature): Bounds {
  switch (f.kind) {
    case 'cavity':
      return bounds(f.of.levels.map((p) => toBody(a, f.of.frame, p.outline.outline)));
    case 'plate':
      return bounds([toBody(a, f.of.frame, f.of.outline.outline)]);
    case 'hole': {
      const r = (f.of.diameter?.value ?? 0) / 2;
      const { x, y } = placed(a, f.of);
      return { minX: x - r, maxX: x + r, minY: y - r, maxY: y + r };
    }
  }
}

function placed(a: Anatomy, h: Hole): Point {
  const at = placementOf(a, h.frame);
  const t = (at.turn * Math.PI) / 180;
  return { x: at.x + h.at.x * Math.cos(t) - h.at.y * Math.sin(t), y: at.y + h.at.x * Math.sin(t) + h.at.y * Math.cos(t) };
}

/** The first outline of a feature: what its sizes are stated by. */
export function outlineOf(f: Feature): FeatureOutline | null {
  if (f.kind === 'cavity') return f.of.levels[0]?.outline ?? null;
  return f.kind === 'plate' ? f.of.outline : null;
}

/** A feature moved by some way in the body's frame, with the pickup place that hangs in it. Throws RangeError when there is none of that id. */
export function moveFeature(a: Anatomy, id: string, dx: number, dy: number): Anatomy {
  const f = needed(a, id);
  if (dx === 0 && dy === 0) return a;
  const moved = mapFeature(a, id, {
    cavity: (c) => ({ ...c, levels: c.levels.map((p) => moveLevel(p, dx, dy)) }),
    plate: (p) => movePlate(p, dx, dy),
    hole: (h) => ({ ...h, at: add(h.at, dx, dy) }),
  });
  if (f.kind !== 'plate') return moved;
  if (f.of.frame === BODY_FRAME) return { ...moved, positions: moved.positions.map((p) => (p.plate === id ? { ...p, at: add(p.at, dx, dy) } : p)) };
  return {
    ...a,
    frames: a.frames.map((fr) => (fr.id === f.of.frame ? { ...fr, at: { ...fr.at, x: fr.at.x + dx, y: fr.at.y + dy } } : fr)),
    positions: a.positions.map((p) => (p.plate === id ? { ...p, at: add(p.at, dx, dy) } : p)),
  };
}

function add(p: Point, dx: number, dy: number): Point {
  return { x: p.x + dx, y: p.y + dy };
}

const drawn = (o: FeatureOutline, f: (o: Outline) => Outline): FeatureOutline => ({ ...o, outline: f(o.outline) });
const moveLevel = (p: Level, dx: number, dy: number): Level => ({ ...p, outline: drawn(p.outline, (o) => moveOutline(o, dx, dy)) });

/** A plate in a frame of its own is moved with that frame. */
function movePlate(p: Plate, dx: number, dy: number): Plate {
  return p.frame === BODY_FRAME
    ? mapPlate(
        p,
        (o) => moveOutline(o, dx, dy),
        (q) => add(q, dx, dy),
      )
    : p;
}

function mapPlate(p: Plate, outline: (o: Outline) => Outline, point: (q: Point) => Point): Plate {
  return {
    ...p,
    outline: drawn(p.outline, outline),
    openings: p.openings.map((o) => ({
      ...o,
      outline: drawn(o.outline, outline),
      insert: o.insert && { ...o.insert, slot: drawn(o.insert.slot, outline) },
    })),
    screws: p.screws.map((s) => ({ ...s, ...point(s) })),
  };
}

interface ByKind {
  readonly cavity: (c: Cavity) => Cavity;
  readonly plate: (p: Plate) => Plate;
  readonly hole: (h: Hole) => Hole;
}

function mapFeature(a: Anatomy, id: string, by: ByKind): Anatomy {
  return {
    ...a,
    cavities: a.cavities.map((c) => (c.id === id ? by.cavity(c) : c)),
    plates: a.plates.map((p) => (p.id === id ? by.plate(p) : p)),
    holes: a.holes.map((h) => (h.id === id ? by.hole(h) : h)),
  };
}

function needed(a: Anatomy, id: string): Feature {
  const f = featureOf(a, id);
  if (!f) throw new RangeError(`nothing here is called ${id}`);
  return f;
}

/** What can be stated of a feature beside its place. */
export interface FeatureWords {
  readonly name: string;
  readonly condition: Condition;
}

export function describeFeature(a: Anatomy, id: string, words: Partial<FeatureWords>): Anatomy {
  needed(a, id);
  return mapFeature(a, id, { cavity: (c) => ({ ...c, ...words }), plate: (p) => ({ ...p, ...words }), hole: (h) => ({ ...h, ...words }) });
}

/** What a hole is for, and whether it goes right through; a hole that goes through has no depth. Throws RangeError when it is not there. */
export function describeHole(a: Anatomy, id: string, { kind, through }: Pick<Hole, 'kind' | 'through'>): Anatomy {
  if (!a.holes.some((h) => h.id === id)) throw new RangeError(`nothing here is called ${id}`);
  return { ...a, holes: a.holes.map((h) => (h.id === id ? { ...h, kind, through, depth: through ? null : h.depth } : h)) };
}

/** A feature's first outline given other sizes about another middle, in its own frame; the rest of a cavity goes with the middle. */
export function reshapeFeature(a: Anatomy, id: string, shape: PlainShape): Anatomy {
  const f = needed(a, id);
  const was = outlineOf(f);
  if (!was) return a;
  const before = recognise(was.outline).at;
  const stated = (o: FeatureOutline): FeatureOutline => ({ ...o, outline: shaped(shape, o.outline), basis: { kind: 'stated' }, across: null, along: null });
  const [dx, dy] = [shape.at.x - before.x, shape.at.y - before.y];
  return mapFeature(a, id, {
    cavity: (c) => ({ ...c, levels: c.levels.map((p, i) => (i === 0 ? { ...p, outline: stated(p.outline) } : moveLevel(p, dx, dy))) }),
    plate: (p) => ({ ...p, outline: stated(p.outline) }),
    hole: (h) => h,
  });
}

/** A plate that lies over the whole of a cavity or a hole, and by how much at the worst point, mm. */
export interface Cover {
  readonly plate: string;
  readonly by: number;
}

/** A feature with another outline in the body's frame for its first; check widths of the old one no longer count. A hole has none. */
export function redrawFeature(a: Anatomy, id: string, drawn: Pick<FeatureOutline, 'outline' | 'limit' | 'basis'>): Anatomy {
  const f = needed(a, id);
  const fresh = (outline: Outline): FeatureOutline => ({ ...drawn, outline, across: null, along: null });
  const own = f.kind === 'plate' ? fromBody(a, f.of.frame, drawn.outline) : drawn.outline;
  return mapFeature(a, id, {
    cavity: (c) => ({ ...c, levels: c.levels.map((p, i) => (i === 0 ? { ...p, outline: fresh(own) } : p)) }),
    plate: (p) => ({ ...p, outline: fresh(own) }),
    hole: (h) => h,
  });
}

/** From the body's frame to another: the way back of toBody. */
export function fromBody(a: Anatomy, frame: string, o: Outline): Outline {
  const at = placementOf(a, frame);
  return placeOutline(moveOutline(o, -at.x, -at.y), { x: 0, y: 0, turn: -at.turn });
}

/** What covers a feature on its own face, the widest first; openings of a plate do not hide. */
export function coversOf(a: Anatomy, id: string): readonly Cover[] {
  const f = needed(a, id);
  if (f.kind === 'plate') return [];
  const own =
    f.kind === 'cavity'
      ? f.of.levels.map((p) => toBody(a, f.of.frame, p.outline.outline))
      : [toBody(a, f.of.frame, circle(f.of.diameter?.value ?? 0.01, f.of.at))];
  return a.plates
    .filter((p) => p.face === f.of.face)
    .flatMap((p) => {
      const gap = gapWhenInside(own, [toBody(a, p.frame, p.outline.outline)]);
      return gap ? [{ plate: p.id, by: gap.clearance }] : [];
    })
    .sort((x, y) => y.by - x.by);
}

/** Says what hides a cavity or a hole; null: it shows. */
export function hideFeature(a: Anatomy, id: string, by: string | null): Anatomy {
  needed(a, id);
  return mapFeature(a, id, { cavity: (c) => ({ ...c, hiddenBy: by }), plate: (p) => p, hole: (h) => ({ ...h, hiddenBy: by }) });
}

/** Why a feature cannot be taken away: something else hangs in it. */
export function holders(a: Anatomy, id: string): readonly string[] {
  return [
    ...a.positions.filter((p) => p.cavity === id || p.plate === id).map((p) => p.id),
    ...[...a.cavities, ...a.holes].filter((c) => c.hiddenBy === id).map((c) => c.id),
  ];
}

/** An instrument without a feature and the distances stated of it; what it hid shows. Throws RangeError while a pickup place hangs in it. */
export function removeFeature(a: Anatomy, id: string): Anatomy {
  needed(a, id);
  if (a.positions.some((p) => p.cavity === id || p.plate === id)) throw new RangeError(`a pickup place hangs in ${id}`);
  const shown = <T extends { readonly hiddenBy: string | null }>(x: T): T => (x.hiddenBy === id ? { ...x, hiddenBy: null } : x);
  return {
    ...a,
    cavities: a.cavities.filter((c) => c.id !== id).map(shown),
    plates: a.plates.filter((p) => p.id !== id),
    holes: a.holes.filter((h) => h.id !== id).map(shown),
    distances: a.distances.filter((d) => d.from.of !== id && d.to.of !== id),
  };
}

/** Adds a feature; throws RangeError when its id is taken. */
export function addFeature(a: Anatomy, f: Feature): Anatomy {
  if (featureOf(a, f.id)) throw new RangeError(`${f.id} is there already`);
  switch (f.kind) {
    case 'cavity':
      return { ...a, cavities: [...a.cavities, f.of] };
    case 'plate':
      return { ...a, plates: [...a.plates, f.of] };
    case 'hole':
      return { ...a, holes: [...a.holes, f.of] };
  }
}

/** The same feature once more under another id and name, some way off; where its copy was measured is not known. */
export function copyFeature(a: Anatomy, id: string, as: { readonly id: string; readonly name: string }, dx: number, dy: number): Anatomy {
  const f = needed(a, id);
  const copy = { ...f, id: as.id, of: { ...f.of, ...as } } as Feature;
  // a plate that had a frame of its own is copied into the body's
  const plain: Feature = copy.kind === 'plate' && copy.of.frame !== BODY_FRAME ? { ...copy, of: inBody(a, copy.of) } : copy;
  return moveFeature(addFeature(a, withFreshParts(plain)), as.id, dx, dy);
}

function inBody(a: Anatomy, p: Plate): Plate {
  const at = placementOf(a, p.frame);
  return {
    ...mapPlate(
      p,
      (o) => toBody(a, p.frame, o),
      (q) => ({ x: q.x + at.x, y: q.y + at.y }),
    ),
    frame: BODY_FRAME,
  };
}

/** Openings and inserts of a copied plate get names of their own. */
function withFreshParts(f: Feature): Feature {
  if (f.kind !== 'plate') return f;
  const openings = f.of.openings.map((o) => ({ ...o, id: `${f.id} ${o.id}`, insert: o.insert && { ...o.insert, id: `${f.id} ${o.insert.id}` } }));
  return { ...f, of: { ...f.of, openings } };
}

/** A feature mirrored in the centre line as a second one: the other of a pair. */
export function mirrorFeature(a: Anatomy, id: string, as: { readonly id: string; readonly name: string }): Anatomy {
  const copied = copyFeature(a, id, as, 0, 0);
  const mirrored = (p: Point): Point => ({ x: -p.x, y: p.y });
  return mapFeature(copied, as.id, {
    cavity: (c) => ({ ...c, levels: c.levels.map((p) => ({ ...p, outline: drawn(p.outline, mirrorOutline) })) }),
    plate: (p) => mapPlate(p, mirrorOutline, mirrored),
    hole: (h) => ({ ...h, at: mirrored(h.at) }),
  });
}

/** A row of copies, each a step further than the last: a row of tuner or string holes. `ids` are those of the copies. */
export function repeatFeature(a: Anatomy, id: string, as: readonly { readonly id: string; readonly name: string }[], dx: number, dy: number): Anatomy {
  return as.reduce((grown, one, i) => copyFeature(grown, id, one, (i + 1) * dx, (i + 1) * dy), a);
}

/** Puts a feature's middle on the centre line. */
export function centreFeature(a: Anatomy, id: string): Anatomy {
  const b = boundsOf(a, needed(a, id));
  return moveFeature(a, id, -(b.minX + b.maxX) / 2, 0);
}
