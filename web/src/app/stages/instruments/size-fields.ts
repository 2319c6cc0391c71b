import type { InstrumentSizes, SizeProblem } from '@rinnovo/core/instrument';
import { fixed, withUnit } from '@rinnovo/words';

/** One field of the description: its place in the sizes, its words, what it starts with and what can be, mm. */
export interface SizeField {
  readonly key: string;
  readonly label: string;
  readonly start: number;
  readonly min: number;
  readonly max: number;
}

export interface SizeGroup {
  readonly title: string;
  readonly hint: string;
  readonly fields: readonly SizeField[];
}

const f = (key: string, label: string, start: number, min: number, max: number): SizeField => ({ key, label, start, min, max });

function box(key: string, start: readonly [number, number, number, number, number], most: number): readonly SizeField[] {
  return [
    f(`${key}.x`, 'Centre, offset across', start[0], -300, 300),
    f(`${key}.y`, 'Centre, offset along', start[1], -200, 600),
    f(`${key}.width`, 'Width across', start[2], 1, most),
    f(`${key}.height`, 'Length along', start[3], 1, most),
    f(`${key}.corner`, 'Corner radius', start[4], 0, 80),
  ];
}

/** The starting sizes are typical values from memory: each is marked as stated until it is read. */
export const SIZE_GROUPS: readonly SizeGroup[] = [
  {
    title: 'Neck and strings',
    hint: 'Offsets along are measured from the mouth of the neck pocket towards the bridge.',
    fields: [
      f('scale', 'Scale length', 640, 250, 1100),
      f('nutToMouth', 'Nut to neck pocket', 395, 100, 900),
      f('spreadAtNut', 'String spread at the nut', 35.5, 15, 120),
      f('spreadAtSaddles', 'String spread at the saddles', 52, 20, 200),
      f('pocketWidth', 'Neck pocket, width', 56, 30, 120),
      f('pocketLength', 'Neck pocket, length', 74, 20, 160),
      f('levelDepth', 'Neck pocket, depth', 16, 3, 60),
    ],
  },
  {
    title: 'Body',
    hint: 'A plain outline is enough to check one pickup.',
    fields: [...box('body', [0, 170, 320, 430, 60], 900), f('thickness', 'Thickness', 44, 10, 150)],
  },
  {
    title: 'Pickup route',
    hint: 'The route as it is now, under the plate.',
    fields: [...box('route', [0, 105, 88, 22, 4.8], 300), f('routeDepth', 'Depth', 18, 1, 100)],
  },
  {
    title: 'Plate over the route',
    hint: 'No cut may reach its outer edge.',
    fields: [...box('plate', [0, 105, 118, 58, 4], 500), f('plateThickness', 'Thickness', 2, 0.3, 15)],
  },
  { title: 'Window in the plate', hint: 'The opening that the pickup shows through.', fields: box('window', [0, 105, 70, 39, 3.5], 300) },
  {
    title: 'Back cavity',
    hint: 'Seen through the body from the top. The bass side is negative.',
    fields: [...box('back', [-60, 190, 40, 100, 6], 400), f('backDepth', 'Depth', 14, 1, 140)],
  },
];

export const ALL_FIELDS: readonly SizeField[] = SIZE_GROUPS.flatMap((g) => g.fields);

/** Typed values as sizes. */
export function sizesOf(mm: Readonly<Record<string, number>>, strings: number, frets: number): InstrumentSizes {
  const n = (key: string): number => mm[key] ?? 0;
  const at = (key: string): InstrumentSizes['body'] => ({
    x: n(`${key}.x`),
    y: n(`${key}.y`),
    width: n(`${key}.width`),
    height: n(`${key}.height`),
    corner: n(`${key}.corner`),
  });
  return {
    strings,
    frets,
    scale: n('scale'),
    nutToMouth: n('nutToMouth'),
    spreadAtNut: n('spreadAtNut'),
    spreadAtSaddles: n('spreadAtSaddles'),
    body: at('body'),
    thickness: n('thickness'),
    pocketWidth: n('pocketWidth'),
    pocketLength: n('pocketLength'),
    levelDepth: n('levelDepth'),
    route: at('route'),
    routeDepth: n('routeDepth'),
    plate: at('plate'),
    plateThickness: n('plateThickness'),
    window: at('window'),
    back: at('back'),
    backDepth: n('backDepth'),
  };
}

/** What is wrong, and beside which field it is said. */
export function problemAt(p: SizeProblem): { readonly key: string; readonly text: string } {
  switch (p.kind) {
    case 'routeOutsideBody':
      return { key: 'route.width', text: 'The route reaches beyond the body.' };
    case 'plateOutsideBody':
      return { key: 'plate.width', text: 'The plate reaches beyond the body.' };
    case 'windowOutsidePlate':
      return { key: 'window.width', text: 'The window reaches beyond its plate.' };
    case 'deeperThanBody':
      return { key: `${p.what}Depth`, text: `${withUnit(fixed(p.depth, 1), 'mm')} deep in a body of ${withUnit(fixed(p.thickness, 1), 'mm')}.` };
    case 'mouthBeyondScale':
      return { key: 'nutToMouth', text: `${withUnit(fixed(p.mouth, 0), 'mm')} is longer than the scale of ${withUnit(fixed(p.scale, 0), 'mm')}.` };
    case 'spreadNarrows':
      return { key: 'spreadAtSaddles', text: `The strings narrow from ${fixed(p.nut, 1)} to ${withUnit(fixed(p.saddles, 1), 'mm')}. Check both.` };
  }
}
