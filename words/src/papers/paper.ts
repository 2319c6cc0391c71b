import type { Anatomy, Face } from '@rinnovo/core/instrument';

/** A number on the drawing, in the body's frame. */
export interface PaperMark {
  readonly x: number;
  readonly y: number;
  readonly text: string;
}

/** An instrument on paper, seen on one face; what is new is drawn heavy. */
export interface PaperMap {
  readonly caption: string;
  readonly anatomy: Anatomy;
  readonly face: Face;
  readonly marks: readonly PaperMark[];
  /** Levels that are drawn heavy, by their ids. */
  readonly heavy: ReadonlySet<string>;
}

/** A piece of a paper. */
export type PaperBlock =
  | { readonly kind: 'heading'; readonly text: string }
  | { readonly kind: 'text'; readonly text: string; readonly strong?: boolean }
  | { readonly kind: 'pairs'; readonly pairs: readonly (readonly [string, string])[] }
  /** `shares`: how wide each column is of the whole; the last ones may be numbers, set to the right. */
  | {
      readonly kind: 'table';
      readonly head: readonly string[];
      readonly shares: readonly number[];
      readonly rows: readonly (readonly string[])[];
      readonly right?: number;
    }
  /** Lines with a box to tick, a number, or neither. */
  | { readonly kind: 'lines'; readonly mark: 'box' | 'number' | 'none'; readonly lines: readonly { readonly text: string; readonly detail?: string }[] }
  /** Side by side, all to the same scale. */
  | { readonly kind: 'maps'; readonly maps: readonly PaperMap[] }
  /** Lines to write on. */
  | { readonly kind: 'blanks'; readonly labels: readonly string[] }
  /** Never on two pages: a signature stands with what is signed. */
  | { readonly kind: 'together'; readonly blocks: readonly PaperBlock[] };

/** Who and what a paper is of: on its first page in full, on every page in its foot. */
export interface PaperHead {
  /** The workshop's name and address; empty where it said none. */
  readonly workshop: string;
  readonly address: string;
  /** Empty: the workshop's own. */
  readonly owner: string;
  readonly instrument: string;
  /** Label and value, of the instrument and its job. */
  readonly about: readonly (readonly [string, string])[];
  readonly date: string;
}

/** A paper as it is printed, in its order. */
export interface Paper {
  readonly title: string;
  readonly head: PaperHead;
  readonly blocks: readonly PaperBlock[];
}

/** Room for who signs, with what is signed before it on the same page. */
export const signed = (what: readonly PaperBlock[], ...who: readonly string[]): PaperBlock => ({
  kind: 'together',
  blocks: [...what, { kind: 'blanks', labels: who.map((w) => `${w}: name, date, signature`) }],
});

/** The two faces of an instrument, side by side. */
export function bothFaces(anatomy: Anatomy, marks: Readonly<Record<Face, readonly PaperMark[]>>): PaperBlock {
  const map = (face: Face, caption: string): PaperMap => ({ caption, anatomy, face, marks: marks[face], heavy: new Set() });
  return { kind: 'maps', maps: [map('top', 'Top'), map('back', 'Back')] };
}
