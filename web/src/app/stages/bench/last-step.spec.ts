import { knownAt } from '@rinnovo/core/instrument';
import type { LedgerEntry } from '@rinnovo/core/job';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { button, host, jobOnScreen, logged, settle, type } from '../../../testing/job';
import { Connection } from '../../api/connection';
import { LastStep } from './last-step';

const entry = (more: Partial<LedgerEntry> = {}): LedgerEntry =>
  logged({ operation: 'removePart', kind: 'removePart', step: '1 unsolder', at: new Date().toISOString(), ...more });

describe('the last step', () => {
  async function shown(...ledger: readonly LedgerEntry[]): Promise<{ fixture: ComponentFixture<LastStep>; http: ReturnType<typeof jobOnScreen>['http'] }> {
    const { http } = jobOnScreen({ ledger });
    const fixture = TestBed.createComponent(LastStep);
    await fixture.whenStable();
    return { fixture, http };
  }
  const text = (fixture: ComponentFixture<LastStep>): string => host(fixture).textContent.trim();

  it('is undone at once within a minute, without a reason', async () => {
    const { fixture, http } = await shown(entry());
    expect(text(fixture)).toContain('Last: Remove the pickup');
    const undo = [...host(fixture).querySelectorAll('button')].find((b) => b.textContent.includes('Undo'))!;
    expect(undo.textContent).toMatch(/Undo (60|59)\u202fs/);
    undo.click();
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/ledger-corrections/'));
    expect(put.request.body).toEqual({ entry: 'e', reason: '' });
    put.flush({});
    http.match(() => true);
  });

  it('needs a reason later', async () => {
    const { fixture, http } = await shown(entry({ at: '2026-01-02T09:00:00Z' }));
    button(fixture, 'Not done after all').click();
    await fixture.whenStable();
    button(fixture, 'Save as not done').click();
    await fixture.whenStable();
    http.expectNone(() => true);
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Type why it was not done');
    await type(fixture, 'input', ' it is still in ');
    button(fixture, 'Save as not done').click();
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/ledger-corrections/'));
    expect(put.request.body).toEqual({ entry: 'e', reason: 'it is still in' });
    put.flush(
      { type: '/problems/not-now', title: 'Not possible now', status: 409, detail: 'Later steps build on this one.' },
      { status: 409, statusText: 'x' },
    );
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Later steps build on this one.');
  });

  it('says why a cut stays, and that it waits for the server', async () => {
    const { fixture } = await shown(entry({ kind: 'routePasses', step: '4 cut' }));
    expect(text(fixture)).toContain('A cut cannot be undone.');
    expect(host(fixture).querySelector('button')).toBeNull();
  });

  it('waits while the server is away', async () => {
    const { fixture } = await shown(entry());
    TestBed.inject(Connection).set('away');
    await fixture.whenStable();
    expect(text(fixture)).toContain('Undo waits for the server.');
  });

  it('is the one before where the newest was taken back; nothing where nothing stands', async () => {
    const back = { id: 'b', person: 'nell', at: '2026-01-02T09:00:00Z', reason: '', after: knownAt({ anatomy: 1 }) };
    const { fixture } = await shown(entry({ id: 'a', step: '1 unsolder' }), entry({ step: '2 takeOut', takenBack: back }));
    expect(text(fixture)).toContain('Undo');
    expect(text(fixture)).not.toContain('take out');
  });

  it('is not that of another job, and none before anything is done', async () => {
    expect(text((await shown()).fixture)).toBe('');
  });
});
