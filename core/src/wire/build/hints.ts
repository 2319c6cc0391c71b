import type { Lug, PickupElement } from '../circuit.js';
import { endsOf, type Stages } from './terminals.js';
import { heardIn, type CircuitWish, type PickupVoice } from './wish.js';

/** Joints that one would begin with: where a search starts, which need not be right. `ground`: null. */
export type Hint = readonly (readonly [Lug, Lug | null])[];

/**
 * What one would solder first: the coils of a pickup in series where no row asks anything else, with the coil that stays at the hot or at the ground, and the other end on
 * ground where no row lays the pickup on top of another or turns it.
 */
export function hintsOf(wish: CircuitWish, { pickups }: Stages): readonly Hint[] {
  return [true, false].map((staysHot) => pickups.flatMap((p) => hintOf(wish, p, staysHot)));
}

function hintOf(wish: CircuitWish, p: PickupElement, staysHot: boolean): Hint {
  const rows = wish.rows.flatMap((r) =>
    heardIn(r.voice).flatMap((v) => (v.pickup === p.id ? [{ v, alone: heardIn(r.voice).length === 1, joined: r.voice.joined }] : [])),
  );
  const voices = rows.map((r) => r.v);
  const order = inSeries(p, voices, staysHot);
  if (order === null) return [];
  const ends = order.flatMap((c) => endsOf(p, c, false) ?? []);
  const inside = ends.slice(1).flatMap((e, i): Hint => {
    const above = ends[i];
    return above ? [[above.down, e.up]] : [];
  });
  const last = ends.at(-1);
  const low = last && rows.every((r) => (r.alone || r.joined === 'parallel') && r.v.coils.every((c) => !c.turned));
  return [...inside, ...(low ? ([[last.down, null]] as const) : [])];
}

/** The coils from the hot down; null: some row does not have them in series, one way about. */
function inSeries(p: PickupElement, voices: readonly PickupVoice[], staysHot: boolean): readonly string[] | null {
  const names = p.coils.map((c) => c.name);
  const all = voices.every((v) => v.coils.length < 2 || (v.joined === 'series' && new Set(v.coils.map((c) => c.turned)).size === 1));
  if (!all) return null;
  const stays =
    voices.find((v) => v.coils.length === 1 && names.length > 1)?.coils[0]?.coil ??
    voices.flatMap((v) => names.filter((n) => v.partly !== null && n !== v.partly))[0];
  if (stays === undefined) return names;
  const others = names.filter((n) => n !== stays);
  return staysHot ? [stays, ...others] : [...others, stays];
}
