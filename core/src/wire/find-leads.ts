import { constant } from '../measure/index.js';
import type { LeadReading, Swing } from '../part/index.js';
import { isOpenCircuit } from '../quantity/index.js';

/** A coil that was found. With `start` towards the hot all coils are in phase; null while its swing is not known. */
export interface FoundCoil {
  readonly leads: readonly [string, string];
  readonly ohms: number;
  readonly start: string | null;
  readonly finish: string | null;
}

/** What the leads of a pickup are, as far as the readings tell. */
export interface FoundLeads {
  readonly coils: readonly FoundCoil[];
  /** Leads that reach no other: a shield, or a coil that is open. */
  readonly alone: readonly string[];
  /** Three leads of one winding: the one in the middle is a tap, or the joint of two coils. */
  readonly taps: readonly { readonly tap: string; readonly ends: readonly [string, string] }[];
  /** Leads that are one: a shield on a coil's end, or a short. */
  readonly together: readonly (readonly [string, string])[];
  /** The pair to be measured next; null: resistance tells no more. */
  readonly next: readonly [string, string] | null;
  /** The coil whose swing is asked next; null: none. */
  readonly swing: readonly [string, string] | null;
}

/** Up to this two leads are one, Ω. */
const ONE_LEAD = constant(5, 'trade', 'Leads of pickups');
/** Are two leads with so much between them one, Ω? */
export const isOneLead = (ohms: number): boolean => ohms <= ONE_LEAD.value;
/** Two resistances that add up to a third do so within this share. */
const ADDS_UP = constant(0.03, 'memory', 'Leads of pickups');

/**
 * Finds the coils among the leads of a pickup: a finite resistance makes a pair, the same swing when steel is lifted off makes starts of one phase.
 * Four leads in two pairs of 4.0 kΩ are two coils; of three leads with 4.0, 4.1 and 8.1 kΩ the one that is on both shorter ones is the joint.
 */
export function findLeads(leads: readonly string[], read: readonly LeadReading[], swings: readonly Swing[]): FoundLeads {
  const between = (a: string, b: string): LeadReading | undefined => read.findLast((r) => (r.a === a && r.b === b) || (r.a === b && r.b === a));
  const pairs = leads.flatMap((a, i) => leads.slice(i + 1).map((b) => [a, b] as const));
  const joined = pairs.flatMap(([a, b]) => {
    const r = between(a, b);
    return r && !isOpenCircuit(r.ohms) ? [{ a, b, ohms: r.ohms }] : [];
  });
  const together = joined.filter((r) => isOneLead(r.ohms)).map((r) => [r.a, r.b] as const);
  const wound = joined.filter((r) => !isOneLead(r.ohms));
  const taps = leads.flatMap((tap) => tapAt(tap, wound));
  const inTap = new Set(taps.flatMap((t) => [t.tap, ...t.ends]));
  const coils = wound
    .filter((r) => !(inTap.has(r.a) && inTap.has(r.b)) || taps.some((t) => (t.tap === r.a && t.ends.includes(r.b)) || (t.tap === r.b && t.ends.includes(r.a))))
    .map((r): FoundCoil => {
      const start = startOf(r.a, r.b, swings);
      return { leads: [r.a, r.b], ohms: r.ohms, start, finish: start === null ? null : start === r.a ? r.b : r.a };
    });
  const paired = new Set(joined.flatMap((r) => [r.a, r.b]));
  // a lead that has its coil asks for no more: every coil's two are its own, but where three hang together
  const open = pairs.filter(([a, b]) => !between(a, b) && !(paired.has(a) && paired.has(b) && !hangTogether(a, b, wound)));
  const next = open.find(([a, b]) => !paired.has(a) && !paired.has(b)) ?? open[0] ?? null;
  const unswung = coils.find((c) => c.start === null);
  return {
    coils,
    taps,
    together,
    next,
    swing: next === null && unswung ? unswung.leads : null,
    alone: next === null ? leads.filter((l) => !paired.has(l)) : [],
  };
}

/** A lead between two others whose resistances to it add up to the one across. */
function tapAt(tap: string, wound: readonly LeadReading[]): FoundLeads['taps'] {
  const ends = wound.flatMap((r) => (r.a === tap ? [{ end: r.b, ohms: r.ohms }] : r.b === tap ? [{ end: r.a, ohms: r.ohms }] : []));
  return ends.flatMap((x, i) =>
    ends.slice(i + 1).flatMap((y) => {
      const across = wound.find((r) => (r.a === x.end && r.b === y.end) || (r.a === y.end && r.b === x.end));
      return across && Math.abs(x.ohms + y.ohms - across.ohms) <= ADDS_UP.value * across.ohms ? [{ tap, ends: [x.end, y.end] as const }] : [];
    }),
  );
}

/** Do two leads share a third? */
const hangTogether = (a: string, b: string, wound: readonly LeadReading[]): boolean => {
  const others = (l: string): readonly string[] => wound.flatMap((r) => (r.a === l ? [r.b] : r.b === l ? [r.a] : []));
  return others(a).some((o) => others(b).includes(o));
};

/** The start of a coil is where the red probe lies when the meter swings up. */
function startOf(a: string, b: string, swings: readonly Swing[]): string | null {
  const swing = swings.findLast((s) => s.red === a || s.red === b);
  if (!swing) return null;
  const other = swing.red === a ? b : a;
  return swing.to === 'up' ? swing.red : other;
}
