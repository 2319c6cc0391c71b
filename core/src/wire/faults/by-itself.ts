import { elementIn, type Circuit } from '../circuit.js';
import { coilLug } from '../kinds/index.js';
import type { LineVerdict } from '../judge-line.js';
import type { TestLine } from '../test-sheet.js';
import type { Meaning } from './index.js';

/**
 * What a part that is read by itself may have [trade: docs/trade/wire.md, Faults that a meter shows]: an open or shorted coil, a capacitor that passes direct current, and
 * of a coil whose inductance is low shorted turns: its resistance low as well tells so, its resistance right leaves a weak magnet beside. `twin` is how the coil's other
 * reading stands, resistance beside inductance; null where nobody took it.
 */
export function meaningsByItself(circuit: Circuit, { target, probes }: TestLine, verdict: LineVerdict, twin: LineVerdict | null): readonly Meaning[] {
  const e = elementIn(circuit, target.feature);
  const of = (fault: Meaning['fault'], at = ''): readonly Meaning[] => [{ fault, element: target.feature, at }];
  if (e?.kind === 'capacitor') return target.quantity === 'partResistance' && verdict === 'not open' ? of('leaks alone') : [];
  const coil = e?.kind === 'pickup' ? e.coils.find((c) => coilLug(c.name, 'start') === probes?.[0].lug) : undefined;
  if (!coil) return [];
  if (verdict === 'open') return of('coil open', coil.name);
  if (verdict === 'shorted') return of('coil shorted', coil.name);
  if (verdict !== 'low') return [];
  const isInductance = target.quantity === 'partInductance';
  if (twin === 'low') return of('shorted turns', coil.name);
  return isInductance && twin === 'agrees' ? of('hidden turns', coil.name) : of('shorted turns', coil.name);
}
