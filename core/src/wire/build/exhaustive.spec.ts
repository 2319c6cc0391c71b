// What small switches can do, by going through every way of joining all terminals: as many partitions as there are, judged by plain nodal analysis that shares nothing with the search.
import { plainCoil, plainPickup } from '../../testing/circuit.js';
import { SWITCH_FORMS, type ContactTable } from '../../part/index.js';

import { finished, JACK } from '../../testing/wishes.js';
import { building, SILENCE, type CircuitWish, type LedOut, type Voice } from './index.js';
import type { CoverJoined, Element, PickupElement, SwitchElement } from '../circuit.js';

/** Two coils with their four ends, hot and ground, and the contacts of one switch. */
interface Small {
  readonly name: string;
  readonly pickups: readonly PickupElement[];
  readonly ledOut: LedOut;
  readonly table: ContactTable;
  /** Joined before anything: by the numbers below. */
  readonly joined: readonly (readonly [number, number])[];
  readonly sealed: readonly number[];
}

// start and finish of coil one, of coil two, hot, ground; contacts from 6
const [START1, FINISH1, START2, FINISH2, HOT, EARTH] = [0, 1, 2, 3, 4, 5] as const;
const BASE = 6;
const OHMS = [1000, 1700] as const;

/** What is heard, as a key: the share of each coil and the resistance; null: an end hangs where it must not. */
function signature(net: readonly number[]): string | null {
  const ends = [
    [net[START1] ?? 0, net[FINISH1] ?? 0],
    [net[START2] ?? 0, net[FINISH2] ?? 0],
  ] as const;
  const [hot, earth] = [net[HOT] ?? 0, net[EARTH] ?? 0];
  if (hot === earth) return 'silent';
  // open-circuit voltage for each coil by itself, and the resistance, by Gauss on conductances; a far resistor to earth holds what floats
  const nodes = [...new Set(net)].filter((n) => n !== earth);
  const at = (n: number): number => nodes.indexOf(n);
  const solve = (inject: readonly number[]): readonly number[] => {
    const m = nodes.map((_, i) => [...nodes.map((__, j) => (i === j ? 1e-15 : 0)), inject[i] ?? 0]);
    ends.forEach(([a, b], c) => {
      if (a === b) return;
      const g = 1 / (OHMS[c] ?? 1);
      const [x, y] = [at(a), at(b)];
      const add = (i: number, j: number, v: number): void => {
        const row = m[i];
        if (row && j >= 0) row[j] = (row[j] ?? 0) + v;
      };
      add(x, x, g);
      add(y, y, g);
      add(x, y, -g);
      add(y, x, -g);
    });
    for (let i = 0; i < nodes.length; i++) {
      const p = m.slice(i).reduce((best, row, k) => (Math.abs(row[i] ?? 0) > Math.abs(m[best]?.[i] ?? 0) ? k + i : best), i);
      [m[i], m[p]] = [m[p] ?? [], m[i] ?? []];
      for (let r = 0; r < nodes.length; r++) {
        if (r === i) continue;
        const f = (m[r]?.[i] ?? 0) / (m[i]?.[i] ?? 1);
        m[r] = (m[r] ?? []).map((v, k) => v - f * (m[i]?.[k] ?? 0));
      }
    }
    return m.map((row, i) => (row[nodes.length] ?? 0) / (row[i] ?? 1));
  };
  const shares = ends.map(([a, b], c) => {
    if (a === b) return 0;
    const g = 1 / (OHMS[c] ?? 1);
    const inject = nodes.map((n) => (n === a ? g : n === b ? -g : 0));
    return solve(inject)[at(hot)] ?? 0;
  });
  const ohms = solve(nodes.map((n) => (n === hot ? 1 : 0)))[at(hot)] ?? 0;
  const idle = ends.map((_, c) => Math.abs(shares[c] ?? 0) < 1e-6);
  // idle ends: how often each net is one, and whether what hangs there hangs on something that carries a signal
  const degree = new Map<number, number>();
  ends.forEach(([a, b], c) => {
    if (idle[c] && a !== b) for (const n of [a, b]) degree.set(n, (degree.get(n) ?? 0) + 1);
  });
  const live = new Set([hot, ...ends.flatMap(([a, b], c) => (idle[c] ? [] : [a, b]))].filter((n) => n !== earth));
  for (const [n, d] of degree) {
    if (d !== 1 || live.has(n) || n === earth) continue;
    const reach = new Set([n]);
    for (let size = 0; size !== reach.size;) {
      size = reach.size;
      ends.forEach(([a, b], c) => {
        if (idle[c] && (reach.has(a) || reach.has(b)) && ![a, b].some((x) => reach.has(x) && (live.has(x) || x === earth))) {
          reach.add(a);
          reach.add(b);
        }
      });
    }
    if ([...reach].some((x) => live.has(x))) return null;
  }
  const flip = (shares.find((s) => Math.abs(s) > 1e-6) ?? 1) < 0 ? -1 : 1;
  return ohms > 1e9 ? 'open' : `${shares.map((s) => (flip * s).toFixed(4)).join()} ${ohms.toFixed(1)}`.replaceAll('-0.0000', '0.0000');
}

/** The key of a voice, from the sum of two coils of which one is turned. */
function wishedKey(voice: Voice): string {
  const coils = voice.pickups.flatMap((p) => p.coils);
  if (coils.length === 0) return 'silent';
  const [r1, r2] = OHMS;
  const which = coils.map((c) => (c.coil === 'one' ? 0 : 1));
  if (which.length === 1) return which[0] === 0 ? `1.0000,0.0000 ${r1.toFixed(1)}` : `0.0000,1.0000 ${r2.toFixed(1)}`;
  const sign = coils[0]?.turned === coils[1]?.turned ? 1 : -1;
  const joined = voice.pickups.length === 1 ? voice.pickups[0]?.joined : voice.joined;
  if (joined === 'series') return `1.0000,${(sign * 1).toFixed(4)} ${(r1 + r2).toFixed(1)}`;
  return `${(r2 / (r1 + r2)).toFixed(4)},${((sign * r1) / (r1 + r2)).toFixed(4)} ${((r1 * r2) / (r1 + r2)).toFixed(1)}`;
}

/** Every tuple of keys, one a position, that some way of joining the terminals gives. */
function everything({ table, joined, sealed }: Small): ReadonlySet<string> {
  const count = BASE + table.lugs.length;
  const known = new Map<string, string | null>();
  const out = new Set<string>();
  const closed = table.positions.map((p) => p.joins.map((pair) => pair.map((l) => BASE + table.lugs.indexOf(l))));
  const net = Array.from({ length: count }, () => 0);
  const judge = (): void => {
    const keys: string[] = [];
    for (const pairs of closed) {
      const here = [...net];
      for (const [a = 0, b = 0] of pairs) {
        const [x, y] = [here[a] ?? 0, here[b] ?? 0];
        if (x !== y) for (let i = 0; i < count; i++) if (here[i] === y) here[i] = x;
      }
      const base = here.slice(0, BASE);
      const name = base.map((n) => base.indexOf(n)).join();
      let key = known.get(name);
      if (key === undefined) {
        key = signature(base.map((n) => base.indexOf(n)));
        known.set(name, key);
      }
      if (key === null) return;
      keys.push(key);
    }
    out.add(keys.join(' | '));
  };
  const free = Array.from({ length: count }, (_, i) => i).filter((i) => !joined.some(([, b]) => b === i) && !sealed.includes(i));
  const place = (i: number, nets: number): void => {
    const at = free[i];
    if (at === undefined) {
      for (const [a, b] of joined) net[b] = net[a] ?? 0;
      judge();
      return;
    }
    for (let n = 0; n <= nets; n++) {
      net[at] = n;
      place(i + 1, n === nets ? nets + 1 : nets);
    }
  };
  place(0, 0);
  return out;
}

const coil = (name: string, ohms: number, magnet: 1 | -1 = 1) => plainCoil(name, ohms, { magnet });
const pair = plainPickup('pair', coil('one', 1000), coil('two', 1700, -1));
/** Each coil a pickup of its own; in phase with the start of one and the finish of the other towards the hot. */
const two = (cover: CoverJoined = 'none'): readonly PickupElement[] => [
  { ...plainPickup('first', coil('one', 1000)), cover },
  plainPickup('second', coil('two', 1700)),
];
const pole: ContactTable = { lugs: ['C', '1', '2'], positions: [{ joins: [['C', '1']] }, { joins: [['C', '2']] }] };

const SMALL: readonly Small[] = [
  { name: 'a pickup of two coils and one pole of two throws', pickups: [pair], ledOut: 'coils apart', table: pole, joined: [], sealed: [] },
  { name: 'two coils and a toggle', pickups: two(), ledOut: 'coils apart', table: SWITCH_FORMS['toggle, three positions'], joined: [], sealed: [] },
  {
    name: 'a pickup of which the joint is led out, and a push-pull',
    pickups: [pair],
    ledOut: 'joint led out',
    table: SWITCH_FORMS['push-pull'],
    joined: [[FINISH1, START2]],
    sealed: [],
  },
  ...(['mini toggle, on-off-on', 'mini toggle, on-on-on'] as const).map((form): Small => ({
    name: `two coils, one with its cover on a lead, and a ${form}`,
    pickups: two({ coil: 'one', end: 'finish' }),
    ledOut: 'coils apart',
    table: SWITCH_FORMS[form],
    joined: [[EARTH, FINISH1]],
    sealed: [],
  })),
];

/** Every voice of the two coils, silence among them. */
function voicesOf(pickups: readonly PickupElement[]): readonly Voice[] {
  const one = { coil: 'one', turned: false };
  const of = (coils: readonly { coil: string; turned: boolean }[], joined: 'series' | 'parallel'): Voice => ({
    ...SILENCE,
    joined,
    pickups: pickups
      .map((p) => ({ pickup: p.id, coils: coils.filter((c) => p.coils.some((x) => x.name === c.coil)), joined, partly: null }))
      .filter((p) => p.coils.length > 0),
  });
  const both = [false, true].flatMap((turned) => (['series', 'parallel'] as const).map((j) => of([one, { coil: 'two', turned }], j)));
  return [SILENCE, of([one], 'series'), of([{ coil: 'two', turned: false }], 'series'), ...both];
}

describe('what small switches can do', () => {
  for (const small of SMALL)
    it(`agrees with every way of joining ${small.name}`, () => {
      const possible = everything(small);
      const voices = voicesOf(small.pickups);
      const selector: SwitchElement = { kind: 'switch', id: 'selector', name: null, does: 'selector', place: null, part: null, table: small.table };
      const elements: readonly Element[] = [...small.pickups, selector, JACK];
      const tuples = small.table.positions.reduce<readonly (readonly Voice[])[]>((all) => all.flatMap((t) => voices.map((v) => [...t, v])), [[]]);
      let impossible = 0;
      for (const tuple of tuples) {
        const wish: CircuitWish = {
          format: 1,
          elements,
          ledOut: Object.fromEntries(small.pickups.map((p) => [p.id, small.ledOut])),
          serves: {},
          rows: tuple.map((voice, position) => ({ at: { selector: position }, voice })),
          independent: false,
          toneAt: 'pickup side',
          bleed: 'none',
        };
        const built = finished(building(wish));
        const can = possible.has(tuple.map(wishedKey).join(' | '));
        if (!can) impossible++;
        expect(built.solutions.length > 0)
          .withContext(tuple.map(wishedKey).join(' | '))
          .toBe(can);
        expect(can || built.whole)
          .withContext('gone through to the end')
          .toBeTrue();
      }
      expect(impossible).toBeGreaterThan(0);
      expect(impossible).toBeLessThan(tuples.length);
    });
});
