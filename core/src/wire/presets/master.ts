import type { Lug } from '../circuit.js';
import { ledOut, lug, tone, volume, type Wiring } from './wiring.js';
import type { ContactTable } from '../../part/index.js';
import { pickupsOf } from './row.js';

/** One volume and one tone behind what is hot, then the jack; the tone may carry a switch. */
export function masters(w: Wiring, hot: Lug, of: { readonly volumePull?: ContactTable; readonly tonePull?: ContactTable } = {}): void {
  const { output, input } = volume(w, 'volume', hot, of.volumePull ? { pull: of.volumePull } : {}, false);
  tone(w, 'tone', input, of.tonePull ? { pull: of.tonePull } : {});
  w.join(output, lug('jack', 'tip'));
}

/** The pickups of a wiring led out one by one, their ground ends on ground. */
export function grounded(
  w: Wiring,
  count: 1 | 2 | 3,
): readonly { readonly id: string; readonly place: string | null; readonly hot: Lug; readonly middle: Lug | null }[] {
  return pickupsOf(w.wish, count).map((p) => {
    const { hot, ground, middle } = ledOut(w, p);
    w.ground(ground);
    return { id: p.id, place: p.place, hot, middle };
  });
}

/** A volume of its own for each pickup, and a tone where asked for; the outputs. */
export function ownVolumes(
  w: Wiring,
  pickups: readonly { readonly id: string; readonly place: string | null; readonly hot: Lug }[],
  of: { readonly tones: boolean; readonly pulls?: ContactTable },
): readonly Lug[] {
  return pickups.map(({ id, place, hot }) => {
    const { output } = volume(w, `${id} volume`, hot, { place, ...(of.pulls ? { pull: of.pulls } : {}) });
    if (of.tones) tone(w, `${id} tone`, hot, { place });
    return output;
  });
}
