import { DeferBlockBehavior, TestBed } from '@angular/core/testing';
import { provideHeld } from '../../state/held';
import { instruments, people, shop } from '../../state/resources';
import { setUp } from '../../../testing/fixture';
import { button, host, settle, type } from '../../../testing/job';
import { InstrumentsPage } from './instruments-page';

const instrument = (id: string, label: string, archived = false) => ({
  id,
  label,
  maker: 'Nobody',
  model: 'None',
  serial: `s-${id}`,
  owner: null,
  notes: '',
  kind: 'bass',
  identity: {},
  archived,
  ownerName: null,
  job: null,
  due: null,
  progress: null,
  found: [],
});
const asked = (find: string, archived = false): string => `/api/instruments?limit=60&find=${find}&archived=${archived}`;

describe('the instruments', () => {
  async function page(list: readonly object[], persons: readonly object[] = [{ id: 'p', name: 'Nell', role: 'technician' }]) {
    TestBed.configureTestingModule({
      imports: [InstrumentsPage],
      providers: [...provideHeld(instruments, people, shop)],
      deferBlockBehavior: DeferBlockBehavior.Manual,
    });
    await TestBed.compileComponents();
    const http = setUp();
    const fixture = TestBed.createComponent(InstrumentsPage);
    await fixture.whenStable();
    const { Store } = await import('@ngrx/store');
    TestBed.inject(Store).dispatch(people.loaded({ of: 'workshop', data: persons as never, version: null }));
    http.expectOne(asked('')).flush({ items: list, next: null });
    await settle();
    await fixture.whenStable();
    return { fixture, http };
  }
  const labels = (fixture: Awaited<ReturnType<typeof page>>['fixture']): readonly string[] =>
    [...host(fixture).querySelectorAll('.card strong')].map((s) => s.textContent);

  it('are found by the server once typing rests, and the old answer stays until the new one is here', async () => {
    const { fixture, http } = await page([instrument('a', 'Tern'), instrument('b', 'Curlew')]);
    expect(labels(fixture)).toEqual(['Tern', 'Curlew']);
    await type(fixture, 'input[type=search]', 'cu');
    await type(fixture, 'input[type=search]', 'curl');
    await settle(200);
    await fixture.whenStable();
    expect(labels(fixture)).toEqual(['Tern', 'Curlew']);
    http.expectOne(asked('curl')).flush({ items: [instrument('b', 'Curlew')], next: null });
    await settle();
    await fixture.whenStable();
    expect(labels(fixture)).toEqual(['Curlew']);
    await type(fixture, 'input[type=search]', 'heron');
    await settle(200);
    http.expectOne(asked('heron')).flush({ items: [], next: null });
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('.empty')!.textContent).toContain('No instrument matches');
  });

  it('say how far each is, what is next, and what is late', async () => {
    const far = { progress: { places: 3, decided: 1, open: 4, done: 0, parts: 2, consents: 0 }, due: '2020-01-31' };
    const { fixture } = await page([{ ...instrument('a', 'Avocet'), ...far }, instrument('b', 'Bittern')]);
    const [one, two] = [...host(fixture).querySelectorAll('.far')].map((e) => e.textContent.replace(/\s+/g, ' '));
    expect(one).toContain('planning · next: decide 2 of 3 places · due ');
    expect(one).toContain('late');
    expect(host(fixture).textContent).toContain('waits for 2 parts');
    expect(two).toContain('arrived · next: open a job');
    expect(two).not.toContain('late');
  });

  it('are put away and brought back, and a refusal is said', async () => {
    const { fixture, http } = await page([instrument('a', 'Tern')]);
    host(fixture).querySelector<HTMLButtonElement>('button.more')!.click();
    await fixture.whenStable();
    const item = [...document.querySelectorAll<HTMLButtonElement>('[mat-menu-item]')].find((b) => b.textContent.trim() === 'Archive instrument')!;
    item.click();
    await settle();
    http.expectOne('/api/instruments/a').flush(instrument('a', 'Tern'), { headers: { ETag: '"4"' } });
    await settle();
    const put = http.expectOne((r) => r.method === 'PUT');
    expect([put.request.headers.get('If-Match'), (put.request.body as { archived: boolean }).archived]).toEqual(['"4"', true]);
    put.flush({}, { headers: { ETag: '"5"' } });
    await settle();
    http.expectOne(asked('')).flush({ items: [], next: null });
    await settle();
    await fixture.whenStable();
    expect(document.body.textContent).toContain('Tern archived');
  });

  it('in an empty workshop say what to do first, and who works here is asked', async () => {
    const { fixture, http } = await page([], []);
    expect(host(fixture).querySelector('.empty')!.textContent).toContain('Add the first one');
    expect(button(fixture, 'Start').disabled).toBeTrue();
    await type(fixture, 'rn-first-person input', 'Nell');
    host(fixture).querySelector('rn-first-person form')!.dispatchEvent(new Event('submit'));
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/people/'));
    const body = put.request.body as { id: string; name: string };
    expect(body.name).toBe('Nell');
    // who introduces themselves writes under their own name
    expect(put.request.headers.get('Person')).toBe(body.id);
  });
});
