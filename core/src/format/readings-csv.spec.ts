import { execFileSync } from 'node:child_process';
import type { Tool } from '../part/index.js';
import { OPEN, type AnyTarget } from '../quantity/index.js';
import { readingsCsv, readReadingsCsv, type ReadingRow } from './index.js';

const row = (target: AnyTarget, value: number, more: Partial<ReadingRow> = {}): ReadingRow => ({
  target,
  value,
  limit: 0.1,
  raw: String(value),
  tool: 'rule',
  person: 'Ada',
  at: '2026-01-01T10:00:00.000Z',
  survey: null,
  corrects: null,
  ...more,
});
const there = (t: AnyTarget): boolean => !t.feature.includes('99');
const tools: readonly Tool[] = [
  { id: 'c1', kind: 'calliper', name: 'Digital calliper', limit: 0.05 },
  { id: 'r1', kind: 'rule', name: 'Long rule', limit: 0.25 },
  { id: 'old', kind: 'tape', name: 'Old tape', limit: 0.5, retired: true },
];
const read = (text: string) => readReadingsCsv(text, there, tools);
const relief = { quantity: 'relief', feature: 'neck' } as const;

describe('readings as a table', () => {
  const nasty = [
    row(relief, -0.1, { raw: '-.1', person: '=HYPERLINK("http://x")' }),
    row({ quantity: 'action', feature: 'string 1' }, 1.5, { raw: '1 1/2, "about"', person: 'Ada,\r\nsecond line' }),
    row({ quantity: 'pickupHeight', feature: 'neck pickup', part: 'bass' }, 2.2, { tool: '@tool', raw: '+2.2' }),
  ];

  it('are read the same by an independent parser (Python csv, RFC 4180), and nothing begins a formula', () => {
    const text = readingsCsv(nasty);
    const script = 'import csv,io,json,sys; print(json.dumps(list(csv.reader(io.StringIO(sys.stdin.buffer.read().decode("utf-8"), newline=""), strict=True))))';
    const cells = JSON.parse(execFileSync('python3', ['-c', script], { input: text, encoding: 'utf8' })) as string[][];
    expect(cells.length).toBe(4);
    expect(cells.every((c) => c.length === 12)).toBeTrue();
    expect(cells[2]![6]).toBe('1 1/2, "about"');
    expect(cells[2]![8]).toBe('Ada,\r\nsecond line');
    expect(cells[1]![8]).toBe('\'=HYPERLINK("http://x")');
    for (const c of cells.flat())
      expect(/^[=+@\t\r]|^-\D/.test(c))
        .withContext(c)
        .toBeFalse();
    expect(text.endsWith('\r\n')).toBeTrue();
  });

  it('come back as they went out', () => {
    const { readings, problems } = read(readingsCsv(nasty));
    expect(problems).toEqual([]);
    expect(readings.map((r) => [r.target, r.value, r.limit, r.raw])).toEqual(nasty.map((r) => [r.target, r.value!, r.limit, r.raw!]));
  });

  it('are read with other order of columns, a byte order mark, semicolons, decimal commas and no limit', () => {
    const { readings } = read('\uFEFFvalue;Feature;Quantity\n0,25;neck;relief\n');
    expect(readings).toEqual([{ line: 2, target: relief, value: 0.25, limit: 0.03, raw: '0,25', tool: 'feeler gauge' }]);
  });

  it('are in the unit that is told: kΩ and MΩ of files of before, and open as the meter shows it', () => {
    const lines = ['resistance,p,7.4,kΩ,0.1', 'resistance,p,7400,Ω,110', 'resistance,p,1.5,MΩ,', 'groundResistance,bridge,OL,Ω,'];
    const { readings, problems } = read(`quantity,feature,value,unit,limit\n${lines.join('\n')}`);
    expect(problems).toEqual([]);
    // of 1.5 MΩ a hundredth and 3 digits
    expect(readings.map((r) => [r.value, r.limit])).toEqual([
      // never finer than the meter reads: 30 and a hundredth
      [7400, 104],
      [7400, 110],
      [1_500_000, 15_030],
      [OPEN, 0.3],
    ]);
    expect(read(readingsCsv([row({ quantity: 'groundResistance', feature: 'bridge' }, OPEN)])).readings.map((r) => r.value)).toEqual([OPEN]);
    expect(read('quantity,feature,value,unit\nrelief,neck,OL,mm\nrelief,neck,0.2,kΩ').problems.map((p) => p.fault)).toEqual(['cannotBe', 'otherUnit']);
  });

  it('of a length are read with a tool that the workshop has in use, by id, name or kind, to its limit or coarser', () => {
    const lines = ['41.5,,', '41.5,c1,0.01', '41.5,long RULE,', '41.5,Calliper,0.2', '41.5,tape,', '41.5,tweezers,'];
    const { readings, problems } = read(`quantity,feature,value,tool,limit\n${lines.map((l) => `bodyThickness,body,${l}`).join('\n')}`);
    expect(readings.map((r) => [r.line, r.tool, r.limit, r.coarser])).toEqual([
      [2, 'c1', 0.05, undefined],
      [3, 'c1', 0.05, undefined],
      [4, 'r1', 0.25, undefined],
      [5, 'c1', 0.2, true],
    ]);
    // what is retired reads nothing more
    expect(problems.map((p) => [p.line, p.column, p.fault, p.saw])).toEqual([
      [6, 'tool', 'unknownTool', 'tape'],
      [7, 'tool', 'unknownTool', 'tweezers'],
    ]);
  });

  it('tell by line what cannot be, and keep the rest', () => {
    const head = 'quantity,feature,value,unit,limit\n';
    const lines = [
      'relief,neck,0.2,mm,',
      'mood,neck,1,,',
      'fretHeight,fret 99,1,,',
      'relief,neck,straight,,',
      'relief,neck,12,mm,',
      'resistance,neck pickup,7.4,V,',
      'fretEnds,neck,1.5,,',
      'relief,neck,0.2,mm,-1',
    ];
    const { readings, problems } = read(head + lines.join('\n'));
    expect(readings.map((r) => r.line)).toEqual([2]);
    expect(problems.map((p) => [p.line, p.column, p.fault])).toEqual([
      [3, 'quantity', 'unknownQuantity'],
      [4, 'feature', 'noSuchPlace'],
      [5, 'value', 'notANumber'],
      [6, 'value', 'cannotBe'],
      [7, 'unit', 'otherUnit'],
      [8, 'value', 'cannotBe'],
      [9, 'limit', 'cannotBe'],
    ]);
    expect(read('').problems[0]!.fault).toBe('noTable');
    expect(read('a,b\n1,2\n').problems[0]).toEqual({ line: 1, column: 'quantity', fault: 'noColumn', saw: 'a, b' });
    expect(read('\u0000\u0001PK').problems.length).toBe(1);
  });
});
