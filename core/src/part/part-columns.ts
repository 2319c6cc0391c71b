import type { TraitId } from './part-row.js';
import { ELECTRIC_IDS } from './electric.js';
import { SIZE_IDS } from './sizes.js';

/** What is chosen of a part from lists. */
export const TRAITS: readonly TraitId[] = [
  'shaftEnd',
  'knobGrip',
  'taper',
  'form',
  'surface',
  'fixing',
  'headForm',
  'wiring',
  'tracks',
  'direction',
  'fullUp',
  'charging',
];
const FIRST = ['id', 'kind', 'name', 'price', 'lead days', 'replaced by', 'note', 'thread', 'gauge', 'kiloohms'] as const;
/** The columns of the shelf as a table: what every part has, every size that any kind has, what is chosen from lists, what is marked in electric units, and contacts and the drawn rest as JSON. */
export const PART_COLUMNS: readonly string[] = [...FIRST, ...TRAITS, ...SIZE_IDS, ...ELECTRIC_IDS, 'contacts', 'drawn'];

/** A column as the header of a table has it: `threadLength` is headed `thread length`. */
export function partHeader(column: string): string {
  return column.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`);
}
