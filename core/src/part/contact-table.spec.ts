import { contactProblems, pairsToMeter, SWITCH_FORMS, tableFromMeter, type ContactRead, type ContactTable } from './index.js';

/** What is joined, as sets: tables that mean the same are equal. */
function groups({ lugs, positions }: ContactTable): readonly string[][][] {
  return positions.map(({ joins }) => {
    const of = new Map(lugs.map((l) => [l, new Set([l])]));
    for (const [a, b] of joins) {
      const both = new Set([...(of.get(a) ?? []), ...(of.get(b) ?? [])]);
      for (const l of both) of.set(l, both);
    }
    return [...new Set(of.values())].map((s) => [...s].sort()).sort();
  });
}

describe('a switch as a table of contacts', () => {
  it('is such that it can be, in every form of the trade', () => {
    for (const [form, table] of Object.entries(SWITCH_FORMS)) expect(contactProblems(table)).withContext(form).toEqual([]);
  });

  it('of five positions joins neighbours in between [common practice, no source]', () => {
    expect(SWITCH_FORMS['lever, five positions'].positions.map((p) => p.joins.filter(([c]) => c === 'a.C').map(([, to]) => to))).toEqual([
      ['a.1'],
      ['a.1', 'a.2'],
      ['a.2'],
      ['a.2', 'a.3'],
      ['a.3'],
    ]);
  });

  it('of on-on-on joins one throw of each pole in the middle', () => {
    expect(SWITCH_FORMS['mini toggle, on-on-on'].positions[1].joins).toEqual([
      ['a.C', 'a.1'],
      ['b.C', 'b.2'],
    ]);
  });

  it('is refused where a contact is joined to itself, a lug is unknown or named twice, nothing is ever joined, or there is no position', () => {
    const kinds = (t: ContactTable): readonly string[] => contactProblems(t).map((p) => p.kind);
    expect(kinds({ lugs: ['1', '2'], positions: [{ joins: [['1', '1']] }] })).toEqual(['joined to itself', 'never joined']);
    expect(kinds({ lugs: ['1', '2'], positions: [{ joins: [['1', '3']] }] })).toEqual(['no such lug', 'never joined']);
    expect(kinds({ lugs: ['1', '1'], positions: [{ joins: [['1', '1']] }] })).toContain('lug twice');
    expect(kinds({ lugs: ['1', '2'], positions: [] })).toEqual(['no positions']);
  });

  it('is found by a meter, of every form, whichever way it lies', () => {
    for (const [form, table] of Object.entries(SWITCH_FORMS)) {
      const read: ContactRead[] = [];
      const truth = groups(table);
      const closed = (position: number, a: string, b: string): boolean => (truth[position] ?? []).some((g) => g.includes(a) && g.includes(b));
      const few = table.lugs.length <= 8;
      for (
        let asked = pairsToMeter(table.lugs, table.positions.length, read);
        asked.length > 0;
        asked = pairsToMeter(table.lugs, table.positions.length, read)
      ) {
        // of many lugs all that is asked is answered at once
        for (const { position, a, b } of few ? asked.slice(0, 1) : asked) read.push({ position, a, b, closed: closed(position, a, b) });
      }
      const found = tableFromMeter(table.lugs, table.positions.length, read);
      expect(groups(found)).withContext(form).toEqual(truth);
      // what follows from others was not asked
      const pairs = (table.lugs.length * (table.lugs.length - 1)) / 2;
      expect(read.length).toBeLessThanOrEqual(pairs * table.positions.length);
    }
  });

  it('does not ask for what follows: of three that are joined two pairs are enough', () => {
    const read: ContactRead[] = [
      { position: 0, a: '1', b: '2', closed: true },
      { position: 0, a: '2', b: '3', closed: true },
    ];
    expect(pairsToMeter(['1', '2', '3'], 1, read)).toEqual([]);
  });

  it('counts a pair that was read both ways as it was read last', () => {
    const read: ContactRead[] = [
      { position: 0, a: '1', b: '2', closed: true },
      { position: 0, a: '2', b: '1', closed: false },
    ];
    expect(tableFromMeter(['1', '2'], 1, read).positions).toEqual([{ joins: [] }]);
  });
});
