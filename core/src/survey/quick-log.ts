import { parseLength, type LengthUnit } from '../measure/index.js';
import { STATES, type AnyTarget, type StateId, type StateTarget } from '../quantity/index.js';
import { lineFor } from '../wire/index.js';
import { type Surveyed } from './surveyed.js';
import { placesOf } from './places.js';
import { typedState, type TypedState } from './typed-state.js';

/** How quantities are called in a hurry; the first is the one that is offered. */
const CALLED: Readonly<Partial<Record<StateId, readonly string[]>>> = {
  humidity: ['rh', 'humidity'],
  temperature: ['t', 'temp', 'temperature'],
  relief: ['relief'],
  action: ['action'],
  nutGap: ['nut', 'gap'],
  saddleTravel: ['saddle'],
  edgeGap: ['edge'],
  intonation: ['intonation', 'cents'],
  pickupHeight: ['height'],
  resistance: ['dcr', 'ohms'],
  groundResistance: ['ground'],
  jointGap: ['joint'],
  rodTurns: ['rod'],
  fretRock: ['rock'],
  fretHeight: ['fret', 'crown'],
  stringsOverTop: ['overtop'],
  saddleShown: ['shown'],
  planeOverBridge: ['plane'],
  bridgeLift: ['lift'],
  reliefTreble: ['twist'],
  reliefAt: ['curve'],
  supply: ['cell', 'supply'],
  breakAngle: ['break'],
  poleOffset: ['offset'],
};

const TOOLS = ['calliper', 'rule', 'tape', 'depth gauge'] as const;
export type QuickTool = (typeof TOOLS)[number];

/** One value that was understood, or why it cannot be. */
export interface QuickValue {
  readonly target: AnyTarget;
  readonly raw: string;
  readonly typed: TypedState;
  /** Named in the line; null: the usual one. */
  readonly tool: QuickTool | null;
}

/** A line as it was understood. What is no reading is a note: nothing that was typed is lost. */
export interface QuickLine {
  readonly values: readonly QuickValue[];
  readonly note: string | null;
}

/** What parts the facts of a line: a semicolon, or a comma and a space; a comma alone is a decimal one. */
const PARTED = /;|,\s/;

/**
 * Reads a line of the quick log, of one fact or several: `relief .25; rh 38 t 19, seam line at the heel`. What is no reading is a note, each by itself; a line that begins
 * with *note* is one whole. A fact without its name goes by the name before it: `action e1 1.9, e6 2.3`.
 */
export function quickLine(text: string, s: Surveyed, unit: LengthUnit): QuickLine {
  const facts = text
    .split(PARTED)
    .map((f) => f.trim())
    .filter(Boolean);
  if (facts.length === 0 || /^note\s/i.test(text.trim())) return oneFact(text, s, unit);
  let named = '';
  const read = facts.map((fact): QuickLine => {
    const alone = oneFact(fact, s, unit);
    const [first = ''] = fact.split(/\s+/);
    if (alone.values.length > 0) {
      if (calledId(first)) named = first;
      return alone;
    }
    const after = named === '' ? alone : oneFact(`${named} ${fact}`, s, unit);
    return after.values.length > 0 ? after : alone;
  });
  const values = read.flatMap((r) => r.values);
  // nothing of it is a reading: it stands as it was typed
  if (values.length === 0) return { values, note: text.trim() };
  return { values, note: read.flatMap((r) => (r.note === null ? [] : [r.note])).join('; ') || null };
}

/**
 * Reads one fact: `relief .25`, `action 12 e1 1.9 e6 2.3`, `dcr neck 7.4k`, `pot hole 7.9 calliper`, `rh 38 t 19`, `note seam line`.
 * Places are those of the instrument; one that it does not have, or a word that is no value, makes the whole line a note.
 */
function oneFact(text: string, s: Surveyed, unit: LengthUnit): QuickLine {
  const words = text.trim().split(/\s+/).filter(Boolean);
  const note = (): QuickLine => ({ values: [], note: text.trim() === '' ? null : text.trim().replace(/^note\s+/i, '') });
  if (words.length === 0 || words[0]?.toLowerCase() === 'note') return note();
  const hole = holeLine(words, s, unit);
  if (hole) return hole;
  const values: QuickValue[] = [];
  let at = 0;
  while (at < words.length) {
    const id = calledId(words[at] ?? '');
    if (!id) return note();
    const read = valuesOf(id, words, at + 1, s, unit);
    if (!read || read.values.length === 0) return note();
    values.push(...read.values);
    at = read.next;
  }
  return { values, note: null };
}

function calledId(word: string): StateId | null {
  const w = word.toLowerCase();
  for (const [id, names] of Object.entries(CALLED)) if (names.includes(w)) return id as StateId;
  return null;
}

/** The values after a quantity's name, up to the next name: each after its place, or down all places when there are as many. */
function valuesOf(
  id: StateId,
  words: readonly string[],
  from: number,
  s: Surveyed,
  unit: LengthUnit,
): { readonly values: readonly QuickValue[]; readonly next: number } | null {
  const places = placesOf(id, s);
  const [only] = places;
  if (!only) return null;
  let at = from;
  // the fret at which action and intonation are read is the 12th: it may be said
  if (['action', 'intonation'].includes(id) && words[at] === '12' && words.length > at + 1) at += 1;
  const values: QuickValue[] = [];
  const bare: string[] = [];
  while (at < words.length && !(values.length + bare.length > 0 && calledId(words[at] ?? ''))) {
    const found = placeOf(id, words, at, places, s);
    if (found) {
      const split = splitLine(found.place, words[found.next], s);
      const next = split ? found.next + 1 : found.next;
      const raw = words[next];
      if (raw === undefined) return null;
      values.push({ target: split ?? found.place, raw, typed: typedState(id, raw, unit), tool: null });
      at = next + 1;
    } else {
      bare.push(words[at] ?? '');
      at += 1;
    }
  }
  if (bare.length > 0 && (values.length > 0 || bare.length !== places.length)) return null;
  if (bare.some((raw) => !/\d/.test(raw))) return null;
  const down = places.flatMap((target, i) => (bare[i] === undefined ? [] : [{ target, raw: bare[i], typed: typedState(id, bare[i], unit), tool: null }]));
  return { values: [...values, ...down], next: at };
}

/** `dcr neck split`: the line of the circuit's sheet where that pickup is heard split; null where the word is another, or it never is. */
function splitLine({ quantity, feature }: StateTarget, word: string | undefined, { circuit }: Surveyed): StateTarget | null {
  if (quantity !== 'resistance' || word?.toLowerCase() !== 'split' || !circuit) return null;
  return lineFor(circuit, feature, 'split')?.target ?? null;
}

/** A place named in a hurry: `e1`, `s3`, `f7`, `bass`, `neck`, `bridge bass`. */
function placeOf(
  id: StateId,
  words: readonly string[],
  at: number,
  places: readonly StateTarget[],
  { anatomy }: Surveyed,
): { readonly place: StateTarget; readonly next: number } | null {
  const word = (words[at] ?? '').toLowerCase();
  const { of } = STATES[id];
  const numbered = /^([a-z])(\d{1,2})$/.exec(word);
  const by = (feature: string, part?: string): StateTarget | null => places.find((p) => p.feature === feature && p.part === part) ?? null;
  const found = (place: StateTarget | null, next: number) => (place ? { place, next } : null);
  switch (of) {
    case 'string':
      return numbered && ['e', 's'].includes(numbered[1] ?? '') ? found(by(`string ${numbered[2] ?? ''}`), at + 1) : null;
    case 'fret':
    case 'along':
      return numbered?.[1] === 'f' ? found(by(`fret ${numbered[2] ?? ''}`), at + 1) : null;
    case 'edge':
      return found(by(`${word} edge`), at + 1);
    case 'metal':
    case 'end':
      return found(by(word), at + 1);
    case 'pickup':
    case 'pickup side': {
      const position = anatomy.positions.find((p) => p.name.toLowerCase().split(/\s+/).includes(word));
      if (!position) return null;
      if (of === 'pickup') return found(by(position.id), at + 1);
      return found(by(position.id, (words[at + 1] ?? '').toLowerCase()), at + 2);
    }
    default:
      return null;
  }
}

/** `pot hole 7.9 calliper`: the diameter of a hole by its name. */
function holeLine(words: readonly string[], { anatomy }: Surveyed, unit: LengthUnit): QuickLine | null {
  const tool = TOOLS.find((t) => words.at(-1)?.toLowerCase() === t) ?? null;
  const rest = tool ? words.slice(0, -1) : words;
  const raw = rest.at(-1);
  const name = rest.slice(0, -1).join(' ').toLowerCase();
  const hole = anatomy.holes.find((h) => h.name.toLowerCase() === name);
  if (!hole || raw === undefined) return null;
  const p = parseLength(raw, unit);
  const typed: TypedState = p.ok ? { kind: 'value', value: p.mm } : { kind: 'wrong', because: 'not a length' };
  return { values: [{ target: { quantity: 'holeDiameter', feature: hole.id }, raw, typed, tool }], note: null };
}

/** How a line may go on: names of quantities, or the places of the one that was named. */
export function completions(text: string, s: Surveyed): readonly string[] {
  const words = (text.split(PARTED).at(-1) ?? '').trimStart().split(/\s+/);
  const last = (words.at(-1) ?? '').toLowerCase();
  const before = words.slice(0, -1).map((w) => w.toLowerCase());
  const named =
    [...before]
      .reverse()
      .map(calledId)
      .find((id) => id !== null) ?? null;
  const names = Object.entries(CALLED).flatMap(([id, [first]]) => (first !== undefined && placesOf(id as StateId, s).length > 0 ? [first] : []));
  const holes = before.length === 0 ? s.anatomy.holes.map((h) => h.name.toLowerCase()) : [];
  const offered = named ? [...shortPlaces(named, s), ...names] : [...names, ...holes, 'note'];
  return offered.filter((o) => o.startsWith(last) && o !== last).slice(0, 8);
}

function shortPlaces(id: StateId, s: Surveyed): readonly string[] {
  const places = placesOf(id, s);
  switch (STATES[id].of) {
    case 'string':
      return places.map((_, i) => `e${i + 1}`);
    case 'fret':
    case 'along':
      return places.map((p) => p.feature.replace('fret ', 'f'));
    case 'edge':
      return ['bass', 'treble'];
    case 'pickup':
    case 'pickup side':
      return s.anatomy.positions.flatMap((p) => p.name.toLowerCase().split(/\s+/)[0] ?? []);
    default:
      return places.length > 1 ? places.map((p) => p.feature) : [];
  }
}

/** Are all of a line's values such that they can be kept? */
export function isWhole(line: QuickLine): boolean {
  return line.values.every((v) => v.typed.kind === 'value');
}
