import type { ImportResult } from '@rinnovo/core/format';

/** A file to be read: its text, and the unit that the technician chose for a drawing that does not say its own. */
export interface ImportRequest {
  readonly kind: 'svg' | 'dxf';
  readonly text: string;
  readonly assumed: 'mm' | 'inch' | null;
}

export type ImportAnswer = ImportResult;
