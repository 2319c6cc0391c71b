import { TestBed } from '@angular/core/testing';
import type { LogStep, TakeReading } from '@rinnovo/contract';
import { benchNow } from '@rinnovo/core/house';
import { benchInput } from '@rinnovo/core/job';
import { valueOf } from '@rinnovo/core/measure';
import { usualLimit } from '@rinnovo/core/quantity';
import { choice, clearance, decision, jobOnScreen, operation, route, type JobOnScreen } from '../../testing/job';
import { problemOf } from '../api/problem-of';
import { Who } from '../api/who';
import { selectJobInHand } from './job-in-hand';
import { Meanwhile } from './meanwhile';
import { anatomy, ledger, readings } from './resources';
import { selectPlanState } from './selectors';

const planned = { ...choice, route };
const cleared = { decisions: [decision], operations: [operation('routePasses')], clearances: [clearance] };

function away(more: JobOnScreen = {}) {
  const { store } = jobOnScreen({ choice: planned, work: cleared, ...more });
  TestBed.inject(Who).choose('nell');
  const meanwhile = TestBed.inject(Meanwhile);
  const bench = () => benchNow({ ...benchInput(store.selectSignal(selectJobInHand)()), state: store.selectSignal(selectPlanState)()! });
  /** What is to be done now, with what it asks for as it is expected. */
  const next = (more: Partial<LogStep> = {}): LogStep => {
    const b = bench();
    const card = b.cards[b.now]!;
    const expected = card.asks?.expected ?? 0;
    const ohms = card.asks?.what === 'resistance';
    const limit = ohms ? usualLimit('partResistance', expected) : 0.05;
    const measured = card.asks ? { value: expected, limit, raw: String(expected), tool: ohms ? 'meter' : 'gauge' } : null;
    const seen = Object.fromEntries(card.numbers.map((n) => [n.label, valueOf(n.working)]));
    return { operation: b.operation!.id, step: card.key, outcome: 'done', wrong: null, note: '', minutes: 1, measured, seen, ...more };
  };
  /** Everything that comes before the passes; ends in how much that was. */
  const upToPasses = (): number => {
    for (let n = 0; n < 20; n += 1) {
      if (bench().operation?.kind === 'routePasses') return n;
      meanwhile.step(`first ${n}`, next());
    }
    throw new Error('the passes never come');
  };
  const log = () => store.selectSignal(ledger.select)().data!;
  const revision = () => store.selectSignal(anatomy.select)().version!;
  return { store, meanwhile, bench, next, log, revision, upToPasses };
}

const refusedFor = (act: () => unknown): string | null => {
  try {
    act();
    return null;
  } catch (error) {
    return problemOf(error).type;
  }
};

describe('what is done while the server is away', () => {
  it('goes on from step to step, to the end of the cut, its revisions chained', () => {
    const { meanwhile, bench, next, log, revision, upToPasses } = away();
    const first = upToPasses();
    const before = revision();
    let count = 0;
    while (bench().operation?.kind === 'routePasses' && count < 40) {
      meanwhile.step(`e${count}`, next());
      count += 1;
    }
    expect(count).toBeGreaterThan(8);
    expect(
      log()
        .slice(first)
        .map((l) => l.id),
    ).toEqual(Array.from({ length: count }, (_, i) => `e${i}`));
    // the cut is in the instrument as it is known here, and the last step made that revision
    expect(revision()).toBe(before + 1);
    expect([log().at(-1)!.before.anatomy, log().at(-1)!.after.anatomy]).toEqual([before, before + 1]);
    expect(log().filter((l) => l.measured).length).toBeGreaterThan(0);
  });

  it('is judged here as the server would: another step, other numbers, a clearance that has lapsed', () => {
    const { store, meanwhile, next, log, upToPasses } = away();
    const first = upToPasses();
    expect(refusedFor(() => meanwhile.step('e', next({ step: '9 cut' })))).toBe('/problems/not-now');
    meanwhile.step('e1', next());
    meanwhile.step('e2', next());
    expect(refusedFor(() => meanwhile.step('e', next({ seen: { projection: 3 } })))).toBe('/problems/numbers-differ');
    store.dispatch(readings.loaded({ of: 'i', data: [], version: null }));
    expect(refusedFor(() => meanwhile.step('e', next()))).toBe('/problems/not-clear');
    expect(log().length).toBe(first + 2);
    // what was cut anyway is kept, and nothing is cut after it
    meanwhile.step('e3', next({ unjudged: 'it was in the wood' }));
    expect(log().at(-1)!.unjudged).toEqual({ why: 'it was in the wood', looked: null });
    expect(refusedFor(() => meanwhile.step('e', next()))).toBe('/problems/not-now');
  });

  it('takes a reading into the instrument, and the next one beside it', () => {
    const { store, meanwhile, revision } = away();
    const before = revision();
    const body: TakeReading = {
      instrument: 'i',
      target: { quantity: 'bodyThickness', feature: 'body' },
      value: 44,
      limit: 0.05,
      raw: '44',
      tool: 'calliper',
      session: null,
      survey: null,
      corrects: null,
    };
    const thickness = () => store.selectSignal(anatomy.select)().data!.now.document.body.thickness!.value;
    meanwhile.reading('r1', body);
    expect([thickness(), revision()]).toEqual([44, before + 1]);
    meanwhile.reading('r2', { ...body, value: 43, raw: '43' });
    expect([thickness(), revision()]).toEqual([43, before + 2]);
    expect(
      store
        .selectSignal(readings.select)()
        .data!.slice(-2)
        .map((r) => [r.id, r.value, r.person]),
    ).toEqual([
      ['r1', 44, 'nell'],
      ['r2', 43, 'nell'],
    ]);
    meanwhile.reading('r3', { ...body, target: { quantity: 'temperature', feature: 'room' }, value: 21, raw: '21' });
    expect(revision()).toBe(before + 2);
  });
});
