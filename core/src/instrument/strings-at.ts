import type { Anatomy } from './anatomy.js';

/**
 * Where the strings run at a place along the body, across, from bass to treble, mm; null while their spreads, the scale or the neck's place are not known.
 * Spread at y = nut + (saddles − nut) × (mouth + y) / scale: 35.5 to 52.5 over 635, 392 + 93 from the nut: 48.48 [law].
 */
export function stringsAt({ strings, neck }: Anatomy, y: number): readonly number[] | null {
  const { spreadAtNut, spreadAtSaddles, count } = strings;
  const { scale, nutToMouth } = neck;
  if (!spreadAtNut || !spreadAtSaddles || !scale || !nutToMouth || count < 2) return null;
  const spread = spreadAtNut.value + ((spreadAtSaddles.value - spreadAtNut.value) * (nutToMouth.value + y)) / scale.value;
  return Array.from({ length: count }, (_, i) => spread * (i / (count - 1) - 0.5));
}
