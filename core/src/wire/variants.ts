import type { Circuit, Element, Lug } from './circuit.js';
import { markedCapacitor, markedTrack, USUAL_BLEED } from './values.js';

/** The same circuit with one thing otherwise, to lay over it. */
export interface VariantRow {
  readonly id: VariantId;
  /** Does it change anything of this circuit? */
  readonly applies: (circuit: Circuit) => boolean;
  readonly of: (circuit: Circuit) => Circuit;
}

export const VARIANT_IDS = ['pots of 250 k', 'pots of 500 k', 'pots of 1 M', 'volumes the other way', 'with a bleed', 'without a bleed'] as const;
export type VariantId = (typeof VARIANT_IDS)[number];

const isVolume = (e: Element): e is Extract<Element, { kind: 'pot' }> => e.kind === 'pot' && e.does === 'volume';
const volumes = ({ elements }: Circuit): readonly Extract<Element, { kind: 'pot' }>[] => elements.filter(isVolume);

/** Every volume and tone of so many ohms; those behind a preamp stay. */
const potsOf = (id: VariantId, ohms: number): VariantRow => {
  const turned = (e: Element): boolean => e.kind === 'pot' && (e.does === 'volume' || e.does === 'tone') && e.tracks.every((t) => t.ohms.value > 100_000);
  return {
    id,
    applies: ({ elements }) => elements.some((e) => turned(e) && e.kind === 'pot' && e.tracks.some((t) => Math.abs(t.ohms.value - ohms) > 0.25 * ohms)),
    of: (circuit) => ({
      ...circuit,
      elements: circuit.elements.map((e) => (e.kind === 'pot' && turned(e) ? { ...e, tracks: e.tracks.map((t) => ({ ...t, ohms: markedTrack(ohms) })) } : e)),
    }),
  };
};

/** Wiper and outer lug exchanged: normal becomes independent, independent normal. */
const otherWay: VariantRow = {
  id: 'volumes the other way',
  applies: (circuit) => volumes(circuit).length > 1,
  of: (circuit) => {
    const outer = new Map(volumes(circuit).map((v) => [v.id, v.reverse ? '1' : '3']));
    const turned = (l: Lug): Lug => {
      const up = outer.get(l.element);
      if (up === undefined || (l.lug !== up && l.lug !== '2')) return l;
      return { ...l, lug: l.lug === '2' ? up : '2' };
    };
    return { ...circuit, joints: circuit.joints.map(({ a, b }) => ({ a: turned(a), b: turned(b) })), bare: circuit.bare.map(turned) };
  },
};

const withBleed: VariantRow = {
  id: 'with a bleed',
  applies: (circuit) => volumes(circuit).length > 0 && !circuit.elements.some((e) => e.does === 'bleed'),
  of: (circuit) => {
    const added = volumes(circuit).map((v) => ({ v, id: `${v.id} bleed capacitor` }));
    return {
      ...circuit,
      elements: [
        ...circuit.elements,
        ...added.map(({ id }): Element => ({
          kind: 'capacitor',
          id,
          name: null,
          does: 'bleed',
          place: null,
          part: null,
          farad: markedCapacitor(USUAL_BLEED.alone),
          leak: null,
        })),
      ],
      joints: [
        ...circuit.joints,
        ...added.flatMap(({ v, id }) => [
          { a: { element: id, lug: '1' }, b: { element: v.id, lug: v.reverse ? '1' : '3' } },
          { a: { element: id, lug: '2' }, b: { element: v.id, lug: '2' } },
        ]),
      ],
    };
  },
};

const withoutBleed: VariantRow = {
  id: 'without a bleed',
  applies: (circuit) => circuit.elements.some((e) => e.does === 'bleed'),
  of: (circuit) => {
    const gone = new Set(circuit.elements.flatMap((e) => (e.does === 'bleed' ? [e.id] : [])));
    return {
      ...circuit,
      elements: circuit.elements.filter((e) => !gone.has(e.id)),
      joints: circuit.joints.filter(({ a, b }) => !gone.has(a.element) && !gone.has(b.element)),
      bare: circuit.bare.filter((l) => !gone.has(l.element)),
    };
  },
};

/** Every variant that a response can be laid over. */
export const VARIANTS: readonly VariantRow[] = [
  potsOf('pots of 250 k', 250_000),
  potsOf('pots of 500 k', 500_000),
  potsOf('pots of 1 M', 1e6),
  otherWay,
  withBleed,
  withoutBleed,
];
