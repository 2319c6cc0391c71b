/** What a wood and its cutters ask for while it is cut. */
export type Remark = 'dustHarms' | 'burns' | 'tears' | 'fuzzes' | 'glueDulls' | 'slowLarge' | 'slowVeryLarge';

/** By words in a wood's name [trade: docs/trade/cut.md, Woods at the machine]. */
const WOODS: readonly (readonly [Remark, readonly string[]])[] = [
  ['dustHarms', ['rosewood', 'ebony', 'cedar', 'mdf', 'cocobolo', 'wenge', 'padauk']],
  ['burns', ['maple', 'cherry', 'ebony', 'rosewood', 'wenge']],
  ['tears', ['ash', 'figured', 'flamed', 'quilted', 'oak', 'mahogany', 'walnut']],
  ['fuzzes', ['basswood', 'poplar', 'linden', 'pine', 'paulownia', 'spruce']],
  ['glueDulls', ['plywood', 'mdf', 'laminate']],
];

/** Larger bits turn slower, mm [memory: over 25 below 18 000, over 50 below 12 000 turns a minute]. */
const LARGE = 25;
const VERY_LARGE = 50;

/** What is to be heeded of a wood (null: nobody said) and of the router bits that are used, by their diameters, mm. */
export function remarksOn(wood: string | null, bits: readonly number[]): readonly Remark[] {
  const name = (wood ?? '').toLowerCase();
  const widest = Math.max(0, ...bits);
  return [
    ...WOODS.flatMap(([remark, words]) => (words.some((w) => new RegExp(`\\b${w}\\b`).test(name)) ? [remark] : [])),
    ...(widest > VERY_LARGE ? (['slowVeryLarge'] as const) : widest > LARGE ? (['slowLarge'] as const) : []),
  ];
}
