import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { setUp } from '../../../testing/fixture';
import { button, host, settle, type } from '../../../testing/job';
import { LetterheadForm } from './letterhead-form';

describe('the letterhead', () => {
  it('is kept with its version, and says what stands against it', async () => {
    setUp();
    const http = TestBed.inject(HttpTestingController);
    const fixture = TestBed.createComponent(LetterheadForm);
    fixture.detectChanges();
    await settle();
    http.expectOne('/api/shop/letterhead').flush({ name: '', address: '', version: 3 });
    await settle();
    await fixture.whenStable();
    expect(button(fixture, 'Save letterhead').disabled).toBeTrue();
    await type(fixture, 'input[autocomplete=organization]', ' Harbour Lane ');
    button(fixture, 'Save letterhead').click();
    await settle();
    const put = http.expectOne((r) => r.method === 'PUT');
    expect([put.request.body, put.request.headers.get('If-Match')]).toEqual([{ name: 'Harbour Lane', address: '' }, '"3"']);
    put.flush({ type: '/problems/stale', title: 'Changed by someone else', status: 412 }, { status: 412, statusText: 'x' });
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Changed by someone else');
  });
});
