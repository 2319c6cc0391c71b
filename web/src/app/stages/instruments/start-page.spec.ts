import { TestBed } from '@angular/core/testing';
import type { Instrument, Person } from '@rinnovo/contract';
import type { Anatomy } from '@rinnovo/core/instrument';
import { provideHeld } from '../../state/held';
import { people } from '../../state/resources';
import { setUp } from '../../../testing/fixture';
import { host, settle } from '../../../testing/job';
import { StartPage } from './start-page';

describe('an instrument that has just arrived', () => {
  it('needs a label, may bring a new owner, and begins from its kind', async () => {
    TestBed.configureTestingModule({ providers: [...provideHeld(people)] });
    const http = setUp();
    const fixture = TestBed.createComponent(StartPage);
    await fixture.whenStable();
    const send = async (): Promise<void> => {
      host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
      await settle();
      await fixture.whenStable();
    };
    await send();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Type a label');
    http.expectNone((r) => r.method === 'PUT');

    const field = (label: string): HTMLInputElement =>
      [...host(fixture).querySelectorAll('mat-form-field')].find((f) => f.textContent.includes(label))!.querySelector('input')!;
    for (const [label, text] of [
      ['Label', 'Ruff'],
      ['new owner', 'Una Fell'],
    ] as const) {
      const input = field(label);
      input.value = text;
      input.dispatchEvent(new Event('input'));
    }
    [...host(fixture).querySelectorAll('button')].find((b) => b.textContent.includes('Flat-top acoustic'))!.click();
    await fixture.whenStable();
    await send();
    const person = http.expectOne((r) => r.url.startsWith('/api/people/'));
    expect((person.request.body as Person).role).toBe('owner');
    person.flush(person.request.body as object);
    await settle();
    http.match('/api/people').forEach((r) => r.flush({ items: [], next: null }));
    const put = http.expectOne((r) => r.url.startsWith('/api/instruments/') && !r.url.endsWith('anatomy'));
    const one = put.request.body as Instrument;
    expect([one.label, one.kind, one.owner]).toEqual(['Ruff', 'flat-top acoustic', (person.request.body as Person).id]);
    put.flush(one);
    await settle();
    const anatomy = http.expectOne((r) => r.url.endsWith('/anatomy'));
    expect((anatomy.request.body as { document: Anatomy }).document.cavities[0]!.name).toBe('Sound hole');
    anatomy.flush({ type: '/problems/disk-full', title: 'The disk is full', status: 507 }, { status: 507, statusText: 'full' });
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('disk is full');
    expect(field('Label').value).toBe('Ruff');
  });
});
