import { isState, STATES, stillStanding, targetKey, type Reading } from '@rinnovo/core/quantity';
import {
  asRead,
  expectedAt,
  heardOf,
  judgeLine,
  lineFor,
  meaningsByEar,
  meaningsByItself,
  meaningsOf,
  netlistOf,
  networkOf,
  testSheet,
  TEST_STAGES,
  USUAL_LOAD,
  USUAL_ROOM,
  whyNoTarget,
  wired,
  type Circuit,
  type Expected,
  type Heard,
  type LineVerdict,
  type Meaning,
  type Room,
  type TestLine,
  type TestStage,
} from '@rinnovo/core/wire';
import { STATE_TOOL_WORDS } from './choices.js';
import { circuitValue, heardText, LINE_VERDICT_WORDS, lineTitle, meaningText, NO_TARGET_WORDS, predictedText, restsOnText } from './circuit.js';
import type { Names } from './names.js';

/** One line of the sheet as it is shown. */
export interface SheetRow {
  readonly key: string;
  readonly line: TestLine;
  readonly title: string;
  readonly target: string;
  readonly expected: Expected | null;
  readonly rests: string;
  readonly reading: { readonly text: string; readonly by: string; readonly simulated: boolean } | null;
  readonly result: { readonly sign: string; readonly word: string; readonly agrees: boolean } | null;
  readonly meanings: readonly string[];
  /** Of a line by ear: what can be answered, and which was. */
  readonly answers: readonly string[];
  readonly answer: number | null;
}

/** A stage of the sheet with its lines. */
export interface SheetGroup {
  readonly stage: TestStage;
  readonly rows: readonly SheetRow[];
}

/** The air by its newest reading; what is usual where nobody read it. */
export function roomOf(readings: readonly Reading[]): Room {
  const read = stillStanding(readings)
    .filter((r) => r.target.quantity === 'temperature')
    .sort((a, b) => a.at.localeCompare(b.at))
    .at(-1);
  return read ? { celsius: read.value, limit: read.limit } : USUAL_ROOM;
}

/** The sheet of a circuit with its readings beside the predictions. Parts are held against what they should be; everything behind them against what they are. */
export function sheetGroups(circuit: Circuit, readings: readonly Reading[], names: Names): readonly SheetGroup[] {
  const room = roomOf(readings);
  const metered = asRead(circuit, readings, room);
  const [should, is] = [wired(circuit), wired(metered)];
  const newest = new Map<string, Reading>();
  for (const r of stillStanding(readings)) {
    const key = targetKey(r.target);
    const before = newest.get(key);
    if (isState(r.target) && (!before || before.at <= r.at)) newest.set(key, r);
  }
  // what a survey reads of a pickup at the jack is the line where it stands by itself
  for (const e of circuit.elements) {
    const surveyed = e.kind === 'pickup' && e.place !== null ? newest.get(targetKey({ quantity: 'resistance', feature: e.place })) : undefined;
    const line = surveyed && e.place !== null ? lineFor(circuit, e.place, 'whole') : null;
    const before = line && newest.get(targetKey(line.target));
    if (surveyed && line && (!before || before.at < surveyed.at)) newest.set(targetKey(line.target), surveyed);
  }
  /** How a line's reading stands; null where nobody took it, or nothing is predicted. */
  const verdictOf = (line: TestLine, read: Reading | undefined): LineVerdict | null => {
    const expected = read ? expectedAt(line.stage === 'part' ? should : is, line, room) : null;
    return read && expected ? judgeLine(expected, read) : null;
  };
  const meaningsAt = (line: TestLine, read: Reading, verdict: LineVerdict | null, heard: Heard | null): readonly Meaning[] => {
    if (heard) return meaningsByEar(line, STATES[line.target.quantity].choices?.[read.value] ?? '', heard);
    if (verdict === null || verdict === 'agrees') return [];
    if (line.stage !== 'part') return meaningsOf(metered, line, read, room);
    const quantity = line.target.quantity === 'partInductance' ? 'partResistance' : 'partInductance';
    const twin: TestLine = { ...line, target: { ...line.target, quantity } };
    return meaningsByItself(circuit, line, verdict, verdictOf(twin, newest.get(targetKey(twin.target))));
  };
  const rows = testSheet(circuit).map((line): SheetRow => {
    const key = targetKey(line.target);
    const read = newest.get(key) ?? null;
    const expected = expectedAt(line.stage === 'part' ? should : is, line, room);
    const { quantity } = line.target;
    const byEar = STATES[quantity].choices ?? [];
    const verdict = verdictOf(line, read ?? undefined);
    const ear = read && byEar.length > 0 ? earVerdict(read.value) : null;
    const heard = byEar.length > 0 ? heardOf(networkOf(netlistOf(is, line.setting), USUAL_LOAD)) : null;
    const meanings = read ? meaningsAt(line, read, verdict, heard) : [];
    return {
      key,
      line,
      title: lineTitle(circuit, line, names),
      target: expected
        ? predictedText(expected.value, expected.least, expected.most, quantity)
        : heard
          ? heardText(circuit, heard, names)
          : NO_TARGET_WORDS[whyNoTarget(line.stage === 'part' ? should : is, line) ?? 'unknown'],
      expected,
      rests: expected?.resistance ? restsOnText(circuit, expected.resistance, names) : '',
      reading: read && {
        text: byEar[read.value] ?? circuitValue(read.value, quantity),
        by: (STATE_TOOL_WORDS as Readonly<Record<string, string>>)[read.tool] ?? '',
        simulated: read.tool === 'simulated meter',
      },
      result: verdict ? resultOf(verdict) : ear,
      meanings: unexplained(verdict, meanings).map((m) => (m === null ? 'No single fault explains it. Read it again.' : meaningText(circuit, m, names))),
      answers: byEar,
      answer: read && byEar.length > 0 ? read.value : null,
    };
  });
  return TEST_STAGES.map((stage) => ({ stage, rows: rows.filter((r) => r.line.stage === stage) })).filter((g) => g.rows.length > 0);
}

const resultOf = (verdict: LineVerdict): NonNullable<SheetRow['result']> => ({
  sign: verdict === 'agrees' ? '○' : '✕',
  word: LINE_VERDICT_WORDS[verdict],
  agrees: verdict === 'agrees',
});

/** The first answer is that all is well. */
const earVerdict = (answer: number): NonNullable<SheetRow['result']> =>
  answer === 0 ? { sign: '○', word: 'As it should be', agrees: true } : { sign: '✕', word: 'Not as it should be', agrees: false };

const unexplained = (verdict: LineVerdict | null, meanings: readonly Meaning[]): readonly (Meaning | null)[] =>
  verdict !== null && verdict !== 'agrees' && meanings.length === 0 ? [null] : meanings;
