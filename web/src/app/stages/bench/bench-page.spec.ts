import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { LedgerEntry } from '@rinnovo/contract';
import { button, clearance, decision, host, jobOnScreen, operation, choice, route, settle, type, type JobOnScreen } from '../../../testing/job';
import { BenchPage } from './bench-page';

const planned = { ...choice, route };
const passes = operation('routePasses');

function entry(step: string, measured: number | null = null): LedgerEntry {
  return {
    id: step,
    instrument: 'i',
    job: 'job',
    operation: 'routePasses',
    kind: 'routePasses',
    step,
    outcome: 'done',
    note: '',
    minutes: null,
    measured: measured === null ? null : { pocket: 'main', value: measured, limit: 0.05, raw: '', tool: 'gauge' },
    numbers: {},
    revisionBefore: 1,
    revisionAfter: 1,
    person: 'nell',
    at: '2026-01-02T12:00:00.000Z',
  };
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
    expect(host(fixture).textContent).toContain('Nothing is on the bench');
  });

  it('shows caution first, then one step', async () => {
    const { fixture } = await bench({ work: cleared });
    const text = host(fixture).querySelector('.step')!.textContent;
    expect(text.indexOf('Router: unplugged')).toBeGreaterThan(-1);
    expect(text.indexOf('Router: unplugged')).toBeLessThan(text.indexOf('Unplug the router.'));
    expect(text).toContain('step 1 of');
  });

  it('does not go on while the gate is shut', async () => {
    const { fixture } = await bench({ work: { ...cleared, clearances: [] } });
    expect(host(fixture).textContent).toContain('Not clear to cut.');
    expect(host(fixture).querySelector('rn-gate-panel')).not.toBeNull();
    expect(() => button(fixture, 'Done')).toThrow();
  });

  it('gives the projection of the first pass large: 12 + 6 = 18.0 mm, and opens its sum', async () => {
    const { fixture } = await bench({ work: cleared, ledger: toDepth.slice(0, 2) });
    const figure = host(fixture).querySelector<HTMLButtonElement>('[data-number="projection"]')!;
    expect(figure.querySelector('.huge')!.textContent.trim()).toBe('18.0 mm');
    figure.click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-working-view')!.textContent).toContain('template');
  });

  it('asks for the depth, refuses to be done without it, and sends it with its tool', async () => {
    const { fixture, http } = await bench({ work: cleared, ledger: toDepth });
    button(fixture, 'Done').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('asks for the depth');
    http.expectNone(() => true);
    await type(fixture, 'rn-length-field input', '5,9');
    button(fixture, 'Done').click();
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/ledger/'));
    const body = put.request.body as { step: string; measured: { value: number; tool: string; raw: string } };
    expect([body.step, body.measured.value, body.measured.tool, body.measured.raw]).toEqual(['5 measureDepth', 5.9, 'gauge', '5,9']);
    put.flush(
      { type: '/problems/cannot-be', title: 'That cannot be', status: 422, errors: [{ pointer: '/measured/value', detail: 'is deeper than planned' }] },
      { status: 422, statusText: 'no' },
    );
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-length-field')!.textContent).toContain('is deeper than planned');
    expect(host(fixture).querySelector<HTMLInputElement>('rn-length-field input')!.value).toBe('5,9');
  });

  it('works the rest out from what was read: 12.0 − 5.8', async () => {
    const { fixture } = await bench({ work: cleared, ledger: [...toDepth, entry('5 measureDepth', 5.8), entry('6 unplug')] });
    expect(host(fixture).querySelector('[data-number="remainingDepth"] .huge')!.textContent.trim()).toBe('6.2 mm');
  });

  it('logs what went wrong with words, and says what can be done now', async () => {
    const { fixture, http } = await bench({ work: cleared, ledger: toDepth });
    button(fixture, 'Went wrong').click();
    await fixture.whenStable();
    const radio = [...host(fixture).querySelectorAll<HTMLInputElement>('rn-went-wrong input[type=radio]')][0]!;
    radio.click();
    await fixture.whenStable();
    await type(fixture, 'rn-went-wrong rn-length-field input', '19');
    expect(host(fixture).querySelector('rn-went-wrong')!.textContent).toContain('Put a shim or foam');
    const form = host(fixture).querySelector('rn-went-wrong form')!;
    form.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-went-wrong [role=alert]')!.textContent).toContain('Write what happened');
    http.expectNone(() => true);
    await type(fixture, 'rn-went-wrong mat-form-field:last-of-type input[maxlength]', 'the stop slipped');
    form.dispatchEvent(new Event('submit'));
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/ledger/'));
    const body = put.request.body as { outcome: string; mishap: string; note: string; measured: { value: number } };
    expect([body.outcome, body.mishap, body.note, body.measured.value]).toEqual(['wentWrong', 'tooDeep', 'the stop slipped', 19]);
    put.flush({ entry: {} });
    http.match(() => true);
  });
});
