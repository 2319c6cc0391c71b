// Files that were broken on the way. Expected lines counted by hand.
import { LISTS } from '../house/index.js';
import { readPartsCsv, readReadingsCsv } from './index.js';
import { plainNumber, readTable } from './table.js';

const fresh = (): string => '00000000-0000-4000-8000-000000000099';
const parts = (text: string) => readPartsCsv(LISTS, text, fresh);
const calliper = { id: 'c', kind: 'calliper', name: 'Calliper', limit: 0.05 } as const;
const readings = (text: string) => readReadingsCsv(text, () => true, [calliper]);
const told = (of: { readonly problems: readonly { readonly line: number; readonly fault: string }[] }): readonly string[] =>
  of.problems.map((p) => `${p.line} ${p.fault}`);

describe('a table', () => {
  it('counts its lines as an editor does, empty ones and those within quotes too', () => {
    const { rows } = readTable('a,b\r\n\r\n1,"two\r\nlines"\r\n\r\n3,4\r\n', (h) => h, 10);
    expect(rows.map((r) => [r.line, r.cells['a']])).toEqual([
      [3, '1'],
      [6, '3'],
    ]);
    expect(told(readings('quantity,feature,value\n\n\nrelief,neck,x\n'))).toEqual(['4 notANumber']);
  });

  it('is never cut off silently: more than 5,000 lines are told', () => {
    const lines = (n: number): string => `quantity,feature,value\n${'relief,neck,0.2\n'.repeat(n)}`;
    expect([readings(lines(5000)).readings.length, told(readings(lines(5000)))]).toEqual([5000, []]);
    expect([readings(lines(5001)).readings.length, told(readings(lines(5001)))]).toEqual([0, ['1 tooManyLines']]);
  });

  it('with a quote that is not closed is told by the line where it began, and nothing of it is taken', () => {
    const text = 'quantity,feature,value\nrelief,neck,0.2\nrelief,"neck,0.3\nrelief,neck,0.4\n';
    expect([readings(text).readings.length, told(readings(text))]).toEqual([0, ['3 unclosedQuote']]);
    expect(told(parts('kind,name\npot,one\npot,"two\npot,three\n'))).toEqual(['3 unclosedQuote']);
  });

  it('with more cells than columns is told, so that no value lands in another column', () => {
    expect(told(readings('quantity,feature,value\nrelief,neck,0,2\nrelief,neck,0.3\n'))).toEqual(['2 surplusCells']);
    expect(told(parts('kind,name\npot,one,9\n'))).toEqual(['2 surplusCells']);
    // empty cells at the end are a spreadsheet’s habit
    expect(told(readings('quantity,feature,value\nrelief,neck,0.2,,\n'))).toEqual([]);
  });

  it('has numbers as people write them', () => {
    expect(['1.5', '1,5', '-.5', '+2', '3.', '1e3'].map(plainNumber)).toEqual([1.5, 1.5, -0.5, 2, 3, 1000]);
    expect(['0x10', '0b1', 'Infinity', 'NaN', '', ' ', '1.2.3', '1,2,3', '.', '1e', '٣'].every((t) => plainNumber(t) === null)).toBeTrue();
    expect(told(readings('quantity,feature,value\nrelief,neck,0x10\n'))).toEqual(['2 notANumber']);
    expect(told(parts('kind,name,price\npot,one,0x10\n'))).toEqual(['2 notANumber']);
  });

  it('of parts has each id once, and no drawing with holes in it', () => {
    const id = '00000000-0000-4000-8000-000000000001';
    expect(told(parts(`kind,name,id\npot,one,${id}\npot,two,${id}\npot,three,\n`))).toEqual(['3 twice']);
    const drawn = (json: string): string => `kind,name,drawn\nplate,one,"${json.replaceAll('"', '""')}"\n`;
    expect(told(parts(drawn('{"outline":{"outline":{"vertices":[null]}}}')))).toEqual(['2 notDrawn']);
    expect(told(parts(drawn('{"outline":{"outline":{"vertices":[{"x":null,"y":0,"bulge":0}]}}}')))).toEqual(['2 notDrawn']);
    expect(told(parts(drawn('[]')))).toEqual(['2 notDrawn']);
  });
});
