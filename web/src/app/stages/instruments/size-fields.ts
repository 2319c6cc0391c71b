import type { SizeKey, SizeProblem } from '@rinnovo/core/instrument';
import { fixed, withUnit } from '@rinnovo/words';

/** One field of the sizes at hand: its words and what can be, mm. */
export interface SizeField {
  readonly key: SizeKey;
  readonly label: string;
  readonly min: number;
  readonly max: number;
}

export interface SizeGroup {
  readonly title: string;
  readonly hint: string;
  readonly fields: readonly SizeField[];
}

const f = (key: SizeKey, label: string, min: number, max: number): SizeField => ({ key, label, min, max });

type Boxed = 'route' | 'cover' | 'window' | 'back';
const sides = (of: Boxed, most: number): readonly SizeField[] => [f(`${of}-width`, 'Width across', 1, most), f(`${of}-height`, 'Length along', 1, most)];
const place = (of: Boxed): readonly SizeField[] => [
  f(`${of}-x`, 'Centre, offset across', -300, 300),
  f(`${of}-y`, 'Centre, offset along', -200, 600),
  f(`${of}-corner`, 'Corner radius', 0, 80),
];

/** What is asked for first: one breath with the calliper. */
export const FIRST_SIZES: readonly SizeField[] = [
  f('thickness', 'Body, thickness', 10, 150),
  f('pocketDepth', 'Neck pocket, depth', 3, 60),
  f('route-width', 'Route, width across', 1, 300),
  f('route-height', 'Route, length along', 1, 300),
  f('routeDepth', 'Route, depth', 1, 100),
];

export const MORE_SIZES: readonly SizeGroup[] = [
  {
    title: 'Neck and strings',
    hint: 'The mouth is where the strings cross the near edge of the neck pocket.',
    fields: [
      f('scale', 'Scale length', 250, 1100),
      f('nutToMouth', 'Nut to neck pocket', 100, 900),
      f('spreadAtNut', 'String spread at the nut', 15, 120),
      f('spreadAtSaddles', 'String spread at the saddles', 20, 200),
      f('pocketWidth', 'Neck pocket, width', 30, 120),
      f('pocketLength', 'Neck pocket, length', 20, 160),
    ],
  },
  {
    title: 'Body',
    hint: 'Over all, at its widest and its longest.',
    fields: [f('bodyWidth', 'Width across', 100, 900), f('bodyLength', 'Length along', 100, 900)],
  },
  { title: 'Place of the route', hint: 'Offsets along are measured from the mouth of the neck pocket to the bridge.', fields: place('route') },
  {
    title: 'Cover over the route',
    hint: 'No cut may reach its outer edge.',
    fields: [...sides('cover', 500), f('coverThickness', 'Thickness', 0.3, 15), ...place('cover')],
  },
  { title: 'Window in the cover', hint: 'The opening that the pickup shows through.', fields: [...sides('window', 300), ...place('window')] },
  {
    title: 'Back cavity',
    hint: 'Seen through the body from the top. The bass side is negative.',
    fields: [...sides('back', 400), f('backDepth', 'Depth', 1, 140), ...place('back')],
  },
];

export const ALL_FIELDS: readonly SizeField[] = [...FIRST_SIZES, ...MORE_SIZES.flatMap((g) => g.fields)];

/** What is wrong, said beside its field. */
export function sizeProblemText(p: SizeProblem): string {
  switch (p.kind) {
    case 'routeOutsideBody':
      return 'The route reaches beyond the body.';
    case 'coverOutsideBody':
      return 'The cover reaches beyond the body.';
    case 'backOutsideBody':
      return 'The back cavity reaches beyond the body.';
    case 'windowOutsideCover':
      return 'The window reaches beyond its cover.';
    case 'deeperThanBody':
      return `${withUnit(fixed(p.depth, 1), 'mm')} deep in a body of ${withUnit(fixed(p.thickness, 1), 'mm')}.`;
    case 'mouthBeyondScale':
      return `${withUnit(fixed(p.mouth, 0), 'mm')} is longer than the scale of ${withUnit(fixed(p.scale, 0), 'mm')}.`;
    case 'spreadNarrows':
      return `The strings narrow from ${fixed(p.nut, 1)} to ${withUnit(fixed(p.saddles, 1), 'mm')}. Check both.`;
  }
}
