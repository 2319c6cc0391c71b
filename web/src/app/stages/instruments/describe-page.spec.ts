import { TestBed } from '@angular/core/testing';
import { Store } from '@ngrx/store';
import { host, jobOnScreen, settle } from '../../../testing/job';
import { viewActions } from '../../state/view.feature';
import { DescribePage } from './describe-page';

describe('describing an instrument', () => {
  async function page() {
    const { http } = jobOnScreen();
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    const fixture = TestBed.createComponent(DescribePage);
    await fixture.whenStable();
    http.expectOne('/api/parts?limit=1000').flush({ items: [], next: null });
    return { fixture, http };
  }

  const typeInto = async (fixture: Awaited<ReturnType<typeof page>>['fixture'], field: string, text: string): Promise<void> => {
    const input = host(fixture).querySelector<HTMLInputElement>(`[data-field="${field}"] input`)!;
    input.value = text;
    input.dispatchEvent(new Event('input'));
    await fixture.whenStable();
  };

  it('draws what is typed, to scale', async () => {
    const { fixture } = await page();
    await typeInto(fixture, 'plate.width', '120');
    const plate = host(fixture).querySelector('path.plate')!.getAttribute('d')!;
    const xs = [...plate.matchAll(/[ML](-?[\d.]+)/g)].map((m) => Number(m[1]));
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([-60, 60]);
  });

  it('challenges what cannot be beside its field, and keeps what was typed', async () => {
    const { fixture, http } = await page();
    await typeInto(fixture, 'routeDepth', '50');
    const field = host(fixture).querySelector('[data-field="routeDepth"]')!;
    expect(field.querySelector('[role=alert]')!.textContent).toContain('50.0\u202fmm deep in a body of 44.0\u202fmm');
    await typeInto(fixture, 'thickness', '1 3/4 +');
    expect(host(fixture).querySelector('[data-field="thickness"] [role=alert]')!.textContent).toContain('Not a length');
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('.act [role=alert]')!.textContent).toContain('An instrument needs a label.');
    expect(host(fixture).querySelector('.act [role=alert]')!.textContent).toContain('Some sizes are impossible');
    http.expectNone((r) => r.method === 'PUT');
    expect(host(fixture).querySelector<HTMLInputElement>('[data-field="thickness"] input')!.value).toBe('1 3/4 +');
  });
});
