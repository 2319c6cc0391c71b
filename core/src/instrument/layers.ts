import { circle, type Outline } from '../shape/index.js';
import type { Anatomy, Face } from './anatomy.js';
import { HEADSTOCK_FRAME } from './anatomy.js';
import { toBody } from './frame.js';

/** Outlines that go onto one layer of a drawing, in the body's frame. */
export interface Layer {
  readonly name: string;
  readonly outlines: readonly { readonly name: string; readonly outline: Outline }[];
}

/** An instrument's outlines of one face by what they are, for a drawing; `only` narrows it to one feature. Layers without a line are left out. */
export function layersOf(a: Anatomy, face: Face, only: string | null = null): readonly Layer[] {
  const wanted = (id: string): boolean => only === null || id === only;
  const plates = a.plates.filter((p) => p.face === face && wanted(p.id));
  const place = (frame: string, outline: Outline): Outline => toBody(a, frame, outline);
  const layers: readonly Layer[] = [
    {
      name: 'Body',
      outlines: [
        ...(a.body.outline && wanted('body') ? [{ name: 'Body', outline: a.body.outline.outline }] : []),
        ...(a.headstock.outline && face === 'top' && wanted('headstock')
          ? [{ name: 'Headstock', outline: place(HEADSTOCK_FRAME, a.headstock.outline.outline) }]
          : []),
      ],
    },
    {
      name: 'Cavities',
      outlines: a.cavities
        .filter((c) => c.face === face && wanted(c.id))
        .flatMap((c) => c.pockets.map((p) => ({ name: `${c.name} ${p.depth?.value ?? ''}`.trim(), outline: place(c.frame, p.outline.outline) }))),
    },
    { name: 'Plates', outlines: plates.map((p) => ({ name: p.name, outline: place(p.frame, p.outline.outline) })) },
    { name: 'Openings', outlines: plates.flatMap((p) => p.openings.map((o) => ({ name: o.name, outline: place(p.frame, o.outline.outline) }))) },
    {
      name: 'Holes',
      outlines: a.holes
        .filter((h) => h.face === face && h.diameter && wanted(h.id))
        .map((h) => ({ name: h.name, outline: place(h.frame, circle(h.diameter?.value ?? 0, h.at)) })),
    },
  ];
  return layers.filter((l) => l.outlines.length > 0);
}
