import { AT_20, exactly, humbucker, plainCoil, plainPickup } from '../testing/circuit.js';
import { OPEN } from '../quantity/index.js';
import {
  expectedAt,
  judgeLine,
  meaningsOf,
  presetCircuit,
  PRESETS,
  testSheet,
  usualWish,
  whyNoTarget,
  wired,
  type Circuit,
  type Expected,
  type TestLine,
} from './index.js';

const OWN = 'two pickups, toggle, own volumes and tones';
const MASTER = 'two pickups, toggle, one volume and tone';
const two = [plainPickup('neck', plainCoil('coil', 8000)), plainPickup('bridge', plainCoil('coil', 8300))];

const lineAt = (c: Circuit, quantity: string, part: string): TestLine => {
  const found = testSheet(c).find((l) => l.target.quantity === quantity && l.target.part === part);
  if (!found)
    throw new Error(
      `no line ${quantity} ${part}: ${testSheet(c)
        .map((l) => l.target.part)
        .join(' | ')}`,
    );
  return found;
};
const expected = (c: Circuit, l: TestLine): Expected => expectedAt(wired(c), l, AT_20) ?? { value: NaN, least: NaN, most: NaN, resistance: null };

describe('a test sheet', () => {
  it('goes from parts by way of harness and body to a string, each target once', () => {
    for (const row of PRESETS) {
      const c = presetCircuit(row.id, usualWish(['neck', 'middle', 'bridge'].slice(0, row.pickups).map((p) => humbucker(p, 4000, 4100))));
      const sheet = testSheet(c);
      const order = ['part', 'harness', 'body', 'string'];
      const stages = sheet.map((l) => order.indexOf(l.stage));
      expect(stages)
        .withContext(row.id)
        .toEqual([...stages].sort((a, b) => a - b));
      const keys = sheet.map((l) => `${l.target.quantity}|${l.target.feature}|${l.target.part}`);
      expect(new Set(keys).size).withContext(row.id).toBe(keys.length);
      for (const l of sheet) expect(Number.isNaN(expectedAt(wired(c), l)?.value ?? 0)).toBeFalse();
    }
  });

  it('asks every coil and every pot before anything is soldered', () => {
    const parts = testSheet(exactly(MASTER, two)).filter((l) => l.stage === 'part');
    expect(parts.map((l) => `${l.target.feature} ${l.target.part}`)).toEqual([
      'neck coil start – coil finish',
      'neck coil start – coil finish',
      'bridge coil start – coil finish',
      'bridge coil start – coil finish',
      'volume 1 – 3',
      'volume 1 – 2, at 0',
      'volume 1 – 2, at half',
      'volume 2 – 3, at full',
      'tone 1 – 3',
      'tone 1 – 2, at 0',
      'tone 1 – 2, at half',
      'tone 2 – 3, at full',
      'tone capacitor 1 – 2',
      'tone capacitor 1 – 2',
    ]);
  });

  it('reads a part by itself, not through what it will be joined to', () => {
    const c = exactly(MASTER, two);
    const at = (part: string, feature: string): Expected =>
      expected(c, testSheet(c).find((l) => l.target.feature === feature && l.target.part === part && l.target.quantity === 'partResistance') as TestLine);
    expect(at('coil start – coil finish', 'neck').value).toBe(8000);
    expect(at('1 – 3', 'volume').value).toBe(500_000);
    expect(at('1 – 2, at 0', 'volume').value).toBe(0);
    expect(at('1 – 2, at half', 'volume').value).toBeCloseTo(50_000, 6);
    expect(at('1 – 2', 'tone capacitor').value).toBe(OPEN);
  });

  it('turns each volume down where its pickup is heard, and each tone', () => {
    const c = exactly(OWN, two);
    const body = testSheet(c).filter((l) => l.target.quantity === 'jackResistance');
    expect(body.map((l) => l.target.part)).toEqual([
      'selector 1',
      'selector 2',
      'selector 3',
      'selector 1, neck volume at 0',
      'selector 1, neck tone at 0',
      'selector 3, bridge volume at 0',
      'selector 3, bridge tone at 0',
    ]);
    expect(body.map((l) => Math.round(expected(c, l).value))).toEqual([7874, 4008, 8164, 0, 7874, 0, 8164]);
  });

  it('is empty while a lug is to be traced', () => {
    const c = exactly(MASTER, two);
    expect(testSheet({ ...c, joints: c.joints.slice(1) })).toEqual([]);
  });

  it('asks what a cell gives, plugged and unplugged: nothing without a plug', () => {
    const c = exactly('two pickups, blend, preamp, one volume', two);
    const supply = testSheet(c).filter((l) => l.target.quantity === 'supplyCurrent');
    expect(supply.map((l) => [l.target.part, expected(c, l).value])).toEqual([
      ['plugged in', 0.8],
      ['unplugged', 0],
    ]);
    const jack = testSheet(c).filter((l) => l.target.quantity === 'jackResistance');
    expect(jack.map((l) => expectedAt(wired(c), l))).toEqual(
      jack.map((l) => (l.target.part.includes('volume at 0') ? (jasmine.anything() as unknown as Expected) : null)),
    );
  });
});

describe('a reading beside its prediction', () => {
  const c = exactly(MASTER, two);
  const neck = lineAt(c, 'jackResistance', 'selector 1');
  const e = expected(c, neck);

  it('agrees within the meter’s limit and what old contacts add', () => {
    expect(judgeLine(e, { value: 7870, limit: 110 })).toBe('agrees');
    expect(judgeLine(e, { value: 7899, limit: 0 })).toBe('agrees');
    expect(judgeLine(e, { value: 7900, limit: 0 })).toBe('high');
    expect(judgeLine(e, { value: 7860, limit: 10 })).toBe('low');
    expect(judgeLine(e, { value: OPEN, limit: 30 })).toBe('open');
    expect(judgeLine(e, { value: 0.4, limit: 1 })).toBe('shorted');
  });

  const means = (circuit: Circuit, line: TestLine, value: number): readonly string[] =>
    meaningsOf(circuit, line, { value, limit: 0.01 * value }, AT_20).map((m) => `${m.fault}: ${m.element} ${m.at}`);

  it('of the pot’s value means an open coil, or the contact that brings it', () => {
    expect(means(c, neck, 500_000)).toEqual(['coil open: neck coil', 'contact open: selector C – A']);
  });

  it('of OL means the way to the jack', () => {
    expect(meaningsOf(c, neck, { value: OPEN, limit: 30 }, AT_20).map((m) => `${m.fault} ${m.at}`)).toEqual(['way to the jack open tip or sleeve']);
  });

  it('of nothing means hot on ground, or a coil that is shorted', () => {
    expect(means(c, neck, 0.3)).toEqual(['hot on ground: jack tip', 'coil shorted: neck coil']);
  });

  it('of one pickup where both should be means that the other is absent', () => {
    const both = lineAt(c, 'jackResistance', 'selector 2');
    expect(means(c, both, 8164)).toContain('coil open: neck coil');
    expect(means(c, both, 8164)).toContain('contact open: selector C – A');
    expect(means(c, both, 8164)).not.toContain('coil open: bridge coil');
  });

  it('of half a humbucker means one coil shorted, or a split that is stuck', () => {
    const h = exactly('two pickups, toggle, one volume and tone, both split on the volume', [humbucker('neck', 4000, 4000), humbucker('bridge', 4150, 4150)]);
    const m = means(h, lineAt(h, 'jackResistance', 'selector 1'), 3968);
    expect(m).toContain('coil shorted: neck north or south');
    expect(m).toContain('pull stuck: volume pulled');
  });

  it('that only a leak explains says so', () => {
    const leaky = means(c, lineAt(c, 'jackResistance', 'selector 1, tone at 0'), 3800);
    expect(leaky).toEqual(['capacitor leaks: tone capacitor 1 – 2']);
  });

  it('of a volume at 0 that does not mute means its ground lug', () => {
    const o = exactly(OWN, two);
    expect(means(o, lineAt(o, 'jackResistance', 'selector 1, neck volume at 0'), 508_000)).toContain('ground lug open: neck volume 1');
  });

  it('that agrees means nothing, and one that nothing explains stays unexplained', () => {
    expect(meaningsOf(c, neck, { value: 7870, limit: 110 }, AT_20)).toEqual([]);
    expect(means(c, neck, 60_000)).toEqual([]);
  });

  it('of a part by itself is not looked for in the circuit', () => {
    const part = testSheet(c)[0] as TestLine;
    expect(meaningsOf(c, part, { value: OPEN, limit: 30 }, AT_20)).toEqual([]);
    expect(judgeLine(expected(c, part), { value: 12_300, limit: 100 })).toBe('high');
    expect(
      judgeLine(expected(c, testSheet(c).find((l) => l.target.feature === 'tone capacitor' && l.target.quantity === 'partResistance') as TestLine), {
        value: 9000,
        limit: 100,
      }),
    ).toBe('not open');
    expect(judgeLine({ value: 22, least: 19.8, most: 24.2, resistance: null }, { value: 24.3, limit: 0 })).toBe('high');
  });
});

describe('what a sheet does not know', () => {
  it('is left without a prediction, not guessed', () => {
    const c = exactly(MASTER, [plainPickup('neck', plainCoil('coil', 8000, { ohms: null })), two[1] ?? plainPickup('bridge', plainCoil('coil', 1))]);
    expect(expectedAt(wired(c), lineAt(c, 'jackResistance', 'selector 1'))).toBeNull();
    expect(whyNoTarget(wired(c), lineAt(c, 'jackResistance', 'selector 1'))).toBe('unknown');
    expect(whyNoTarget(wired(c), lineAt(c, 'jackResistance', 'selector 3'))).toBeNull();
    const active = exactly('two pickups, blend, preamp, one volume', two);
    const first = testSheet(active).find((l) => l.target.quantity === 'jackResistance');
    expect(first && whyNoTarget(wired(active), first)).toBe('preamp');
    expect(expectedAt(wired(c), lineAt(c, 'jackResistance', 'selector 3'))).not.toBeNull();
  });
});
