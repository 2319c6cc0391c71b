import { LISTS, typicalHardware } from '../house/index.js';
import { typicalPickup, type Hardware, type Part } from '../part/index.js';
import { roundedRectangle } from '../shape/index.js';
import { MOST_PART_LINES, partsCsv, readPartsCsv } from './index.js';

const fresh = (): string => '00000000-0000-4000-8000-000000000099';
const id = (n: number): string => `00000000-0000-4000-8000-00000000000${n}`;
const pot: Part = {
  ...typicalHardware('pot', id(1), 'Pot, "long" bushing'),
  price: 450,
  thread: '3/8-32',
  kiloohms: 500,
  traits: { taper: 'audio' },
  leadDays: 5,
  replacedBy: id(4),
};
const ring: Part = {
  ...typicalHardware('ring', id(2), '=HYPERLINK("x")'),
  note: '+1',
  shape: {
    outline: { outline: roundedRectangle(90, 45, 5), limit: 0.1, basis: { kind: 'measured', tool: 'calliper' } },
    openings: [],
    screws: [{ x: 1, y: 2, gauge: 3 }],
  },
};
const preamp: Part = { ...typicalHardware('preamp', id(5), 'Board'), electric: { gain: 2.5, supply: 8e-4 }, traits: { charging: 'port' } };
const pull: Part = {
  ...typicalHardware('push-pull pot', id(6), 'Pull'),
  contacts: { lugs: ['1', '2', '3'], positions: [{ joins: [['2', '1']] }, { joins: [['2', '3']] }] },
};
const pickup: Part = {
  ...typicalPickup('humbucker', id(3), 'Two coils'),
  sizes: { travelDown: { value: 3, limit: 0.5, basis: { kind: 'sheet', part: id(3) } } },
};

describe('the shelf as a table', () => {
  it('comes back as it went out', () => {
    const back = readPartsCsv(LISTS, partsCsv([pot, ring, pickup, preamp, pull]), fresh);
    expect(back.problems).toEqual([]);
    expect(back.parts.map((p) => p.part)).toEqual([pot, ring, pickup, preamp, pull]);
  });

  it('is headed by words, and is read by the headers that it had before too', () => {
    const text = partsCsv([pot]);
    const [header] = text.split('\r\n');
    expect(header).toContain(',lead days,');
    expect(header).not.toMatch(/[a-z][A-Z]/);
    const before = text.replace('thread length', 'threadLength').replace('depth below', 'depthBelow');
    expect(readPartsCsv(LISTS, before, fresh).parts.map((p) => p.part)).toEqual([pot]);
    expect(readPartsCsv(LISTS, before, fresh).problems).toEqual([]);
  });

  it('hands no formula to a spreadsheet', () => {
    const text = partsCsv([ring]);
    expect(text).not.toMatch(/(^|,)"?[=+]/m);
    expect(text).toContain(`'=HYPERLINK`);
  });

  it('takes what was typed by hand: a bare number is from a listing, ± and how it is known may follow', () => {
    const { parts, problems } = readPartsCsv(
      LISTS,
      'kind,name,bushing,body,washer,shaft\npot,By hand,"9,4",24 ±0.2 (calliper),14 (sheet),6 (typical)\n',
      fresh,
    );
    expect(problems).toEqual([]);
    const [one] = parts;
    expect(one?.part.id).toBe(fresh());
    expect(one?.part.sizes).toEqual({
      bushing: { value: 9.4, limit: 1, basis: { kind: 'stated' } },
      body: { value: 24, limit: 0.2, basis: { kind: 'measured', tool: 'calliper' } },
      washer: { value: 14, limit: 1, basis: { kind: 'sheet', part: fresh() } },
      shaft: { value: 6, limit: 1, basis: { kind: 'default' } },
    });
  });

  it('tells what a kind is not marked with, what no capacitor has, and contacts that cannot be', () => {
    const contacts = (text: string): string => `"${text.replaceAll('"', '""')}"`;
    const lines = [
      'kind,name,farad,rows,contacts',
      'capacitor,Good,2.2e-8,,',
      'capacitor,Vast,2,,',
      'capacitor,Word,small,,',
      'pot,Marked,2.2e-8,,',
      'terminal block,Half,,2.5,',
      `mini toggle,To itself,,,${contacts('{"lugs":["1","2"],"positions":[{"joins":[["1","1"]]}]}')}`,
      `mini toggle,No table,,,${contacts('{"lugs":3}')}`,
      `capacitor,Switched,,,${contacts('{"lugs":["1","2"],"positions":[{"joins":[["1","2"]]}]}')}`,
    ];
    const { parts, problems } = readPartsCsv(LISTS, lines.join('\n'), fresh);
    expect(parts.map((p) => (p.part as Hardware).electric)).toEqual([{ farad: 2.2e-8 }]);
    expect(problems.map((p) => `${p.line} ${p.column} ${p.fault}`)).toEqual([
      '3 farad cannotBe',
      '4 farad notANumber',
      '5 farad notOfThisKind',
      '6 rows cannotBe',
      '7 contacts cannotBe',
      '8 contacts cannotBe',
      '9 contacts notOfThisKind',
    ]);
  });

  it('tells each cell that cannot be by its line and column, and keeps the good lines', () => {
    const rows = [
      'kind,name,bushing,slotLength,thread,drawn,gauge',
      'pot,Good,9.5,,3/8-32,,',
      'kazoo,Odd,,,,,',
      'pot,,9.5,,,,',
      'pot,Word,wide,,,,',
      'pot,Vast,900,,,,',
      'pot,Slotted,9.5,28,,,',
      'pot,Threaded,9.5,,M3,,',
      'wood screw,Half,,,,,4.5',
      'plate,Drawn,,,,{broken,',
    ];
    expect(readPartsCsv(LISTS, 'kind,name,replaced by\npot,Gone,the long one\n', fresh).problems).toEqual([
      { line: 2, column: 'replaced by', fault: 'cannotBe', saw: 'the long one' },
    ]);
    const { parts, problems } = readPartsCsv(LISTS, rows.join('\n'), fresh);
    expect(parts.map((p) => p.line)).toEqual([2]);
    expect(problems.map((p) => [p.line, p.column, p.fault])).toEqual([
      [3, 'kind', 'unknownKind'],
      [4, 'name', 'noName'],
      [5, 'bushing', 'notANumber'],
      [6, 'bushing', 'cannotBe'],
      [7, 'slotLength', 'notOfThisKind'],
      [8, 'thread', 'cannotBe'],
      [9, 'gauge', 'cannotBe'],
      [10, 'drawn', 'notDrawn'],
    ]);
  });

  it('refuses other columns, no table, and a file of 50,000 lines, each in words', () => {
    const faults = (csv: string): readonly (readonly [string, string])[] => readPartsCsv(LISTS, csv, fresh).problems.map((p) => [p.column, p.fault]);
    expect(faults('colour,weight\nred,3\n')).toEqual([['kind', 'noColumn']]);
    expect(faults('')).toEqual([['kind', 'noTable']]);
    expect(faults('kind,name,colour\npot,P,red\n')).toEqual([['colour', 'unknownColumn']]);
    const long = readPartsCsv(LISTS, `kind,name\n${'pot,P\n'.repeat(50_000)}`, fresh);
    expect(long.parts).toEqual([]);
    expect(long.problems).toEqual([{ line: 1, column: '', fault: 'tooManyLines', saw: String(MOST_PART_LINES) }]);
  });
});
