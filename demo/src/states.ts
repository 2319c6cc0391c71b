import { STATES, usualLimit, type Reading, type StateId } from '@rinnovo/core/quantity';
import { ids } from './ids.js';

type Row = readonly [quantity: StateId, feature: string, value: number];

/** A buzz, a high action and the relief behind both; judged in a room that is right. */
const SET_NECK: readonly Row[] = [
  ['stopSign', 'headstock break', 0],
  ['stopSign', 'loose neck joint', 0],
  ['stopSign', 'rod at its end', 0],
  ['stopSign', 'tingle from the strings', 0],
  ['humidity', 'room', 49],
  ['temperature', 'room', 20.5],
  ['symptom', 'buzz from the 12th up', 1],
  ['symptom', 'sour first-position chords', 0],
  ['relief', 'neck', 0.55],
  ['action', 'string 1', 2],
  ['action', 'string 6', 2.6],
  ['nutGap', 'string 1', 0.1],
  ['nutGap', 'string 6', 0.18],
  ['edgeGap', 'bass edge', 3.1],
  ['edgeGap', 'treble edge', 3],
  ['intonation', 'string 3', 7],
];

/** Fret ends felt in a dry room: they wait, and so does the top. */
const FLAT_TOP: readonly Row[] = [
  ['stopSign', 'lifting bridge', 0],
  ['stopSign', 'sinking top', 0],
  ['humidity', 'room', 31],
  ['temperature', 'room', 22],
  ['fretEnds', 'neck', 2],
  ['stringsOverTop', 'bridge', 10.5],
  ['saddleShown', 'bridge', 3.2],
];

/** Inspections that have been begun on two instruments. */
export const states: readonly Reading[] = [
  ...taken(ids.left, SET_NECK, 20, '2026-11-03T09:10:00.000Z'),
  ...taken(ids.acoustic, FLAT_TOP, 50, '2026-11-04T14:05:00.000Z'),
];

function taken(instrument: string, rows: readonly Row[], first: number, begun: string): readonly Reading[] {
  return rows.map(([quantity, feature, value], i) => ({
    id: ids.reading(first + i),
    instrument,
    target: { quantity, feature },
    value,
    limit: usualLimit(quantity, value),
    raw: STATES[quantity].choices?.[value] ?? String(value),
    tool: STATES[quantity].by,
    person: ids.ben,
    at: new Date(Date.parse(begun) + i * 60_000).toISOString(),
    blind: false,
  }));
}
