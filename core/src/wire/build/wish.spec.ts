import { exactly, humbucker, plainCoil, plainPickup } from '../../testing/circuit.js';
import { finished } from '../../testing/wishes.js';
import type { Element } from '../circuit.js';
import { markedResistor } from '../values.js';
import { atOf, building, cancellingStays, rowAt, unlike, wholePickup, whyNot, wishOf, wishProblems, withPull, type CircuitWish, type Voice } from './index.js';
import { SWITCH_FORMS } from '../../part/index.js';

const NECK = humbucker('neck', 4000, 4100);
const BRIDGE = humbucker('bridge', 4200, 4300);
const toggled = wishOf(exactly('two pickups, toggle, one volume and tone', [NECK, BRIDGE])).wish;
/** The same, with a push-pull on the volume: its rows are those of the toggle twice. */
const pulls = (wish: CircuitWish = toggled): CircuitWish => {
  const elements = wish.elements.map((e): Element => (e.kind === 'pot' && e.id === 'volume' ? { ...e, pull: SWITCH_FORMS['push-pull'] } : e));
  return { ...wish, elements, rows: [0, 1].flatMap((volume) => wish.rows.map((r) => ({ ...r, at: { ...r.at, volume } }))) };
};
const kinds = (wish: CircuitWish): readonly string[] => wishProblems(wish).map((p) => p.kind);
const voice = (wish: CircuitWish, at: Readonly<Record<string, number>>): Voice | undefined => rowAt(wish.rows, at)?.voice;
const changed = (row: number, to: Partial<Voice>): CircuitWish => ({
  ...toggled,
  rows: toggled.rows.map((r, i) => (i === row ? { ...r, voice: { ...r.voice, ...to } } : r)),
});

describe('what of a wish cannot be', () => {
  it('is nothing of one that was read from a circuit', () => {
    expect(kinds(toggled)).toEqual([]);
    expect(kinds(pulls())).toEqual([]);
  });

  it('is said where it stands: parts', () => {
    expect(kinds({ ...toggled, elements: toggled.elements.filter((e) => e.kind !== 'jack') })).toEqual(['no jack']);
    expect(kinds({ ...toggled, elements: toggled.elements.filter((e) => e.kind !== 'pickup'), rows: [] })).toContain('no pickups');
    const mute = { ...NECK, coils: NECK.coils.map((c) => ({ ...c, ohms: null })) };
    expect(wishProblems({ ...toggled, elements: toggled.elements.map((e) => (e.id === 'neck' ? mute : e)) })).toEqual([{ kind: 'no value', element: 'neck' }]);
    const second = toggled.elements.flatMap((e) => (e.id === 'volume' ? [e, { ...e, id: 'other volume' }] : [e]));
    expect(wishProblems({ ...toggled, elements: second })).toEqual([{ kind: 'volumes of all', pots: ['volume', 'other volume'] }]);
  });

  it('is said where it stands: rows', () => {
    const [first] = toggled.rows;
    if (!first) return fail();
    expect(wishProblems({ ...toggled, rows: [...toggled.rows, first] })).toEqual([{ kind: 'said twice', row: 3, first: 0 }]);
    expect(wishProblems({ ...toggled, rows: toggled.rows.slice(1) })).toEqual([{ kind: 'not said', at: { selector: 0 } }]);
    // nine positions on a toggle of three
    const nine = Array.from({ length: 9 }, (_, selector) => ({ ...first, at: { selector } }));
    expect(wishProblems({ ...toggled, rows: nine }).map((p) => (p.kind === 'no such position' ? p.position : p.kind))).toEqual([3, 4, 5, 6, 7, 8]);
    expect(kinds({ ...toggled, rows: [...toggled.rows, { ...first, at: { lost: 1 } }] })).toEqual(['no such switch']);
    expect(kinds(changed(0, { pickups: [{ ...wholePickup(NECK), pickup: 'lost' }] }))).toEqual(['no such coil']);
    expect(kinds(changed(0, { pickups: [wholePickup(NECK), wholePickup(NECK)] }))).toEqual(['heard twice']);
    expect(kinds(changed(0, { pickups: [{ ...wholePickup(NECK), partly: 'south' }] }))).toEqual(['no resistor']);
  });

  it('says that own volumes cannot lie in series, that a blend brings both, and how many settings are too many', () => {
    const own = wishOf(exactly('two pickups, toggle, own volumes, one tone', [NECK, BRIDGE])).wish;
    const series = { ...own, rows: own.rows.map((r, i) => (i === 1 ? { ...r, voice: { ...r.voice, joined: 'series' as const } } : r)) };
    expect(wishProblems(series)).toEqual([{ kind: 'series behind volumes', row: 1 }]);
    const blend = wishOf(exactly('two pickups, blend, one volume and tone', [NECK, BRIDGE])).wish;
    expect(kinds({ ...blend, rows: [{ at: {}, voice: { ...(blend.rows[0]?.voice as Voice), pickups: [wholePickup(NECK)] } }] })).toEqual([
      'not both of a blend',
    ]);
    const many = Array.from({ length: 7 }, (_, i): Element => ({
      kind: 'switch',
      id: `switch ${i}`,
      name: null,
      does: 'mode',
      place: null,
      part: null,
      table: SWITCH_FORMS['mini toggle, on-on'],
    }));
    expect(kinds({ ...toggled, elements: [...toggled.elements, ...many] })).toEqual(['too many settings']);
    const lugs = Array.from({ length: 300 }, (_, i) => String(i));
    const huge = toggled.elements.map((e): Element => (e.kind === 'switch' ? { ...e, table: { ...e.table, lugs: [...e.table.lugs, ...lugs] } } : e));
    expect(kinds({ ...toggled, elements: huge })).toEqual(['too many terminals']);
  });
});

describe('what a pull does', () => {
  const both = { selector: 1, volume: 1 };

  it('is put on every position where it is at rest', () => {
    const split = withPull(pulls(), 'volume', { do: 'split', pickup: 'neck', stays: 'south' });
    expect(voice(split, { selector: 0, volume: 1 })?.pickups).toEqual([{ ...wholePickup(NECK), coils: [{ coil: 'south', turned: false }] }]);
    expect(voice(split, both)?.pickups.find((p) => p.pickup === 'neck')?.coils.length).toBe(1);
    expect(voice(split, { selector: 0, volume: 0 })).toEqual(toggled.rows[0]?.voice);
    expect(unlike(split, finished(building(split)).solutions[0]?.circuit ?? exactly('one pickup, volume', [NECK]))).toEqual([]);
  });

  it('can turn, lay in series and in parallel, add, go past the volume, and mute', () => {
    const at = (effect: Parameters<typeof withPull>[2], where = both) => voice(withPull(pulls(), 'volume', effect), where);
    expect(
      at({ do: 'reverse', pickup: 'neck' })
        ?.pickups.find((p) => p.pickup === 'neck')
        ?.coils.every((c) => c.turned),
    ).toBeTrue();
    expect(at({ do: 'coils in parallel', pickup: 'bridge' })?.pickups.find((p) => p.pickup === 'bridge')?.joined).toBe('parallel');
    expect(at({ do: 'all in series' })?.joined).toBe('series');
    expect(at({ do: 'all in series' }, { selector: 0, volume: 1 })?.pickups.length).toBe(2);
    expect(at({ do: 'add', pickup: 'bridge' }, { selector: 0, volume: 1 })?.pickups.map((p) => p.pickup)).toEqual(['neck', 'bridge']);
    expect(at({ do: 'add', pickup: 'bridge' })?.pickups.length).toBe(2);
    expect(at({ do: 'direct' })?.direct).toBeTrue();
    expect(at({ do: 'kill' })?.pickups).toEqual([]);
    expect(at({ do: 'nothing' })).toEqual(toggled.rows[1]?.voice);
  });

  it('goes past volume and tone by both poles of a push-pull, and is silent on it', () => {
    for (const effect of [{ do: 'direct' }, { do: 'kill' }] as const) {
      const wish = withPull(pulls(), 'volume', effect);
      const [best] = finished(building(wish)).solutions;
      expect(best && unlike(wish, best.circuit)).toEqual([]);
      const read = best && wishOf(best.circuit).wish.rows.filter((r) => r.at['volume'] === 1);
      expect(read?.map((r) => (effect.do === 'direct' ? r.voice.direct : r.voice.pickups.length === 0))).toEqual([true, true, true]);
    }
  });

  it('leaves a part of the other coil by a resistor', () => {
    const resistor: Element = {
      kind: 'resistor',
      id: 'neck split resistor',
      name: null,
      does: 'split resistor',
      place: null,
      part: null,
      ohms: markedResistor(4700),
    };
    const wish = withPull({ ...pulls(), elements: [...pulls().elements, resistor] }, 'volume', { do: 'partly split', pickup: 'neck', stays: 'north' });
    expect(wishProblems(wish)).toEqual([]);
    const { solutions } = finished(building(wish));
    const joints = solutions[0]?.circuit.joints.flatMap(({ a, b }) => [a, b]) ?? [];
    expect(joints.some((l) => l.element === resistor.id && l.lug === '1')).toBeTrue();
    expect(joints.some((l) => l.element === resistor.id && l.lug === '2')).toBeTrue();
  });

  it('keeps coils of opposite magnets, so that two split pickups still cancel', () => {
    expect(cancellingStays(NECK, BRIDGE)).toEqual({ a: 'north', b: 'south' });
    const north = (id: string) => plainPickup(id, plainCoil('one', 4000), plainCoil('two', 4000));
    expect(cancellingStays(north('a'), north('b'))).toBeNull();
  });
});

describe('why a wish cannot be', () => {
  const reversed = withPull(pulls(), 'volume', { do: 'reverse', pickup: 'neck' });

  it('is a cover on a lead, and a ground of its own would do', () => {
    const covered = { ...NECK, cover: { coil: 'south', end: 'start' } as const };
    // the bridge is held where it is by a cover too, so that turning it in place of the neck is no way out
    const held = { ...BRIDGE, cover: { coil: 'south', end: 'start' } as const };
    const wish = { ...reversed, elements: reversed.elements.map((e) => (e.id === 'neck' ? covered : e.id === 'bridge' ? held : e)) };
    const cannot = finished(building(wish));
    expect([cannot.solutions.length, cannot.whole]).toEqual([0, true]);
    const why = finished(whyNot(wish));
    expect(why.changes).toContain([{ kind: 'cover apart', pickup: 'neck' }]);
    expect(why.rows).toEqual([4]);
  });

  it('is a pickup of two leads that shall be split: all of its leads would do', () => {
    const split = withPull({ ...pulls(), ledOut: { neck: 'ends only' } }, 'volume', { do: 'split', pickup: 'neck', stays: 'north' });
    const why = finished(whyNot(split));
    expect(finished(building(split)).solutions).toEqual([]);
    expect(why.changes).toContain([{ kind: 'all leads out', pickup: 'neck' }]);
    expect(why.changes.flat().every((c) => c.kind !== 'another pole')).toBeTrue();
  });

  it('is a switch whose poles are used up: one more would do, or a push-pull', () => {
    // a toggle has one circuit each way: in its middle both pickups in series and at its ends one alone needs more
    const wish = changed(1, { joined: 'series' });
    expect(finished(building(wish)).solutions).toEqual([]);
    const why = finished(whyNot(wish));
    expect(why.changes).toContain([{ kind: 'push-pull', rows: [1] }]);
    expect(why.rows).toContain(1);
    expect(why.whole).toBeTrue();
  });
});

describe('where a switch stands', () => {
  it('is found whatever is not named', () => {
    expect(rowAt(toggled.rows, {})).toBe(toggled.rows[0] ?? null);
    expect(rowAt(toggled.rows, { selector: 9 })).toBeNull();
    expect(atOf(pulls(), { positions: { selector: 2 }, pulled: { volume: true }, knobs: {}, plugged: true })).toEqual({ selector: 2, volume: 1 });
  });
});
