import { OPEN, STATES } from '../../quantity/index.js';
import { AT_20, exactly, humbucker, measured, plainCoil, plainPickup } from '../../testing/circuit.js';
import {
  asRead,
  expectedAt,
  heardOf,
  judgeLine,
  meaningsByEar,
  meaningsByItself,
  netlistOf,
  networkOf,
  testSheet,
  USUAL_LOAD,
  wired,
  type Circuit,
  type TestLine,
  type TestQuantity,
} from '../index.js';

const coil = (more = {}) => plainCoil('coil', 8000, { henry: measured(3, 0.3), ...more });
const two = exactly('two pickups, toggle, own volumes and tones', [plainPickup('neck', coil()), plainPickup('bridge', coil({ winding: -1, magnet: -1 }))]);
const line = (c: Circuit, quantity: TestQuantity, part: RegExp, feature?: string): TestLine => {
  const found = testSheet(c).find((l) => l.target.quantity === quantity && part.test(l.target.part) && (feature === undefined || l.target.feature === feature));
  if (!found) throw new RangeError(`${quantity} ${String(part)}`);
  return found;
};

describe('what a part by itself may have [common practice, no source]', () => {
  const ohms = line(two, 'partResistance', /coil/, 'neck');
  const henry = line(two, 'partInductance', /coil/, 'neck');
  const judged = (l: TestLine, value: number) =>
    judgeLine(expectedAt(wired(two), l, AT_20) ?? { value: 0, least: 0, most: 0, resistance: null }, { value, limit: 0.01 * value });
  const fault = (l: TestLine, value: number, twin: number | null) =>
    meaningsByItself(two, l, judged(l, value), twin === null ? null : judged(l === ohms ? henry : ohms, twin))[0]?.fault ?? null;

  it('resistance and inductance both low: shorted turns; inductance alone: those, or a weak magnet; neither: nothing', () => {
    expect([fault(henry, 2, 6000), fault(ohms, 6000, 2), fault(henry, 2, 8000), fault(henry, 3, 8000), fault(ohms, 8000, 3)]).toEqual([
      'shorted turns',
      'shorted turns',
      'hidden turns',
      null,
      null,
    ]);
  });

  it('open or shorted, whatever the other reading', () => {
    expect([fault(ohms, OPEN, null), fault(ohms, 1, null), fault(ohms, 9000, null)]).toEqual(['coil open', 'coil shorted', null]);
  });

  it('a capacitor that conducts leaks', () => {
    const cap = line(two, 'partResistance', /^1 – 2$/, 'neck tone capacitor');
    expect(meaningsByItself(two, cap, 'not open', null).map((m) => m.fault)).toEqual(['leaks alone']);
    expect(meaningsByItself(two, line(two, 'partCapacitance', /1 – 2/), 'low', null)).toEqual([]);
  });

  it('what is read of its inductance takes the place of its sheet behind it', () => {
    const reading = {
      id: 'r',
      instrument: 'i',
      target: henry.target,
      value: 2.5,
      limit: 0.1,
      raw: '2.5',
      tool: 'meter',
      person: 'p',
      at: '2026-12-01T10:00:00Z',
      blind: false,
      survey: null,
      corrects: null,
    };
    const [neck] = asRead(two, [reading]).elements;
    expect(neck?.kind === 'pickup' && neck.coils[0]?.henry).toEqual({ value: 2.5, limit: 0.1, basis: { kind: 'readings', ids: ['r'] } });
  });
});

describe('what an answer by ear may mean [common practice, no source]', () => {
  const says = (c: Circuit, position: number, answer: string): string | null => {
    const l = line(c, 'stringAt', new RegExp(`^selector ${position}$`));
    return meaningsByEar(l, answer, heardOf(networkOf(netlistOf(wired(c), l.setting), USUAL_LOAD)))[0]?.fault ?? null;
  };

  it('has answers that the sheet offers, and nothing for the first', () => {
    for (const q of ['tapAt', 'stringAt'] as const) expect((STATES[q].choices ?? []).length).toBeGreaterThan(2);
    expect([says(two, 2, 'full'), says(two, 2, 'heard')]).toEqual([null, null]);
  });

  it('thin together: out of phase; thin alone: dull', () => {
    expect([says(two, 2, 'thin or hollow'), says(two, 1, 'thin or hollow')]).toEqual(['out of phase', 'dull']);
  });

  it('hums together though they are a pair: no pair; alone a single coil hums', () => {
    expect([says(two, 2, 'it hums'), says(two, 1, 'it hums')]).toEqual(['not a pair', 'hums alone']);
    const alike = exactly('two pickups, toggle, own volumes and tones', [plainPickup('neck', coil()), plainPickup('bridge', coil())]);
    expect(says(alike, 2, 'it hums')).toBeNull();
    const own = exactly('two pickups, toggle, own volumes and tones', [humbucker('neck', 4000, 4000), humbucker('bridge', 4000, 4000)]);
    expect(says(own, 1, 'it hums')).toBe('not a pair');
  });

  it('silent where something ought to be heard, and not where nothing is', () => {
    expect(says(two, 1, 'silent')).toBe('no signal');
    const cut = { ...two, joints: two.joints.filter((j) => j.a.element !== 'jack' && j.b.element !== 'jack') };
    const l = line(two, 'stringAt', /^selector 1$/);
    expect(meaningsByEar(l, 'silent', heardOf(networkOf(netlistOf(wired(cut), l.setting), USUAL_LOAD)))).toEqual([]);
  });
});
