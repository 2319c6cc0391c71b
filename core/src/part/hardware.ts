import type { Dimension } from '../measure/index.js';
import type { Point } from '../shape/index.js';
import type { ContactTable } from './contact-table.js';
import type { ElectricValues } from './electric.js';
import type { PartOutline } from './part-outline.js';
import type { HardwareKind, PartRow, TraitId } from './part-row.js';
import type { SizeId } from './sizes.js';
import type { ThreadId } from './thread.js';
import { woodScrewShank } from './screw.js';

/** What every part on the shelf has. */
export interface PartBase {
  readonly format: 2;
  readonly id: string;
  readonly name: string;
  /** In the smallest unit of the shop's currency. */
  readonly price: number;
  /** Days until a new one is here; null: nobody asked. */
  readonly leadDays?: number | null;
  /** The part that is taken instead where this one is not made any more. */
  readonly replacedBy?: string | null;
  readonly note?: string;
}

/** An opening of a plate, with its name. */
export interface PartOpening {
  readonly id: string;
  readonly shape: PartOutline;
}

/** Where a part is screwed down, in its own frame, mm. */
export interface ScrewPlace extends Point {
  readonly gauge: number;
}

/** The outline of a plate, a ring, a tuner's housing, with what is cut out of it. */
export interface PartShape {
  readonly outline: PartOutline;
  readonly openings: readonly PartOpening[];
  readonly screws: readonly ScrewPlace[];
}

/** A part that is no pickup: what of its sizes is known, and how. */
export interface Hardware extends PartBase {
  readonly kind: HardwareKind;
  readonly sizes: Readonly<Partial<Record<SizeId, Dimension>>>;
  readonly traits: Readonly<Partial<Record<TraitId, string>>>;
  readonly thread: ThreadId | null;
  /** Of a wood screw. */
  readonly gauge: number | null;
  /** kΩ of a pot; null for everything else or while nobody measured it. */
  readonly kiloohms: number | null;
  /** As it is marked or its sheet says. */
  readonly electric?: ElectricValues;
  /** What joins what in each position of its switch; missing: as its kind usually does. */
  readonly contacts?: ContactTable;
  readonly shape: PartShape | null;
}

/** A part of a kind with its usual sizes, typical and not measured: what is nowhere usual is left out. A wood screw's shank follows from its gauge [std: ASME B18.6.1]. */
export function typicalHardware(row: PartRow, id: string, name: string, gauge: number | null = null): Hardware {
  const usual = Object.entries(row.sizes).flatMap(([size, u]): readonly (readonly [string, Dimension])[] =>
    u ? [[size, { value: u.value, limit: u.limit, basis: { kind: 'default' } }]] : [],
  );
  const shank: readonly (readonly [string, Dimension])[] =
    row.gauge && gauge !== null ? [['diameter', { value: woodScrewShank(gauge), limit: 0.1, basis: { kind: 'default' } }]] : [];
  return {
    format: 2,
    id,
    kind: row.kind,
    name,
    price: 0,
    sizes: Object.fromEntries([...usual, ...shank]),
    traits: {},
    thread: null,
    gauge: row.gauge ? gauge : null,
    kiloohms: null,
    shape: null,
  };
}
