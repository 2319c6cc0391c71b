import { TestBed } from '@angular/core/testing';
import type { ShownReading } from '@rinnovo/contract';
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
    await type(fixture, 'rn-coarser-limit label > input:not([inputmode])', 'through the guard');
    await save();
    const { limit, why } = http.expectOne((r) => r.url.startsWith('/api/readings/')).request.body as { limit: number; why: string };
    expect([limit, why]).toEqual([0.3, 'through the guard']);
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
