import { constant } from '../measure/index.js';
import type { Network } from './alternating.js';
import { readyFor } from './eliminate.js';
import { alone, voltageAt } from './response.js';

/** Where coils are weighed against one another, Hz: under every resonance, above what a capacitor in the way takes. */
const LOW = 200;
/** A coil that is so much weaker than the strongest is not heard, as a share of it. */
const FAINT = constant(0.03, 'memory', 'Signs of coils');
/** Hum that is left of so little of what the coils pick up is cancelled. */
const CANCELLED = constant(0.2, 'memory', 'Signs of coils');

/** A coil that is heard: how strongly, and which end points to the hot. */
export interface HeardCoil {
  readonly element: string;
  readonly coil: string;
  /** Of its own voltage, at a low frequency. */
  readonly share: number;
  /** +1: its start points to the hot. */
  readonly connection: 1 | -1;
  readonly signal: number;
  readonly hum: number;
}

/** What is heard at a setting. */
export interface Heard {
  readonly coils: readonly HeardCoil[];
  /** Do the coils add? null: fewer than two. */
  readonly inPhase: boolean | null;
  /** How much of the hum that the coils pick up is left, from 0 to 1; null: fewer than two. */
  readonly humLeft: number | null;
  readonly humCancelling: boolean | null;
}

/**
 * Which coils are heard, by their signs [law]: signal adds with winding · magnet · connection, hum with winding · connection. A pair that is wound and magnetised the
 * other way is in phase and cancels; one pair of leads exchanged is out of phase and hums.
 */
export function heardOf(n: Network): Heard {
  const ready = readyFor(n);
  const all = n.sources.map((s): HeardCoil => {
    const { re } = voltageAt(n, alone(n, s), LOW, ready);
    const connection = re < 0 ? -1 : 1;
    return { element: s.element, coil: s.name, share: Math.abs(re), connection, signal: s.drive * connection, hum: s.hum * connection };
  });
  const strongest = Math.max(0, ...all.map((c) => c.share));
  const coils = all.filter((c) => c.share > FAINT.value * strongest);
  if (coils.length < 2) return { coils, inPhase: null, humLeft: null, humCancelling: null };
  const picked = coils.filter((c) => c.hum !== 0);
  const sum = picked.reduce((s, c) => s + c.hum * c.share, 0);
  const whole = picked.reduce((s, c) => s + c.share, 0);
  const humLeft = picked.length < 2 ? null : Math.abs(sum) / whole;
  return { coils, inPhase: coils.every((c) => c.signal === coils[0]?.signal), humLeft, humCancelling: humLeft === null ? null : humLeft <= CANCELLED.value };
}
