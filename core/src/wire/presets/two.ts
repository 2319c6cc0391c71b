import { SWITCH_FORMS } from '../../part/index.js';
import { markedResistor, USUAL_SPLIT } from '../values.js';
import { grounded, masters, ownVolumes } from './master.js';
import { pickupsOf, preset, type PresetRow } from './row.js';
import { element, ledOut, lug, pole, switchOf, tone, wiring, type LedOut, type Wiring } from './wiring.js';
import type { Lug } from '../circuit.js';

const TOGGLE = SWITCH_FORMS['toggle, three positions'];
const PULL = SWITCH_FORMS['push-pull'];

/** A toggle with two hots on its contacts; ends in its common. */
function toggled(w: Wiring, [a, b]: readonly Lug[]): Lug {
  switchOf(w, 'selector', 'selector', TOGGLE);
  if (a) w.join(a, lug('selector', 'A'));
  if (b) w.join(b, lug('selector', 'B'));
  return lug('selector', 'C');
}

/** Neck and bridge led out, their ground ends still free. */
function bothOf(w: Wiring): { readonly a: LedOut; readonly b: LedOut } {
  const [neck, bridge] = pickupsOf(w.wish, 2);
  if (!neck || !bridge) throw new RangeError('this circuit takes 2 pickups');
  return { a: ledOut(w, neck), b: ledOut(w, bridge) };
}

const master = preset('two pickups, toggle, one volume and tone', 2, (wish) => {
  const w = wiring(wish);
  masters(
    w,
    toggled(
      w,
      grounded(w, 2).map((p) => p.hot),
    ),
  );
  return w.done();
});

const own = (id: string, tones: 'own' | 'one'): PresetRow =>
  preset(id, 2, (wish) => {
    const w = wiring(wish);
    const out = toggled(w, ownVolumes(w, grounded(w, 2), { tones: tones === 'own' }));
    if (tones === 'one') tone(w, 'tone', out);
    w.join(out, lug('jack', 'tip'));
    return w.done();
  });

const ownSplit = preset(
  'two pickups, toggle, own volumes and tones, each split on its volume',
  2,
  (wish) => {
    const w = wiring(wish);
    const pickups = grounded(w, 2);
    const out = toggled(w, ownVolumes(w, pickups, { tones: true, pulls: PULL }));
    for (const { id, middle } of pickups) {
      if (!middle) continue;
      w.join(middle, pole(`${id} volume`, 'a', 'C'));
      w.join(pole(`${id} volume`, 'a', 2), lug(`${id} volume`, 'case'));
    }
    w.join(out, lug('jack', 'tip'));
    return w.done();
  },
  { split: [0, 1] },
);

/** Both joints by one switch: straight to ground, or by a resistor that leaves a part of the second coil. */
const masterSplit = (id: string, resistor: number | null): PresetRow =>
  preset(
    id,
    2,
    (wish) => {
      const w = wiring(wish);
      const pickups = grounded(w, 2);
      masters(
        w,
        toggled(
          w,
          pickups.map((p) => p.hot),
        ),
        { volumePull: PULL },
      );
      pickups.forEach(({ id: of, middle }, i) => {
        const p = i === 0 ? 'a' : 'b';
        if (!middle) return;
        w.join(middle, pole('volume', p, 'C'));
        if (resistor === null) {
          w.ground(pole('volume', p, 2));
          return;
        }
        const r = `${of} split resistor`;
        w.add(element(r, { kind: 'resistor', does: 'split resistor', ohms: markedResistor(resistor) }));
        w.join(pole('volume', p, 2), lug(r, '1'));
        w.ground(lug(r, '2'));
      });
      return w.done();
    },
    { split: [0, 1] },
  );

const phase = preset('two pickups, toggle, one volume and tone, phase of the neck pickup on the tone', 2, (wish) => {
  const w = wiring(wish);
  const { a, b } = bothOf(w);
  w.ground(b.ground);
  masters(w, toggled(w, [pole('tone', 'a', 'C'), b.hot]), { tonePull: PULL });
  // both leads over the switch: crossed when pulled
  w.join(a.hot, pole('tone', 'a', 1));
  w.join(a.hot, pole('tone', 'b', 2));
  w.join(a.ground, pole('tone', 'b', 1));
  w.join(a.ground, pole('tone', 'a', 2));
  w.ground(pole('tone', 'b', 'C'));
  return w.done();
});

/** The neck's hot stays on the output; pole a takes its ground end, pole b brings the bridge: neck, both, bridge, and the neck on top of the bridge. */
const four = preset('two pickups, lever of four: neck, both, bridge, in series', 2, (wish) => {
  const w = wiring(wish);
  const { a, b } = bothOf(w);
  switchOf(w, 'selector', 'selector', SWITCH_FORMS['lever, four positions']);
  w.ground(b.ground);
  w.join(a.ground, pole('selector', 'a', 'C'));
  w.ground(pole('selector', 'a', 1));
  w.join(pole('selector', 'a', 1), pole('selector', 'a', 2));
  w.join(pole('selector', 'a', 4), pole('selector', 'b', 'C'));
  w.join(b.hot, pole('selector', 'b', 'C'));
  w.join(pole('selector', 'b', 2), pole('selector', 'b', 3));
  w.join(a.hot, pole('selector', 'b', 2));
  // with the bridge alone the neck is shorted, else it hangs on the output
  w.join(pole('selector', 'a', 3), a.hot);
  masters(w, a.hot);
  return w.done();
});

/** One pull puts both on top of one another, whatever the toggle says of them. */
const seriesPull = preset('two pickups, toggle, one volume and tone, both in series on the tone', 2, (wish) => {
  const w = wiring(wish);
  const { a, b } = bothOf(w);
  w.ground(b.ground);
  const out = toggled(w, [a.hot, pole('tone', 'b', 1)]);
  masters(w, out, { tonePull: PULL });
  // pushed: the neck's ground end on ground, the bridge's hot on the toggle; pulled: one on the other, the neck's hot on the output
  w.join(a.ground, pole('tone', 'a', 'C'));
  w.ground(pole('tone', 'a', 1));
  w.join(pole('tone', 'a', 2), b.hot);
  w.join(b.hot, pole('tone', 'b', 'C'));
  return w.done();
});

const rotary = preset(
  'two pickups, rotary of five, one volume and tone: neck, its outer coil, both, the inner coils, bridge',
  2,
  (wish) => {
    const w = wiring(wish);
    const pickups = grounded(w, 2);
    const [a, b] = pickups;
    if (!a || !b) throw new RangeError('this circuit takes 2 pickups');
    const id = 'selector';
    switchOf(w, id, 'selector', SWITCH_FORMS['rotary, four poles, five positions']);
    // pole a brings the neck, pole b the bridge, c and d ground their joints
    for (const n of [1, 2, 3, 4] as const) w.join(a.hot, pole(id, 'a', n));
    for (const n of [3, 4, 5] as const) w.join(b.hot, pole(id, 'b', n));
    w.join(pole(id, 'a', 'C'), pole(id, 'b', 'C'));
    if (a.middle) w.join(a.middle, pole(id, 'c', 'C'));
    if (b.middle) w.join(b.middle, pole(id, 'd', 'C'));
    for (const l of [pole(id, 'c', 2), pole(id, 'c', 4), pole(id, 'd', 4)]) w.ground(l);
    masters(w, pole(id, 'a', 'C'));
    return w.done();
  },
  { split: [0, 1] },
);

const killed = preset('two pickups, toggle, own volumes, one tone and kill', 2, (wish) => {
  const w = wiring(wish);
  const out = toggled(w, ownVolumes(w, grounded(w, 2), { tones: false }));
  tone(w, 'tone', out);
  w.join(out, lug('jack', 'tip'));
  switchOf(w, 'kill', 'kill', SWITCH_FORMS['kill, latching, shorting']);
  w.join(out, lug('kill', '1'));
  w.ground(lug('kill', '2'));
  return w.done();
});

/** Circuits of two pickups. */
export const TWO: readonly PresetRow[] = [
  master,
  own('two pickups, toggle, own volumes and tones', 'own'),
  own('two pickups, toggle, own volumes, one tone', 'one'),
  ownSplit,
  masterSplit('two pickups, toggle, one volume and tone, both split on the volume', null),
  masterSplit('two pickups, toggle, one volume and tone, both partly split on the volume', USUAL_SPLIT.value),
  phase,
  four,
  seriesPull,
  rotary,
  killed,
];
