import { TestBed } from '@angular/core/testing';
import { Store } from '@ngrx/store';
import type { Instrument, Person, TakeReading } from '@rinnovo/contract';
import type { Anatomy } from '@rinnovo/core/instrument';
import type { Plan } from '@rinnovo/core/check';
import { targetKey } from '@rinnovo/core/quantity';
import type { HttpTestingController } from '@angular/common/http/testing';
import { host, jobOnScreen, settle } from '../../../testing/job';
import { people, WORKSHOP } from '../../state/resources';
import { viewActions } from '../../state/view.feature';
import { StartPage } from './start-page';

describe('the one door', () => {
  async function page() {
    const { http, store } = jobOnScreen();
    store.dispatch(people.loaded({ of: WORKSHOP, data: [{ id: 'una', name: 'Una Fell', role: 'owner' }], version: null }));
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    const fixture = TestBed.createComponent(StartPage);
    await fixture.whenStable();
    http.match(() => true);
    const into = async (selector: string, text: string): Promise<void> => {
      const input = host(fixture).querySelector<HTMLInputElement>(selector)!;
      input.value = text;
      input.dispatchEvent(new Event('input'));
      await fixture.whenStable();
    };
    const send = async (): Promise<void> => {
      host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
      await settle();
      await fixture.whenStable();
    };
    return { fixture, http, into, send };
  }

  /** Answers the next write as it was sent; what it was. */
  async function next<T>(http: HttpTestingController, path: RegExp): Promise<T> {
    const put = http.expectOne((r) => r.method === 'PUT' && path.test(r.url));
    put.flush(put.request.body as object);
    await settle();
    return put.request.body as T;
  }

  const named = (label: string): string => `input[formControlName=${label}]`;

  it('needs a label, may bring a new owner, and keeps what is typed when the server refuses', async () => {
    const { fixture, http, into, send } = await page();
    await send();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Type a label');
    http.expectNone((r) => r.method === 'PUT');
    await into(named('label'), 'Ruff');
    await into(named('owner'), 'Ossian Reed');
    host(fixture).querySelectorAll<HTMLInputElement>('input[name=kind]')[3]!.click();
    await fixture.whenStable();
    await send();
    const person = await next<Person>(http, /people/);
    expect([person.name, person.role]).toEqual(['Ossian Reed', 'owner']);
    const one = await next<Instrument>(http, /instruments\/[^/]+$/);
    expect([one.label, one.kind, one.owner]).toEqual(['Ruff', 'flat-top acoustic', person.id]);
    const anatomy = http.expectOne((r) => r.method === 'PUT' && r.url.endsWith('/anatomy'));
    expect((anatomy.request.body as { document: Anatomy }).document.cavities[0]!.name).toBe('Sound hole');
    anatomy.flush({ type: '/problems/disk-full', title: 'The disk is full', status: 507 }, { status: 507, statusText: 'full' });
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('disk is full');
    expect(host(fixture).querySelector<HTMLInputElement>(named('label'))!.value).toBe('Ruff');
  });

  it('knows an owner by name, keeps the sizes as read with the tools they are read with, and says what to do next', async () => {
    const { fixture, http, into, send } = await page();
    await into(named('label'), 'Ruff');
    await into(named('owner'), 'una fell');
    await into('[data-field="thickness"] input', '1 3/4in');
    await into('[data-field="routeDepth"] input', '17');
    await send();
    expect((await next<Instrument>(http, /instruments\/[^/]+$/)).owner).toBe('una');
    const { document } = await next<{ document: Anatomy }>(http, /anatomy$/);
    expect(document.body.thickness!.value).toBeCloseTo(44.45, 9);
    const thick = await next<TakeReading>(http, /readings/);
    expect([targetKey(thick.target), thick.tool, thick.limit]).toEqual(['bodyThickness|body|', 'calliper', 0.05]);
    const deep = await next<TakeReading>(http, /readings/);
    expect([deep.target.quantity, deep.value, deep.tool]).toEqual(['levelDepth', 17, 'gauge']);
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('Ruff is added');
    expect([...host(fixture).querySelectorAll('li a')].map((a) => a.textContent.trim())).toEqual(['Inspect', 'Measure', 'Choose a part']);
  });

  it('opens the job and plans the part that is wanted; without a cover it says what the pickup hangs in', async () => {
    const { fixture, http, into, send } = await page();
    const { form } = fixture.componentInstance as unknown as { form: { patchValue: (v: object) => void } };
    await into(named('label'), 'Ruff');
    form.patchValue({ part: 'two-coil' });
    await fixture.whenStable();
    await send();
    expect(host(fixture).textContent).toContain('Choose what covers the route');
    http.expectNone((r) => r.method === 'PUT');
    form.patchValue({ cover: 'guard' });
    await fixture.whenStable();
    await send();
    await next(http, /instruments\/[^/]+$/);
    await next(http, /anatomy$/);
    const job = await next<{ title: string; request: { kind: string } }>(http, /jobs\/[^/]+$/);
    expect(job.title).toContain('Fit ');
    const got = http.expectOne((r) => r.method === 'GET' && r.url.endsWith('/anatomy'));
    got.flush({ revision: 4 });
    await settle();
    const { plan, revisions } = await next<{ plan: Plan; revisions: { anatomy: number } }>(http, /plan$/);
    expect([plan.choices.map((c) => c.part), revisions.anatomy]).toEqual([['two-coil'], 4]);
    await fixture.whenStable();
    expect(host(fixture).querySelector('li a')!.textContent).toContain('Check the fit');
  });

  it('draws what is typed to scale, and challenges what cannot be beside its field', async () => {
    const { fixture, into, send, http } = await page();
    const { form } = fixture.componentInstance as unknown as { form: { patchValue: (v: object) => void } };
    form.patchValue({ cover: 'plate' });
    await into('[data-field="cover-width"] input', '120');
    const plate = [...host(fixture).querySelectorAll('rn-plan-view path.plate')].map((p) => p.getAttribute('d')!).find((d) => d.includes('60'))!;
    const xs = [...plate.matchAll(/[ML](-?[\d.]+)/g)].map((m) => Number(m[1]));
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([-60, 60]);
    await into('[data-field="routeDepth"] input', '50');
    expect(host(fixture).querySelector('[data-field="routeDepth"] [role=alert]')!.textContent).toContain('50.0\u202fmm deep in a body of 44.5\u202fmm');
    await into('[data-field="thickness"] input', '1 3/4 +');
    expect(host(fixture).querySelector('[data-field="thickness"] [role=alert]')!.textContent).toContain('Not a length');
    await into(named('label'), 'Ruff');
    await send();
    expect(host(fixture).textContent).toContain('Some sizes are impossible');
    http.expectNone((r) => r.method === 'PUT');
    expect(host(fixture).querySelector<HTMLInputElement>('[data-field="routeDepth"] input')!.value).toBe('50');
  });
});
