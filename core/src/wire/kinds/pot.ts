import type { PotElement } from '../circuit.js';
import { isPulled } from '../setting.js';
import type { ElementRow } from './row.js';

/** The lug of a track: 1 anticlockwise, 2 wiper, 3 clockwise; those of a second track have a stroke. */
export const trackLug = (track: number, n: 1 | 2 | 3): string => `${n}${track === 0 ? '' : '′'}`;

/** A pot, plain or of two tracks, with the switch on it; its case is a lug. */
export const pot: ElementRow<PotElement> = {
  kind: 'pot',
  lugs: ({ tracks, pull }) => [...tracks.flatMap((_, i) => [trackLug(i, 1), trackLug(i, 2), trackLug(i, 3)]), ...(pull?.lugs ?? []), 'case'],
  joins: ({ id, pull }, setting) => pull?.positions[isPulled(setting, id) ? 1 : 0]?.joins ?? [],
  branches: (e) =>
    e.tracks.map((t, i) => ({
      kind: 'track',
      low: trackLug(i, 1),
      wiper: trackLug(i, 2),
      high: trackLug(i, 3),
      ohms: t.ohms,
      taper: t.taper,
      freeAt: e.noLoad ? (e.reverse ? 0 : 1) : null,
    })),
};
