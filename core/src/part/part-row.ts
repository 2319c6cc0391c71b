import type { ElectricId } from './electric.js';
import type { SizeId } from './sizes.js';
import { THREADS, type ThreadId } from './thread.js';

/** What a size usually is, with half of its usual range, mm; null: a kind has it, and nothing usual can be said. */
export type Usual = { readonly value: number; readonly limit: number } | null;

export type PartGroup = 'pickups' | 'pots' | 'switches' | 'jacks' | 'plates' | 'bushes' | 'tuners' | 'screws' | 'wires' | 'electronics';

/** What of a part is chosen from a list, not measured. */
export type TraitId =
  'shaftEnd' | 'knobGrip' | 'taper' | 'form' | 'surface' | 'fixing' | 'headForm' | 'wiring' | 'tracks' | 'direction' | 'fullUp' | 'charging';

/** A part's kind, by its trade name. */
export type HardwareKind = string;

/** A kind of part beside pickups: what it has, where it goes and what is to be known of it; the only place that says so. */
export interface PartRow {
  readonly kind: HardwareKind;
  readonly group: PartGroup;
  /** The sizes that it has and what they usually are [memory: docs/trade/part.md, Usual sizes of parts]. */
  readonly sizes: Readonly<Partial<Record<SizeId, Usual>>>;
  readonly traits?: Readonly<Partial<Record<TraitId, readonly string[]>>>;
  readonly threads?: readonly ThreadId[];
  /** Wood screw gauges go with it. */
  readonly gauge?: true;
  /** It has an outline, openings and screw places. */
  readonly shaped?: true;
  /** Where it goes [trade: docs/trade/check.md, What goes where]: holes and plates of which kinds, slots, the screws of a plate. */
  readonly goes: { readonly holes?: readonly string[]; readonly slots?: true; readonly plates?: readonly string[]; readonly plateScrews?: true };
  /** It has a body below the face that it hangs from. */
  readonly hangs?: true;
  /** It is soldered to wires. */
  readonly wired?: true;
  /** What of it is marked in electric units. */
  readonly electric?: readonly ElectricId[];
  /** It switches: by a contact table. */
  readonly switches?: true;
  /** It has a resistance, kΩ. */
  readonly resists?: true;
  /** Which one it is no owner asks. */
  readonly ordinary?: true;
  /** The kinds that are screwed into it, by its thread: it stays where it is. */
  readonly takes?: readonly HardwareKind[];
  /** It is pressed into its hole by this size, smooth or knurled, or only where a trait of it says so. */
  readonly press?: { readonly size: SizeId; readonly knurls: boolean; readonly where?: readonly [TraitId, string] };
  /** Its thread holds in wood, by the shop's least for light parts or for a strap. */
  readonly holdsInWood?: 'minHold' | 'minHoldStrap';
  /** A plug goes into it. */
  readonly plugged?: true;
  /** It sits on a headstock, beside others of its kind. */
  readonly onHeadstock?: true;
  /** It comes off a reel, is not counted by pieces, and several share a bore. */
  readonly reeled?: true;
}

export type PartKinds = Readonly<Record<HardwareKind, PartRow>>;

/** What is registered of parts. */
export interface PartRows {
  readonly partKinds: PartKinds;
}

export function byPartKind(rows: readonly PartRow[]): PartKinds {
  return Object.fromEntries(rows.map((r) => [r.kind, r]));
}

/** A kind's row. Throws RangeError for a kind that nobody registered. */
export function partRow({ partKinds }: PartRows, kind: HardwareKind): PartRow {
  const row = partKinds[kind];
  if (!row) throw new RangeError(`no such kind of part: ${kind}`);
  return row;
}

/** Does a part of this kind go into one of that kind, by its thread? A pickup goes into none. */
export function goesInto({ partKinds }: PartRows, kind: string, into: string): boolean {
  return partKinds[into]?.takes?.includes(kind) ?? false;
}

/** Is something so of a kind of part? A pickup's leads are its own, and it hangs in its route. */
export function isOfPart({ partKinds }: PartRows, kind: string, what: 'hangs' | 'wired' | 'ordinary' | 'plugged' | 'onHeadstock' | 'reeled'): boolean {
  return partKinds[kind]?.[what] === true;
}

/** The kinds that go into holes or plates of a kind, into slots, or in the place of a plate's screw. */
export function kindsFor({ partKinds }: PartRows, where: keyof PartRow['goes'], kind = ''): readonly HardwareKind[] {
  return Object.values(partKinds).flatMap((row) => {
    const goes = row.goes[where];
    return goes === true || (Array.isArray(goes) && goes.includes(kind)) ? [row.kind] : [];
  });
}

/** From the low end of a usual range to the high one. */
export const range = (low: number, high: number): Usual => ({ value: (low + high) / 2, limit: (high - low) / 2 });
/** One value that most have, and how far others are off. */
export const about = (value: number, limit: number): Usual => ({ value, limit });
export const inch = (id: ThreadId): Usual => about(Math.round(THREADS[id].major * 1000) / 1000, 0.1);
/** The sizes of what is screwed into a panel by a thread. */
export const panel = (id: ThreadId, sizes: PartRow['sizes']): PartRow['sizes'] => ({ bushing: inch(id), threadLength: null, washer: null, ...sizes });
/** What of every pot is chosen. */
export const POT_TRAITS = {
  shaftEnd: ['split', 'solid'],
  knobGrip: ['push-on', 'set screw'],
  taper: ['linear', 'audio', 'reverse audio'],
  direction: ['clockwise', 'anticlockwise'],
  fullUp: ['on its track', 'no load'],
} as const satisfies PartRow['traits'];
export const POT_THREADS: readonly ThreadId[] = ['3/8-32', 'M7 × 0.75', 'M8 × 0.75', 'M9 × 0.75'];
