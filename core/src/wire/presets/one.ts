import { SWITCH_FORMS } from '../../part/index.js';
import { grounded, masters } from './master.js';
import { preset, pickupsOf } from './row.js';
import { coilEnds, lug, pole, switchOf, volume, wiring } from './wiring.js';
import type { PresetRow } from './row.js';

const straight = preset('one pickup straight to the jack', 1, (wish) => {
  const w = wiring(wish);
  for (const { hot } of grounded(w, 1)) w.join(hot, lug('jack', 'tip'));
  return w.done();
});

const volumeOnly = preset('one pickup, volume', 1, (wish) => {
  const w = wiring(wish);
  for (const { hot } of grounded(w, 1)) w.join(volume(w, 'volume', hot).output, lug('jack', 'tip'));
  return w.done();
});

const volumeTone = preset('one pickup, volume and tone', 1, (wish) => {
  const w = wiring(wish);
  for (const { hot } of grounded(w, 1)) masters(w, hot);
  return w.done();
});

const split = preset(
  'one pickup, volume and tone, split on the volume',
  1,
  (wish) => {
    const w = wiring(wish);
    for (const { hot, middle } of grounded(w, 1)) {
      masters(w, hot, { volumePull: SWITCH_FORMS['push-pull'] });
      if (middle) {
        w.join(middle, pole('volume', 'a', 'C'));
        w.join(pole('volume', 'a', 2), lug('volume', 'case'));
      }
    }
    return w.done();
  },
  { split: [0] },
);

/** Pole a brings the second coil under the first or beside it, pole b grounds the first: split, the second is shorted and hangs on nothing. */
const seriesSplitParallel = preset(
  'one pickup, series, split or parallel',
  1,
  (wish) => {
    const w = wiring(wish);
    const [p] = pickupsOf(wish, 1);
    const [a, b] = p ? coilEnds(p) : [];
    if (!a || !b) throw new RangeError('this circuit takes a pickup of two coils');
    switchOf(w, 'mode', 'mode', SWITCH_FORMS['mini toggle, on-on-on']);
    w.ground(b.ground);
    w.join(b.hot, pole('mode', 'a', 'C'));
    w.join(a.ground, pole('mode', 'a', 1));
    w.join(pole('mode', 'a', 1), pole('mode', 'b', 2));
    w.join(a.hot, pole('mode', 'a', 2));
    w.ground(pole('mode', 'b', 'C'));
    masters(w, a.hot);
    return w.done();
  },
  { split: [0] },
);

const killed = preset('one pickup, volume, tone and kill', 1, (wish) => {
  const w = wiring(wish);
  for (const { hot } of grounded(w, 1)) masters(w, hot);
  switchOf(w, 'kill', 'kill', SWITCH_FORMS['kill, momentary, shorting']);
  w.join(lug('kill', '1'), lug('jack', 'tip'));
  w.ground(lug('kill', '2'));
  return w.done();
});

/** Circuits of one pickup. */
export const ONE: readonly PresetRow[] = [straight, volumeOnly, volumeTone, split, seriesSplitParallel, killed];
