import type { LengthUnit } from '@rinnovo/core/measure';
import type { Part } from '@rinnovo/core/part';

/** What was typed of a part and is not kept yet: the texts of its fields, and of its sizes in the unit they were typed in. */
export interface TypedPart {
  readonly part: Part;
  readonly fields: Readonly<Record<string, unknown>>;
  readonly sizes: Readonly<Record<string, string>>;
  readonly unit: LengthUnit;
}

/** The draft of the one part that is new; a part of the shelf has one under its own id. */
export const BEGUN = 'part begun';

/** What the draft of a part is called in the browser's database. */
export function draftOf(part: string, version: number | null): string {
  return version === null ? BEGUN : `part ${part}`;
}
