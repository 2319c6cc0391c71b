import { exactly, humbucker } from '../testing/circuit.js';
import { OPEN, type Reading } from '../quantity/index.js';
import { asRead, elementIn, type Circuit, type Element } from './index.js';

const circuit = exactly('two pickups, toggle, one volume and tone', [humbucker('neck', 4000, 4100), humbucker('bridge', 4200, 4300)], {
  bleed: 'capacitor and resistor in parallel',
});
let n = 0;
const reading = (
  quantity: 'partResistance' | 'partCapacitance' | 'jackResistance',
  feature: string,
  part: string,
  value: number,
  more: Partial<Reading> = {},
): Reading => ({
  id: `r${++n}`,
  instrument: 'one',
  target: { quantity, feature, part },
  value,
  limit: 0.01 * value,
  raw: String(value),
  tool: 'meter',
  person: 'ada',
  at: `2026-12-01T10:00:0${n % 10}.000Z`,
  blind: false,
  survey: null,
  corrects: null,
  ...more,
});
const at = <K extends Element['kind']>(c: Circuit, id: string, kind: K): Extract<Element, { kind: K }> => {
  const e = elementIn(c, id);
  if (e?.kind !== kind) throw new Error(`no ${kind} ${id}`);
  return e as Extract<Element, { kind: K }>;
};
const AT_10 = { celsius: 10, limit: 0 };

describe('a circuit as its parts were metered', () => {
  it('takes each value from its own reading, copper back to 20 °C, capacitance from nF', () => {
    const c = asRead(
      circuit,
      [
        reading('partResistance', 'neck', 'north start – north finish', 3843),
        reading('partResistance', 'volume', '1 – 3', 468_000),
        reading('partCapacitance', 'tone capacitor', '1 – 2', 23.1),
        reading('partResistance', 'volume bleed resistor', '1 – 2', 149_000),
      ],
      AT_10,
    );
    const [north, south] = at(c, 'neck', 'pickup').coils;
    expect(north?.ohms?.value).toBeCloseTo(3843 / 0.9607, 6);
    expect(north?.ohms?.basis.kind).toBe('readings');
    expect(south?.ohms?.value).toBe(4100);
    expect(at(c, 'volume', 'pot').tracks[0]?.ohms.value).toBe(468_000);
    expect(at(c, 'tone capacitor', 'capacitor').farad.value).toBeCloseTo(23.1e-9, 15);
    expect(at(c, 'volume bleed resistor', 'resistor').ohms.value).toBe(149_000);
    expect(at(c, 'tone', 'pot')).toEqual(at(circuit, 'tone', 'pot'));
  });

  it('counts the newest that stands, and only readings of parts', () => {
    const first = reading('partResistance', 'volume', '1 – 3', 450_000, { at: '2026-12-01T09:00:00.000Z' });
    const second = reading('partResistance', 'volume', '1 – 3', 470_000, { at: '2026-12-01T09:30:00.000Z' });
    expect(at(asRead(circuit, [second, first]), 'volume', 'pot').tracks[0]?.ohms.value).toBe(470_000);
    const corrected = reading('partResistance', 'volume', '1 – 3', 440_000, { at: '2026-12-01T08:00:00.000Z', corrects: second.id });
    expect(at(asRead(circuit, [second, corrected]), 'volume', 'pot').tracks[0]?.ohms.value).toBe(440_000);
    expect(asRead(circuit, [reading('jackResistance', 'jack', 'selector 1', 7000)])).toBe(circuit);
  });

  it('is not said to be open because it reads so', () => {
    const c = asRead(circuit, [
      reading('partResistance', 'neck', 'north start – north finish', OPEN),
      reading('partResistance', 'bridge', 'north start – north finish', 0),
    ]);
    expect(at(c, 'neck', 'pickup').coils[0]?.ohms?.value).toBe(4000);
    expect(at(c, 'bridge', 'pickup').coils[0]?.ohms?.value).toBe(4200);
  });

  it('knows less where the air is less sure', () => {
    const r = reading('partResistance', 'neck', 'north start – north finish', 4000);
    const of = (limit: number): number => at(asRead(circuit, [r], { celsius: 20, limit }), 'neck', 'pickup').coils[0]?.ohms?.limit ?? 0;
    expect(of(0)).toBe(40);
    expect(of(5)).toBeCloseTo(40 + 4000 * 0.00393 * 5, 6);
  });
});
