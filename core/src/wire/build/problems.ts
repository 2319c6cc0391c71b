import { controlsOf, everySetting } from '../setting.js';
import type { Element } from '../circuit.js';
import { atOf, rowAt, settingsOf } from './row-at.js';
import { allLugs, stagesOf } from './terminals.js';
import { splitOf } from './task-of.js';
import { heardIn, type CircuitWish, type PickupVoice, type WishRow } from './wish.js';

/** What of a wish cannot be, or is not said yet, with the row or the part that it is about. */
export type WishProblem =
  | { readonly kind: 'no pickups' }
  | { readonly kind: 'no jack' }
  | { readonly kind: 'no rows' }
  | { readonly kind: 'too many settings'; readonly most: number }
  | { readonly kind: 'too many terminals'; readonly most: number }
  /** Two rows are of one setting. */
  | { readonly kind: 'said twice'; readonly row: number; readonly first: number }
  /** A setting of which nothing is said. */
  | { readonly kind: 'not said'; readonly at: WishRow['at'] }
  | { readonly kind: 'no such position'; readonly row: number; readonly element: string; readonly position: number; readonly positions: number }
  | { readonly kind: 'no such switch'; readonly row: number; readonly element: string }
  | { readonly kind: 'no such coil'; readonly row: number; readonly pickup: string; readonly coil: string | null }
  /** A pickup or a coil is named twice in a row. */
  | { readonly kind: 'heard twice'; readonly row: number; readonly pickup: string }
  /** Partly split, and no resistor for it. */
  | { readonly kind: 'no resistor'; readonly row: number; readonly pickup: string }
  /** Partly split are two coils in series and in phase. */
  | { readonly kind: 'partly what'; readonly row: number; readonly pickup: string }
  /** Behind volumes of their own pickups cannot lie in series. */
  | { readonly kind: 'series behind volumes'; readonly row: number }
  /** A blend brings both of its pickups everywhere. */
  | { readonly kind: 'not both of a blend'; readonly row: number }
  | { readonly kind: 'volumes of all'; readonly pots: readonly string[] }
  | { readonly kind: 'no value'; readonly element: string };

/** The most settings that are built for. */
export const MOST_ROWS = 64;

/** The most terminals that a search can number. */
const MOST_TERMINALS = 240;

/** What is wrong with a wish as it stands; nothing when it can be built for. */
export function wishProblems(wish: CircuitWish): readonly WishProblem[] {
  const { elements, rows } = wish;
  const { pickups, volumes } = stagesOf(wish);
  const out: WishProblem[] = [];
  if (pickups.length === 0) out.push({ kind: 'no pickups' });
  if (!elements.some((e) => e.kind === 'jack')) out.push({ kind: 'no jack' });
  if (rows.length === 0) out.push({ kind: 'no rows' });
  out.push(...elements.filter(hasNoValue).map((e): WishProblem => ({ kind: 'no value', element: e.id })));
  const ofAll = volumes.filter((v) => v.of === null).map((v) => v.pot.id);
  if (ofAll.length > 1) out.push({ kind: 'volumes of all', pots: ofAll });
  if (allLugs(elements).length > MOST_TERMINALS) return [...out, { kind: 'too many terminals', most: MOST_TERMINALS }];
  const switches = { ...emptyCircuit, elements: elements.filter((e) => e.does !== 'kill') };
  if (settingsOf(elements) > MOST_ROWS) return [...out, { kind: 'too many settings', most: MOST_ROWS }];
  rows.forEach((row, i) => out.push(...placeProblems(wish, row, i), ...voiceProblems(wish, row, i)));
  for (const s of everySetting(switches)) {
    const at = atOf(switches, s);
    if (rowAt(rows, at) === null) out.push({ kind: 'not said', at });
  }
  return out;
}

const emptyCircuit = { format: 1, joints: [], bare: [] } as const;

/** A part that carries a signal and of which nothing is known that a circuit can be worked out by. */
function hasNoValue(e: Element): boolean {
  if (e.kind === 'pickup') return e.coils.length === 0 || e.coils.some((c) => c.ohms === null);
  if (e.kind === 'switch') return e.table.positions.length === 0;
  return e.kind === 'pot' && e.tracks.length === 0;
}

function placeProblems({ elements, rows }: CircuitWish, { at }: WishRow, row: number): readonly WishProblem[] {
  const controls = controlsOf({ ...emptyCircuit, elements });
  const first = rows.findIndex((r) => rowAt([r], at) !== null);
  return [
    ...Object.entries(at).flatMap(([element, position]): readonly WishProblem[] => {
      const c = controls.find((x) => x.element === element);
      if (!c) return [{ kind: 'no such switch', row, element }];
      return Number.isInteger(position) && position >= 0 && position < c.count
        ? []
        : [{ kind: 'no such position', row, element, position, positions: c.count }];
    }),
    ...(first < row ? [{ kind: 'said twice' as const, row, first }] : []),
  ];
}

function voiceProblems(wish: CircuitWish, { voice }: WishRow, row: number): readonly WishProblem[] {
  const { pickups, volumes } = stagesOf(wish);
  const heard = heardIn(voice);
  const own = (id: string): boolean => volumes.some((v) => v.of === id);
  const blended = volumes.filter((v) => v.pot.does === 'blend').map((v) => v.of);
  return [
    ...heard.flatMap((v) => pickupProblems(wish, v, row)),
    ...heard
      .filter((v, i) => heard.findIndex((x) => x.pickup === v.pickup) < i || new Set(v.coils.map((c) => c.coil)).size < v.coils.length)
      .map((v): WishProblem => ({ kind: 'heard twice', row, pickup: v.pickup })),
    ...(heard.length > 1 && voice.joined === 'series' && heard.some((v) => own(v.pickup)) ? [{ kind: 'series behind volumes' as const, row }] : []),
    ...(blended.length > 0 && !blended.every((b) => heard.some((v) => v.pickup === b)) && pickups.length > 1
      ? [{ kind: 'not both of a blend' as const, row }]
      : []),
  ];
}

function pickupProblems(wish: CircuitWish, { pickup, coils, partly }: PickupVoice, row: number): readonly WishProblem[] {
  const p = stagesOf(wish).pickups.find((x) => x.id === pickup);
  if (!p) return [{ kind: 'no such coil', row, pickup, coil: null }];
  const lost = coils.filter((c) => !p.coils.some((x) => x.name === c.coil));
  if (lost.length > 0) return lost.map((c) => ({ kind: 'no such coil', row, pickup, coil: c.coil }));
  if (partly === null) return [];
  if (coils.length !== 2 || !coils.some((c) => c.coil === partly) || coils[0]?.turned !== coils[1]?.turned) return [{ kind: 'partly what', row, pickup }];
  return splitOf(wish, pickup) === null ? [{ kind: 'no resistor', row, pickup }] : [];
}
