import { TestBed } from '@angular/core/testing';
import type { Consent } from '@rinnovo/core/job';
import { button, decision, host, jobOnScreen, settle, type } from '../../../testing/job';
import { ConsentGiven } from './consent-given';

const yes: Consent = {
  id: 'yes',
  job: 'job',
  decision: decision.id,
  how: 'by phone',
  said: 'do it',
  price: 21390,
  options: [],
  given: null,
  withdrawn: null,
  person: 'nell',
  at: '2026-01-03',
};

describe('a consent', () => {
  it('is withdrawn in the owner’s words, and not without any', async () => {
    const { http } = jobOnScreen({ ofClient: true, work: { decisions: [decision], consents: [yes] } });
    const fixture = TestBed.createComponent(ConsentGiven);
    fixture.componentRef.setInput('yes', yes);
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('The owner agreed by phone, 3 Jan 2026, at 213.90: “do it”');
    button(fixture, 'The owner withdrew it').click();
    await fixture.whenStable();
    const send = async (): Promise<void> => {
      host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
      await settle();
      await fixture.whenStable();
    };
    await send();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Type what the owner said.');
    http.expectNone(() => true);
    await type(fixture, 'input', ' wait a week ');
    await send();
    const put = http.expectOne((r) => r.url.startsWith('/api/consent-withdrawals/'));
    expect(put.request.body).toEqual({ consent: 'yes', said: 'wait a week' });
    put.flush(
      { type: '/problems/already-there', title: 'Already there', status: 409, detail: 'That consent is already withdrawn.' },
      { status: 409, statusText: 'no' },
    );
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('already withdrawn');
    fixture.componentRef.setInput('yes', { ...yes, withdrawn: { at: '2026-01-04', said: 'wait', person: 'nell' } });
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('Withdrawn 4 Jan 2026: “wait”. Ask again before the next cut.');
    expect(() => button(fixture, 'The owner withdrew it')).toThrow();
  });
});
