import type { Cavity } from '../instrument/index.js';

/** What a bore of a choice's bulk is called; a number follows, and the mark of its decision. */
export const boreOf = (choice: string): string => `bore ${choice} `;

/** The bores of a choice that are in a cavity: the passes take them up. */
export function boresIn(choice: string, cavity: Cavity | undefined): readonly string[] {
  return (cavity?.levels ?? []).filter((p) => p.id.startsWith(boreOf(choice))).map((p) => p.id);
}
