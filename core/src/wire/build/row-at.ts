import type { Circuit, Element } from '../circuit.js';
import { controlsOf, isPulled, positionOf, type Setting } from '../setting.js';
import type { WishRow } from './wish.js';

/** Where a setting's switches and pulls stand, by element. */
export function atOf(circuit: Pick<Circuit, 'elements'>, s: Setting): WishRow['at'] {
  const controls = controlsOf({ format: 1, joints: [], bare: [], ...circuit });
  return Object.fromEntries(controls.map(({ element, of }) => [element, of === 'position' ? positionOf(s, element) : isPulled(s, element) ? 1 : 0]));
}

/** The row that says something of where switches stand; null: none does. */
export function rowAt(rows: readonly WishRow[], at: WishRow['at']): WishRow | null {
  return rows.find((r) => [...Object.keys(r.at), ...Object.keys(at)].every((id) => (r.at[id] ?? 0) === (at[id] ?? 0))) ?? null;
}

/** How many settings some parts have: every switch with every pull, a kill switch at rest. */
export const settingsOf = (elements: readonly Element[]): number =>
  controlsOf({ format: 1, elements: elements.filter((e) => e.does !== 'kill'), joints: [], bare: [] }).reduce((n, c) => n * c.count, 1);
