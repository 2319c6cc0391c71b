import { DECK_LETTERS, type Deck, type DeckElement, type DeckLetter } from './deck.js';

/** Why a deck cannot be read, with its line, from 1. */
export interface DeckProblem {
  readonly line: number;
  readonly kind:
    | 'too long'
    | 'too many lines'
    | 'command'
    | 'unknown element'
    | 'too few words'
    | 'not a number'
    | 'not positive'
    | 'joined to itself'
    | 'name twice'
    | 'nothing before it'
    | 'nothing in it'
    | 'no ground';
  readonly text: string;
}

export type ReadDeck = { readonly ok: true; readonly deck: Deck } | { readonly ok: false; readonly problems: readonly DeckProblem[] };

/** No line of a deck is longer, and no deck has more lines. */
const LONGEST = 500;
const MOST = 2000;
/** Lines that say how a deck is to be gone through, and change nothing of the circuit. */
const PASSED_OVER = /^\.(?:options?|op|ac|dc|tran|end|title|print|plot|save)\b/i;
/** Powers of ten by their letters, as decks write them: M is a thousandth, MEG a million. */
const SCALES: readonly (readonly [RegExp, number])[] = [
  [/^meg/i, 6],
  [/^t/i, 12],
  [/^g/i, 9],
  [/^k/i, 3],
  [/^m/i, -3],
  [/^u/i, -6],
  [/^n/i, -9],
  [/^p/i, -12],
  [/^f/i, -15],
];

/** A number of a deck: `4.7k`, `22n`, `1MEG`, `500pF`; null: none. Letters after the scale are a unit. */
export function deckNumber(text: string): number | null {
  const found = /^([+-]?(?:\d+\.?\d*|\.\d+))(?:e([+-]?\d+))?([a-zµ]*)$/i.exec(text.replace('µ', 'u'));
  if (!found) return null;
  const [, digits = '', power = '0', rest = ''] = found;
  // written as one number, so that 22n is 22e-9 to the last digit
  const value = Number(`${digits}e${Number(power) + (SCALES.find(([at]) => at.test(rest))?.[1] ?? 0)}`);
  return Number.isFinite(value) ? value : null;
}

/**
 * Reads a simple deck: resistors, capacitors, inductors, sources of voltage and current. The first line is its title, `*` and `;` begin comments, `+` goes on with the line
 * before. Decks that bring other files or carry commands are refused, with the line.
 */
export function readDeck(text: string): ReadDeck {
  const raw = text.split(/\r\n|\r|\n/);
  if (raw.length > MOST) return { ok: false, problems: [{ line: MOST + 1, kind: 'too many lines', text: '' }] };
  const problems: DeckProblem[] = [];
  const refuse = (at: number, kind: DeckProblem['kind'], what: string): void => {
    problems.push({ line: at, kind, text: what.slice(0, 60) });
  };
  const lines: { at: number; text: string }[] = [];
  raw.slice(1).forEach((r, i) => {
    const at = i + 2;
    const clean = r.replace(/\s;.*$|^\s*[*;].*$/, '').trim();
    if (r.length > LONGEST) refuse(at, 'too long', clean);
    else if (clean.startsWith('+')) {
      const before = lines.at(-1);
      if (before) before.text += ` ${clean.slice(1).trim()}`;
      else refuse(at, 'nothing before it', clean);
    } else if (clean !== '') lines.push({ at, text: clean });
  });
  const elements: DeckElement[] = [];
  for (const { at, text: said } of lines) {
    if (/^\.end\b/i.test(said)) break;
    if (said.length > LONGEST) refuse(at, 'too long', said);
    else if (said.startsWith('.')) {
      if (!PASSED_OVER.test(said)) refuse(at, 'command', said);
    } else {
      const e = elementOf(said);
      if (typeof e === 'string') refuse(at, e, said);
      else if (elements.some((o) => o.letter === e.letter && o.name.toLowerCase() === e.name.toLowerCase())) refuse(at, 'name twice', said);
      else elements.push(e);
    }
  }
  if (problems.length === 0 && elements.length === 0) refuse(1, 'nothing in it', '');
  if (problems.length === 0 && !elements.some((e) => e.a === '0' || e.b === '0')) refuse(1, 'no ground', '');
  if (problems.length > 0) return { ok: false, problems: problems.slice(0, 20) };
  return { ok: true, deck: { title: (raw[0] ?? '').replace(/^\s*\*?\s*/, '').trim(), elements } };
}

/** An element of a line, or why it is none. */
function elementOf(said: string): DeckElement | DeckProblem['kind'] {
  const words = said.split(/[\s,=()]+/).filter(Boolean);
  const letter = (said[0] ?? '').toUpperCase() as DeckLetter;
  if (!DECK_LETTERS.includes(letter)) return 'unknown element';
  const name = (words[0] ?? '').slice(1);
  const nodes = words.slice(1, letter === 'E' ? 5 : 3).map((n) => (/^gnd$/i.test(n) ? '0' : n.toLowerCase()));
  const [a, b, c, d] = nodes;
  const rest = words.slice(1 + (letter === 'E' ? 4 : 2));
  if (name === '' || a === undefined || b === undefined || (letter === 'E' && d === undefined) || rest.length === 0) return 'too few words';
  if (a === b) return 'joined to itself';
  const values =
    letter === 'V' || letter === 'I' ? sourceValues(rest) : rest.length === 1 ? { value: deckNumber(rest[0] ?? ''), ac: 0 } : { value: null, ac: 0 };
  if (values.value === null || values.ac === null) return 'not a number';
  if (['R', 'C', 'L'].includes(letter) && !(values.value > 0)) return 'not positive';
  return { letter, name, a, b, value: values.value, ac: values.ac, control: letter === 'E' ? [c ?? '0', d ?? '0'] : null };
}

/** `5`, `DC 5`, `AC 1`, `DC 5 AC 1`: a source's value and its amplitude; null: not a number. */
function sourceValues(rest: readonly string[]): { readonly value: number | null; readonly ac: number | null } {
  let value: number | null = 0;
  let ac: number | null = 0;
  for (let i = 0; i < rest.length; i++) {
    const word = rest[i] ?? '';
    if (/^dc$/i.test(word)) value = deckNumber(rest[++i] ?? '');
    else if (/^ac$/i.test(word)) {
      // the phase may follow: only one that is nothing can be read
      ac = deckNumber(rest[++i] ?? '');
      const phase = rest[i + 1];
      if (phase !== undefined && deckNumber(phase) !== null) {
        i += 1;
        if (deckNumber(phase) !== 0) ac = null;
      }
    } else value = i === 0 ? deckNumber(word) : null;
  }
  return { value, ac };
}
