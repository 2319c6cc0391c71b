import { deckNumber, readDeck, solveDeck, type DeckProblem } from './index.js';

const problems = (text: string): readonly DeckProblem[] => {
  const read = readDeck(text);
  return read.ok ? [] : read.problems;
};
const kinds = (text: string): readonly string[] => problems(text).map((p) => p.kind);

describe('a deck that is read', () => {
  it('is a title, then elements; comments, continuations and analyses change nothing', () => {
    const read = readDeck(
      '* A divider\nR1 in out 10k ; the upper one\n\n* the lower one\nR2 out\n+ 0 10k\nV1 in 0 DC 9 AC 1 0\n.options noopac\n.op\n.end\nrubbish after the end',
    );
    expect(read).toEqual({
      ok: true,
      deck: {
        title: 'A divider',
        elements: [
          { letter: 'R', name: '1', a: 'in', b: 'out', value: 10_000, ac: 0, control: null },
          { letter: 'R', name: '2', a: 'out', b: '0', value: 10_000, ac: 0, control: null },
          { letter: 'V', name: '1', a: 'in', b: '0', value: 9, ac: 1, control: null },
        ],
      },
    });
    const solved = read.ok ? solveDeck(read.deck, null) : null;
    expect(solved?.ok ? solved.volts.get('out')?.re : null).toBeCloseTo(4.5, 12);
  });

  it('has numbers with the letters of decks: M is a thousandth, MEG a million', () => {
    expect(['4.7k', '22n', '1MEG', '1M', '500pF', '1e-9', '.5', '2.2u', '2.2µ', '100'].map(deckNumber)).toEqual([
      4700, 22e-9, 1e6, 1e-3, 500e-12, 1e-9, 0.5, 2.2e-6, 2.2e-6, 100,
    ]);
    expect(['', 'k', '1.2.3', '4k7', '1e999', '--3', '0x10'].map(deckNumber)).toEqual([null, null, null, null, null, null, null]);
  });

  it('is refused with its line where it brings files or carries commands', () => {
    for (const said of ['.include other.cir', '.lib parts', '.control', '.subckt x a b', '.model d d', '.func f()']) {
      expect(problems(`* t\nR1 a 0 1k\n${said}`)).toEqual([{ line: 3, kind: 'command', text: said }]);
    }
    expect(kinds('* t\nX1 a b part')).toEqual(['unknown element']);
    expect(kinds('* t\nD1 a 0 d')).toEqual(['unknown element']);
  });

  it('is refused for what cannot be', () => {
    expect(kinds('* t\nR1 a 0 0')).toEqual(['not positive']);
    expect(kinds('* t\nC1 a 0 -1n')).toEqual(['not positive']);
    expect(kinds('* t\nR1 a a 1k')).toEqual(['joined to itself']);
    expect(kinds('* t\nR1 a A 1k')).toEqual(['joined to itself']);
    expect(kinds('* t\nR1 a 0 1k\nr1 a 0 2k')).toEqual(['name twice']);
    expect(kinds('* t\nR1 a 0')).toEqual(['too few words']);
    expect(kinds('* t\nR1 a 0 lots')).toEqual(['not a number']);
    expect(kinds('* t\nR1 a 0 1k 2k')).toEqual(['not a number']);
    expect(kinds('* t\nV1 a 0 AC 1 90')).toEqual(['not a number']);
    expect(kinds('* t\nR1 a b 1k')).toEqual(['no ground']);
    expect(kinds('* t\n+ 1k')).toEqual(['nothing before it']);
    expect(kinds('')).toEqual(['nothing in it']);
    expect(kinds(`* t\nR1 a 0 ${'1'.repeat(600)}`)).toEqual(['too long']);
    expect(kinds(`* t\nR1 a 0\n${'+ \n'.repeat(10)}${`+ ${'9'.repeat(90)}\n`.repeat(8)}`)).toEqual(['too long']);
    expect(kinds('R 1\n'.repeat(3000))).toEqual(['too many lines']);
  });

  it('ends for anything that is thrown at it', () => {
    for (const junk of [
      '\u0000\u0001',
      '('.repeat(400),
      '* \n'.repeat(1900),
      `* t\n${'E'.repeat(499)}`,
      `* t\nV1 a 0 ${'DC '.repeat(100)}`,
      '* t\n.'.repeat(900),
    ])
      expect(() => readDeck(junk)).not.toThrow();
  });
});

describe('a deck that is solved', () => {
  const solved = (text: string, hertz: number | null = null) => {
    const read = readDeck(`* t\n${text}`);
    if (!read.ok) throw new Error(read.problems.map((p) => p.kind).join());
    return solveDeck(read.deck, hertz);
  };

  it('names the nodes that float', () => {
    expect(solved('R1 a 0 1k\nR2 b c 1k')).toEqual({ ok: false, because: 'floating', nodes: ['b', 'c'] });
    // behind a capacitor alone a node floats for direct current only
    expect(solved('V1 a 0 1\nC1 a b 1n\nR1 b c 1k').ok).toBeFalse();
    expect(solved('V1 a 0 AC 1\nC1 a b 1n\nR1 b c 1k', 1000).ok).toBeTrue();
  });

  it('refuses ideal sources in a loop', () => {
    expect(solved('V1 a 0 1\nV2 a 0 2')).toEqual({ ok: false, because: 'loop' });
    expect(solved('V1 a 0 1\nL1 a 0 1')).toEqual({ ok: false, because: 'loop' });
  });

  it('is −3 dB and −45° at 1/(2πRC), and resonates at 1/(2π√(LC)) [law]', () => {
    const rc = solved('V1 a 0 AC 1\nR1 a b 10k\nC1 b 0 1n', 1 / (2 * Math.PI * 1e4 * 1e-9));
    const v = rc.ok ? rc.volts.get('b') : undefined;
    expect(20 * Math.log10(Math.hypot(v?.re ?? 0, v?.im ?? 0))).toBeCloseTo(-10 * Math.log10(2), 9);
    expect((Math.atan2(v?.im ?? 0, v?.re ?? 0) * 180) / Math.PI).toBeCloseTo(-45, 9);
    const lc = solved('I1 0 a AC 1m\nR1 a 0 1k\nL1 a 0 1\nC1 a 0 1u', 1 / (2 * Math.PI * 1e-3));
    expect(lc.ok ? lc.volts.get('a')?.re : null).toBeCloseTo(1, 9);
  });

  it('follows a controlled source', () => {
    const s = solved('V1 a 0 2\nE1 b 0 a 0 3\nR1 b c 1k\nR2 c 0 1k');
    expect(s.ok ? s.volts.get('c')?.re : null).toBeCloseTo(3, 12);
  });
});
