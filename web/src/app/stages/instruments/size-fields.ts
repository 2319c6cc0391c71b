import type { InstrumentSizes, SizeProblem } from '@rinnovo/core/instrument';

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
    f(`${key}.x`, 'Middle, across', start[0], -300, 300),
    f(`${key}.y`, 'Middle, along', start[1], -200, 600),
    f(`${key}.width`, 'Width across', start[2], 1, most),
    f(`${key}.height`, 'Length along', start[3], 1, most),
    f(`${key}.corner`, 'Corner radius', start[4], 0, 80),
  ];
}

/** The starting sizes are typical values from memory: each is marked as stated until it is read. */
export const SIZE_GROUPS: readonly SizeGroup[] = [
  {
    title: 'Neck and strings',
    hint: 'Along is measured from the pocket’s mouth towards the bridge.',
    fields: [
      f('scale', 'Scale length', 640, 250, 1100),
      f('nutToMouth', 'Nut to the pocket’s mouth', 395, 100, 900),
      f('spreadAtNut', 'Outer strings at the nut', 35.5, 15, 120),
      f('spreadAtSaddles', 'Outer strings at the saddles', 52, 20, 200),
      f('pocketWidth', 'Pocket, across', 56, 30, 120),
      f('pocketLength', 'Pocket, along', 74, 20, 160),
      f('levelDepth', 'Level, depth', 16, 3, 60),
    ],
  },
  {
    title: 'Body',
    hint: 'A plain outline is enough for the fit of one pickup.',
    fields: [...box('body', [0, 170, 320, 430, 60], 900), f('thickness', 'Thickness', 44, 10, 150)],
  },
  {
    title: 'Pickup route',
    hint: 'As it is now, under the plate.',
    fields: [...box('route', [0, 105, 88, 22, 4.8], 300), f('routeDepth', 'Depth', 18, 1, 100)],
  },
  {
    title: 'Plate that hides it',
    hint: 'Its outer edge is the line no cut may reach.',
    fields: [...box('plate', [0, 105, 118, 58, 4], 500), f('plateThickness', 'Thickness', 2, 0.3, 15)],
  },
  { title: 'Window in the plate', hint: 'Where the pickup stands through.', fields: box('window', [0, 105, 70, 39, 3.5], 300) },
  {
    title: 'Back cavity',
    hint: 'Seen through the body from the top: bass side is negative.',
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
      return { key: `${p.what}Depth`, text: `${p.depth.toFixed(1)} mm deep in a body of ${p.thickness.toFixed(1)} mm.` };
    case 'mouthBeyondScale':
      return { key: 'nutToMouth', text: `${p.mouth.toFixed(0)} mm is beyond the scale of ${p.scale.toFixed(0)} mm.` };
    case 'spreadNarrows':
      return { key: 'spreadAtSaddles', text: `Strings that narrow from ${p.nut.toFixed(1)} to ${p.saddles.toFixed(1)} mm?` };
  }
}
