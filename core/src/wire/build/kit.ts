import type { Pickup } from '../../part/index.js';
import type { Element } from '../circuit.js';
import { everySetting } from '../setting.js';
import { MOST_ROWS } from './problems.js';
import { atOf, rowAt, settingsOf } from './row-at.js';
import { markedResistor, USUAL_SPLIT } from '../values.js';
import { splitOf } from './task-of.js';
import { SILENCE, type CircuitWish, type LedOut } from './wish.js';

/**
 * A wish with other parts: a row for every setting that they have. What was said of a setting stays; where a switch or a pull is new, each of its positions does what was
 * said before; of a position more nothing is heard. With more settings than are built for, the rows stay as they were.
 */
export function withParts(wish: CircuitWish, elements: readonly Element[]): CircuitWish {
  const parts = { format: 1, elements: elements.filter((e) => e.does !== 'kill'), joints: [], bare: [] } as const;
  const known = new Set(wish.rows.flatMap((r) => Object.keys(r.at)));
  if (settingsOf(elements) > MOST_ROWS) return { ...wish, elements };
  const rows = everySetting(parts).map((s) => {
    const at = atOf(parts, s);
    const before = Object.fromEntries(Object.entries(at).filter(([id]) => known.has(id)));
    const of = (rowAt(wish.rows, at) ?? rowAt(wish.rows, before))?.voice ?? SILENCE;
    return { at, voice: { ...of, pickups: of.pickups.filter((p) => elements.some((e) => e.id === p.pickup)) } };
  });
  return { ...wish, elements, rows };
}

/** The same parts with nothing said yet. */
export const unsaid = (wish: CircuitWish): CircuitWish => ({ ...wish, rows: wish.rows.map((r) => ({ ...r, voice: SILENCE })) });

/** With the resistor of a partial split, where a pickup has none [trade: 1 to 6 kΩ, docs/trade/wire.md, Splits]. */
export function withSplitResistor(wish: CircuitWish, pickup: string): CircuitWish {
  if (splitOf(wish, pickup) !== null) return wish;
  const id = `${pickup} split resistor`;
  const resistor: Element = { kind: 'resistor', id, name: null, does: 'split resistor', place: null, part: null, ohms: markedResistor(USUAL_SPLIT.value) };
  return { ...wish, elements: [...wish.elements, resistor], serves: { ...wish.serves, [id]: pickup } };
}

/** How the coils of a part come out of it, by its number of leads: two are the ends; of three one is the joint, or the shield where the cover has a wire of its own [trade: docs/trade/wire.md, Leads of pickups]. */
export function ledOutOf({ leads, coverGround }: Pick<Pickup, 'leads' | 'coverGround'>): LedOut {
  if (leads >= 4) return 'coils apart';
  return leads === 3 && coverGround !== 'own wire' ? 'joint led out' : 'ends only';
}
