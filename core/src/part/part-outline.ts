import type { Basis } from '../measure/index.js';
import type { Outline } from '../shape/index.js';

/** An outline known from measuring or a sheet, with the limit of error of its edges, mm; in the part's own frame. */
export interface PartOutline {
  readonly outline: Outline;
  readonly limit: number;
  readonly basis: Basis;
}
