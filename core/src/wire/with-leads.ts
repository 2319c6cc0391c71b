import type { Coil, Lead, LeadsFound, Pickup } from '../part/index.js';
import { constant, type Dimension } from '../measure/index.js';
import { usualLimit } from '../quantity/index.js';
import { atTwenty } from './as-read.js';
import { USUAL_ROOM, type Room } from './copper.js';
import type { PickupElement, WiredCoil } from './circuit.js';
import type { FoundCoil } from './find-leads.js';
import { isLead } from './values.js';

const METER = { kind: 'measured', tool: 'meter' } as const;
/** The inductance of a coil with a core changes with the meter's frequency by so much, as a share. */
const HENRY_OFF = constant(0.05, 'memory', 'Leads of pickups');

/**
 * A pickup as its leads were found, coil by coil in the order in which they were: colours, Ω taken back to 20 °C from the air that they were read in, H where a meter told it.
 * The swing tells winding times magnet, not each: with the start towards the hot it is +1, so the winding follows the magnet.
 */
export function withLeads(e: PickupElement, found: readonly FoundCoil[], henries: readonly (number | null)[] = [], room: Room = USUAL_ROOM): PickupElement {
  const coils = e.coils.map((c, i): WiredCoil => {
    const f = found[i];
    if (!f) return c;
    const henry = henries[i] ?? null;
    return {
      ...c,
      startColour: f.start,
      finishColour: f.finish,
      winding: f.start === null ? c.winding : c.magnet,
      ohms: atTwenty({ value: f.ohms, limit: usualLimit('partResistance', f.ohms), basis: METER }, room),
      henry: henry === null ? c.henry : { value: henry, limit: henry * HENRY_OFF.value, basis: METER },
    };
  });
  return { ...e, coils };
}

/** The part on the shelf with what a meter found of it, and the readings that it was found by; what nobody metered stays as it was. */
export function partFound(part: Pickup, e: PickupElement, found: LeadsFound): Pickup {
  const metered = (d: Dimension | null, was: number | null): number | null => (d?.basis.kind === 'measured' ? d.value : was);
  const coils = e.coils.map((c, i): Coil => {
    const was = part.coils?.[i] ?? { name: c.name, ohms: null, henry: null, picofarad: null, wireGauge: null, winding: null, magnet: null };
    const winding = was.magnet === null ? null : was.magnet === 'north' ? 'clockwise' : 'anticlockwise';
    return { ...was, name: c.name, winding, ohms: metered(c.ohms, was.ohms), henry: metered(c.henry, was.henry) };
  });
  const named = e.coils.flatMap((c): readonly Lead[] => [
    ...(c.startColour === null ? [] : [{ colour: c.startColour, is: `start of ${c.name}` }]),
    ...(c.finishColour === null ? [] : [{ colour: c.finishColour, is: `finish of ${c.name}` }]),
  ]);
  const isNamed = (l: Lead): boolean =>
    named.some((n) => n.colour === l.colour) || e.coils.some((c) => isLead(l.is, c.name, 'start') || isLead(l.is, c.name, 'finish'));
  const others = (part.colours ?? []).filter((l) => !isNamed(l));
  return { ...part, coils, colours: [...named, ...others], leads: Math.max(part.leads, named.length), leadsFound: found };
}
