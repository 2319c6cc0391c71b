import { provideState } from '@ngrx/store';
import { TestBed } from '@angular/core/testing';
import type { ShownReading } from '@rinnovo/contract';
import { anatomy } from '../../../testing/fixture';
import { anatomyEditFeature, type anatomyEditActions } from '../../state/anatomy-edit.feature';
import { anatomy as heldAnatomy } from '../../state/resources';
import { host, choice, jobOnScreen, route, settle, type, button } from '../../../testing/job';
import { resultActions, resultsFeature } from '../../state/results.feature';
import { SurveyPage } from './survey-page';

const reading = (id: string, value: number | null, blind: boolean): ShownReading => ({
  id,
  instrument: 'i',
  target: { quantity: 'bodyThickness', feature: 'body' },
  value,
  limit: 0.05,
  raw: value === null ? null : String(value),
  tool: 'calliper',
  person: 'nell',
  at: `2026-01-01T00:00:0${id}Z`,
  blind,
  survey: null,
  corrects: null,
});

const READ = { value: 71.1, limit: 0.05, basis: { kind: 'stated' as const } };

describe('the survey', () => {
  it('puts first what the planned cut rests on, and counts what was read twice', async () => {
    jobOnScreen({ choice: { ...choice, route }, readings: [reading('1', 44, false), reading('2', 44.05, true)] });
    const fixture = TestBed.createComponent(SurveyPage);
    await fixture.whenStable();
    expect(host(fixture).querySelector('.big')!.textContent.trim()).toBe('1 / 7');
    expect(host(fixture).querySelector('[data-target="bodyThickness|body|"]')!.textContent).toContain('two readings agree');
    expect(host(fixture).querySelector('[data-target="levelDepth|route|old"]')!.textContent).toContain('not read');
    expect(host(fixture).querySelector('[data-target="levelDepth|route|old"]')!.textContent).toContain('stated');
  });

  it('keeps its rows while verdicts come and go: a row that moves takes the focus away', async () => {
    const { store } = jobOnScreen({ choice: { ...choice, route } });
    const fixture = TestBed.createComponent(SurveyPage);
    await fixture.whenStable();
    const order = () => [...host(fixture).querySelectorAll('ul')[0]!.querySelectorAll<HTMLElement>('[data-target]')].map((b) => b.dataset['target']);
    const before = order();
    expect(before.length).toBe(7);
    const [live, full] = [store.selectSignal(resultsFeature.selectLive)()!, store.selectSignal(resultsFeature.selectFull)()!];
    const first = host(fixture).querySelector<HTMLElement>('ul [data-target]')!;
    first.focus();
    store.dispatch(resultActions.evaluated({ computed: { ...live, key: 'next' } }));
    await fixture.whenStable();
    expect(order()).toEqual(before);
    const turned = { ...full.result, verdicts: [...full.result.verdicts].reverse() };
    store.dispatch(resultActions.evaluatedInFull({ computed: { ...full, key: 'next', result: turned } }));
    await fixture.whenStable();
    expect(order()).toEqual(before);
    expect(document.activeElement).toBe(first);
  });

  it('keeps the row that is open, with what is typed in it, while no verdict asks for it for a moment', async () => {
    const { store } = jobOnScreen({ choice: { ...choice, route } });
    const fixture = TestBed.createComponent(SurveyPage);
    await fixture.whenStable();
    const [key] = [...host(fixture).querySelectorAll<HTMLElement>('ul [data-target]')].map((b) => b.dataset['target']);
    host(fixture).querySelector<HTMLElement>(`[data-target="${key}"]`)!.click();
    await fixture.whenStable();
    const entry = host(fixture).querySelector('rn-reading-entry');
    await type(fixture, 'rn-reading-entry rn-length-field input', '44');
    const full = store.selectSignal(resultsFeature.selectFull)()!;
    const live = store.selectSignal(resultsFeature.selectLive)()!;
    const none = { ...full.result, verdicts: [] };
    store.dispatch(resultActions.evaluated({ computed: { ...live, key: 'next', result: { ...live.result, verdicts: [] } } }));
    store.dispatch(resultActions.evaluatedInFull({ computed: { ...full, key: 'next', result: none } }));
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-reading-entry')).toBe(entry);
    expect(host(fixture).querySelector<HTMLInputElement>('rn-reading-entry rn-length-field input')!.value).toBe('44');
  });

  it('takes a reading with the tool that fits, and keeps what was typed when the server refuses', async () => {
    const { http } = jobOnScreen({ choice: { ...choice, route } });
    const fixture = TestBed.createComponent(SurveyPage);
    await fixture.whenStable();
    host(fixture).querySelector<HTMLButtonElement>('[data-target="levelDepth|route|old"]')!.click();
    await fixture.whenStable();
    button(fixture, 'Save reading').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Type the reading');
    await type(fixture, 'rn-reading-entry rn-length-field input', '45/64');
    button(fixture, 'Save reading').click();
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/readings/'));
    const body = put.request.body as { value: number; raw: string; tool: string; limit: number; session: null };
    expect(body.value).toBeCloseTo((45 / 64) * 25.4, 9);
    expect([body.raw, body.tool, body.limit, body.session]).toEqual(['45/64', 'gauge', 0.05, null]);
    put.flush({ type: '/problems/disk-full', title: 'The disk is full: nothing was written', status: 507 }, { status: 507, statusText: 'full' });
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-reading-entry')!.textContent).toContain('The disk is full');
    expect(host(fixture).querySelector<HTMLInputElement>('rn-reading-entry rn-length-field input')!.value).toBe('45/64');
  });

  it('takes a reading that is less sure than its tool only with how much and why', async () => {
    const { http } = jobOnScreen({ choice: { ...choice, route } });
    const fixture = TestBed.createComponent(SurveyPage);
    await fixture.whenStable();
    host(fixture).querySelector<HTMLButtonElement>('[data-target="levelDepth|route|old"]')!.click();
    await fixture.whenStable();
    await type(fixture, 'rn-reading-entry rn-length-field input', '18');
    button(fixture, 'Less sure than the tool').click();
    await fixture.whenStable();
    const save = async (): Promise<string> => {
      button(fixture, 'Save reading').click();
      await settle();
      await fixture.whenStable();
      return host(fixture).querySelector('[role=alert]')?.textContent.trim() ?? '';
    };
    expect(await save()).toContain('Type by how much it may be off.');
    await type(fixture, 'rn-coarser-limit rn-length-field input', '0.3');
    expect(await save()).toContain('Type why it is less sure.');
    http.expectNone(() => true);
    await type(fixture, 'rn-coarser-limit > mat-form-field input', 'through the guard');
    await save();
    const { limit, why } = http.expectOne((r) => r.url.startsWith('/api/readings/')).request.body as { limit: number; why: string };
    expect([limit, why]).toEqual([0.3, 'through the guard']);
  });

  it('goes on to the next reading that is asked for once one is kept, the tool still in the hand', async () => {
    const { http } = jobOnScreen({ choice: { ...choice, route } });
    const fixture = TestBed.createComponent(SurveyPage);
    await fixture.whenStable();
    host(fixture).querySelector<HTMLButtonElement>('.head button')!.click();
    await fixture.whenStable();
    const opened = () => host(fixture).querySelector<HTMLElement>('[aria-expanded=true]')!.dataset['target']!;
    const first = opened();
    const order = [...host(fixture).querySelectorAll('ul')[0]!.querySelectorAll<HTMLElement>('[data-target]')].map((b) => b.dataset['target']);
    expect(document.activeElement).toBe(host(fixture).querySelector('rn-reading-entry rn-length-field input'));
    await type(fixture, 'rn-reading-entry rn-length-field input', '39');
    host(fixture)
      .querySelector('rn-reading-entry rn-length-field input')!
      .dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    await settle();
    http.expectOne((r) => r.url.startsWith('/api/readings/')).flush({ second: 'one' });
    await settle();
    await fixture.whenStable();
    expect(order.indexOf(opened())).toBe(order.indexOf(first) + 1);
    expect(host(fixture).querySelector<HTMLInputElement>('rn-reading-entry rn-length-field input')!.value).toBe('');
    expect(document.activeElement).toBe(host(fixture).querySelector('rn-reading-entry rn-length-field input'));
  });

  it('asks the second reading at once, in its place, and hides the first', async () => {
    const once = (value: number | null): ShownReading => ({
      ...reading('1', value, false),
      target: { quantity: 'checkWidthAlong', feature: 'plate', part: 'window' },
    });
    const { http, store } = jobOnScreen({ choice: { ...choice, route }, readings: [once(39)] });
    const along = { value: 39.6, limit: 0.05, basis: { kind: 'readings' as const, ids: ['1'] } };
    const read = { ...anatomy, plates: anatomy.plates.map((p) => ({ ...p, openings: p.openings.map((o) => ({ ...o, outline: { ...o.outline, along } })) })) };
    const now = store.selectSignal(heldAnatomy.select)();
    store.dispatch(heldAnatomy.loaded({ of: 'i', data: { ...now.data!, now: { ...now.data!.now, document: read } }, version: 2 }));
    const fixture = TestBed.createComponent(SurveyPage);
    fixture.componentRef.setInput('measure', 'checkWidthAlong|plate|window');
    await fixture.whenStable();
    const zeroed = host(fixture).querySelector<HTMLInputElement>('rn-second-reading input[type=checkbox]')!;
    expect(document.activeElement).toBe(zeroed);
    expect(host(fixture).querySelector('rn-reading-entry ul')).toBeNull();
    // from when it is asked for: the value is not read off the row, nor off what the drawing differs by
    const row = host(fixture).querySelector('[data-target="checkWidthAlong|plate|window"]')!;
    expect(row.textContent).toContain('hidden');
    expect(host(fixture).textContent).not.toContain('39.60');
    zeroed.click();
    await settle();
    http.expectOne((r) => r.url.startsWith('/api/blind-sessions/')).flush({});
    await settle();
    http.expectOne((r) => r.url.includes('/readings?')).flush({ items: [once(null)], next: null });
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[data-target="checkWidthAlong|plate|window"]')!.textContent).toContain('hidden');
    await type(fixture, 'rn-second-reading rn-length-field input', '39.05');
    button(fixture, 'Save second reading').click();
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/readings/'));
    expect((put.request.body as { session: string }).session).not.toBeNull();
    put.flush({ second: 'agree' });
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[data-target="checkWidthAlong|plate|window"]')!.getAttribute('aria-expanded')).toBe('false');
  });

  it('draws an outline as wide as it was read, with one button', async () => {
    TestBed.configureTestingModule({ providers: [provideState(anatomyEditFeature)] });
    const { store } = jobOnScreen({ choice: { ...choice, route } });
    const read = {
      ...anatomy,
      plates: anatomy.plates.map((p) => ({ ...p, openings: p.openings.map((o) => ({ ...o, outline: { ...o.outline, across: READ } })) })),
    };
    const now = store.selectSignal(heldAnatomy.select)();
    store.dispatch(heldAnatomy.loaded({ of: 'i', data: { ...now.data!, now: { ...now.data!.now, document: read } }, version: 2 }));
    const fixture = TestBed.createComponent(SurveyPage);
    await fixture.whenStable();
    const said = spyOn(store, 'dispatch').and.callThrough();
    host(fixture).querySelector<HTMLButtonElement>('.off button')!.click();
    await fixture.whenStable();
    const edited = said.calls.mostRecent().args[0] as unknown as ReturnType<typeof anatomyEditActions.edited>;
    const xs = edited.to.plates[0]!.openings[0]!.outline.outline.vertices.map((v) => v.x);
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([-35.55, 35.55]);
  });

  it('tells a withheld reading without its value', async () => {
    jobOnScreen({ choice: { ...choice, route }, readings: [reading('1', null, false)] });
    const fixture = TestBed.createComponent(SurveyPage);
    await fixture.whenStable();
    host(fixture).querySelector<HTMLButtonElement>('[data-target="bodyThickness|body|"]')!.click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-reading-entry ul')!.textContent).toContain('withheld');
  });

  it('mirrors the map for the back', async () => {
    jobOnScreen({ choice: { ...choice, route } });
    const fixture = TestBed.createComponent(SurveyPage);
    await fixture.whenStable();
    [...host(fixture).querySelectorAll<HTMLButtonElement>('.map button')].find((b) => b.textContent.includes('Back'))!.click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-plan-view svg > g > g')!.getAttribute('transform')).toBe('scale(-1 1)');
  });
});
