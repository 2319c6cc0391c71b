import type { KeptPart } from '@rinnovo/contract';
import type { Part, Shelf } from '@rinnovo/core/part';
import type { Knex } from 'knex';

export interface PartRow {
  readonly id: string;
  readonly document: Part;
  readonly archived: boolean;
  readonly version: number;
}

/** Most parts that a shelf holds. */
export const MOST_PARTS = 5000;

export function keptPart(r: PartRow): KeptPart {
  return { part: r.document, archived: r.archived, version: r.version };
}

/** Every part on the shelf and in instruments, by id. */
export async function allParts(db: Knex): Promise<Shelf> {
  const rows = (await db('parts').orderBy('id').limit(MOST_PARTS)) as PartRow[];
  return Object.fromEntries(rows.map((r) => [r.id, r.document]));
}
