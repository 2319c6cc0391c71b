import { woodScrewShank } from '../part/index.js';
import { circle, roundedRectangle, type Outline } from '../shape/index.js';
import type { Anatomy, Face, HoleFace } from './anatomy.js';
import { HEADSTOCK_FRAME } from './anatomy.js';
import { toBody } from './frame.js';
import { outlineAsSeen } from './seen-as.js';
import { sideShadows, sideStrip } from './hole-face.js';

/** Which holes are seen on a face of the body. */
export const SEEN_HOLES: Readonly<Record<Face, readonly HoleFace[]>> = {
  top: ['top', 'headstock front', 'fingerboard'],
  back: ['back', 'headstock back'],
};

/** Outlines that go onto one layer of a drawing, in the body's frame as one looks at the face. */
export interface Layer {
  readonly name: string;
  readonly outlines: readonly { readonly name: string; readonly outline: Outline }[];
}

/** An instrument's outlines of one face by what they are, for a drawing in its own hand as one looks at that face; `only` narrows it to one feature. Layers without a line are left out. */
export function layersOf(a: Anatomy, face: Face, only: string | null = null): readonly Layer[] {
  const shown = (id: string): boolean => only === null || id === only;
  const plates = a.plates.filter((p) => p.face === face && shown(p.id));
  const place = (frame: string, outline: Outline): Outline => toBody(a, frame, outline);
  const layers: readonly Layer[] = [
    {
      name: 'Body',
      outlines: [
        ...(a.body.outline && shown('body') ? [{ name: 'Body', outline: a.body.outline.outline }] : []),
        ...(a.headstock.outline && face === 'top' && shown('headstock')
          ? [{ name: 'Headstock', outline: place(HEADSTOCK_FRAME, a.headstock.outline.outline) }]
          : []),
      ],
    },
    {
      name: 'Cavities',
      outlines: a.cavities
        .filter((c) => c.face === face && shown(c.id))
        .flatMap((c) => c.levels.map((p) => ({ name: `${c.name} ${p.depth?.value ?? ''}`.trim(), outline: place(c.frame, p.outline.outline) }))),
    },
    { name: 'Plates', outlines: plates.map((p) => ({ name: p.name, outline: place(p.frame, p.outline.outline) })) },
    { name: 'Openings', outlines: plates.flatMap((p) => p.openings.map((o) => ({ name: o.name, outline: place(p.frame, o.outline.outline) }))) },
    {
      name: 'Inserts',
      outlines: plates.flatMap((p) =>
        p.openings.flatMap((o) => (o.insert?.fitted ? [{ name: o.insert.name, outline: place(p.frame, o.insert.slot.outline) }] : [])),
      ),
    },
    {
      name: 'Screws',
      outlines: plates.flatMap((p) =>
        p.screws.map((s, i) => ({ name: `${p.name}, screw ${i + 1}`, outline: place(p.frame, circle(woodScrewShank(s.gauge), s)) })),
      ),
    },
    {
      name: 'Holes',
      outlines: a.holes
        .filter((h) => SEEN_HOLES[face].includes(h.face) && h.diameter && shown(h.id))
        .map((h) => ({ name: h.name, outline: place(h.frame, circle(h.diameter?.value ?? 0, h.at)) })),
    },
  ];
  const seen = { handed: a.handed, face, mirrored: false };
  return layers
    .filter((l) => l.outlines.length > 0)
    .map((l) => ({ ...l, outlines: l.outlines.map((o) => ({ ...o, outline: outlineAsSeen(o.outline, seen) })) }));
}

/** The body from the side as layers: across its depth from the top, along as on every face; `only` narrows it to one hole. Layers without a line are left out. */
export function sideLayers(a: Anatomy, only: string | null = null): readonly Layer[] {
  const { depth, from, to } = sideStrip(a);
  const box = (x: number, y: number, width: number, height: number): Outline => roundedRectangle(width, height, 0, { x: x + width / 2, y: y + height / 2 });
  const holes = a.holes.filter((h) => h.face === 'side' && h.diameter && (only === null || h.id === only));
  const whole = only === null;
  const layers: readonly Layer[] = [
    { name: 'Body', outlines: whole ? [{ name: 'Body from the side', outline: box(0, from, depth, to - from) }] : [] },
    {
      name: 'Cavities',
      outlines: whole ? sideShadows(a).map((s) => ({ name: s.name, outline: box(s.from, s.along[0], s.to - s.from, s.along[1] - s.along[0]) })) : [],
    },
    { name: 'Holes', outlines: holes.map((h) => ({ name: h.name, outline: circle(h.diameter?.value ?? 0, h.at) })) },
  ];
  return layers.filter((l) => l.outlines.length > 0);
}

/** One feature's layers, on whichever face it is; empty when nothing of it can be drawn. */
export function layersOfFeature(a: Anatomy, id: string): readonly Layer[] {
  return [layersOf(a, 'top', id), layersOf(a, 'back', id), sideLayers(a, id)].find((l) => l.length > 0) ?? [];
}
