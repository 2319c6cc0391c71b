import { exactly, humbucker } from '../../testing/circuit.js';
import { finished } from '../../testing/wishes.js';
import { PRESETS } from '../presets/index.js';
import { building, unlike, wishOf, wishProblems } from './index.js';

const pickups = (count: number) =>
  (count === 2 ? ['neck', 'bridge'] : ['neck', 'middle', 'bridge'].slice(0, count)).map((id, i) => humbucker(id, 4000 + 100 * i, 4200));
const tested = PRESETS.map((row) => ({ row, circuit: exactly(row.id, pickups(row.pickups)) }));

describe('what is there as a wish', () => {
  for (const { row, circuit } of tested)
    it(`is read from ${row.id}, and does what the circuit does`, () => {
      const { wish, unsaid } = wishOf(circuit);
      expect(unsaid).toEqual([]);
      expect(wishProblems(wish)).toEqual([]);
      expect(unlike(wish, circuit)).toEqual([]);
    });

  it('knows what serves one pickup and what serves all', () => {
    expect(wishOf(exactly('two pickups, toggle, own volumes, one tone', pickups(2))).wish.serves).toEqual({ 'neck volume': 'neck', 'bridge volume': 'bridge' });
    expect(wishOf(exactly('two pickups, toggle, own volumes and tones', pickups(2))).wish.serves).toEqual({
      'neck volume': 'neck',
      'bridge volume': 'bridge',
      'neck tone': 'neck',
      'bridge tone': 'bridge',
    });
    expect(wishOf(exactly('two pickups, toggle, one volume and tone', pickups(2))).wish.serves).toEqual({});
  });

  it('knows a volume with the pickup on its wiper, which tone acts where, and a bleed', () => {
    expect(wishOf(exactly('two pickups, toggle, own volumes, one tone', pickups(2), { independent: true })).wish.independent).toBeTrue();
    expect(wishOf(exactly('two pickups, toggle, own volumes, one tone', pickups(2))).wish.independent).toBeFalse();
    const tones = wishOf(exactly('three pickups, lever of five, one volume, tones for neck and middle', pickups(3))).wish.rows.map((r) => r.voice.tones);
    expect(tones).toEqual([['neck tone'], null, ['middle tone'], ['middle tone'], []]);
    expect(wishOf(exactly('one pickup, volume and tone', pickups(1), { bleed: 'capacitor' })).wish.bleed).toBe('capacitor');
  });

  it('names pickups in their own order', () => {
    const both = wishOf(exactly('two pickups, toggle, one volume and tone', pickups(2))).wish.rows[1]?.voice.pickups;
    expect(both?.map((p) => p.pickup)).toEqual(['neck', 'bridge']);
  });

  it('tells a row that is neither series nor parallel', () => {
    // five coils as a bridge: two ways from the hot, two to ground, one across
    const coils = pickups(3);
    const [a, b, c] = coils.map((p) => p.id);
    const lug = (element: string, name: string) => ({ element, lug: name });
    const plain = exactly('three pickups, a switch each, one volume and tone', coils);
    const end = (p: string | undefined, coil: string, which: string) => lug(p ?? '', `${coil} ${which}`);
    const circuit = {
      ...plain,
      elements: plain.elements.filter((e) => e.kind === 'pickup' || e.kind === 'jack'),
      joints: [
        { a: lug('jack', 'tip'), b: end(a, 'north', 'start') },
        { a: lug('jack', 'tip'), b: end(b, 'north', 'start') },
        { a: end(a, 'north', 'finish'), b: end(a, 'south', 'start') },
        { a: end(b, 'north', 'finish'), b: end(b, 'south', 'start') },
        { a: end(a, 'south', 'finish'), b: lug('jack', 'sleeve') },
        { a: end(b, 'south', 'finish'), b: lug('jack', 'sleeve') },
        { a: end(c, 'north', 'start'), b: end(a, 'north', 'finish') },
        { a: end(c, 'north', 'finish'), b: end(b, 'north', 'finish') },
      ],
      bare: [],
    };
    expect(wishOf(circuit).unsaid).toEqual([{}]);
  });

  it('is built again with no more joints than it had, unless a coil hung on the hot in it', () => {
    // the neck's hot stays on the output of the lever of four: in the bridge position its other end is free
    const hung = ['two pickups, lever of four: neck, both, bridge, in series'];
    for (const { row, circuit } of tested.filter((t) => t.row.pickups < 3)) {
      const { solutions } = finished(building(wishOf(circuit).wish));
      expect(solutions.length).withContext(row.id).toBeGreaterThan(0);
      const had = circuit.joints.length + (hung.includes(row.id) ? 1 : 0);
      expect(solutions[0]?.joints).withContext(row.id).toBeLessThanOrEqual(had);
    }
  });
});
