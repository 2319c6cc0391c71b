import { drillAtOrAbove, drillSizes, isDull, LOOK_ALIKES, looksAlike, ownedDrills, smallestCutter, THREADS, woodScrewShank, type Tool } from './index.js';

describe('drill sizes', () => {
  // published in ANSI/ASME B94.11M; fractions are exact, numbers and letters from memory
  it('are those of the published table', () => {
    const by = (name: string): number =>
      [...drillSizes('number', 0, 6), ...drillSizes('letter', 5, 11), ...drillSizes('fraction', 0.1, 13)].find((d) => d.name === name)!.diameter;
    expect(by('#1')).toBeCloseTo(5.7912, 4);
    expect(by('#30')).toBeCloseTo(3.2639, 4);
    expect(by('#60')).toBeCloseTo(1.016, 4);
    expect(by('A')).toBeCloseTo(5.9436, 4);
    expect(by('H')).toBeCloseTo(6.7564, 4);
    expect(by('Z')).toBeCloseTo(10.4902, 4);
    expect(by('25/64 in')).toBeCloseTo(9.921875, 9);
    expect(by('3/8 in')).toBeCloseTo(9.525, 9);
    expect(by('1/2 in')).toBeCloseTo(12.7, 9);
  });

  it('grow without a gap the wrong way, and letters begin above number 1', () => {
    for (const system of ['number', 'letter', 'fraction', 'metric'] as const) {
      const all = drillSizes(system, 0.5, 13).map((d) => d.diameter);
      expect(all).toEqual([...all].sort((a, b) => a - b));
      expect(new Set(all).size).toBe(all.length);
    }
    expect(drillSizes('number', 0, 20).length).toBe(60);
    expect(drillSizes('letter', 0, 20).length).toBe(26);
    expect(drillSizes('letter', 0, 20)[0]!.diameter).toBeGreaterThan(drillSizes('number', 0, 20)[59]!.diameter);
  });

  it('in millimetres go by 0.1 below 10 and by 0.5 from there', () => {
    expect(drillSizes('metric', 9.8, 11).map((d) => d.name)).toEqual(['9.8 mm', '9.9 mm', '10.0 mm', '10.5 mm', '11.0 mm']);
  });

  it('are what the drawer holds, from sets, single drills and steps', () => {
    const tools: readonly Tool[] = [
      { id: 'a', kind: 'drills', name: 'set', system: 'metric', from: 9, to: 9.2 },
      { id: 'b', kind: 'drill', name: '3/8 drill', diameter: 9.525 },
      { id: 'c', kind: 'step drill', name: 'steps', from: 4, to: 12, step: 4 },
      { id: 'd', kind: 'reamer', name: 'reamer', from: 5, to: 13 },
    ];
    expect(ownedDrills(tools).map((d) => d.diameter)).toEqual([4, 8, 9, 9.1, 9.2, 9.525, 12]);
    expect(drillAtOrAbove(9.3, ownedDrills(tools))?.name).toBe('3/8 drill');
    expect(drillAtOrAbove(12.5, ownedDrills(tools))).toBeNull();
  });
});

describe('threads', () => {
  // published in ASME B1.1 (0.060 in + 0.013 in × number) and ISO 261, from memory
  it('have the diameters and pitches of their standards', () => {
    expect(THREADS['6-32'].major).toBeCloseTo((0.06 + 0.013 * 6) * 25.4, 6);
    expect(THREADS['10-32'].major).toBeCloseTo((0.06 + 0.013 * 10) * 25.4, 6);
    expect(THREADS['3/8-32'].major).toBeCloseTo(9.525, 9);
    expect(THREADS['3/8-32'].pitch).toBeCloseTo(0.79375, 9);
    expect(THREADS['M8 × 1.25']).toEqual({ major: 8, pitch: 1.25, source: 'ISO 261' });
  });

  it('that look alike are of two families, within a fifth of a millimetre or a screw size', () => {
    for (const [a, b] of LOOK_ALIKES) {
      expect(THREADS[a].source).not.toBe(THREADS[b].source);
      expect(Math.abs(THREADS[a].major - THREADS[b].major)).toBeLessThan(0.6);
    }
    expect(looksAlike('M4', '8-32')).toBeTrue();
    expect(looksAlike('M4', 'M4')).toBeFalse();
    expect(looksAlike('M4', 'M5')).toBeFalse();
  });
});

describe('a wood screw', () => {
  // ASME B18.6.1: 0.060 in + 0.013 in × number
  it('is as thick as its gauge says', () => {
    expect(woodScrewShank(4)).toBeCloseTo(0.112 * 25.4, 9);
    expect(woodScrewShank(8)).toBeCloseTo(0.164 * 25.4, 9);
  });
});

describe('the smallest cutter', () => {
  it('is half of the thinnest template bit; without one there is none', () => {
    const bit = (diameter: number) => ({ id: `${diameter}`, kind: 'template' as const, name: '', diameter, cuttingLength: 12, reach: 25 });
    expect([smallestCutter([bit(12.7), bit(9.525)]), smallestCutter([])]).toEqual([4.7625, null]);
  });
});

describe('an edge', () => {
  it('is tried before it is trusted when it was sharpened half a year ago or nobody knows when', () => {
    const today = new Date('2026-11-27');
    expect([isDull(null, today), isDull('2026-10-02', today), isDull('2026-05-01', today)]).toEqual([true, false, true]);
  });
});
