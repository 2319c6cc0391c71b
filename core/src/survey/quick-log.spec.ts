import { addFeature, firstFeature } from '../instrument/index.js';
import { OPEN } from '../quantity/index.js';
import { exactly, humbucker } from '../testing/circuit.js';
import { plainAnatomy } from '../testing/plan.js';
import { completions, quickLine, typedState, type Surveyed } from './index.js';

describe('a state as it is typed', () => {
  it('is a length in any unit, a number with a comma, ohms with k, M or R; and what it cannot be is said', () => {
    expect(typedState('action', '1/16', 'mm')).toEqual({ kind: 'value', value: 1.5875 });
    expect(typedState('relief', '−0,1', 'mm')).toEqual({ kind: 'value', value: -0.1 });
    expect(typedState('resistance', '7.4k', 'mm')).toEqual({ kind: 'value', value: 7400 });
    expect(typedState('resistance', '0,5M', 'mm')).toEqual({ kind: 'value', value: 500_000 });
    const ohms = (id: 'resistance' | 'groundResistance', text: string) => {
      const t = typedState(id, text, 'mm');
      return t.kind === 'value' ? t.value : t.kind;
    };
    // of a coil a bare number is in thousands, of a ground it is not
    expect(['7.4', '470R', '470 Ω', '470ohms', '20M', '20.1M', 'OL', 'o.l.', 'open'].map((t) => ohms('resistance', t))).toEqual([
      ...[7400, 470, 470, 470, 20e6, 'wrong' as const],
      ...[OPEN, OPEN, OPEN],
    ]);
    expect(['0.3', '1.2k', 'OL', 'shut'].map((t) => ohms('groundResistance', t))).toEqual([0.3, 1200, OPEN, 'wrong' as const]);
    expect(typedState('relief', '9.9', 'mm')).toEqual({ kind: 'value', value: 9.9 });
    expect(typedState('relief', '10.1', 'mm').kind).toBe('wrong');
    expect(typedState('action', 'OL', 'mm').kind).toBe('wrong');
    expect(typedState('relief', '10', 'thou')).toEqual({ kind: 'value', value: 0.254 });
    expect(typedState('humidity', '49 %', 'mm')).toEqual({ kind: 'value', value: 49 });
    expect(typedState('action', ' ', 'mm')).toEqual({ kind: 'empty' });
    for (const [id, text] of [
      ['action', 'high'],
      ['action', '90'],
      ['resistance', '74M'],
      ['resistance', '7.4q'],
      ['humidity', 'wet'],
      ['humidity', '120'],
    ] as const)
      expect(typedState(id, text, 'mm').kind)
        .withContext(`${id} ${text}`)
        .toBe('wrong');
  });
});

const holed = addFeature(plainAnatomy(), firstFeature('hole', 'hole 1', 'Pot hole', 'top', { x: 60, y: 250 }));
const s: Surveyed = { anatomy: { ...holed, positions: holed.positions.map((p) => ({ ...p, name: 'Neck pickup' })) }, kind: 'bolt-on solid', fitted: [] };
/** Quantity, place and value of what was understood. */
const read = (text: string) =>
  quickLine(text, s, 'mm').values.map((v) => [
    v.target.quantity,
    [v.target.feature, v.target.part].filter(Boolean).join(' '),
    v.typed.kind === 'value' ? v.typed.value : v.typed.kind,
  ]);
const pickup = s.anatomy.positions[0]!.id;

describe('a line of the quick log', () => {
  it('is understood as it is said at the bench', () => {
    expect(read('relief .25')).toEqual([['relief', 'neck', 0.25]]);
    expect(read('action 12 e1 1.9 e6 2.3')).toEqual([
      ['action', 'string 1', 1.9],
      ['action', 'string 6', 2.3],
    ]);
    expect(read('dcr neck 7.4k')).toEqual([['resistance', pickup, 7400]]);
    expect(read('rh 38 t 19')).toEqual([
      ['humidity', 'room', 38],
      ['temperature', 'room', 19],
    ]);
    expect(read('action 1.4 1.5 1.5 1.6 1.7 1.8').length).toBe(6);
    expect(read('fret f3 .7 f5 .8')).toEqual([
      ['fretHeight', 'fret 3', 0.7],
      ['fretHeight', 'fret 5', 0.8],
    ]);
    expect(read('edge bass 3,1 treble 2.9')[1]).toEqual(['edgeGap', 'treble edge', 2.9]);
    expect(read('height neck bass 2.2')).toEqual([['pickupHeight', `${pickup} bass`, 2.2]]);
    const hole = quickLine('pot hole 7.9 calliper', s, 'mm').values[0]!;
    expect([hole.target, hole.typed, hole.tool]).toEqual([{ quantity: 'holeDiameter', feature: 'hole 1' }, { kind: 'value', value: 7.9 }, 'calliper']);
  });

  it('has bare lengths in the chosen unit, and says what cannot be', () => {
    expect(quickLine('relief .010', s, 'inch').values[0]!.typed).toEqual({ kind: 'value', value: 0.254 });
    expect(read('relief 25')).toEqual([['relief', 'neck', 'wrong']]);
    expect(read('dcr neck 74M')).toEqual([['resistance', pickup, 'wrong']]);
  });

  it('is a note where it is not understood: nothing that was typed is lost', () => {
    const note = (text: string) => quickLine(text, s, 'mm').note;
    expect(note('note seam line under the finish, treble bout')).toBe('seam line under the finish, treble bout');
    for (const text of ['sounds dull', 'action', 'action e9 2', 'action e1', 'action 1.4 1.5', 'relief low', 'dcr bridge 7.4k', 'fret f99 .8', 'rh 38 mould 3'])
      expect(note(text)).withContext(text).toBe(text);
    expect(quickLine('   ', s, 'mm')).toEqual({ values: [], note: null });
    expect(note(`x ${'y'.repeat(10_000)}`)!.length).toBe(10_002);
  });

  it('holds several facts, each understood by itself or kept as a note: by a semicolon, or a comma and a space', () => {
    expect(read('relief .25; rh 38 t 19, action e1 1,9')).toEqual([
      ['relief', 'neck', 0.25],
      ['humidity', 'room', 38],
      ['temperature', 'room', 19],
      ['action', 'string 1', 1.9],
    ]);
    // a fact without its name goes by the one before it
    expect(read('action e1 1.9, e6 2.3; f3 .7').map(([q, place]) => [q, place])).toEqual([
      ['action', 'string 1'],
      ['action', 'string 6'],
    ]);
    const line = quickLine('relief .25, seam line at the heel; sounds dull', s, 'mm');
    expect([line.values.length, line.note]).toEqual([1, 'seam line at the heel; sounds dull']);
    for (const text of ['sounds dull, no hum', 'note relief .25; rh 38', 'relief low; dull'])
      expect(quickLine(text, s, 'mm'))
        .withContext(text)
        .toEqual({ values: [], note: text.replace(/^note /, '') });
    expect(read('relief .25;;, ')).toEqual([['relief', 'neck', 0.25]]);
    expect(read('relief 25; rh 38')).toEqual([
      ['relief', 'neck', 'wrong'],
      ['humidity', 'room', 38],
    ]);
    expect(completions('relief .25; act', s)).toEqual(['action']);
  });

  it('is completed: quantities first, then the places of the one that was named', () => {
    expect(completions('re', s)).toEqual(['relief']);
    expect(completions('action e', s)).toEqual(['e1', 'e2', 'e3', 'e4', 'e5', 'e6', 'edge']);
    expect(completions('dcr n', s)).toContain('neck');
    expect(completions('po', s)).toEqual(['pot hole']);
    expect(completions('li', s)).toEqual([]);
  });

  it('reads a pickup that is split at the line of its circuit where it stands so', () => {
    const split = exactly('one pickup, volume and tone, split on the volume', [{ ...humbucker('two', 3900, 4000), place: pickup }]);
    const [value] = quickLine('dcr neck split 3.9k', { ...s, circuit: split }, 'mm').values;
    expect(value?.target).toEqual({ quantity: 'jackResistance', feature: 'jack', part: 'volume pulled' });
    expect(value?.typed).toEqual({ kind: 'value', value: 3900 });
    // without a circuit, or one that splits nothing, the word is no value
    const whole = exactly('one pickup, volume and tone', [{ ...humbucker('two', 3900, 4000), place: pickup }]);
    for (const circuit of [undefined, whole]) {
      const line = quickLine('dcr neck split 3.9k', circuit ? { ...s, circuit } : s, 'mm');
      expect(line.values.some((v) => v.typed.kind === 'value')).toBeFalse();
    }
  });
});
