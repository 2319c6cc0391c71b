import type { Lug } from '../circuit.js';
import { CELL, markedTrack, PREAMP } from '../values.js';
import { grounded, ownVolumes } from './master.js';
import { preset, type PresetRow } from './row.js';
import { blendPot, element, lug, tone, volume, wiring, type Wiring } from './wiring.js';

/** Outputs that meet without a switch. */
function meet(w: Wiring, outputs: readonly Lug[]): Lug {
  const [first] = outputs;
  if (!first) throw new RangeError('this circuit takes pickups');
  for (const o of outputs.slice(1)) w.join(first, o);
  return first;
}

const twoVolumes = preset('two pickups without a switch, own volumes, one tone', 2, (wish) => {
  const w = wiring(wish);
  const out = meet(w, ownVolumes(w, grounded(w, 2), { tones: false }));
  tone(w, 'tone', out);
  w.join(out, lug('jack', 'tip'));
  return w.done();
});

/** Each pickup on a wiper of the blend, both led out together: in the middle both are full. */
function blended(w: Wiring): Lug {
  const [a, b] = grounded(w, 2);
  if (!a || !b) throw new RangeError('this circuit takes 2 pickups');
  blendPot(w, 'blend');
  w.join(a.hot, lug('blend', '2'));
  w.join(b.hot, lug('blend', '2′'));
  w.join(lug('blend', '3'), lug('blend', '1′'));
  w.join(lug('blend', '1'), lug('blend', 'case'));
  w.join(lug('blend', '3′'), lug('blend', 'case'));
  return lug('blend', '3');
}

const blend = preset('two pickups, blend, one volume and tone', 2, (wish) => {
  const w = wiring(wish);
  const out = blended(w);
  const { output } = volume(w, 'volume', out, {}, false);
  tone(w, 'tone', out);
  w.join(output, lug('jack', 'tip'));
  return w.done();
});

/** A cell whose minus comes to ground by the plug's barrel, and a volume of 25 kΩ behind the preamp. */
function behindPreamp(w: Wiring, hot: Lug): void {
  w.add(element('preamp', { kind: 'preamp', does: 'preamp', ...PREAMP }));
  w.add(element('cell', { kind: 'cell', does: 'cell', volt: CELL }));
  w.join(hot, lug('preamp', 'in'));
  w.ground(lug('preamp', 'ground'));
  w.join(lug('cell', 'plus'), lug('preamp', 'plus'));
  w.join(lug('cell', 'minus'), lug('jack', 'ring'));
}

const BEHIND = markedTrack(25_000);

const active = preset(
  'two pickups, blend, preamp, one volume',
  2,
  (wish) => {
    const w = wiring(wish, 'stereo');
    behindPreamp(w, blended(w));
    w.join(volumeBehind(w), lug('jack', 'tip'));
    return w.done();
  },
  { active: true },
);

/** A volume behind a preamp is of 25 kΩ, whatever the pickups want. */
function volumeBehind(w: Wiring): Lug {
  return volume({ ...w, wish: { ...w.wish, volume: BEHIND, bleed: 'none' } }, 'volume', lug('preamp', 'out'), {}, false).output;
}

const activeOne = preset(
  'one pickup, preamp, one volume',
  1,
  (wish) => {
    const w = wiring(wish, 'stereo');
    for (const { hot } of grounded(w, 1)) behindPreamp(w, hot);
    w.join(volumeBehind(w), lug('jack', 'tip'));
    return w.done();
  },
  { active: true },
);

/** Circuits without a switch, and active ones: most are a bass's. */
export const BASS: readonly PresetRow[] = [twoVolumes, blend, active, activeOne];
