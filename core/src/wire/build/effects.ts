import type { PickupElement } from '../circuit.js';
import { rowAt } from './row-at.js';
import { heardIn, SILENCE, type CircuitWish, type PickupVoice, type Voice } from './wish.js';

/** What a pull or a small switch can do to what is heard. */
export type Effect =
  | { readonly do: 'nothing' | 'all in series' | 'direct' | 'kill' }
  /** One coil stays, or by a resistor a part of the other too. */
  | { readonly do: 'split' | 'partly split'; readonly pickup: string; readonly stays: string }
  | { readonly do: 'coils in parallel' | 'reverse' | 'add'; readonly pickup: string };

/** A voice with an effect on it; a pickup that is not heard stays so, unless it is added. */
export function withEffect(voice: Voice, effect: Effect, pickups: readonly PickupElement[]): Voice {
  const put = (pickup: string, to: (v: PickupVoice) => PickupVoice): Voice => ({
    ...voice,
    pickups: voice.pickups.map((v) => (v.pickup === pickup ? to(v) : v)),
  });
  switch (effect.do) {
    case 'nothing':
      return voice;
    case 'kill':
      return SILENCE;
    case 'direct':
      return { ...voice, direct: true, tones: null };
    case 'all in series':
      return { ...voice, pickups: pickups.map((p) => voice.pickups.find((v) => v.pickup === p.id) ?? wholePickup(p)), joined: 'series' };
    case 'split':
      return put(effect.pickup, (v) => ({ ...v, coils: v.coils.filter((c) => c.coil === effect.stays), partly: null }));
    case 'partly split':
      return put(effect.pickup, (v) => ({ ...v, joined: 'series', partly: v.coils.find((c) => c.coil !== effect.stays)?.coil ?? null }));
    case 'coils in parallel':
      return put(effect.pickup, (v) => ({ ...v, joined: 'parallel', partly: null }));
    case 'reverse':
      return put(effect.pickup, (v) => ({ ...v, coils: v.coils.map((c) => ({ ...c, turned: !c.turned })) }));
    case 'add': {
      const p = pickups.find((x) => x.id === effect.pickup);
      return !p || heardIn(voice).some((v) => v.pickup === p.id)
        ? voice
        : { ...voice, pickups: [...heardIn(voice), wholePickup(p)].toSorted((a, b) => order(pickups, a) - order(pickups, b)) };
    }
  }
}

const order = (pickups: readonly PickupElement[], v: PickupVoice): number => pickups.findIndex((p) => p.id === v.pickup);

/** All coils of a pickup, in series and in phase. */
export const wholePickup = (p: PickupElement): PickupVoice => ({
  pickup: p.id,
  coils: p.coils.map((c) => ({ coil: c.name, turned: false })),
  joined: 'series',
  partly: null,
});

/** A wish in which a pull does one thing everywhere: its rows are made from those in which it is at rest. */
export function withPull(wish: CircuitWish, control: string, effect: Effect): CircuitWish {
  const pickups = wish.elements.filter((e) => e.kind === 'pickup');
  const rows = wish.rows.map((row) => {
    if ((row.at[control] ?? 0) === 0) return row;
    const rest = rowAt(wish.rows, { ...row.at, [control]: 0 });
    return rest ? { ...row, voice: withEffect(rest.voice, effect, pickups) } : row;
  });
  return { ...wish, rows };
}

/** Which coil is to stay in each pickup so that two split ones still cancel hum: of opposite magnets; null: there is no such pair [law]. */
export function cancellingStays(a: PickupElement, b: PickupElement): { readonly a: string; readonly b: string } | null {
  for (const x of a.coils) for (const y of b.coils) if (x.magnet !== y.magnet) return { a: x.name, b: y.name };
  return null;
}
