import { AT_20, exactly, humbucker, plainCoil, plainPickup } from '../testing/circuit.js';
import { seeded } from '../testing/random.js';
import { OPEN, usualLimit } from '../quantity/index.js';
import { expectedAt, findLeads, judgeLine, meaningsOf, simulatedMeter, testSheet, wired, type Circuit } from './index.js';
import type { LeadReading, Swing } from '../part/index.js';

describe('the leads of a pickup', () => {
  /** Four leads and a bare shield, as they truly are. */
  const LEADS = ['red', 'white', 'green', 'black', 'bare'];
  const coilOf: Readonly<Record<string, number>> = { red: 1, white: 1, green: 2, black: 2 };
  const truth = (a: string, b: string): number => (coilOf[a] !== undefined && coilOf[a] === coilOf[b] ? (coilOf[a] === 1 ? 3950 : 4050) : OPEN);

  it('are paired by resistance, whatever order they are taken in', () => {
    const random = seeded(11);
    for (let round = 0; round < 50; round++) {
      const leads = [...LEADS].sort(() => random() - 0.5);
      const read: LeadReading[] = [];
      for (let f = findLeads(leads, read, []); f.next; f = findLeads(leads, read, [])) {
        const [a, b] = f.next;
        read.push({ a, b, ohms: truth(a, b) });
        expect(read.length).toBeLessThanOrEqual(10);
      }
      const found = findLeads(leads, read, []);
      expect(found.coils.map((c) => [...c.leads].sort().join(' ')).sort()).toEqual(['black green', 'red white']);
      expect(found.alone).toEqual(['bare']);
      expect(found.taps).toEqual([]);
    }
  });

  it('have a start where the red probe swings up as steel is lifted off', () => {
    const read = [
      { a: 'red', b: 'white', ohms: 3950 },
      { a: 'green', b: 'black', ohms: 4050 },
      ...['red', 'white', 'green', 'black'].map((l) => ({ a: l, b: 'bare', ohms: OPEN })),
    ];
    const none = findLeads(LEADS, read, []);
    expect(none.swing).toEqual(['red', 'white']);
    const swings: Swing[] = [
      { red: 'red', to: 'up' },
      { red: 'green', to: 'down' },
    ];
    const found = findLeads(LEADS, read, swings);
    expect(found.coils.map((c) => [c.start, c.finish])).toEqual([
      ['red', 'white'],
      ['black', 'green'],
    ]);
    expect(found.swing).toBeNull();
  });

  it('of three with a joint or a tap tell which one it is', () => {
    const found = findLeads(
      ['hot', 'tap', 'ground'],
      [
        { a: 'hot', b: 'tap', ohms: 4000 },
        { a: 'tap', b: 'ground', ohms: 4100 },
        { a: 'hot', b: 'ground', ohms: 8100 },
      ],
      [],
    );
    expect(found.taps).toEqual([{ tap: 'tap', ends: ['hot', 'ground'] }]);
    expect(found.coils.map((c) => c.ohms).sort()).toEqual([4000, 4100]);
  });

  it('that touch are told as one, and a coil that is open leaves its leads alone', () => {
    expect(
      findLeads(
        ['a', 'b', 'case'],
        [
          { a: 'a', b: 'b', ohms: 7400 },
          { a: 'a', b: 'case', ohms: OPEN },
          { a: 'b', b: 'case', ohms: 0.3 },
        ],
        [],
      ).together,
    ).toEqual([['b', 'case']]);
    expect(findLeads(['a', 'b'], [{ a: 'a', b: 'b', ohms: OPEN }], []).alone).toEqual(['a', 'b']);
  });

  it('count as they were read last', () => {
    expect(
      findLeads(
        ['a', 'b'],
        [
          { a: 'a', b: 'b', ohms: OPEN },
          { a: 'b', b: 'a', ohms: 7400 },
        ],
        [],
      ).coils.length,
    ).toBe(1);
  });
});

describe('the simulated meter', () => {
  const two = [plainPickup('neck', plainCoil('coil', 8000)), humbucker('bridge', 4000, 4100)];
  const circuit = exactly('two pickups, toggle, own volumes and tones', two);
  const random = seeded(31);

  it('always says that it is simulated, settles, and agrees with the sheet of a sound circuit', () => {
    for (const line of testSheet(circuit)) {
      const expected = expectedAt(wired(circuit), line, AT_20);
      if (!line.probes || !expected || line.target.quantity === 'partCapacitance' || line.stage === 'part') continue;
      for (let i = 0; i < 20; i++) {
        const read = simulatedMeter(circuit, ...line.probes, line.setting, { celsius: 20, random });
        expect(read.simulated).toBeTrue();
        expect(read.settling.at(-1)).toBe(read.shown);
        expect(judgeLine(expected, { value: read.shown, limit: usualLimit('resistance', read.shown) }))
          .withContext(line.target.part)
          .toBe('agrees');
      }
    }
  });

  it('shows what is wrong with a circuit that has a fault, and the sheet names it', () => {
    const broken: Circuit = {
      ...circuit,
      elements: circuit.elements.map((e) =>
        e.kind === 'pickup' && e.id === 'neck' ? { ...e, coils: e.coils.map((c) => ({ ...c, broken: true as const })) } : e,
      ),
    };
    const lines = testSheet(circuit).filter((l) => l.target.quantity === 'jackResistance');
    const off = lines.filter((l) => {
      const expected = expectedAt(wired(circuit), l, AT_20);
      if (!l.probes || !expected) return false;
      const { shown } = simulatedMeter(broken, ...l.probes, l.setting, { celsius: 20, random });
      return judgeLine(expected, { value: shown, limit: usualLimit('resistance', shown) }) !== 'agrees';
    });
    expect(off.map((l) => l.target.part)).toContain('selector 1');
    expect(off.map((l) => l.target.part)).not.toContain('selector 3');
    const line = off[0];
    if (!line?.probes) throw new Error('a line is off');
    const { shown } = simulatedMeter(broken, ...line.probes, line.setting, { celsius: 20, random });
    expect(meaningsOf(circuit, line, { value: shown, limit: usualLimit('resistance', shown) }, AT_20)[0]).toEqual({
      fault: 'coil open',
      element: 'neck',
      at: 'coil',
    });
  });

  it('has digits of its range, shows OL beyond its last, and reads cold copper low', () => {
    const straight = exactly('one pickup straight to the jack', [plainPickup('neck', plainCoil('coil', 8000))]);
    const rest = { positions: {}, pulled: {}, knobs: {}, plugged: true };
    const probes = [
      { element: 'jack', lug: 'tip' },
      { element: 'jack', lug: 'sleeve' },
    ] as const;
    const warm = simulatedMeter(straight, ...probes, rest, { celsius: 20, random: () => 0.5 });
    expect([warm.shown, warm.range]).toEqual([8000, 20_000]);
    expect(simulatedMeter(straight, ...probes, rest, { celsius: 10, random: () => 0.5 }).shown).toBe(7690);
    expect(simulatedMeter({ ...straight, joints: [] }, ...probes, rest, { celsius: 20, random: () => 0.5 }).shown).toBe(OPEN);
    expect(() => simulatedMeter(straight, { element: 'jack', lug: 'ring' }, probes[1], rest, { celsius: 20, random })).toThrowError(RangeError);
  });
});
