import { typicalHardware } from '../house/index.js';
import { newHardwareChoice, type HardwareChoice } from '../check/index.js';
import { lackKey, type Hardware, type StockItem } from '../part/index.js';
import { buyList, type Need } from './index.js';

const pot: Hardware = { ...typicalHardware('pot', 'pot', 'Pot'), price: 500, leadDays: 4 };
const tuner: Hardware = { ...typicalHardware('tuner', 'tuner', 'Tuner'), price: 1800, leadDays: 10 };
const gone: Hardware = { ...typicalHardware('pot', 'gone', 'Old pot'), replacedBy: 'pot' };
const wire: Hardware = typicalHardware('wire', 'wire', 'Wire');
const shelf = { pot, tuner, gone, wire };
const one = (part: string, quantity: number): StockItem => ({ id: `s ${part}`, kind: 'part', part, quantity, drawer: '' });
const need = (id: string, part: string | null, more: Partial<Need> = {}, choice: Partial<HardwareChoice> = {}): Need => ({
  job: 'job',
  choice: { ...newHardwareChoice(id, { on: 'feature', feature: id }, part), ...choice },
  fitted: false,
  lacks: [],
  ...more,
});

describe('the buy list', () => {
  it('is what the plans need less what is there, with what waits for it', () => {
    const [line, ...rest] = buyList([need('volume', 'pot'), need('tone', 'pot', { job: 'other' })], shelf, [one('pot', 1)]);
    expect(rest).toEqual([]);
    expect([line!.need, line!.have, line!.buy, line!.price, line!.leadDays]).toEqual([2, 1, 1, 500, 4]);
    expect(line!.holds).toEqual([
      { job: 'job', choice: 'volume' },
      { job: 'other', choice: 'tone' },
    ]);
  });

  it('has nothing of what is fitted, what is enough, or a place left empty', () => {
    expect(buyList([need('a', 'pot', { fitted: true }), need('b', 'tuner'), need('c', null)], shelf, [one('tuner', 1)])).toEqual([]);
  });

  it('buys nothing where there is more than enough, and tells no price where nobody knows one', () => {
    expect(buyList([need('a', 'tuner')], shelf, [one('tuner', 3)])).toEqual([]);
    expect(buyList([need('a', 'tuner')], { ...shelf, tuner: { ...tuner, price: 1 } }, [])[0]!.price).toBe(1);
    expect(buyList([need('a', 'tuner')], { ...shelf, tuner: { ...tuner, price: 0 } }, [])[0]!.price).toBeNull();
  });

  it('has nothing of a part that lies on the bench or that no shelf has; of two the price twice; tools and wood once each', () => {
    expect(buyList([need('a', 'tuner', {}, { returns: true }), need('b', 'unknown')], shelf, [])).toEqual([]);
    const [two] = buyList([need('a', 'tuner'), need('b', 'tuner')], shelf, []);
    expect([two!.need, two!.buy, two!.price]).toEqual([2, 2, 3600]);
    const [wood, ...rest] = buyList([need('a', null, { lacks: [{ kind: 'offcut' }] }), need('b', null, { lacks: [{ kind: 'offcut' }] })], shelf, []);
    expect([rest.length, wood!.need, wood!.have, wood!.buy, wood!.price, wood!.holds.length]).toEqual([0, 1, 0, 1, null, 2]);
  });

  it('counts wires as many times as they go', () => {
    expect(buyList([need('bore', 'wire', {}, { count: 5 })], shelf, [one('wire', 2)])[0]!.buy).toBe(3);
  });

  it('begins with the longest wait, after what nobody asked for yet; tools and wood come too, and once', () => {
    const list = buyList(
      [
        need('a', 'pot'),
        need('b', 'tuner', { lacks: [{ kind: 'countersink' }, { kind: 'part', part: 'tuner' }] }),
        need('c', null, { lacks: [{ kind: 'countersink' }] }),
      ],
      shelf,
      [],
    );
    expect(list.map((l) => lackKey(l.what))).toEqual(['countersink', 'part tuner', 'part pot']);
    expect(list[0]!.holds.map((h) => h.choice)).toEqual(['b', 'c']);
  });

  it('buys what replaces a part that is not made any more, and uses up the old one first', () => {
    expect(buyList([need('a', 'gone')], shelf, [])[0]!.what).toEqual({ kind: 'part', part: 'pot' });
    expect(buyList([need('a', 'gone')], shelf, [one('gone', 1)])).toEqual([]);
  });
});
