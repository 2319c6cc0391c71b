import { exactly, humbucker, plainCoil, plainPickup } from '../testing/circuit.js';
import { overTurn, restingSetting, SILENT, TURN_AT, wired, type Circuit } from './index.js';

const LOAD = { farad: 500e-12, ohms: 1e6 };
const over = (c: Circuit, pot: string) => overTurn(wired(c), restingSetting(c), pot, LOAD);
const at = (c: Circuit, pot: string, turn: number) => {
  const found = over(c, pot).find((t) => Math.abs(t.turn - turn) < 1e-9);
  if (!found) throw new RangeError(`${turn}`);
  return found;
};

describe('a pot over its turn', () => {
  const source = plainPickup('neck', plainCoil('coil', 8000));
  const volume = exactly('one pickup, volume', [source], { taper: 'audio 10' });

  it('of 500 kΩ, audio, at half: its divider with the amplifier across the lower tenth [law: Ohm, by hand]', () => {
    // 50 kΩ with 1 MΩ across: 47.619 kΩ; above it 450 kΩ and the coil
    const lower = 1 / (1 / 50_000 + 1 / 1e6);
    const full = 1 / (1 / 500_000 + 1 / 1e6);
    const expected = 20 * Math.log10(lower / (lower + 458_000) / (full / (full + 8000)));
    const [half, whole] = [at(volume, 'volume', 0.5), at(volume, 'volume', 1)];
    expect((half.levels[0] ?? 0) - (whole.levels[0] ?? 0)).toBeCloseTo(expected, 1);
    expect(expected).toBeCloseTo(-20.3, 1);
  });

  it('at 0 is silent, and falls all the way from full', () => {
    const levels = over(volume, 'volume').map((t) => t.levels[0] ?? 0);
    expect(levels[0]).toBeLessThanOrEqual(SILENT);
    expect(levels).toEqual([...levels].sort((a, b) => a - b));
  });

  it('of a tone takes treble and leaves the low notes, its peak lower at 0 than at full', () => {
    const tone = exactly('one pickup, volume and tone', [humbucker('neck', 4000, 4100)]);
    const [shut, open] = [at(tone, 'tone', 0), at(tone, 'tone', 1)];
    const fall = (i: number): number => (open.levels[i] ?? 0) - (shut.levels[i] ?? 0);
    expect(TURN_AT[1]).toBe(5000);
    expect(fall(1)).toBeGreaterThan(10);
    expect(Math.abs(fall(0))).toBeLessThan(3);
    expect(shut.peak ?? 0).toBeLessThan((open.peak ?? Infinity) / 2);
  });

  it('of an independent volume at 0 shorts its own pickup alone', () => {
    const c = exactly('two pickups, toggle, own volumes and tones', [source, plainPickup('bridge', plainCoil('coil', 8300))], { independent: true });
    const middle = { ...restingSetting(c), positions: { selector: 1 } };
    const turned = overTurn(wired(c), middle, 'neck volume', LOAD);
    expect(turned[0]?.levels[0] ?? SILENT).toBeGreaterThan(SILENT);
  });
});
