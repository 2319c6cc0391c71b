import { THREADS, type ThreadId } from './thread.js';
import type { SizeId } from './sizes.js';

/** What a size usually is, with half of its usual range, mm; null: a kind has it, and nothing usual can be said. */
export type Usual = { readonly value: number; readonly limit: number } | null;

/** A kind of part beside pickups: the sizes that it has and what they usually are [memory: docs/trade/part.md, Usual sizes of parts]. */
export interface HardwareRow {
  readonly group: PartGroup;
  readonly sizes: Readonly<Partial<Record<SizeId, Usual>>>;
  readonly traits: Readonly<Partial<Record<TraitId, readonly string[]>>>;
  readonly threads: readonly ThreadId[];
  /** Wood screw gauges go with it. */
  readonly gauge: boolean;
  /** It has an outline, openings and screw places. */
  readonly shaped: boolean;
}

export type PartGroup = 'pickups' | 'pots' | 'switches' | 'jacks' | 'plates' | 'bushes' | 'tuners' | 'screws' | 'wires';

/** What of a part is chosen from a list, not measured. */
export type TraitId = 'shaftEnd' | 'taper' | 'form' | 'surface' | 'fixing' | 'headForm' | 'wiring';

/** From the low end of a usual range to the high one. */
const range = (low: number, high: number): Usual => ({ value: (low + high) / 2, limit: (high - low) / 2 });
/** One value that most have, and how far others are off. */
const about = (value: number, limit: number): Usual => ({ value, limit });
const inch = (id: ThreadId): Usual => about(Math.round(THREADS[id].major * 1000) / 1000, 0.1);

const row = (group: PartGroup, sizes: HardwareRow['sizes'], more: Partial<Omit<HardwareRow, 'group' | 'sizes'>> = {}): HardwareRow => ({
  group,
  sizes,
  traits: {},
  threads: [],
  gauge: false,
  shaped: false,
  ...more,
});

const panel = (id: ThreadId, sizes: HardwareRow['sizes']): HardwareRow['sizes'] => ({ bushing: inch(id), threadLength: null, washer: null, ...sizes });
const POT_THREADS: readonly ThreadId[] = ['3/8-32', 'M7 × 0.75', 'M8 × 0.75', 'M9 × 0.75'];

export const HARDWARE = {
  pot: row(
    'pots',
    { ...panel('3/8-32', { threadLength: about(9.5, 3.5) }), body: range(23.5, 24.5), depthBelow: range(12, 15), shaft: range(6, 6.35), knob: null },
    { threads: POT_THREADS, traits: { shaftEnd: ['split', 'solid'], taper: ['linear', 'audio'] } },
  ),
  'push-pull pot': row(
    'switches',
    { ...panel('3/8-32', { threadLength: about(9.5, 3.5) }), body: range(23.5, 24.5), depthBelow: range(28, 35), shaft: range(6, 6.35), knob: null },
    { threads: POT_THREADS, traits: { shaftEnd: ['split', 'solid'], taper: ['linear', 'audio'] } },
  ),
  'lever switch': row(
    'switches',
    { slotLength: range(26, 30), slotWidth: about(2, 0.5), screwSpacing: about(41.3, 0.3), bodyLength: null, bodyWidth: null, depthBelow: range(25, 40) },
    { threads: ['6-32', 'M3', 'M3.5'] },
  ),
  'toggle switch': row('switches', { ...panel('15/32-32', {}), body: null, depthBelow: range(25, 50) }, { threads: ['15/32-32'] }),
  'mini toggle': row('switches', { ...panel('1/4-40', {}), bodyLength: null, bodyWidth: null, depthBelow: null }, { threads: ['1/4-40'] }),
  'rotary switch': row('switches', { ...panel('3/8-32', {}), body: null, depthBelow: null, shaft: range(6, 6.35), knob: null }, { threads: POT_THREADS }),
  jack: row(
    'jacks',
    { ...panel('3/8-32', {}), body: range(22, 30), depthBelow: range(22, 30), leafSwing: range(6, 8), plugInside: range(30, 32) },
    { threads: ['3/8-32', 'M9 × 0.75'], traits: { wiring: ['mono', 'switched', 'stereo'] } },
  ),
  'end-pin jack': row('jacks', { bushing: range(11.9, 12.6), threadLength: null, washer: null, length: null, plugInside: range(30, 32) }),
  plate: row('plates', { thickness: about(1.6, 0.5) }, { shaped: true, traits: { form: ['flat', 'arched', 'tapered'] } }),
  guard: row('plates', { thickness: range(1.5, 2.5) }, { shaped: true, traits: { form: ['flat', 'arched', 'tapered'] } }),
  ring: row('plates', { thickness: range(3, 12), thicknessEnd: null, archRadius: null }, { shaped: true, traits: { form: ['flat', 'arched', 'tapered'] } }),
  cover: row('plates', { thickness: about(2, 0.5), depthBelow: null }, { shaped: true, traits: { form: ['flat', 'arched', 'tapered'] } }),
  ferrule: row('bushes', { outer: range(8, 9.6), flange: range(10, 12), length: null, stringHole: null }, { traits: { surface: ['smooth', 'knurled'] } }),
  bush: row(
    'bushes',
    { outer: range(11, 12.7), flange: null, length: null },
    { threads: ['M8 × 1.25', '5/16-24', 'M4', 'M5', '6-32'], traits: { surface: ['smooth', 'knurled'] } },
  ),
  stud: row('bushes', { diameter: about(8, 0.1), length: null, head: null }, { threads: ['M8 × 1.25', '5/16-24'] }),
  tuner: row(
    'tuners',
    {
      bushing: range(8.5, 10),
      outerStep: range(11, 12),
      washer: null,
      post: about(6.35, 0.2),
      headstockLeast: null,
      headstockMost: null,
      pitch: range(24.8, 26),
    },
    { shaped: true, traits: { fixing: ['press-in bushing', 'screwed bushing'] } },
  ),
  'strap pin': row('screws', { diameter: range(4.16, 4.83), length: range(25, 32), head: null, flange: null }, { gauge: true }),
  'wood screw': row('screws', { diameter: null, length: null, head: null }, { gauge: true, traits: { headForm: ['countersunk', 'oval', 'round'] } }),
  'machine screw': row(
    'screws',
    { diameter: null, length: null, head: null },
    { threads: ['3-48', '4-40', '6-32', '8-32', '10-32', 'M2.5', 'M3', 'M3.5', 'M4', 'M5', 'M6'], traits: { headForm: ['countersunk', 'oval', 'round'] } },
  ),
  wire: row('wires', { diameter: range(1.2, 1.8) }),
} as const satisfies Readonly<Record<string, HardwareRow>>;

export type HardwareKind = keyof typeof HARDWARE;
export const HARDWARE_KINDS = Object.keys(HARDWARE) as readonly HardwareKind[];

/** A kind's row, with all its fields. */
export function hardwareRow(kind: HardwareKind): HardwareRow {
  return HARDWARE[kind];
}

const WIRED: ReadonlySet<PartGroup> = new Set<PartGroup>(['pots', 'switches', 'jacks']);

/** Is a part of that kind soldered to wires? A pickup's leads are its own. */
export function hasWires(kind: string): boolean {
  return kind in HARDWARE && WIRED.has(hardwareRow(kind as HardwareKind).group);
}
