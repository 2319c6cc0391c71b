import { inOrder } from '@rinnovo/core/house/lists';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { button, decision, host, jobOnScreen, noWork, operation, settle, type } from '../../../testing/job';
import { OrderPage } from './order-page';

const operations = (['boreBulk', 'fixTemplate', 'meterPart', 'removePart', 'routePasses', 'testFit', 'tracePlate'] as const).map((k) => operation(k));

async function order(
  ranks: Readonly<Record<string, number>> | null = null,
): Promise<{ fixture: ComponentFixture<OrderPage>; http: ReturnType<typeof jobOnScreen>['http'] }> {
  const ranked = inOrder(operations.map((o) => ({ ...o, rank: ranks ? (ranks[o.kind] ?? 0) : null })));
  const { http } = jobOnScreen({ work: { decisions: [decision], operations: ranked } });
  const fixture = TestBed.createComponent(OrderPage);
  await fixture.whenStable();
  return { fixture, http };
}

const OWN = { meterPart: 0, removePart: 1, fixTemplate: 2, tracePlate: 3, boreBulk: 4, routePasses: 5, testFit: 6 };

describe('the order of the work', () => {
  it('is that of the rules, and says why', async () => {
    const { fixture } = await order();
    const titles = [...host(fixture).querySelectorAll('li')].map((li) => li.dataset['operation']);
    expect(titles).toEqual([
      'Meter the new pickup',
      'Remove the pickup',
      'Trace the mounted plate',
      'Fix the template',
      'Bore out the bulk',
      'Route to the template, in passes',
      'Test-fit the real part',
    ]);
    expect(host(fixture).textContent).toContain('No rule is broken');
    [...host(fixture).querySelectorAll<HTMLButtonElement>('li .plain-row')][3]!.click();
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('after ‘Pickup: trace the mounted plate’.');
  });

  it('moves work past what is changed on the bench, which goes where it is asked for: no click does nothing', async () => {
    const bench = operation('takeStringsOff', { source: { of: 'job', id: 'job' }, bench: { needs: [], makes: [{ of: 'strings', is: ['off'] }] } });
    const sorted = inOrder(operations);
    const { http } = jobOnScreen({ work: { decisions: [decision], operations: [sorted[0]!, bench, ...sorted.slice(1)] } });
    const fixture = TestBed.createComponent(OrderPage);
    await fixture.whenStable();
    const named = (label: string) => host(fixture).querySelector<HTMLButtonElement>(`[aria-label^="${label}"]`);
    expect([named('Earlier: Take the strings off'), named('Later: Take the strings off')]).toEqual([null, null]);
    expect([named('Earlier: Meter')!.disabled, named('Earlier: Remove')!.disabled]).toEqual([true, false]);
    named('Earlier: Remove')!.click();
    await settle();
    const put = http.expectOne('/api/jobs/job/order');
    expect((put.request.body as { order: string[] }).order.slice(0, 2)).toEqual(['removePart', 'meterPart']);
    expect((put.request.body as { order: string[] }).order.length).toBe(sorted.length + 1);
    put.flush({});
    http.match(() => true);
  });

  it('sends the whole order when one is moved by a button', async () => {
    const { fixture, http } = await order();
    host(fixture).querySelector<HTMLButtonElement>('[aria-label^="Later: Trace the mounted plate, "]')!.click();
    await settle();
    const put = http.expectOne('/api/jobs/job/order');
    expect((put.request.body as { order: string[] }).order).toEqual([
      'meterPart',
      'removePart',
      'fixTemplate',
      'tracePlate',
      'boreBulk',
      'routePasses',
      'testFit',
    ]);
    put.flush({});
    http.match(() => true);
  });

  it('shows what an own order breaks, takes a reason for it, and not without one', async () => {
    const { fixture, http } = await order(OWN);
    const broken = host(fixture).querySelector('[data-rule="traceBeforeTemplate"]')!;
    expect(broken.textContent).toContain('‘Pickup: trace the mounted plate’ should come before ‘Pickup: fix the template’');
    expect(host(fixture).querySelectorAll('li.broken').length).toBe(2);
    broken.querySelector('form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Type a reason');
    await type(fixture, '[data-rule] input', 'made from the plate itself');
    broken.querySelector('form')!.dispatchEvent(new Event('submit'));
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/waivers/'));
    expect(put.request.body).toEqual({
      job: 'job',
      rule: 'traceBeforeTemplate',
      operations: ['tracePlate', 'fixTemplate'],
      reason: 'made from the plate itself',
    });
    put.flush({});
    http.match(() => true);
  });

  it('goes back to the rules', async () => {
    const { fixture, http } = await order(OWN);
    button(fixture, 'Restore the rules’ order').click();
    await settle();
    expect((http.expectOne('/api/jobs/job/order').request.body as { order: string[] }).order).toEqual([]);
  });

  it('says what to do first when nothing is decided', async () => {
    jobOnScreen();
    const fixture = TestBed.createComponent(OrderPage);
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('Choose an option in Fit');
  });

  it('takes work of one’s own: says what is missing, sends it where it was put, and can take it out and put it back', async () => {
    const { fixture, http } = await order();
    button(fixture, 'Add work of your own').click();
    await fixture.whenStable();
    button(fixture, 'Add to the job').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-own-work [role=alert]')!.textContent).toContain('Type the work to do');
    http.expectNone(() => true);
    const fields = [...host(fixture).querySelectorAll<HTMLInputElement>('rn-own-work input')];
    for (const [i, text] of ['Oil the fingerboard', 'soon', '60'].entries()) {
      fields[i]!.value = text;
      fields[i]!.dispatchEvent(new Event('input'));
    }
    button(fixture, 'Add to the job').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-own-work [role=alert]')!.textContent).toContain('Type minutes');
    fields[1]!.value = '20';
    fields[1]!.dispatchEvent(new Event('input'));
    button(fixture, 'Add to the job').click();
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/own-work/'));
    expect(put.request.body).toEqual({
      ...{ job: 'job', kind: 'byHand', line: 'Oil the fingerboard', minutes: 20, wait: 60, phase: 'set up', after: [], before: [], feature: null },
    });
    put.flush({});
    await settle();
    const own = { line: 'Oil the fingerboard', minutes: 20, wait: 720, phase: 'set up' as const, after: [], before: [] };
    const row = operation('byHand', {
      id: 'mine',
      subject: { aspect: 'anatomy', id: '' },
      source: { of: 'hand', id: 'job' },
      decision: '',
      own,
      minutes: 20,
      waitAfter: { until: 'cure', minutes: 720 },
    });
    const held = { ...noWork, decisions: [decision], operations: [...inOrder(operations), row] };
    http.expectOne((r) => r.url.endsWith('/jobs/job/work')).flush(held);
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-own-work')).toBeNull();
    const mine = host(fixture).querySelector<HTMLElement>('li[data-operation="Oil the fingerboard"]')!;
    expect(mine.textContent).toContain('8 Oil the fingerboard');
    expect(mine.textContent.replaceAll('\u202f', ' ')).toContain('20 min + 12 h wait');
    mine.querySelector<HTMLButtonElement>('[aria-label="Remove: Oil the fingerboard"]')!.click();
    await settle();
    http.expectOne((r) => r.method === 'DELETE' && r.url === '/api/own-work/mine').flush({});
    await settle();
    http.match(() => true);
    await fixture.whenStable();
    button(fixture, 'Put it back').click();
    await settle();
    expect((http.expectOne((r) => r.url.startsWith('/api/own-work/')).request.body as { line: string }).line).toBe('Oil the fingerboard');
  });

  it('shows like acts at like places as one, opens them, and moves them together or one out of them', async () => {
    const alike = ['a', 'b', 'c'].map((id) => operation('openHole', { id, key: id, state: 'doing', subject: { aspect: 'anatomy', id } }));
    const { http } = jobOnScreen({ work: { decisions: [decision], operations: [operation('removePart'), ...alike, operation('fitPart')] } });
    const fixture = TestBed.createComponent(OrderPage);
    await fixture.whenStable();
    const rows = () => [...host(fixture).querySelectorAll('.list > ol > li')];
    expect(rows().length).toBe(3);
    expect(rows()[1]!.textContent).toMatch(/2–4\s+3 .*enlarge the hole.*step by step together/s);
    host(fixture).querySelectorAll<HTMLButtonElement>('[aria-label^="Earlier: Enlarge the hole"]')[0]!.click();
    await settle();
    const put = http.expectOne('/api/jobs/job/order');
    expect((put.request.body as { order: string[] }).order).toEqual(['a', 'b', 'c', 'removePart', 'fitPart']);
    put.flush({});
    http.match(() => true);
    rows()[1]!.querySelector<HTMLButtonElement>('.plain-row')!.click();
    await fixture.whenStable();
    expect(rows()[1]!.querySelectorAll('.members li').length).toBe(3);
    rows()[1]!.querySelectorAll<HTMLButtonElement>('.members [aria-label^="Later"]')[2]!.click();
    await settle();
    const again = http.expectOne('/api/jobs/job/order');
    expect((again.request.body as { order: string[] }).order).toEqual(['removePart', 'a', 'b', 'fitPart', 'c']);
    again.flush({});
    http.match(() => true);
  });
});
