/** What a deck may hold: resistors, capacitors, inductors, ideal sources, and sources controlled by a voltage. */
export const DECK_LETTERS = ['R', 'C', 'L', 'V', 'I', 'E'] as const;
export type DeckLetter = (typeof DECK_LETTERS)[number];

/** One line of a deck. Values in Ω, F, H, V, A, times; `ac` is a source's amplitude for alternating current, 0 where there is none. */
export interface DeckElement {
  readonly letter: DeckLetter;
  /** Without its letter. */
  readonly name: string;
  readonly a: string;
  readonly b: string;
  readonly value: number;
  readonly ac: number;
  /** The nodes whose voltage controls it; null: nothing does. */
  readonly control: readonly [string, string] | null;
}

/** A circuit as lines between named nodes; node 0 is ground. */
export interface Deck {
  readonly title: string;
  readonly elements: readonly DeckElement[];
}

export const GROUND = '0';

export const line = (letter: DeckLetter, name: string, a: string, b: string, value: number, ac = 0): DeckElement => ({
  letter,
  name,
  a,
  b,
  value,
  ac,
  control: null,
});
