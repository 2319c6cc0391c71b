import { networkOf, USUAL_LOAD } from './alternating.js';
import type { Circuit } from './circuit.js';
import { heardOf } from './heard.js';
import { netlistOf, wired } from './netlist.js';
import { isPulled } from './setting.js';
import { testSheet, type TestLine } from './test-sheet.js';

/** The line at the jack where one pickup is heard by itself, all of it or a part; null where it never is. Of several the one with the fewest pulls. */
export function lineFor(circuit: Circuit, pickup: string, how: 'whole' | 'split'): TestLine | null {
  const e = circuit.elements.find((x) => x.kind === 'pickup' && (x.place === pickup || x.id === pickup));
  if (e?.kind !== 'pickup') return null;
  const w = wired(circuit);
  const pulls = ({ setting }: TestLine): number => circuit.elements.filter((x) => x.kind === 'pot' && isPulled(setting, x.id)).length;
  const alone = testSheet(circuit).filter((line) => {
    if (line.target.quantity !== 'jackResistance' || Object.values(line.setting.knobs).some((k) => k === 0)) return false;
    const { coils } = heardOf(networkOf(netlistOf(w, line.setting), USUAL_LOAD));
    const whole = coils.length === e.coils.length;
    return coils.length > 0 && coils.every((c) => c.element === e.id) && whole === (how === 'whole');
  });
  return alone.sort((a, b) => pulls(a) - pulls(b))[0] ?? null;
}
