import { isPickup, SWITCH_FORMS, type Hardware } from '../../part/index.js';
import type { PotElement, Track } from '../circuit.js';
import { either, needed, oneOf } from '../element-field.js';
import { offOf } from '../like-part.js';
import { isPulled } from '../setting.js';
import { TAPERS, type TaperId } from '../taper.js';
import { markedTrack, onSheet, POT_OFF } from '../values.js';
import type { ElementRow } from './row.js';

/** The lug of a track: 1 anticlockwise, 2 wiper, 3 clockwise; those of a second track have a stroke. */
export const trackLug = (track: number, n: 1 | 2 | 3): string => `${n}${track === 0 ? '' : '′'}`;

/** A pot, plain or of two tracks, with the switch on it; its case is a lug. */
export const pot: ElementRow<PotElement> = {
  kind: 'pot',
  roles: ['volume', 'tone', 'blend', 'other'],
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
  begin: (of) => ({
    ...of,
    kind: 'pot',
    tracks: of.does === 'blend' ? BLEND.map((taper) => ({ ohms: markedTrack(250_000), taper })) : [{ ohms: markedTrack(500_000), taper: 'audio 10' }],
    reverse: false,
    noLoad: false,
    pull: null,
  }),
  fields: (e) => [
    ...e.tracks.flatMap((t, i) => {
      const of = e.tracks.length > 1 ? { of: String(i + 1) } : {};
      const put = (to: Partial<Track>): PotElement => ({ ...e, tracks: e.tracks.map((x, j) => (j === i ? { ...x, ...to } : x)) });
      return [
        needed('ohms', 'Ω', POT_OFF.value, t.ohms, (ohms) => put({ ohms }), { ...of, likely: 'track' }),
        oneOf('taper', TAPERS, t.taper, (taper) => put({ taper }), of.of ?? null),
      ];
    }),
    either('direction', ['clockwise', 'anticlockwise'], e.reverse, (reverse) => ({ ...e, reverse })),
    either('fullUp', ['on its track', 'no load'], e.noLoad, (noLoad) => ({ ...e, noLoad })),
    either('pull', ['none', 'push-pull'], e.pull !== null, (pulls) => ({ ...e, pull: pulls ? (e.pull ?? SWITCH_FORMS['push-pull']) : null })),
  ],
  parts: ['pot', 'push-pull pot'],
  like: (e, part) => (isPickup(part) ? e : asMarked(e, part)),
};

const BLEND = ['M', 'N'] as const;

/** The tapers of a part's tracks; null: the part does not say. */
function tapersOf({ traits }: Hardware): readonly (TaperId | null)[] {
  if (traits.tracks === 'blend') return BLEND;
  const taper: TaperId | null =
    traits.taper === 'audio' ? 'audio 10' : traits.taper === 'reverse audio' ? 'reverse audio 10' : traits.taper === 'linear' ? 'linear' : null;
  return traits.tracks === 'two' ? [taper, taper] : [taper];
}

function asMarked(e: PotElement, part: Hardware): PotElement {
  const { kiloohms, traits, contacts } = part;
  const first = e.tracks[0];
  const tracks = tapersOf(part).map((taper, i): Track => {
    const was = e.tracks[i] ?? first;
    const ohms = kiloohms === null ? was?.ohms : onSheet(part.id, kiloohms * 1000, offOf(part, POT_OFF.value));
    return { ohms: ohms ?? markedTrack(500_000), taper: taper ?? was?.taper ?? 'audio 10' };
  });
  return {
    ...e,
    part: part.id,
    tracks: traits.tracks === undefined && e.tracks.length > 1 ? e.tracks : tracks,
    reverse: traits.direction === undefined ? e.reverse : traits.direction === 'anticlockwise',
    noLoad: traits.fullUp === undefined ? e.noLoad : traits.fullUp === 'no load',
    pull: part.kind === 'push-pull pot' ? (contacts ?? e.pull ?? SWITCH_FORMS['push-pull']) : null,
  };
}
