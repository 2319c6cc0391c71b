import type { LedgerEntry } from '@rinnovo/core/job';
import type { PlannedOperation } from '@rinnovo/core/work';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { Lesson, LogStep } from '@rinnovo/contract';
import type { Operation } from '@rinnovo/core/operation';
import { button, clearance, decision, host, jobOnScreen, logged, noWork, operation, choice, route, settle, type, type JobOnScreen } from '../../../testing/job';
import { Connection } from '../../api/connection';
import { readings, work } from '../../state/resources';
import { BenchPage } from './bench-page';

const planned = { ...choice, route };
const passes = operation('routePasses');

function entry(step: string, measured: number | null = null): LedgerEntry {
  const target = { quantity: 'levelDepth' as const, feature: 'route', part: 'main' };
  const read = measured === null ? null : { target, unit: 'mm' as const, value: measured, limit: 0.05, raw: '', tool: 'gauge' };
  return logged({ id: step, step, measured: read });
}

async function bench(more: JobOnScreen): Promise<{ fixture: ComponentFixture<BenchPage>; http: ReturnType<typeof jobOnScreen>['http'] }> {
  const { http } = jobOnScreen({ choice: planned, ...more });
  const fixture = TestBed.createComponent(BenchPage);
  await fixture.whenStable();
  return { fixture, http };
}

const cleared = { decisions: [decision], operations: [passes], clearances: [clearance] };
const toDepth = [entry('1 unplug'), entry('2 changeBit'), entry('3 setDepth'), entry('4 cut')];

describe('the bench', () => {
  it('says what to do first when there is no work', async () => {
    const { fixture } = await bench({});
    expect(host(fixture).textContent).toContain('No work on the bench');
  });

  it('does not say that all is done while what there is to do is worked out', async () => {
    const { store } = jobOnScreen({ choice: planned });
    const fixture = TestBed.createComponent(BenchPage);
    await fixture.whenStable();
    // the work has come, the bench that is on the screen was made without it
    store.dispatch(work.loaded({ of: 'job', data: { ...noWork, decisions: [decision], operations: [passes] }, version: null }));
    await fixture.whenStable();
    expect(host(fixture).textContent).not.toContain('All work is done');
    expect(host(fixture).textContent).toContain('Computing the next step');
  });

  it('shows caution first, then one step', async () => {
    const { fixture } = await bench({ work: cleared });
    const text = host(fixture).querySelector('.step')!.textContent;
    expect(text.indexOf('Router: unplug it')).toBeGreaterThan(-1);
    expect(text.indexOf('Router: unplug it')).toBeLessThan(text.indexOf('Unplug the router.'));
    expect(text).toContain('step 1 of');
  });

  it('does not go on while the gate is shut', async () => {
    const { fixture } = await bench({ work: { ...cleared, clearances: [] } });
    expect(host(fixture).textContent).toContain('Not clear to cut.');
    expect(host(fixture).querySelector('rn-gate-panel')).not.toBeNull();
    expect(() => button(fixture, 'Done')).toThrow();
  });

  it('does not go on once what it was cleared on has changed, and says what is open', async () => {
    const { store } = jobOnScreen({ choice: planned, work: cleared, ledger: toDepth.slice(0, 2) });
    const fixture = TestBed.createComponent(BenchPage);
    await fixture.whenStable();
    expect(button(fixture, 'Done').disabled).toBeFalse();
    store.dispatch(readings.loaded({ of: 'i', data: [], version: null }));
    await fixture.whenStable();
    expect(host(fixture).querySelector('.step')!.textContent).toContain('What this cut was cleared on has changed');
    expect(host(fixture).querySelector('rn-gate-panel')!.textContent).toContain('Measure: window, width across');
    expect(() => button(fixture, 'Done')).toThrow();
  });

  describe('while the server does not answer', () => {
    const text = (fixture: ComponentFixture<BenchPage>) => host(fixture).querySelector('.step')!.textContent;

    it('starts no cut, and goes on with one that was started', async () => {
      const { fixture } = await bench({ work: cleared, ledger: toDepth.slice(0, 3) });
      expect(button(fixture, 'Done').disabled).toBeFalse();
      TestBed.inject(Connection).set('away');
      await fixture.whenStable();
      expect(text(fixture)).toContain('No cut starts until it does.');
      expect(() => button(fixture, 'Done')).toThrow();
      expect(() => button(fixture, 'Log mishap')).toThrow();
      TestBed.resetTestingModule();
      const { fixture: begun } = await bench({ work: cleared, ledger: toDepth });
      TestBed.inject(Connection).set('away');
      await begun.whenStable();
      expect(button(begun, 'Done').disabled).toBeFalse();
    });

    it('keeps a cut that was made anyway as not judged, with why', async () => {
      const { fixture, http } = await bench({ work: cleared, ledger: toDepth.slice(0, 3) });
      TestBed.inject(Connection).set('away');
      await fixture.whenStable();
      button(fixture, 'The cut was made anyway').click();
      await fixture.whenStable();
      button(fixture, 'Keep as done, not judged').click();
      await fixture.whenStable();
      expect(text(fixture)).toContain('Type why the cut was made');
      http.expectNone(() => true);
      const why = [...host(fixture).querySelectorAll('label')].find((l) => l.textContent.includes('Why it was made'))!.querySelector('input')!;
      why.value = 'the template was on';
      why.dispatchEvent(new Event('input'));
      button(fixture, 'Keep as done, not judged').click();
      await settle();
      const said = http.expectOne((r) => r.url.startsWith('/api/ledger/')).request.body as LogStep;
      expect([said.step, said.unjudged]).toEqual(['4 cut', 'the template was on']);
      expect(Math.abs(Date.parse(said.done!) - Date.now())).toBeLessThan(60_000);
    });
  });

  it('waits for somebody to look at a cut that was not judged, and keeps what was found', async () => {
    const unjudged = { ...entry('4 cut'), id: 'u', unjudged: { why: 'no network', looked: null } };
    const { fixture, http } = await bench({ work: cleared, ledger: [...toDepth.slice(0, 3), unjudged] });
    expect(host(fixture).querySelector('.step')!.textContent).toContain('A cut was made without being judged. Look at it first.');
    expect(host(fixture).querySelector('rn-unjudged-step')!.textContent).toContain('no network');
    button(fixture, 'Save what is there').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-unjudged-step')!.textContent).toContain('Type what is there now');
    await type(fixture, 'rn-unjudged-step input', '6.0 deep');
    button(fixture, 'Save what is there').click();
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/ledger-looks/'));
    expect(put.request.body).toEqual({ entry: 'u', found: '6.0 deep' });
    put.flush({}, { status: 201, statusText: 'kept' });
    await settle();
    http.expectOne((r) => r.url.endsWith('/ledger') || r.url.includes('/ledger?'));
  });

  it('gives the projection of the first pass large: 12 + 6 = 18.0 mm, and opens its sum', async () => {
    const { fixture } = await bench({ work: cleared, ledger: toDepth.slice(0, 2) });
    const figure = host(fixture).querySelector<HTMLButtonElement>('[data-number="projection"]')!;
    expect(figure.querySelector('.huge')!.textContent.trim()).toBe('18.0\u202fmm');
    figure.click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-working-view')!.textContent).toContain('template');
  });

  it('asks for the depth, refuses to be done without it, and sends it with its tool', async () => {
    const { fixture, http } = await bench({ work: cleared, ledger: toDepth });
    button(fixture, 'Done').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Type the depth');
    http.expectNone(() => true);
    await type(fixture, 'rn-length-field input', '5,9');
    button(fixture, 'Done').click();
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/ledger/'));
    const body = put.request.body as { step: string; measured: { value: number; tool: string; raw: string } };
    expect([body.step, body.measured.value, body.measured.tool, body.measured.raw]).toEqual(['5 measureDepth', 5.9, 'gauge', '5,9']);
    put.flush(
      { type: '/problems/cannot-be', title: 'Not possible', status: 422, errors: [{ pointer: '/measured/value', detail: 'is deeper than planned' }] },
      { status: 422, statusText: 'no' },
    );
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-length-field')!.textContent).toContain('is deeper than planned');
    expect(host(fixture).querySelector<HTMLInputElement>('rn-length-field input')!.value).toBe('5,9');
  });

  it('works the rest out from what was read: 12.0 − 5.8', async () => {
    const { fixture } = await bench({ work: cleared, ledger: [...toDepth, entry('5 measureDepth', 5.8), entry('6 unplug')] });
    expect(host(fixture).querySelector('[data-number="remainingDepth"] .huge')!.textContent.trim()).toBe('6.2\u202fmm');
  });

  it('logs what mishap with words, its cause and what was learned, and says what can be done now', async () => {
    const { fixture, http } = await bench({ work: cleared, ledger: toDepth });
    button(fixture, 'Log mishap').click();
    await fixture.whenStable();
    const page = host(fixture);
    page.querySelector<HTMLInputElement>('rn-went-wrong input[type=radio][value=tooDeep]')!.click();
    await fixture.whenStable();
    await type(fixture, 'rn-went-wrong rn-length-field input', '19');
    expect(page.querySelector('rn-went-wrong')!.textContent).toContain('Make up the depth with a shim');
    page.querySelector<HTMLInputElement>('rn-went-wrong input[value=shimUnderPart]')!.click();
    const form = page.querySelector('rn-went-wrong form')!;
    form.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    expect(page.querySelector('rn-went-wrong [role=alert]')!.textContent).toContain('Type what happened');
    http.expectNone(() => true);
    await type(fixture, 'rn-went-wrong input[maxlength="1000"]', 'the stop slipped');
    await type(fixture, 'rn-went-wrong input[maxlength="500"]', ' tape the stop ');
    form.dispatchEvent(new Event('submit'));
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/ledger/'));
    const body = put.request.body as LogStep;
    expect([body.outcome, body.note, body.measured?.value]).toEqual(['wentWrong', 'the stop slipped', 19]);
    expect(body.wrong).toEqual({ mishap: 'tooDeep', flaw: null, cause: null, way: 'shimUnderPart', lesson: 'tape the stop' });
    put.flush({ entry: {} });
    http.match(() => true);
  });

  it('asks of a slip how far and which way, judges the wood that is gone, and keeps the form when the server refuses', async () => {
    const { fixture, http } = await bench({ work: cleared, ledger: toDepth.slice(0, 3) });
    button(fixture, 'Log mishap').click();
    await fixture.whenStable();
    const page = host(fixture);
    const form = page.querySelector('rn-went-wrong form')!;
    const submit = async (): Promise<void> => {
      form.dispatchEvent(new Event('submit'));
      await fixture.whenStable();
    };
    expect(page.querySelector('input[value=tooDeep]')).toBeNull();
    await submit();
    expect(page.querySelector('rn-went-wrong rn-length-field [role=alert]')!.textContent).toContain('Type the distance');
    await type(fixture, 'rn-went-wrong rn-length-field input', '1.5');
    await submit();
    expect(page.querySelector('rn-went-wrong form > [role=alert]')!.textContent).toContain('direction');
    page.querySelector<HTMLElement>('rn-went-wrong mat-select')!.click();
    await fixture.whenStable();
    [...document.querySelectorAll<HTMLElement>('mat-option')].find((o) => o.textContent.includes('treble'))!.click();
    await fixture.whenStable();
    expect(page.querySelector('rn-went-wrong')!.textContent).toContain('Fit a sliver');
    await type(fixture, 'rn-went-wrong input[maxlength="1000"]', 'the tape let go');
    await type(fixture, 'rn-stop-watch input', '3');
    await submit();
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/ledger/'));
    expect((put.request.body as LogStep).minutes).toBe(3);
    expect((put.request.body as LogStep).wrong!.flaw).toEqual({ by: 1.5, level: 'main', side: 'treble' });
    put.flush({ type: '/problems/not-now', title: 'Not possible now', status: 409 }, { status: 409, statusText: 'no' });
    await settle();
    await fixture.whenStable();
    expect(page.querySelector<HTMLInputElement>('rn-went-wrong input[maxlength="1000"]')!.value).toBe('the tape let go');
    expect(page.textContent).toContain('Not possible now');
  });

  it('asks of no slip where no wood is cut', async () => {
    const { fixture } = await bench({ work: { ...cleared, operations: [operation('testFit')] } });
    button(fixture, 'Log mishap').click();
    await fixture.whenStable();
    const kinds = [...host(fixture).querySelectorAll<HTMLInputElement>('rn-went-wrong mat-radio-group:first-of-type input')];
    expect(kinds.map((k) => k.value)).toEqual(['chipped', 'partBroke', 'wrongPart', 'other']);
    expect(kinds.find((k) => k.checked)?.value).toBe('other');
    expect(host(fixture).querySelector('rn-went-wrong rn-length-field')).toBeNull();
  });

  it('reminds of what was learned at the same work before, and of nothing else', async () => {
    const lesson = (kind: Operation['kind'], text: string): Lesson => ({
      id: text,
      kind,
      mishap: 'slipped',
      cause: 'tool',
      lesson: text,
      instrument: 'j',
      label: 'Tern',
      at: '2026-01-05T00:00:00Z',
    });
    const { fixture } = await bench({ work: cleared, lessons: [lesson('routePasses', 'two screws hold better than tape'), lesson('openHole', 'not this')] });
    expect(host(fixture).querySelector('.learned')!.textContent).toContain('two screws hold better than tape');
    expect(host(fixture).textContent).not.toContain('not this');
  });

  it('challenges a drawer that says none: with a reason the part is counted in, and the step goes on', async () => {
    const { fixture, http } = await bench({ work: { ...cleared, operations: [operation('fitPart')] }, stock: [] });
    expect(host(fixture).textContent).toContain('The part is not in stock.');
    expect(() => button(fixture, 'Done')).toThrow();
    button(fixture, 'Count the part').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('form [role=alert]')!.textContent).toContain('Type the reason');
    await type(fixture, 'form.ask input', 'it came with the guitar');
    button(fixture, 'Count the part').click();
    await fixture.whenStable();
    button(fixture, 'Done').click();
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/ledger/'));
    expect((put.request.body as LogStep).counted).toBe('it came with the guitar');
    put.flush({ entry: {} });
    http.match(() => true);
  });

  it('asks the owner before a part is cut down, there and then', async () => {
    const trimmed: PlannedOperation = operation('trimPart');
    const does = [{ kind: 'trimPickup' as const, position: 'pickup', trimmed: { ears: 1, screws: 0 } }];
    const choice = { ...planned, work: [{ kind: 'trimPart', does }] };
    const { fixture, http } = await bench({ choice, work: { ...cleared, operations: [trimmed] }, agreed: [] });
    expect(host(fixture).textContent).toContain('Ask the owner');
    await type(fixture, 'rn-ask-owner input', 'file it');
    button(fixture, 'Save consent').click();
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/consents/'));
    expect(put.request.body).toEqual(jasmine.objectContaining({ decision: 'decision', said: 'file it' }));
    put.flush({});
    http.match(() => true);
  });

  it('asks for the gap when the real part is tried, 0 where it touches, and says what it means', async () => {
    const { fixture, http } = await bench({ work: { ...cleared, operations: [operation('testFit')] } });
    button(fixture, 'Done').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Type the gap');
    await type(fixture, 'rn-length-field input', '0');
    expect(host(fixture).querySelector('.says')!.textContent).toContain('The part touches');
    await type(fixture, 'rn-length-field input', '3');
    expect(host(fixture).querySelector('.says')!.textContent).toContain('more than planned');
    button(fixture, 'Done').click();
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/ledger/'));
    expect((put.request.body as LogStep).measured!.value).toBe(3);
    put.flush({ entry: {} });
    http.match(() => true);
  });

  it('asks for each coil of a new pickup, says what the meter tells, and does not go on with a dead one', async () => {
    const { fixture, http } = await bench({ work: { ...cleared, operations: [operation('meterPart')] } });
    const ohms = '.ask input[placeholder="7.4k, OL"]';
    expect(host(fixture).querySelector('.ask')!.textContent).toContain('4.00\u202fkΩ');
    button(fixture, 'Done').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Type the resistance');
    await type(fixture, ohms, 'OL');
    expect(host(fixture).querySelector('.says')!.textContent).toContain('Open: a broken coil');
    button(fixture, 'Done').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('is a dead coil');
    await type(fixture, ohms, '4.1k');
    expect(host(fixture).querySelector('.says')!.textContent).toContain('As expected');
    button(fixture, 'Done').click();
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/ledger/'));
    expect((put.request.body as LogStep).measured).toEqual(jasmine.objectContaining({ value: 4100, tool: 'meter', raw: '4.1k' }));
    put.flush({ entry: {} });
    http.match(() => true);
  });

  it('logs the minutes of the watch, or as typed; what is not a number of minutes is refused', async () => {
    const { fixture, http } = await bench({ work: cleared });
    const minutes = 'rn-stop-watch input';
    await type(fixture, minutes, 'soon');
    expect(host(fixture).querySelector('rn-stop-watch [role=alert]')!.textContent).toContain('minutes');
    button(fixture, 'Done').click();
    await settle();
    http.expectNone(() => true);
    await type(fixture, minutes, '2,5');
    button(fixture, 'Done').click();
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/ledger/'));
    expect((put.request.body as LogStep).minutes).toBe(2.5);
    put.flush({ entry: {} });
    http.match(() => true);
  });
});
