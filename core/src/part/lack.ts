/** Something that work needs and the shop has not; mm. */
export type Lack =
  | { readonly kind: 'part'; readonly part: string }
  /** A piece of wood for a block. */
  | { readonly kind: 'offcut' }
  | { readonly kind: 'dowel'; readonly atLeast: number }
  | { readonly kind: 'drill'; readonly diameter: number }
  | { readonly kind: 'countersink' }
  /** A bit with a bearing: with any a route can be cut along a template. */
  | { readonly kind: 'templateBit' }
  /** A cover for a pickup, by the distance of its outer holes. */
  | { readonly kind: 'cover'; readonly spacing: number }
  | { readonly kind: 'sleeve'; readonly outer: number; readonly inner: number };

/** Two lacks with one key are the same thing to buy. */
export function lackKey(l: Lack): string {
  switch (l.kind) {
    case 'part':
      return `part ${l.part}`;
    case 'dowel':
      return `dowel ${l.atLeast.toFixed(1)}`;
    case 'drill':
      return `drill ${l.diameter.toFixed(1)}`;
    case 'sleeve':
      return `sleeve ${l.outer.toFixed(1)} ${l.inner.toFixed(1)}`;
    case 'cover':
      return `cover ${l.spacing.toFixed(1)}`;
    case 'offcut':
    case 'countersink':
    case 'templateBit':
      return l.kind;
  }
}
