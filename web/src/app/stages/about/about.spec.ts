import type { Job } from '@rinnovo/core/job';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { HttpTestingController } from '@angular/common/http/testing';
import type { Instrument } from '@rinnovo/contract';
import { provideHeld } from '../../state/held';
import { instrument as resource, jobs } from '../../state/resources';
import { button, host, job, jobOnScreen, settle, type } from '../../../testing/job';
import { IdentityForm } from './identity-form';
import { JobForm } from './job-form';
import { OwnersOfJob } from './owners-of-job';

const one: Instrument = {
  id: 'i',
  label: 'Tern',
  maker: 'Nobody',
  model: 'None',
  serial: '1',
  owner: null,
  notes: '',
  kind: 'bolt-on solid',
  // as the database gives it back: in its own order
  identity: { year: { why: 'the pots', basis: 'guessed', value: '1990' } },
  archived: false,
};

describe('what is known of an instrument', () => {
  let fixture: ComponentFixture<IdentityForm>;
  let http: HttpTestingController;

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [...provideHeld(resource)] });
    const screen = jobOnScreen();
    http = screen.http;
    screen.store.dispatch(resource.loaded({ of: 'i', data: one, version: 3 }));
    fixture = TestBed.createComponent(IdentityForm);
    await fixture.whenStable();
  });

  const send = async (): Promise<void> => {
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    await settle();
    await fixture.whenStable();
  };

  it('is kept with its basis on the version it was read from; what is emptied is no longer said', async () => {
    expect(button(fixture, 'Save instrument').disabled).toBeTrue();
    const facts = host(fixture).querySelectorAll<HTMLInputElement>('.fact input');
    facts[0]!.value = '';
    facts[0]!.dispatchEvent(new Event('input'));
    const finish = [...host(fixture).querySelectorAll('.fact')].find((f) => f.textContent.includes('Finish'))!.querySelector('input')!;
    finish.value = 'thin oil';
    finish.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    await send();
    const put = http.expectOne((r) => r.method === 'PUT');
    expect(put.request.headers.get('If-Match')).toBe('"3"');
    expect((put.request.body as Instrument).identity).toEqual({ finish: { value: 'thin oil', basis: 'seen', why: '' } });
    put.flush(put.request.body as object, { headers: { ETag: '"4"' } });
    await settle();
  });

  it('asks for a label, and keeps what was typed when somebody else changed it', async () => {
    const label = host(fixture).querySelector<HTMLInputElement>('.grid input')!;
    label.value = ' ';
    label.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    await send();
    expect(host(fixture).querySelector('mat-error')!.textContent).toContain('needs a label');
    http.expectNone((r) => r.method === 'PUT');
    label.value = 'Curlew';
    label.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    await send();
    http.expectOne((r) => r.method === 'PUT').flush({ type: '/problems/stale', title: 'x', status: 412 }, { status: 412, statusText: 'stale' });
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('form > [role=alert]')!.textContent).toContain('still here');
    expect(label.value).toBe('Curlew');
  });
});

describe('half-typed facts', () => {
  it('stay when the instrument and its job come back from the server as they were', async () => {
    TestBed.configureTestingModule({ providers: [...provideHeld(resource)] });
    const { store } = jobOnScreen();
    store.dispatch(resource.loaded({ of: 'i', data: one, version: 3 }));
    const facts = TestBed.createComponent(IdentityForm);
    const work = TestBed.createComponent(JobForm);
    await facts.whenStable();
    await work.whenStable();
    await type(facts, '.grid input', 'Curl');
    await type(facts, '.fact input', '198');
    await type(work, 'input', 'Half a ti');
    store.dispatch(resource.loaded({ of: 'i', data: structuredClone(one), version: 3 }));
    store.dispatch(jobs.loaded({ of: 'i', data: [structuredClone(job)], version: null }));
    await facts.whenStable();
    await work.whenStable();
    expect(host(facts).querySelector<HTMLInputElement>('.grid input')!.value).toBe('Curl');
    expect(host(facts).querySelector<HTMLInputElement>('.fact input')!.value).toBe('198');
    expect(host(work).querySelector<HTMLInputElement>('input')!.value).toBe('Half a ti');
  });
});

describe('the job of an instrument', () => {
  async function form(jobs: readonly Job[]): Promise<{ fixture: ComponentFixture<JobForm>; http: HttpTestingController }> {
    const { http, store } = jobOnScreen();
    const { jobs: resourceOfJobs } = await import('../../state/resources');
    store.dispatch(resourceOfJobs.loaded({ of: 'i', data: jobs, version: null }));
    const fixture = TestBed.createComponent(JobForm);
    await fixture.whenStable();
    return { fixture, http };
  }
  const field = (fixture: ComponentFixture<JobForm>, label: string): HTMLInputElement =>
    [...host(fixture).querySelectorAll('mat-form-field')].find((f) => f.textContent.includes(label))!.querySelector('input')!;
  async function fill(fixture: ComponentFixture<JobForm>, label: string, text: string): Promise<void> {
    const input = field(fixture, label);
    input.value = text;
    input.dispatchEvent(new Event('input'));
    await fixture.whenStable();
  }
  async function send(fixture: ComponentFixture<JobForm>): Promise<void> {
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    await settle();
    await fixture.whenStable();
  }

  it('is opened with its limits in whole coins; what cannot be is said beside its field', async () => {
    const { fixture, http } = await form([]);
    await send(fixture);
    expect(host(fixture).querySelector('mat-error')!.textContent).toContain('Type the work in a few words');
    await type(fixture, 'form input', 'Refret');
    await fill(fixture, 'Budget', '12.345');
    await send(fixture);
    expect(host(fixture).querySelector('mat-error')!.textContent).toContain('Type an amount');
    http.expectNone((r) => r.method === 'PUT');
    await fill(fixture, 'Budget', '250,5');
    await fill(fixture, 'Value of the instrument', '200');
    expect(host(fixture).textContent).toContain('more than the instrument is worth');
    await send(fixture);
    const body = http.expectOne((r) => r.method === 'PUT').request.body as Job;
    expect([body.title, body.limits.budget, body.limits.due, body.worth, body.active, body.instrument]).toEqual(['Refret', 25050, null, 20000, true, 'i']);
  });

  it('weighs as it was told to; a weight that is not a number is refused beside its field, and what is as in the workshop is not kept', async () => {
    const { fixture, http } = await form([job]);
    const weight = (n: number, text: string): Promise<void> => {
      const input = host(fixture).querySelectorAll<HTMLInputElement>('rn-job-weights input')[n]!;
      input.value = text;
      input.dispatchEvent(new Event('input'));
      return fixture.whenStable().then(() => undefined);
    };
    expect(host(fixture).querySelectorAll<HTMLInputElement>('rn-job-weights input')[1]!.value).toBe('16');
    await weight(1, 'much');
    expect(host(fixture).querySelector('rn-job-weights [role=alert]')!.textContent).toContain('0 to 100');
    await send(fixture);
    http.expectNone(() => true);
    await weight(1, '2,5');
    await weight(0, '32');
    await send(fixture);
    http.expectOne('/api/jobs/job').flush(job, { headers: { ETag: '"2"' } });
    await settle();
    expect((http.expectOne((r) => r.method === 'PUT').request.body as Job).request.weights).toEqual({ reversible: 2.5 });
  });

  it('of the workshop’s own instrument begins with other weights, of a client’s with the workshop’s', async () => {
    const { fixture } = await form([]);
    const of = (f: ComponentFixture<JobForm>): string => host(f).querySelectorAll<HTMLInputElement>('rn-job-weights input')[1]!.value;
    expect(of(fixture)).toBe('4');
    TestBed.resetTestingModule();
    const { store } = jobOnScreen({ ofClient: true });
    store.dispatch(jobs.loaded({ of: 'i', data: [], version: null }));
    const clients = TestBed.createComponent(JobForm);
    await clients.whenStable();
    expect(of(clients)).toBe('16');
  });

  it('is closed and stays in the list of earlier ones; a second active one is refused in words', async () => {
    const { fixture, http } = await form([job, { ...job, id: 'old', title: 'Shielding', active: false }]);
    expect(host(fixture).textContent).toContain('Shielding');
    button(fixture, 'Close job').click();
    await settle();
    http.expectOne('/api/jobs/job').flush(job, { headers: { ETag: '"2"' } });
    await settle();
    const put = http.expectOne((r) => r.method === 'PUT');
    expect([(put.request.body as Job).active, put.request.headers.get('If-Match')]).toEqual([false, '"2"']);
    put.flush(
      { type: '/problems/cannot-be', title: 'Not possible', status: 422, errors: [{ pointer: '/active', detail: 'is taken' }] },
      { status: 422, statusText: 'no' },
    );
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('form > [role=alert]')!.textContent).toContain('is taken');
  });
});

describe('who owned the instrument during the job', () => {
  it('is told where it changed, and nothing where it did not', async () => {
    jobOnScreen();
    const none = TestBed.createComponent(OwnersOfJob);
    await none.whenStable();
    expect(host(none).textContent.trim()).toBe('');
    TestBed.resetTestingModule();
    const change = { was: 'client', wasClients: true, now: null, person: 'nell', at: '2026-01-04' };
    jobOnScreen({ work: { ownerChanges: [change, { ...change, now: 'client', at: '2026-01-05' }] } });
    const two = TestBed.createComponent(OwnersOfJob);
    await two.whenStable();
    expect([...host(two).querySelectorAll('li')].map((l) => l.textContent)).toEqual([
      '4 Jan 2026: Client to the workshop, changed by Nell',
      '5 Jan 2026: Client: client or technician, changed by Nell',
    ]);
  });
});
