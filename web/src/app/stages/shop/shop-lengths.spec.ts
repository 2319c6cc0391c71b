import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { settingsWith } from '@rinnovo/core/operation';
import { provideHeld } from '../../state/held';
import { shop, stock, WORKSHOP } from '../../state/resources';
import { viewActions } from '../../state/view.feature';
import { button, host, jobOnScreen, settle } from '../../../testing/job';
import { DrawersPage } from './drawers-page';
import { SettingsPage } from './settings-page';
import { ToolsPage } from './tools-page';

/** Every length of the shop is typed as anywhere: fractions, sums, the other unit. */
describe('the lengths of the shop', () => {
  async function typeIn(fixture: ComponentFixture<unknown>, at: string, text: string): Promise<void> {
    const input = host(fixture).querySelector<HTMLInputElement>(`${at} input`)!;
    input.value = text;
    input.dispatchEvent(new Event('input'));
    await fixture.whenStable();
  }
  const shopWith = () => ({ of: WORKSHOP, data: { version: 2, settings: settingsWith(), own: {}, tools: [], toolVersions: {} }, version: 2 });

  it('a drill of 25/64 in is 9.921875 mm; what is no length is said at its field, and nothing is lost', async () => {
    const { http } = jobOnScreen();
    const fixture = TestBed.createComponent(ToolsPage);
    await fixture.whenStable();
    const kind = host(fixture).querySelector('select')!;
    kind.value = 'drill';
    kind.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    await typeIn(fixture, 'mat-form-field:not(:has(select))', 'Tuner drill');
    await typeIn(fixture, '[data-field=diameter]', '25//64');
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[data-field=diameter] [role=alert]')!.textContent).toContain('Not a length');
    http.expectNone(() => true);
    await typeIn(fixture, '[data-field=diameter]', '25/64');
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    await settle();
    const put = http.expectOne((r) => r.method === 'PUT');
    expect([(put.request.body as { diameter: number }).diameter, (put.request.body as { name: string }).name]).toEqual([9.921875, 'Tuner drill']);
  });

  it('a dowel of 3/8 in, 2-1/2 in long', async () => {
    TestBed.configureTestingModule({ providers: [...provideHeld(stock)] });
    const { http } = jobOnScreen();
    const fixture = TestBed.createComponent(DrawersPage);
    await fixture.whenStable();
    const kind = host(fixture).querySelector('select')!;
    kind.value = 'dowel';
    kind.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    await typeIn(fixture, 'mat-form-field:not(:has(select))', 'maple');
    await typeIn(fixture, '[data-field=diameter]', '3/8');
    await typeIn(fixture, '[data-field=length]', '2-1/2');
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    await settle();
    const body = http.expectOne((r) => r.method === 'PUT').request.body as { diameter: number; length: number };
    expect([body.diameter.toFixed(6), body.length]).toEqual(['9.525000', 63.5]);
  });

  it('a setting in inches; those that were not touched stay as they are, and the default is told in the same unit', async () => {
    const { http, store } = jobOnScreen();
    store.dispatch(shop.loaded(shopWith()));
    store.dispatch(viewActions.chooseUnit({ unit: 'inch' }));
    const fixture = TestBed.createComponent(SettingsPage);
    fixture.detectChanges();
    await new Promise((r) => setTimeout(r));
    http.expectOne('/api/shop/letterhead').flush({ name: '', address: '', version: 1 });
    http.expectOne('/api/shop/locale').flush({ locale: 'en-GB', timeZone: 'UTC', currency: '', version: 4 });
    await fixture.whenStable();
    await typeIn(fixture, '[data-setting=minFloor]', '1/4');
    expect(host(fixture).querySelector('[data-setting=minFloor]')!.textContent).toContain('6.35');
    expect(button(fixture, 'Save settings').disabled).toBeFalse();
    host(fixture).querySelector('form.all')!.dispatchEvent(new Event('submit'));
    await settle();
    const { own } = http.expectOne((r) => r.method === 'PUT').request.body as { own: Record<string, number> };
    expect([Object.keys(own), own['minFloor']!.toFixed(6)]).toEqual([['minFloor'], '6.350000']);
  });
});
