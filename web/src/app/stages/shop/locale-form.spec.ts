import { TestBed } from '@angular/core/testing';
import { localeInUse, useLocale } from '@rinnovo/words';
import { setUp } from '../../../testing/fixture';
import { button, host } from '../../../testing/job';
import { LocaleForm } from './locale-form';

describe('the formats of the workshop', () => {
  afterEach(() => useLocale());

  it('show a sample, are saved with the version that was read, and are in force at once', async () => {
    const http = setUp();
    const f = TestBed.createComponent(LocaleForm);
    f.detectChanges();
    await new Promise((r) => setTimeout(r));
    http.expectOne('/api/shop/locale').flush({ locale: 'en-GB', timeZone: 'UTC', currency: '', version: 4 });
    await f.whenStable();
    expect(host(f).querySelector('[role=status]')!.textContent).toContain('1234.50 · 1,234.56');
    expect(button(f, 'Save formats').disabled).toBeTrue();
    const locale = host(f).querySelector<HTMLSelectElement>('[name=locale]')!;
    locale.value = 'de-DE';
    locale.dispatchEvent(new Event('change'));
    await f.whenStable();
    button(f, 'Save formats').click();
    const put = http.expectOne((r) => r.method === 'PUT');
    expect(put.request.headers.get('If-Match')).toBe('"4"');
    expect(put.request.body).toEqual({ locale: 'de-DE', timeZone: 'UTC', currency: '' });
    put.flush({ locale: 'de-DE', timeZone: 'UTC', currency: '', version: 5 }, { headers: { ETag: '"5"' } });
    await f.whenStable();
    expect(localeInUse().locale).toBe('de-DE');
    expect(host(f).querySelector('[role=status]')!.textContent).toContain('1234,50 · 1.234,56');
  });

  it('say what the server refuses, and keep what was chosen', async () => {
    const http = setUp();
    const f = TestBed.createComponent(LocaleForm);
    f.detectChanges();
    await new Promise((r) => setTimeout(r));
    http.expectOne('/api/shop/locale').flush({ locale: 'en-GB', timeZone: 'UTC', currency: '', version: 4 });
    await f.whenStable();
    const zone = host(f).querySelector<HTMLSelectElement>('[name=timeZone]')!;
    zone.value = 'Europe/Rome';
    zone.dispatchEvent(new Event('change'));
    await f.whenStable();
    button(f, 'Save formats').click();
    http
      .expectOne((r) => r.method === 'PUT')
      .flush({ type: '/problems/stale', title: 'Changed by someone else', status: 412 }, { status: 412, statusText: 'x' });
    await f.whenStable();
    expect(host(f).querySelector('[role=alert]')!.textContent).toContain('Changed by someone else');
    expect(host(f).querySelector<HTMLSelectElement>('[name=timeZone]')!.value).toBe('Europe/Rome');
  });
});
