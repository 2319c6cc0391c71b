import type { LineKind } from '../../ui/drawing';

export type LayerId = 'names' | 'plates' | 'board' | 'strings' | 'holes' | 'below';

/** What can be left out of the map, with the kinds of line that are drawn of it. */
export const LAYERS: readonly { readonly id: LayerId; readonly name: string; readonly kinds: readonly LineKind[] }[] = [
  { id: 'names', name: 'Names', kinds: [] },
  { id: 'plates', name: 'Plates and hardware', kinds: ['plate', 'opening', 'insert', 'screw'] },
  { id: 'board', name: 'Fingerboard', kinds: ['board', 'fret'] },
  { id: 'strings', name: 'Strings and centre line', kinds: [] },
  { id: 'holes', name: 'Holes', kinds: ['hole'] },
  { id: 'below', name: 'Features of the other face', kinds: ['hidden'] },
];

/** The kinds of line that are not drawn while these layers are left out. */
export function leftOut(out: ReadonlySet<LayerId>): ReadonlySet<LineKind> {
  return new Set(LAYERS.filter((l) => out.has(l.id)).flatMap((l) => l.kinds));
}
