import type { Dimension } from '../measure/index.js';
import { constant } from '../measure/index.js';
import type { Coil, Pickup, PickupKind } from '../part/index.js';
import type { CoverJoined, PickupElement, WiredCoil } from './circuit.js';

/** A value that nobody measured, with half of its usual range. */
export const typical = (value: number, limit: number): Dimension => ({ value, limit, basis: { kind: 'default' } });

/** A pot's track is off its mark by a fifth; a capacitor by a tenth, a resistor by a twentieth [trade]. */
export const POT_OFF = constant(0.2, 'trade', 'Pots');
export const CAPACITOR_OFF = constant(0.1, 'trade', 'Capacitors');
export const RESISTOR_OFF = constant(0.05, 'trade', 'Resistors');
/** What leaves a part of the second coil when a pickup is split, Ω: 1 to 6 kΩ are usual. */
export const USUAL_SPLIT = constant(2200, 'trade', 'Splits');
/** What a sheet says of a coil is so within this share. */
export const SHEET_OFF = constant(0.1, 'memory', 'Coils of pickups');

/** A preamp's values, a piezo's and a cell's are off their marks by so much [memory]. */
export const PREAMP_OFF = constant(0.2, 'memory', 'Active parts');
export const PIEZO_OFF = constant(0.3, 'memory', 'Active parts');
export const CELL_OFF = constant(0.07, 'memory', 'Active parts');

/** What a part's sheet says, off by a share of it. */
export const onSheet = (part: string, value: number, off: number): Dimension => ({ value, limit: value * off, basis: { kind: 'sheet', part } });

/** A value as it is marked, off by a share of it. */
export const marked = (value: number, off: number): Dimension => typical(value, value * off);

/** A marked value with the tolerance of its kind: 500 kΩ ± 100. */
export const markedTrack = (ohms: number): Dimension => marked(ohms, POT_OFF.value);
export const markedCapacitor = (farad: number): Dimension => marked(farad, CAPACITOR_OFF.value);
export const markedResistor = (ohms: number): Dimension => marked(ohms, RESISTOR_OFF.value);

/** Usual values of a preamp, a cell and a piezo [memory: docs/trade/wire.md, Active parts]. */
export const PREAMP = {
  gain: typical(1, 0.1),
  sourceOhms: typical(1000, 500),
  inputOhms: typical(1e6, 200_000),
  supply: typical(0.8e-3, 0.5e-3),
  charging: false,
} as const;
export const CELL = typical(9, 0.6);
export const PIEZO = typical(1.2e-9, 0.8e-9);

/** What the coils of a kind usually are, the whole pickup: kΩ, H, pF from and to; how many coils it has [memory: docs/trade/wire.md, Coils of pickups]. */
interface UsualCoils {
  readonly coils: 1 | 2;
  readonly kiloohms: readonly [number, number];
  readonly henry: readonly [number, number];
  readonly picofarad: readonly [number, number];
}

export const USUAL_COILS: Readonly<Record<PickupKind, UsualCoils>> = {
  'single-coil': { coils: 1, kiloohms: [5.5, 7.5], henry: [2, 3.5], picofarad: [80, 140] },
  'plate single-coil': { coils: 1, kiloohms: [6.5, 7.5], henry: [2.7, 3.5], picofarad: [80, 140] },
  humbucker: { coils: 2, kiloohms: [7, 9], henry: [3.5, 8], picofarad: [100, 180] },
  'slim humbucker': { coils: 2, kiloohms: [7, 9], henry: [3.5, 8], picofarad: [100, 180] },
  'small humbucker': { coils: 2, kiloohms: [6, 7.5], henry: [2.5, 3.7], picofarad: [80, 140] },
  soapbar: { coils: 1, kiloohms: [7.5, 9.5], henry: [5, 8], picofarad: [80, 140] },
  'dog-eared': { coils: 1, kiloohms: [7.5, 9.5], henry: [5, 8], picofarad: [80, 140] },
  'bass slim': { coils: 1, kiloohms: [7, 9], henry: [3, 4.5], picofarad: [80, 140] },
  'bass split half': { coils: 1, kiloohms: [5, 6], henry: [2.5, 3.5], picofarad: [80, 140] },
  'bass soapbar': { coils: 2, kiloohms: [7, 11], henry: [3.5, 7], picofarad: [100, 180] },
};

/** A treble bleed, F and Ω: a capacitor alone, with a resistor in parallel, in series [memory: docs/trade/wire.md, Bleeds]. */
export const USUAL_BLEED = { alone: 680e-12, parallel: [1e-9, 150_000], series: [150e-12, 130_000] } as const;

const between = ([low, high]: readonly [number, number], scale: number): Dimension => typical(((low + high) / 2) * scale, ((high - low) / 2) * scale);

/** Two coils of a pickup usually hum-cancel: the second is wound and magnetised the other way. */
const SIGN = [1, -1] as const;
/** As they are called where their part does not name them. */
const NAMES = { 1: ['coil'], 2: ['north', 'south'] } as const;

/** The coils of a kind as they usually are. The second of a pair has the other magnet; wound alike, it is joined the other way. */
export function typicalCoils(kind: PickupKind): readonly WiredCoil[] {
  const { coils, kiloohms, henry, picofarad } = USUAL_COILS[kind];
  return NAMES[coils].map((name, i): WiredCoil => ({
    name,
    ohms: between(kiloohms, 1000 / coils),
    henry: between(henry, 1 / coils),
    farad: between(picofarad, 1e-12),
    loss: null,
    winding: 1,
    magnet: SIGN[i] ?? 1,
    startColour: null,
    finishColour: null,
  }));
}

/** The coils of a part, as far as its sheet or a meter tells them; the rest as its kind usually has it. */
export function coilsOf(part: Pickup): readonly WiredCoil[] {
  const usual = typicalCoils(part.kind);
  const coils = part.coils ?? [];
  if (coils.length === 0) return usual;
  return coils.map((c, i) => withSheet(c, usual[i] ?? usual[0], part));
}

function withSheet(c: Coil, usual: WiredCoil | undefined, part: Pickup): WiredCoil {
  const told = (value: number | null, scale: number, otherwise: Dimension | null | undefined): Dimension | null =>
    value === null ? (otherwise ?? null) : onSheet(part.id, value * scale, SHEET_OFF.value);
  const colour = (end: 'start' | 'finish'): string | null => part.colours?.find((l) => isLead(l.is, c.name, end))?.colour ?? null;
  const magnet = c.magnet === null ? (usual?.magnet ?? 1) : c.magnet === 'north' ? 1 : -1;
  return {
    name: c.name,
    ohms: told(c.ohms, 1, usual?.ohms),
    henry: told(c.henry, 1, usual?.henry),
    farad: told(c.picofarad, 1e-12, usual?.farad),
    loss: told(c.loss ?? null, 1, null),
    // leads that were found by the swing have their starts in phase: the winding follows the magnet
    winding: c.winding !== null ? (c.winding === 'clockwise' ? 1 : -1) : part.leadsFound ? magnet : (usual?.winding ?? 1),
    magnet,
    startColour: colour('start'),
    finishColour: colour('finish'),
  };
}

/** The pickup of a place: its part's coils, or those that its kind usually has. */
export function pickupElement(id: string, place: string | null, of: { readonly part: Pickup } | { readonly kind: PickupKind }): PickupElement {
  const part = 'part' in of ? of.part : null;
  return {
    kind: 'pickup',
    id,
    name: null,
    does: 'pickup',
    place,
    part: part?.id ?? null,
    coils: part ? coilsOf(part) : typicalCoils('kind' in of ? of.kind : 'single-coil'),
    cover: part ? coverOfPart(part) : 'none',
  };
}

/** Where a part's cover is joined. */
export function coverOfPart(part: Pickup): CoverJoined {
  return part.coverGround === 'own wire' ? 'own wire' : part.coverGround === 'with the coil' ? coverWithCoil(coilsOf(part)) : 'none';
}

/** Does a lead's description name this end of this coil? *End of the first coil* is the finish of *first*. */
export function isLead(is: string, coil: string, end: 'start' | 'finish'): boolean {
  const text = is.toLowerCase();
  return (end === 'start' ? /\bstart\b/ : /\b(?:end|finish)\b/).test(text) && text.split(/\s+/).includes(coil.toLowerCase());
}

/** Of one coil the finish goes to ground, of two in series the start of the second. */
function coverWithCoil(coils: readonly WiredCoil[]): CoverJoined {
  const last = coils.at(-1);
  return last ? { coil: last.name, end: coils.length > 1 ? 'start' : 'finish' } : 'none';
}
