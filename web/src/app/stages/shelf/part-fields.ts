import { partRow } from '@rinnovo/core/house/lists';
import type { Dimension } from '@rinnovo/core/measure';
import {
  isPickup,
  PICKUP_FIELD_IDS,
  PICKUP_FIELDS,
  PICKUP_SIZES,
  pickupWithSizes,
  SIZES,
  sizesOfPickup,
  type Part,
  type PickupField,
  type SizeId,
} from '@rinnovo/core/part';
import { PICKUP_FIELD_WORDS, SIZE_WORDS } from '@rinnovo/words';
import type { SizeField } from './size-fields';

/** Every size that a part of this kind can have, with what is known of it. */
export function fieldsOf(part: Part): readonly SizeField[] {
  if (!isPickup(part)) {
    const ids = Object.keys(partRow(part.kind).sizes) as SizeId[];
    return ids.map((key) => ({ key, label: SIZE_WORDS[key], range: SIZES[key], known: part.sizes[key] ?? null, optional: true }));
  }
  const known = sizesOfPickup(part);
  const may = (id: PickupField): boolean => (PICKUP_SIZES as readonly string[]).includes(id);
  return PICKUP_FIELD_IDS.filter((id) => known[id] ?? may(id)).map((key) => ({
    key,
    label: PICKUP_FIELD_WORDS[key],
    range: PICKUP_FIELDS[key],
    known: known[key] ?? null,
    optional: may(key),
  }));
}

/** A part with some sizes stated anew; null takes one away. */
export function withGiven(part: Part, given: Readonly<Record<string, Dimension | null>>): Part {
  if (isPickup(part)) return pickupWithSizes(part, given);
  const all: Readonly<Record<string, Dimension | null>> = { ...part.sizes, ...given };
  const sizes = Object.entries(all).filter(([, d]) => d !== null);
  return { ...part, sizes: Object.fromEntries(sizes) };
}

/** Lines of text as rows; what cannot be read is stated by its line. */
export type ReadLines<T> = { readonly ok: true; readonly rows: readonly T[] } | { readonly ok: false; readonly problem: string };

/** Screw places as lines: across, along, gauge: `-41 18.5 3`. */
export function readScrews(text: string): ReadLines<{ readonly x: number; readonly y: number; readonly gauge: number }> {
  return readLines(text, (line) => {
    const m = /^(-?[\d.,]+)\s+(-?[\d.,]+)\s+#?(\d{1,2})$/.exec(line);
    if (!m) return null;
    const mm = (text: string | undefined): number => Number((text ?? '').replace(',', '.'));
    const place = { x: mm(m[1]), y: mm(m[2]), gauge: mm(m[3]) };
    return Math.abs(place.x) <= 2000 && Math.abs(place.y) <= 2000 && place.gauge <= 24 ? place : null;
  });
}

/** Leads as lines: `red: start of the first coil`. */
export function readLeads(text: string): ReadLines<{ readonly colour: string; readonly is: string }> {
  return readLines(text, (line) => {
    const at = line.indexOf(':');
    const [colour, is] = [line.slice(0, at).trim(), line.slice(at + 1).trim()];
    return at > 0 && colour.length <= 40 && is !== '' && is.length <= 80 ? { colour, is } : null;
  });
}

function readLines<T>(text: string, read: (line: string) => T | null): ReadLines<T> {
  const rows: T[] = [];
  for (const [i, raw] of text.split('\n').entries()) {
    const line = raw.trim();
    if (line === '') continue;
    const row = read(line);
    if (row === null) return { ok: false, problem: `Line ${i + 1}, ‘${line.slice(0, 40)}’, cannot be read` };
    rows.push(row);
  }
  return { ok: true, rows };
}
