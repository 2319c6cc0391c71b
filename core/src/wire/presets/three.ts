import type { Lug } from '../circuit.js';
import { SWITCH_FORMS } from '../../part/index.js';
import { grounded, masters } from './master.js';
import { preset, type PresetRow } from './row.js';
import { lug, pole, switchOf, tone, volume, wiring, type Wiring } from './wiring.js';

/** Three hots on one pole of a lever, neck first: in its five positions neighbours sound together. */
function levered(w: Wiring, hots: readonly Lug[]): Lug {
  switchOf(w, 'selector', 'selector', SWITCH_FORMS['lever, five positions']);
  hots.forEach((h, i) => {
    w.join(h, pole('selector', 'a', i + 1));
  });
  return pole('selector', 'a', 'C');
}

const five = preset('three pickups, lever of five, one volume and tone', 3, (wish) => {
  const w = wiring(wish);
  masters(
    w,
    levered(
      w,
      grounded(w, 3).map((p) => p.hot),
    ),
  );
  return w.done();
});

/** The second pole brings the tones: one for the neck, one for the middle; the bridge has none. */
const twoTones = preset('three pickups, lever of five, one volume, tones for neck and middle', 3, (wish) => {
  const w = wiring(wish);
  const pickups = grounded(w, 3);
  const out = levered(
    w,
    pickups.map((p) => p.hot),
  );
  const { output } = volume(w, 'volume', out, {}, false);
  pickups.slice(0, 2).forEach(({ id, place }, i) => {
    tone(w, `${id} tone`, pole('selector', 'b', i + 1), { place });
  });
  w.join(out, pole('selector', 'b', 'C'));
  w.join(output, lug('jack', 'tip'));
  return w.done();
});

const neckAdded = preset('three pickups, lever of five, one volume and tone, neck added on the tone', 3, (wish) => {
  const w = wiring(wish);
  const pickups = grounded(w, 3);
  const out = levered(
    w,
    pickups.map((p) => p.hot),
  );
  masters(w, out, { tonePull: SWITCH_FORMS['push-pull'] });
  const neck = pickups[0];
  if (neck) w.join(neck.hot, pole('tone', 'a', 'C'));
  w.join(pole('tone', 'a', 2), out);
  return w.done();
});

/** A lever of four poles: a, b, c bring neck, middle, bridge; d grounds the joints that are split between. */
const fourPoles = (id: string, split: readonly number[]): PresetRow =>
  preset(
    id,
    3,
    (wish) => {
      const w = wiring(wish);
      const pickups = grounded(w, 3);
      switchOf(w, 'selector', 'selector', SWITCH_FORMS['lever, five positions, four poles']);
      const heard = [
        [1, 2],
        [2, 3, 4],
        [4, 5],
      ] as const;
      const common = pole('selector', 'a', 'C');
      pickups.forEach(({ hot, middle }, i) => {
        const p = (['a', 'b', 'c'] as const)[i] ?? 'a';
        for (const n of heard[i] ?? []) w.join(hot, pole('selector', p, n));
        w.join(pole('selector', p, 'C'), common);
        // neck and middle: position 2; middle and bridge: position 4
        if (middle && split.includes(i)) w.join(middle, pole('selector', 'd', i === 0 ? 2 : 4));
      });
      w.ground(pole('selector', 'd', 'C'));
      masters(w, common);
      return w.done();
    },
    { split },
  );

const toggles = preset('three pickups, a switch each, one volume and tone', 3, (wish) => {
  const w = wiring(wish);
  const out = grounded(w, 3).map(({ id, hot }) => {
    const s = `${id} switch`;
    switchOf(w, s, 'mode', SWITCH_FORMS['mini toggle, on-on']);
    w.join(hot, pole(s, 'a', 'C'));
    return pole(s, 'a', 1);
  });
  const [first] = out;
  if (!first) throw new RangeError('this circuit takes 3 pickups');
  for (const o of out.slice(1)) w.join(first, o);
  masters(w, first);
  return w.done();
});

/** Circuits of three pickups. */
export const THREE: readonly PresetRow[] = [
  five,
  twoTones,
  neckAdded,
  fourPoles('three pickups, lever of five and four poles, bridge split with the middle', [2]),
  fourPoles('three pickups, lever of five and four poles, neck and bridge split with the middle', [0, 2]),
  toggles,
];
