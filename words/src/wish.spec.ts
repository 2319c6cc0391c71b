import { presetCircuit, usualWish, wishOf, withPull, type CircuitWish, type PickupElement, type WishProblem } from '@rinnovo/core/wire';
import { pickupElement } from '@rinnovo/core/wire';
import { becauseText, effectText, mendText, rowText, solutionText, voiceText, wishProblemText } from './wish.js';

const humbucker = (id: string): PickupElement => pickupElement(id, null, { kind: 'humbucker' });
const wish = wishOf(
  presetCircuit('two pickups, toggle, one volume and tone, both split on the volume', usualWish([humbucker('neck pickup'), humbucker('bridge pickup')])),
).wish;
const at = (w: CircuitWish, i: number): string => {
  const row = w.rows[i];
  return row ? `${rowText(w, row, {})}: ${voiceText(w, row.voice, {})}` : '';
};

describe('a wish in words', () => {
  it('says where the switches stand, and what is heard there', () => {
    expect(at(wish, 0)).toBe('Position 1: Neck pickup (coils in series), in phase, hum-cancelling.');
    expect(at(wish, 2)).toBe('Position 2: Neck pickup (coils in series) and Bridge pickup (coils in series), in parallel, in phase, hum-cancelling.');
    // both keep their north coil: alike magnets hum
    expect(at(wish, 3)).toBe('Position 2, Volume pulled: Neck pickup (north coil) and Bridge pickup (north coil), in parallel, in phase, hums.');
  });

  it('says what is turned round, past the volume, or silent', () => {
    expect(at(withPull(wish, 'volume', { do: 'reverse', pickup: 'neck pickup' }), 3)).toContain('out of phase');
    expect(at(withPull(wish, 'volume', { do: 'direct' }), 1)).toContain('past volume and tone');
    expect(at(withPull(wish, 'volume', { do: 'kill' }), 1)).toBe('Position 1, Volume pulled: Silent.');
    expect(effectText(wish, { do: 'split', pickup: 'neck pickup', stays: 'south' }, {})).toBe('Neck pickup: split, south coil stays');
  });

  it('has a sentence for everything that cannot be', () => {
    const all: readonly WishProblem[] = [
      { kind: 'no pickups' },
      { kind: 'no jack' },
      { kind: 'no rows' },
      { kind: 'too many settings', most: 64 },
      { kind: 'too many terminals', most: 240 },
      { kind: 'said twice', row: 1, first: 0 },
      { kind: 'not said', at: { selector: 2 } },
      { kind: 'no such position', row: 0, element: 'selector', position: 8, positions: 3 },
      { kind: 'no such switch', row: 0, element: 'lost' },
      { kind: 'no such coil', row: 0, pickup: 'neck pickup', coil: 'lost' },
      { kind: 'heard twice', row: 0, pickup: 'neck pickup' },
      { kind: 'no resistor', row: 0, pickup: 'neck pickup' },
      { kind: 'partly what', row: 0, pickup: 'neck pickup' },
      { kind: 'series behind volumes', row: 0 },
      { kind: 'not both of a blend', row: 0 },
      { kind: 'volumes of all', pots: ['volume', 'tone'] },
      { kind: 'no value', element: 'neck pickup' },
    ];
    const texts = all.map((p) => wishProblemText(wish, p, {}));
    expect(new Set(texts).size).toBe(all.length);
    expect(texts[7]).toBe('Selector has 3 positions, not 9.');
    for (const t of texts) expect(t).toMatch(/^[A-Z].*\.$/);
  });

  it('says what would do, and why it is needed', () => {
    expect(mendText(wish, { kind: 'push-pull', rows: [2, 3] }, {})).toBe('one more push-pull, pulled at: Position 2; Position 2, Volume pulled');
    expect(mendText(wish, { kind: 'another pole', element: 'selector', poles: 2 }, {})).toBe('Selector: a switch of 2 poles');
    expect(becauseText(wish, { kind: 'cover apart', pickup: 'neck pickup' }, {})).toBe('The cover of Neck pickup is on a lead.');
    expect(becauseText(wish, { kind: 'all leads out', pickup: 'neck pickup' }, {})).toBe('Neck pickup has too few leads.');
    const circuit = presetCircuit('one pickup, volume', usualWish([humbucker('neck pickup')]));
    const floats = { circuit, joints: 9, through: ['selector'], floating: [{ pickup: 'neck pickup', coil: 'south' }] };
    expect(solutionText(wish, floats, {})).toBe('9 joints through Selector. Not connected in some position: Neck pickup, south.');
  });
});
