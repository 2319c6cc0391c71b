import { exactly, humbucker } from '../../testing/circuit.js';
import { SWITCH_FORMS } from '../../part/index.js';
import type { Element } from '../circuit.js';
import { ledOutOf, rowAt, SILENCE, unsaid, wishOf, wishProblems, withParts } from './index.js';

const toggled = wishOf(exactly('two pickups, toggle, one volume and tone', [humbucker('neck', 4000, 4100), humbucker('bridge', 4200, 4300)])).wish;
const withSwitch = (form: keyof typeof SWITCH_FORMS): readonly Element[] =>
  toggled.elements.map((e) => (e.kind === 'switch' ? { ...e, table: SWITCH_FORMS[form] } : e));

describe('a wish with other parts', () => {
  it('says of more positions nothing, and keeps what was said', () => {
    const four = withParts(toggled, withSwitch('lever, four positions'));
    expect(four.rows.map((r) => r.voice)).toEqual([...toggled.rows.map((r) => r.voice), SILENCE]);
    expect(wishProblems(four)).toEqual([]);
    expect(withParts(four, toggled.elements).rows).toEqual(toggled.rows);
  });

  it('does with a new pull what it did without', () => {
    const pulled = withParts(
      toggled,
      toggled.elements.map((e): Element => (e.kind === 'pot' && e.id === 'tone' ? { ...e, pull: SWITCH_FORMS['push-pull'] } : e)),
    );
    expect(pulled.rows.length).toBe(6);
    for (const row of pulled.rows) expect(row.voice).toEqual(rowAt(toggled.rows, { selector: row.at['selector'] ?? 0 })?.voice ?? SILENCE);
  });

  it('forgets what a pickup did that is gone', () => {
    const one = withParts(
      toggled,
      toggled.elements.filter((e) => e.id !== 'neck'),
    );
    expect(one.rows.map((r) => r.voice.pickups.map((p) => p.pickup))).toEqual([[], ['bridge'], ['bridge']]);
    expect(wishProblems(one)).toEqual([]);
  });

  it('keeps its rows where there would be too many', () => {
    const many = Array.from({ length: 8 }, (_, i): Element => ({
      kind: 'switch',
      id: `switch ${i}`,
      name: null,
      does: 'mode',
      place: null,
      part: null,
      table: SWITCH_FORMS['mini toggle, on-on'],
    }));
    expect(withParts(toggled, [...toggled.elements, ...many]).rows).toEqual(toggled.rows);
  });

  it('can be emptied', () => {
    expect(unsaid(toggled).rows.every((r) => r.voice === SILENCE)).toBeTrue();
  });
});

describe('how coils come out of a part', () => {
  it('follows its leads, and what its third one is', () => {
    expect(ledOutOf({ leads: 4 })).toBe('coils apart');
    expect(ledOutOf({ leads: 3 })).toBe('joint led out');
    expect(ledOutOf({ leads: 3, coverGround: 'own wire' })).toBe('ends only');
    expect(ledOutOf({ leads: 2 })).toBe('ends only');
  });
});
