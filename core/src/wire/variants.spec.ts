import { atJack, exactly, humbucker, plainCoil, plainPickup } from '../testing/circuit.js';
import {
  circuitProblems,
  networkOf,
  netlistOf,
  restingSetting,
  resonanceOf,
  USUAL_LOAD,
  VARIANTS,
  voltageAt,
  wired,
  asStruck,
  type Circuit,
  type VariantId,
} from './index.js';

const two = [plainPickup('neck', plainCoil('coil', 8000)), humbucker('bridge', 4100, 4200)];
const OWN = 'two pickups, toggle, own volumes and tones';
const circuit = exactly(OWN, two);
const row = (id: VariantId) => VARIANTS.find((v) => v.id === id) ?? VARIANTS[0];
const variant = (id: VariantId, of: Circuit = circuit): Circuit => row(id)?.of(of) ?? of;
const network = (c: Circuit, volume = 1) => networkOf(netlistOf(wired(c), { ...restingSetting(c), knobs: { 'neck volume': volume } }), USUAL_LOAD);
const level = (c: Circuit, hertz: number, volume: number): number => {
  const n = network(c, volume);
  const v = voltageAt(n, asStruck(n), hertz);
  return 20 * Math.log10(Math.hypot(v.re, v.im));
};

describe('a circuit with one thing otherwise', () => {
  it('can be, whatever it is laid over, and is offered only where it changes something', () => {
    for (const v of VARIANTS)
      if (v.applies(circuit))
        expect(circuitProblems(v.of(circuit)))
          .withContext(v.id)
          .toEqual([]);
    expect(VARIANTS.filter((v) => v.applies(circuit)).map((v) => v.id)).toEqual(['pots of 250 k', 'pots of 1 M', 'volumes the other way', 'with a bleed']);
    expect(VARIANTS.filter((v) => v.applies(exactly('one pickup straight to the jack', [two[0] ?? plainPickup('x')])))).toEqual([]);
  });

  it('with smaller pots peaks lower', () => {
    expect(resonanceOf(network(variant('pots of 250 k')))?.height ?? 0).toBeLessThan(resonanceOf(network(circuit))?.height ?? 0);
  });

  it('with volumes the other way is the independent circuit, and there and back is the same', () => {
    const independent = exactly(OWN, two, { independent: true });
    const turned = variant('volumes the other way');
    for (const knob of [0, 0.4, 1]) {
      const at = { positions: { selector: 1 }, knobs: { 'neck volume': knob } };
      expect(atJack(turned, at).value).toBeCloseTo(atJack(independent, at).value, 6);
    }
    expect(variant('volumes the other way', turned)).toEqual(circuit);
  });

  it('with a bleed keeps more treble as the volume goes down, and nothing changes full up', () => {
    const bled = variant('with a bleed');
    const kept = (c: Circuit): number => level(c, 5000, 0.5) - level(c, 200, 0.5);
    expect(kept(bled)).toBeGreaterThan(kept(circuit) + 1);
    expect(level(bled, 5000, 1)).toBeCloseTo(level(circuit, 5000, 1), 9);
    expect(variant('without a bleed', bled)).toEqual(circuit);
  });
});
