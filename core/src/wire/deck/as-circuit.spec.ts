import { seeded } from '../../testing/random.js';
import {
  circuitOfDeck,
  circuitProblems,
  heardOf,
  levelMeter,
  line,
  netlistOf,
  networkOf,
  readDeck,
  readingBetween,
  restingSetting,
  solveDeck,
  toTrace,
  wired,
  type Circuit,
  type Deck,
  type DeckElement,
} from '../index.js';

const LOAD = { farad: 470e-12, ohms: 1e6 };
const [TIP, SLEEVE] = [
  { element: 'jack', lug: 'tip' },
  { element: 'jack', lug: 'sleeve' },
];
const netlist = (c: Circuit) => netlistOf(wired(c), restingSetting(c));
const made = (d: Deck, tip: string): Circuit => {
  const r = circuitOfDeck(d, tip);
  if (!r.ok) throw new RangeError(JSON.stringify(r.problems));
  return r.circuit;
};
const coil = (n: number, draw: () => number, from: string, to: string): readonly DeckElement[] => {
  const parts = [
    line('V', `s${n}`, from, `a${n}`, 0, draw() < 0.5 ? 1 : -1),
    line('R', `s${n}`, `a${n}`, `b${n}`, 3000 + 5000 * draw()),
    line('L', `${n}`, `b${n}`, to, 1 + 4 * draw()),
  ];
  return draw() < 0.5 ? [...parts, line('R', `l${n}`, `b${n}`, to, 2e5 + 1e6 * draw())] : parts;
};

describe('a deck as a circuit made by hand', () => {
  it('is heard and reads as the deck does, by an elimination of its own: seeded ladders', () => {
    const draw = seeded(5150);
    for (let n = 0; n < 40; n++) {
      const hub = draw() < 0.5 ? 'm' : '0';
      const elements = [
        ...coil(1, draw, 'p', hub),
        ...(hub === 'm' ? coil(2, draw, 'm', '0') : draw() < 0.5 ? coil(2, draw, '0', 'p') : []),
        line('C', 'w', 'p', '0', 1e-10 * (1 + draw())),
        line('R', 'v', 'p', 'tip', 1e4 + 2e5 * draw()),
        line('R', 'g', 'tip', '0', 1e5 + 4e5 * draw()),
        line('R', 't', 'tip', 'q', 1e5 * draw() + 10),
        line('C', 't', 'q', '0', 1e-8 + 4e-8 * draw()),
      ];
      const circuit = made({ title: '', elements }, 'tip');
      expect(circuitProblems(circuit)).toEqual([]);
      expect(toTrace(circuit)).toEqual([]);
      const level = levelMeter(networkOf(netlist(circuit), LOAD));
      const loaded: Deck = { title: '', elements: [...elements, line('R', 'amp', 'tip', '0', LOAD.ohms), line('C', 'cable', 'tip', '0', LOAD.farad)] };
      for (const hertz of [30, 440, 2500, 9000]) {
        const solved = solveDeck(loaded, hertz);
        const v = solved.ok ? solved.volts.get('tip') : null;
        // coils that cancel leave nothing on either side
        expect(10 ** (level(hertz) / 20))
          .withContext(`${n} at ${hertz}`)
          .toBeCloseTo(Math.hypot(v?.re ?? 0, v?.im ?? 0), 9);
      }
      const meter = solveDeck({ title: '', elements: [...elements, line('I', 'm', '0', 'tip', 1)] }, null);
      expect(readingBetween(netlist(circuit), TIP, SLEEVE)).toBeCloseTo(meter.ok ? (meter.volts.get('tip')?.re ?? NaN) : NaN, 3);
    }
  });

  it('is in phase where the sources point the same way, out of phase where one is turned', () => {
    const text = (second: string): string => `two coils\nV1 p a 0 AC 1\nR1 a b 8k\nL1 b 0 4\n${second}\nR2 c d 8k\nL2 d 0 4\nR3 p 0 500k\n`;
    const heard = (t: string): boolean | null => {
      const read = readDeck(t);
      if (!read.ok) throw new RangeError(JSON.stringify(read.problems));
      return heardOf(networkOf(netlist(made(read.deck, 'p')), LOAD)).inPhase;
    };
    expect([heard(text('V2 p c 0 AC 1')), heard(text('V2 c p 0 AC 1'))]).toEqual([true, false]);
  });

  it('is refused, by name: a node that is not there, sources that are no coil, a coil without resistance', () => {
    const refused = (elements: readonly DeckElement[], tip = 'p'): readonly string[] => {
      const r = circuitOfDeck({ title: '', elements }, tip);
      return r.ok ? [] : r.problems.map((p) => `${p.kind} ${p.name}`);
    };
    const r = line('R', '1', 'p', '0', 1000);
    expect(refused([r], 'x')).toEqual(['no such node x']);
    expect(refused([r], '0')).toEqual(['no such node 0']);
    expect(refused([r, line('I', '1', 'p', '0', 1)])).toEqual(['current source I1']);
    expect(refused([r, { ...line('E', '1', 'p', '0', 1), control: ['p', '0'] }])).toEqual(['controlled source E1']);
    expect(refused([r, line('V', '1', 'p', '0', 1)])).toEqual(['source without a coil V1']);
    expect(refused([r, line('L', '1', 'p', '0', 1)])).toEqual(['coil without a resistance L1']);
    expect(refused([r])).toEqual([]);
  });
});
