import type { Circuit } from '../circuit.js';
import type { Wish } from './wish.js';

/** A circuit named by what it does: how many pickups it takes, and which of them must have two coils. */
export interface PresetRow {
  readonly id: string;
  readonly pickups: 1 | 2 | 3;
  /** Indices of pickups, from the neck, that must have two coils led out. */
  readonly split: readonly number[];
  /** It needs a cell. */
  readonly active: boolean;
  readonly build: (wish: Wish) => Circuit;
}

export const preset = (
  id: string,
  pickups: PresetRow['pickups'],
  build: PresetRow['build'],
  more: { readonly split?: readonly number[]; readonly active?: true } = {},
): PresetRow => ({
  id,
  pickups,
  split: more.split ?? [],
  active: more.active ?? false,
  build,
});

/** The pickups of a wish; throws RangeError when there are fewer than the preset takes. */
export function pickupsOf({ pickups }: Wish, count: PresetRow['pickups']): readonly Wish['pickups'][number][] {
  if (pickups.length < count) throw new RangeError(`this circuit takes ${count} pickups`);
  return pickups.slice(0, count);
}
