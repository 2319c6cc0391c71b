import { HttpErrorResponse, provideHttpClient, withInterceptors } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { openDB } from 'idb';
import { provideStore } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { button, host, settle } from '../../testing/job';
import { OutboxPanel } from '../shell/outbox-panel';
import { Api } from './api';
import { waitForServer } from './connection';
import { behindTheBox, keptUntilAnswered, Outbox } from './outbox';

/** A page of its own on the browser's database as it is. */
function page(): { readonly http: HttpTestingController; readonly api: Api; readonly outbox: Outbox } {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      provideHttpClient(withInterceptors([keptUntilAnswered, waitForServer, behindTheBox])),
      provideHttpClientTesting(),
      provideStore({}),
    ],
  });
  return { http: TestBed.inject(HttpTestingController), api: TestBed.inject(Api), outbox: TestBed.inject(Outbox) };
}

/** Until something is so. */
async function until<T>(look: () => T | undefined | false): Promise<T> {
  for (let i = 0; i < 200; i += 1) {
    const found = look();
    if (found !== undefined && found !== false) return found;
    await settle(10);
  }
  throw new Error('it never came');
}

const refusal = { type: '/problems/stale', title: 'Changed by someone else', status: 412, current: { value: 41.5 }, yours: { value: 42 } };

describe('what is sent to be kept', () => {
  beforeEach(async () => {
    TestBed.resetTestingModule();
    const db = await openDB('rinnovo-outbox', 1, { upgrade: (d) => void d.createObjectStore('writes', { autoIncrement: true }) });
    await db.clear('writes');
    db.close();
  });

  it('lies here before it is sent, and until it is answered: by a yes, or by a refusal that whoever sent it sees', async () => {
    const { http, api, outbox } = page();
    const kept = firstValueFrom(api.create('/readings/1', { value: 42 }));
    const sent = await until(() => http.match('/api/readings/1')[0]);
    expect(outbox.waiting().map((k) => [k.method, k.url, k.body, k.writeId])).toEqual([
      ['PUT', '/api/readings/1', { value: 42 }, sent.request.headers.get('Write-Id')!],
    ]);
    sent.flush({}, { status: 201, statusText: 'kept' });
    await kept;
    await until(() => outbox.waiting().length === 0);
    const no = firstValueFrom(api.change('/readings/2', 1, { value: 43 })).catch((e: unknown) => e);
    (await until(() => http.match('/api/readings/2')[0])).flush(refusal, { status: 412, statusText: 'no' });
    expect(await no).toBeInstanceOf(HttpErrorResponse);
    await until(() => outbox.waiting().length === 0);
    expect(outbox.refused()).toEqual([]);
  });

  it('is sent again after a reload, in its order, under its write id and before anything else; nothing of it is done twice', async () => {
    const first = page();
    void firstValueFrom(first.api.create('/ledger/1', { step: '1' }));
    void firstValueFrom(first.api.create('/ledger/2', { step: '2' }));
    await until(() => first.outbox.waiting().length === 2);
    first.http.match('/api/ledger/1');
    // the second one waits for its turn
    first.http.expectNone('/api/ledger/2');
    const ids = first.outbox.waiting().map((k) => k.writeId);

    const next = page();
    const read = firstValueFrom(next.api.get('/shop'));
    const again = await until(() => next.http.match('/api/ledger/1')[0]);
    expect([again.request.headers.get('Write-Id'), again.request.headers.get('If-None-Match'), again.request.body]).toEqual([ids[0]!, '*', { step: '1' }]);
    next.http.expectNone('/api/ledger/2');
    next.http.expectNone('/api/shop');
    again.flush({}, { status: 201, statusText: 'kept' });
    const second = await until(() => next.http.match('/api/ledger/2')[0]);
    expect(second.request.headers.get('Write-Id')).toBe(ids[1]!);
    second.flush({}, { status: 201, statusText: 'kept' });
    (await until(() => next.http.match('/api/shop')[0])).flush({});
    await read;
    expect(next.outbox.waiting()).toEqual([]);
    // nothing is left for a third page
    const third = page();
    void firstValueFrom(third.api.get('/shop'));
    await until(() => third.http.match('/api/shop')[0]);
  });

  it('is answered here while the server is away: several build on one another, are sent in their order, and what is read comes after them', async () => {
    const { http, api, outbox } = page();
    const said: string[] = [];
    const log = (n: number) =>
      firstValueFrom(api.create(`/ledger/${n}`, { n }, () => `here ${n}`)).then(({ body }) => {
        said.push(body);
      });
    const one = log(1);
    (await until(() => http.match('/api/ledger/1')[0])).error(new ProgressEvent('error'));
    await one;
    await log(2);
    const plain = firstValueFrom(api.create('/readings/3', { n: 3 }));
    await until(() => outbox.waiting().length === 3);
    expect(said).toEqual(['here 1', 'here 2']);
    // refused here it is not kept
    const no = new Error('not now');
    expect(
      await firstValueFrom(
        api.create('/ledger/4', {}, () => {
          throw no;
        }),
      ).catch((e: unknown) => e),
    ).toBe(no);
    expect(outbox.waiting().length).toBe(3);

    const read = firstValueFrom(api.get('/shop'));
    const again = await until(() => http.match('/api/ledger/1')[0]);
    http.expectNone('/api/ledger/2');
    again.flush({}, { status: 201, statusText: 'kept' });
    (await until(() => http.match('/api/ledger/2')[0])).flush(refusal, { status: 412, statusText: 'no' });
    http.expectNone('/api/shop');
    (await until(() => http.match('/api/readings/3')[0])).flush({}, { status: 201, statusText: 'kept' });
    await plain;
    (await until(() => http.match('/api/shop')[0])).flush({});
    await read;
    await until(() => outbox.waiting().length === 0);
    expect(outbox.refused().map((k) => [k.url, k.refused?.title])).toEqual([['/api/ledger/2', 'Changed by someone else']]);
  });

  it('is kept as done, not judged, where a step was refused on joining up though it was done', async () => {
    const { http, api, outbox } = page();
    const logged = firstValueFrom(api.create('/ledger/1', { step: '4 cut' }, () => ({})));
    (await until(() => http.match('/api/ledger/1')[0])).error(new ProgressEvent('error'));
    await logged;
    const refused = await until(() => http.match('/api/ledger/1')[0]);
    refused.flush({ type: '/problems/not-clear', title: 'Not clear to cut', status: 409 }, { status: 409, statusText: 'no' });
    await until(() => outbox.refused().length === 1);
    const fixture = TestBed.createComponent(OutboxPanel);
    await fixture.whenStable();
    button(fixture, 'Keep as done, not judged').click();
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('Type why it was done');
    host(fixture).querySelector('input')!.value = 'the bit was in it';
    button(fixture, 'Keep as done, not judged').click();
    const kept = await until(() => http.match('/api/ledger/1')[0]);
    expect(kept.request.body).toEqual({ step: '4 cut', unjudged: 'the bit was in it' });
    expect(kept.request.headers.get('Write-Id')).not.toBe(refused.request.headers.get('Write-Id'));
    kept.flush({ entry: { job: 'j', instrument: 'i' } }, { status: 201, statusText: 'kept' });
    await until(() => outbox.refused().length === 0);
  });

  it('is left to the page that sent it as long as that is open', async () => {
    const first = page();
    void firstValueFrom(first.api.create('/ledger/1', {}));
    await until(() => first.outbox.waiting().length === 1);
    const other = `rinnovo-page ${crypto.randomUUID()}`;
    const db = await openDB('rinnovo-outbox', 1);
    const [key] = await db.getAllKeys('writes');
    await db.put('writes', { ...((await db.get('writes', key!)) as object), page: other }, key);
    db.close();
    await new Promise<void>((done) => {
      void navigator.locks.request(other, async () => {
        const next = page();
        void firstValueFrom(next.api.get('/shop'));
        await until(() => next.http.match('/api/shop')[0]);
        next.http.expectNone('/api/ledger/1');
        done();
      });
    });
  });

  it('is shown with both sides where it is refused on joining up, stays over the next reload, and goes when somebody says so', async () => {
    const first = page();
    void firstValueFrom(first.api.change('/jobs/j/plan', 3, { value: 42 }));
    await until(() => first.http.match('/api/jobs/j/plan')[0]);
    await until(() => first.outbox.waiting().length === 1);
    const next = page();
    const read = firstValueFrom(next.api.get('/shop'));
    (await until(() => next.http.match('/api/jobs/j/plan')[0])).flush(refusal, { status: 412, statusText: 'no' });
    (await until(() => next.http.match('/api/shop')[0])).flush({});
    await read;
    const third = page();
    void firstValueFrom(third.api.get('/shop'));
    await until(() => third.http.match('/api/shop')[0]);
    third.http.expectNone('/api/jobs/j/plan');
    const fixture = TestBed.createComponent(OutboxPanel);
    await fixture.whenStable();
    const text = host(fixture).textContent;
    expect(text).toContain('Changed by someone else');
    expect([...host(fixture).querySelectorAll('pre')].map((p) => JSON.parse(p.textContent) as unknown)).toEqual([{ value: 42 }, { value: 41.5 }]);
    button(fixture, 'Discard this entry').click();
    await fixture.whenStable();
    expect(host(fixture).textContent.trim()).toBe('');
    expect(third.outbox.refused()).toEqual([]);
  });

  it('is counted while the server is away, and the page is not closed on it without a word', async () => {
    const { http, api } = page();
    void firstValueFrom(api.create('/readings/1', { value: 42 }));
    (await until(() => http.match('/api/readings/1')[0])).error(new ProgressEvent('error'));
    const fixture = TestBed.createComponent(OutboxPanel);
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=status]')!.textContent).toContain('One entry is stored here and sent when the server is back.');
    const closing = new Event('beforeunload', { cancelable: true });
    // not through the window: the runner takes that for a page that goes
    (fixture.componentInstance as unknown as { mayClose: (event: Event) => void }).mayClose(closing);
    expect(closing.defaultPrevented).toBeTrue();
    (await until(() => http.match('/api/readings/1')[0])).flush({}, { status: 201, statusText: 'kept' });
    await until(() => TestBed.inject(Outbox).waiting().length === 0);
    await fixture.whenStable();
    expect(host(fixture).textContent.trim()).toBe('');
  });
});
