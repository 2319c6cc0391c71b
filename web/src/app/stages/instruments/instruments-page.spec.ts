import { TestBed } from '@angular/core/testing';
import { provideHeld } from '../../state/held';
import { instruments, jobs, people } from '../../state/resources';
import { setUp } from '../../../testing/fixture';
import { button, host, settle, type } from '../../../testing/job';
import { InstrumentsPage } from './instruments-page';

const instrument = (id: string, label: string) => ({ id, label, maker: 'Nobody', model: 'None', serial: `s-${id}`, owner: null, notes: '' });

describe('the instruments', () => {
  async function page(list: readonly object[], persons: readonly object[] = [{ id: 'p', name: 'Nell', role: 'technician' }]) {
    TestBed.configureTestingModule({ providers: [...provideHeld(instruments, jobs, people)] });
    const http = setUp();
    const fixture = TestBed.createComponent(InstrumentsPage);
    await fixture.whenStable();
    const { Store } = await import('@ngrx/store');
    TestBed.inject(Store).dispatch(people.loaded({ of: 'workshop', data: persons as never, version: null }));
    http.expectOne('/api/instruments?limit=200').flush({ items: list, next: null });
    http.expectOne('/api/jobs').flush({ items: [], next: null });
    await settle();
    await fixture.whenStable();
    return { fixture, http };
  }

  it('are found as you type, by label or serial', async () => {
    const { fixture } = await page([instrument('a', 'Tern'), instrument('b', 'Curlew')]);
    expect(host(fixture).querySelectorAll('.card').length).toBe(2);
    await type(fixture, 'input[type=search]', 'curl');
    expect([...host(fixture).querySelectorAll('.card strong')].map((s) => s.textContent)).toEqual(['Curlew']);
    await type(fixture, 'input[type=search]', 's-a');
    expect([...host(fixture).querySelectorAll('.card strong')].map((s) => s.textContent)).toEqual(['Tern']);
    await type(fixture, 'input[type=search]', 'heron');
    expect(host(fixture).querySelector('.empty')!.textContent).toContain('No instrument has that');
  });

  it('in an empty workshop say what to do first, and who works here is asked', async () => {
    const { fixture, http } = await page([], []);
    expect(host(fixture).querySelector('.empty')!.textContent).toContain('Describe the first one');
    expect(button(fixture, 'Begin').disabled).toBeTrue();
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
