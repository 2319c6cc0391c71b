// 200 wishes that nobody drew: what is built is held against the same coils laid out by hand, without any switch, in an independent simulator: level and phase of each coil.
import { measured, plainCoil, plainPickup } from '../../testing/circuit.js';
import { simulated } from '../../testing/ngspice.js';
import { seeded } from '../../testing/random.js';
import { finished, JACK } from '../../testing/wishes.js';
import { SWITCH_FORMS } from '../../part/index.js';
import {
  alone,
  deckText,
  netlistOf,
  networkOf,
  responseDeck,
  wired,
  type Circuit,
  type Element,
  type Joint,
  type Lug,
  type PickupElement,
  type PotElement,
} from '../index.js';
import { building, settingOfRow, wishProblems, type CircuitWish, type PickupVoice, type Voice, type WishRow } from './index.js';
import { circuitProblems } from '../circuit-problems.js';

const random = seeded(2_202_611);
const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T;
const within = (low: number, high: number): number => low + (high - low) * random();

function anyPickup(id: string): PickupElement {
  const coil = (name: string) =>
    plainCoil(name, within(2500, 6000), {
      henry: measured(within(1, 4)),
      farad: measured(within(50e-12, 150e-12)),
      winding: pick([1, -1]),
      magnet: pick([1, -1]),
    });
  const p = random() < 0.6 ? plainPickup(id, coil('inner'), coil('outer')) : plainPickup(id, coil('coil'));
  const last = p.coils.at(-1);
  return random() < 0.15 && last ? { ...p, cover: { coil: last.name, end: pick(['start', 'finish']) } } : p;
}

const pot = (id: string, does: 'volume' | 'tone', pulls: boolean, reverse: boolean): PotElement => ({
  kind: 'pot',
  id,
  name: null,
  does,
  place: null,
  part: null,
  tracks: [{ ohms: measured(500_000), taper: 'linear' }],
  reverse,
  noLoad: false,
  pull: pulls ? SWITCH_FORMS['push-pull'] : null,
});

/** Mostly what one would wish, now and then anything. */
function anyVoice(pickups: readonly PickupElement[], position: number, wild: number): Voice {
  const heard = pickups.length === 1 ? pickups : position === 0 ? [pickups[0]] : position === 1 ? pickups.slice(0, 2) : [pick(pickups)];
  const voices = heard.flatMap((p): readonly PickupVoice[] => {
    if (!p) return [];
    const coils = p.coils.map((c) => ({ coil: c.name, turned: random() < wild / 3 }));
    return [
      { pickup: p.id, coils: coils.length > 1 && random() < wild ? [pick(coils)] : coils, joined: random() < wild / 2 ? 'parallel' : 'series', partly: null },
    ];
  });
  return { pickups: random() < wild / 10 ? [] : voices, joined: random() < wild ? 'series' : 'parallel', direct: false, tones: null };
}

function anyWish(): CircuitWish {
  const wild = pick([0, 0.1, 0.3, 0.6]);
  const pickups = ['neck', 'middle', 'bridge'].slice(0, pick([1, 1, 2, 2, 2, 3])).map(anyPickup);
  const form = pick(['toggle, three positions', 'lever, three positions', 'mini toggle, on-on', 'lever, four positions'] as const);
  const reverse = random() < 0.3;
  const own = pickups.length > 1 && random() < 0.25;
  const pulls = random() < 0.3;
  const pots = own ? pickups.map((p, i) => pot(`${p.id} volume`, 'volume', pulls && i === 0, reverse)) : [pot('volume', 'volume', pulls, reverse)];
  const selector: Element = { kind: 'switch', id: 'selector', name: null, does: 'selector', place: null, part: null, table: SWITCH_FORMS[form] };
  const elements = [...pickups, selector, ...pots, ...(random() < 0.5 ? [pot('tone', 'tone', false, reverse)] : []), JACK];
  const pull = pots.find((p) => p.pull)?.id;
  const rows = SWITCH_FORMS[form].positions.flatMap((_, position): readonly WishRow[] => {
    const rest = { at: { selector: position }, voice: anyVoice(pickups, position, wild) };
    return pull === undefined
      ? [rest]
      : [rest, { at: { selector: position, [pull]: 1 }, voice: random() < 0.6 ? rest.voice : anyVoice(pickups, position, wild) }];
  });
  return {
    format: 1,
    elements,
    ledOut: Object.fromEntries(pickups.map((p) => [p.id, pick(['coils apart', 'coils apart', 'joint led out', 'ends only'] as const)])),
    serves: own ? Object.fromEntries(pickups.map((p) => [`${p.id} volume`, p.id])) : {},
    rows,
    independent: own && random() < 0.5,
    toneAt: pick(['pickup side', 'output side']),
    bleed: 'none',
  };
}

/** The coils of a row wired straight, with the same pots and no switch at all. */
function byHand(wish: CircuitWish, { voice }: WishRow): Circuit {
  const joints: Joint[] = [];
  const join = (a: Lug, b: Lug): void => {
    joints.push({ a, b });
  };
  const lug = (element: string, name: string): Lug => ({ element, lug: name });
  const sleeve = lug('jack', 'sleeve');
  const pots = wish.elements.filter((e) => e.kind === 'pot');
  const ends = (p: PickupElement, coil: string, turned: boolean): readonly [Lug, Lug] => {
    const c = p.coils.find((x) => x.name === coil);
    const up = (c?.winding ?? 1) * (c?.magnet ?? 1) * (turned ? -1 : 1) === 1;
    const both = [lug(p.id, `${coil} start`), lug(p.id, `${coil} finish`)] as const;
    return up ? both : [both[1], both[0]];
  };
  const laid = (all: readonly (readonly [Lug, Lug])[], joined: string): readonly [Lug, Lug] => {
    const [[top, bottom] = [sleeve, sleeve], ...others] = all;
    return others.reduce<readonly [Lug, Lug]>(
      ([hot, low], [a, b]) => {
        join(joined === 'series' ? low : hot, a);
        if (joined === 'parallel') join(low, b);
        return [hot, joined === 'series' ? b : low];
      },
      [top, bottom],
    );
  };
  const upOf = (p: PotElement): string => (p.reverse ? '1' : '3');
  for (const p of pots) if (p.does === 'volume') join(lug(p.id, p.reverse ? '3' : '1'), sleeve);
  const master = pots.find((p) => p.does === 'volume' && wish.serves[p.id] === undefined);
  const bus = master ? lug(master.id, upOf(master)) : lug('jack', 'tip');
  if (master) join(lug(master.id, '2'), lug('jack', 'tip'));
  const heard = voice.pickups.map((v) => {
    const p = wish.elements.find((e) => e.kind === 'pickup' && e.id === v.pickup) as PickupElement;
    const two = laid(
      v.coils.map((c) => ends(p, c.coil, c.turned)),
      v.joined,
    );
    const own = pots.find((x) => wish.serves[x.id] === v.pickup);
    if (!own) return two;
    join(two[0], lug(own.id, wish.independent ? '2' : upOf(own)));
    return [lug(own.id, wish.independent ? upOf(own) : '2'), two[1]] as const;
  });
  if (heard.length > 0) {
    const [hot, low] = laid(heard, voice.joined);
    join(hot, bus);
    join(low, sleeve);
  }
  // own volumes that nothing is heard of lie aside
  const tone = pots.find((p) => p.does === 'tone');
  if (tone) {
    join(lug(tone.id, '2'), master && wish.toneAt === 'output side' ? lug(master.id, '2') : bus);
    join(lug(tone.id, tone.reverse ? '3' : '1'), lug('tone capacitor', '1'));
    join(lug('tone capacitor', '2'), sleeve);
  }
  const capacitor: readonly Element[] = tone
    ? [{ kind: 'capacitor', id: 'tone capacitor', name: null, does: 'tone capacitor', place: null, part: null, farad: measured(22e-9), leak: null }]
    : [];
  return {
    format: 1,
    elements: [...wish.elements.filter((e) => e.kind !== 'switch').map((e) => (e.kind === 'pot' ? { ...e, pull: null } : e)), ...capacitor],
    joints,
    bare: [],
  };
}

const HERTZ = [200, 1000, 5000] as const;
const LOAD = { farad: 500e-12, ohms: 1e6 };

/** Decks of each coil by itself at a setting; null: the coil does not reach the tip. */
function decksOf(circuit: Circuit, row: WishRow): ReadonlyMap<string, { readonly text: string; readonly node: string }> {
  const n = networkOf(netlistOf(wired(circuit), settingOfRow(circuit, row)), LOAD);
  if (n.tip < 0) return new Map();
  return new Map(
    n.sources.map((s) => {
      const { deck, tip } = responseDeck(`${s.element} ${s.name}`, n, alone(n, s));
      return [`${s.element} ${s.name}`, { text: deckText(deck, 'response'), node: tip }] as const;
    }),
  );
}

describe('wishes that nobody drew', () => {
  const wishes = Array.from({ length: 200 }, anyWish);
  const built = wishes.map((wish) => finished(building(wish, 30_000)));

  it('are such as can be built for', () => {
    expect(wishes.flatMap(wishProblems).filter((p) => p.kind !== 'series behind volumes')).toEqual([]);
  });

  it('are built, or gone through to the end', () => {
    const impossible = built.filter((b) => b.solutions.length === 0 && b.whole);
    const unsettled = built.filter((b) => b.solutions.length === 0 && !b.whole);
    expect(impossible.length).toBeGreaterThanOrEqual(40);
    expect(built.filter((b) => b.solutions.length > 0).length).toBeGreaterThan(90);
    expect(unsettled.length).toBeLessThan(40);
    for (const b of built) for (const s of b.solutions) expect(circuitProblems(s.circuit)).toEqual([]);
  });

  it('sound as coils that are wired straight', () => {
    const asked: { readonly name: string; readonly coil: string; readonly by: 'built' | 'hand'; readonly text: string; readonly node: string }[] = [];
    built.forEach(({ solutions }, i) => {
      const wish = wishes[i];
      const circuit = solutions.length > 0 ? pick(solutions).circuit : null;
      if (!wish || !circuit) return;
      for (const row of wish.rows.filter(() => random() < 0.5)) {
        const [ours, theirs] = [decksOf(circuit, row), decksOf(byHand(wish, row), row)];
        for (const coil of new Set([...ours.keys(), ...theirs.keys()]))
          for (const [by, decks] of [
            ['built', ours],
            ['hand', theirs],
          ] as const) {
            const deck = decks.get(coil);
            asked.push({
              name: `${i} ${JSON.stringify(row.at)}`,
              coil,
              by,
              text: deck?.text ?? '* nothing\nv1 x 0 dc 0 ac 0\n.end\n',
              node: deck?.node ?? 'x',
            });
          }
      }
    });
    const answers = simulated(asked.map((a) => ({ ...a, hertz: HERTZ })));
    // of one row every coil has the sign that it has by hand, or every one the other
    const signs = new Map<string, Set<number>>();
    for (let i = 0; i < asked.length; i += 2) {
      const [a, [ours, theirs]] = [asked[i], [answers[i] ?? [], answers[i + 1] ?? []]];
      for (const [k, x] of ours.entries()) {
        const y = theirs[k] ?? { re: 0, im: 0 };
        const [p, q] = [Math.hypot(x.re, x.im), Math.hypot(y.re, y.im)];
        if (Math.max(p, q) < 1e-6) continue;
        expect(Math.abs(20 * Math.log10(p / q)))
          .withContext(`${a?.name ?? ''} ${a?.coil ?? ''}`)
          .toBeLessThan(0.001);
        const turn = (x.re * y.re + x.im * y.im) / (p * q);
        expect(Math.abs(turn))
          .withContext(a?.name ?? '')
          .toBeGreaterThan(Math.cos((0.01 * Math.PI) / 180));
        signs.set(a?.name ?? '', (signs.get(a?.name ?? '') ?? new Set()).add(Math.sign(turn)));
      }
    }
    for (const [name, s] of signs) expect(s.size).withContext(name).toBe(1);
    expect(signs.size).toBeGreaterThan(100);
  });
});
