import type { Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { HttpTestingController } from '@angular/common/http/testing';
import { provideRouter } from '@angular/router';
import type { KeptSurvey, ShownReading } from '@rinnovo/contract';
import { STATES, usualLimit, type StateId } from '@rinnovo/core/quantity';
import { Who } from '../../api/who';
import { provideHeld } from '../../state/held';
import { findings, instrument, profiles } from '../../state/resources';
import { button, host, jobOnScreen, settle, survey, type as typeInto, instrumentOnScreen } from '../../../testing/job';
import { ComparePage } from './compare-page';
import { FindingsPage } from './findings-page';
import { InspectionPage } from './inspection-page';
import { ToMeasurePage } from './to-measure-page';

let n = 0;
const read = (quantity: StateId, feature: string, value: number, more: Partial<ShownReading> = {}): ShownReading => ({
  id: `h${(n += 1)}`,
  instrument: 'i',
  target: { quantity, feature },
  value,
  limit: usualLimit(quantity, value),
  raw: String(value),
  tool: STATES[quantity].by,
  person: 'nell',
  at: new Date(Date.now() - 100_000 + n).toISOString(),
  blind: false,
  survey: 'survey',
  corrects: null,
  ...more,
});
const signed: KeptSurvey = { ...survey, signed: { by: 'nell', at: '2026-01-02T10:00:00.000Z' }, version: 2 };

let http: HttpTestingController;
async function show<T>(page: Type<T>, surveys: readonly KeptSurvey[], readings: readonly ShownReading[] = []): Promise<ComponentFixture<T>> {
  TestBed.configureTestingModule({ providers: [...provideHeld(instrument), provideRouter([])] });
  const screen = jobOnScreen({ readings, surveys });
  http = screen.http;
  TestBed.inject(Who).choose('nell');
  screen.store.dispatch(instrument.loaded({ of: 'i', data: instrumentOnScreen, version: 1 }));
  const fixture = TestBed.createComponent(page);
  await fixture.whenStable();
  return fixture;
}

describe('a survey under its head', () => {
  it('is begun with what is asked once, and only then are there steps to read', async () => {
    const f = await show(InspectionPage, []);
    expect(host(f).querySelector('rn-step-grid')).toBeNull();
    await typeInto(f, '[name=strings]', '10–46');
    button(f, 'Start survey').click();
    await settle();
    const sent = http.expectOne((r) => r.method === 'PUT' && r.url.startsWith('/api/surveys/'));
    expect(sent.request.body).toEqual({ instrument: 'i', kind: 'as found', strings: '10–46', tuning: '', work: [] });
    sent.flush({ title: 'Not possible now', type: '/problems/not-now', status: 409, detail: 'one is open' }, { status: 409, statusText: 'Conflict' });
    await settle();
    await f.whenStable();
    expect(host(f).querySelector('[role=alert]')!.textContent).toContain('one is open');
    expect(host(f).querySelector<HTMLInputElement>('[name=strings]')!.value).withContext('nothing typed is lost').toBe('10–46');
  });

  it('says how much is not read before it is signed, and signs the version that was seen', async () => {
    const f = await show(InspectionPage, [{ ...survey, version: 4 }], [read('relief', 'neck', 0.2)]);
    button(f, 'Sign survey …').click();
    await f.whenStable();
    expect(host(f).querySelector('.ask')!.textContent).toMatch(/\d+ places are without a reading or a reason/);
    button(f, 'Sign as Nell').click();
    await settle();
    const sent = http.expectOne('/api/surveys/survey/signature');
    expect(sent.request.headers.get('If-Match')).toBe('"4"');
  });

  it('names who has the instrument, and lets another take it', async () => {
    const f = await show(InspectionPage, [{ ...survey, holder: 'ben' }]);
    button(f, 'Take over the survey').click();
    await settle();
    expect((http.expectOne('/api/surveys/survey').request.body as { holder: string }).holder).toBe('nell');
  });

  it('is frozen when signed: a reading is corrected beside the old one, and what cannot be is refused where it is typed', async () => {
    const slip = read('relief', 'neck', 2.5);
    const f = await show(InspectionPage, [signed], [slip]);
    expect(host(f).querySelector('rn-step-grid')).toBeNull();
    button(f, 'Correct').click();
    await f.whenStable();
    await typeInto(f, `#was-${slip.id}`, 'flat');
    button(f, 'Save correction').click();
    await f.whenStable();
    expect(host(f).querySelector('[role=alert]')!.textContent).toContain('Not a length');
    http.expectNone((r) => r.method === 'PUT');
    await typeInto(f, `#was-${slip.id}`, '.25');
    button(f, 'Save correction').click();
    await settle();
    const sent = http.expectOne((r) => r.method === 'PUT' && r.url.startsWith('/api/readings/'));
    expect(sent.request.body).toEqual(jasmine.objectContaining({ value: 0.25, survey: 'survey', corrects: slip.id }));
  });

  it('shows a corrected reading struck through beside its correction', async () => {
    const slip = read('relief', 'neck', 2.5);
    const f = await show(InspectionPage, [signed], [slip, read('relief', 'neck', 0.25, { corrects: slip.id })]);
    expect(host(f).querySelector('.gone')!.textContent).toContain('2.50');
    expect(host(f).querySelectorAll('rn-signed-readings li').length).toBe(2);
  });

  it('keeps why a place cannot be measured, and counts its step as settled', async () => {
    const f = await show(InspectionPage, [survey], [read('relief', 'neck', 0.2)]);
    host(f).querySelector<HTMLButtonElement>('[data-step=rodTurns]')!.click();
    await f.whenStable();
    host(f).querySelector<HTMLButtonElement>('[aria-label^="More for"]')!.click();
    await f.whenStable();
    const item = [...document.querySelectorAll<HTMLButtonElement>('[mat-menu-item]')].find((b) => b.textContent.includes('Mark as not measurable'))!;
    item.click();
    await f.whenStable();
    const input = host(f).querySelector<HTMLInputElement>('.reason input')!;
    input.value = 'seized';
    button(f, 'Save reason').click();
    await settle();
    const sent = http.expectOne('/api/surveys/survey');
    expect((sent.request.body as { skipped: object[] }).skipped).toEqual([{ target: { quantity: 'rodTurns', feature: 'neck' }, reason: 'seized' }]);
    TestBed.resetTestingModule();
    const skipped = [{ target: { quantity: 'rodTurns' as const, feature: 'neck' }, reason: 'seized' }];
    const g = await show(InspectionPage, [{ ...survey, skipped }]);
    expect(host(g).querySelector('[data-step=rodTurns]')!.textContent).toContain('cannot be measured');
  });
});

describe('a step that is asked for', () => {
  it('is open, and what is no step is not', async () => {
    const f = await show(InspectionPage, [survey]);
    f.componentRef.setInput('at', 'fretEnds');
    await f.whenStable();
    expect(host(f).querySelector('rn-step-grid h2')!.textContent).toBe('Fret ends');
    f.componentRef.setInput('at', 'nonsense');
    await f.whenStable();
    expect(host(f).querySelector('rn-step-grid h2')!.textContent).toBe('Stop sign');
  });
});

describe('what is missing', () => {
  it('follows the kinds of work that are wanted and keeps them with the open survey', async () => {
    const f = await show(ToMeasurePage, [{ ...survey, work: ['fretEnds'] }], [read('humidity', 'room', 50)]);
    const rows = (): readonly string[] => [...host(f).querySelectorAll('tbody tr')].map((r) => r.textContent.replace(/\s+/g, ' ').trim());
    expect(rows().some((r) => r.startsWith('Temperature'))).toBeTrue();
    expect(rows().some((r) => r.startsWith('Relative humidity'))).toBeFalse();
    const link = [...host(f).querySelectorAll('a')].find((a) => a.textContent === 'Temperature')!;
    expect(link.getAttribute('href')).withContext('leads to its step').toContain('survey/inspection?at=temperature');
    button(f, 'Spot level').click();
    await f.whenStable();
    expect(rows().some((r) => r.startsWith('Remaining fret height at 22 places'))).toBeTrue();
    expect((http.expectOne('/api/surveys/survey').request.body as { work: string[] }).work).toEqual(['fretEnds', 'spotLevel']);
  });
});

describe('a comparison', () => {
  it('sets the newest survey beside the one before it and marks what differs by more than the tools can be wrong', async () => {
    const later: KeptSurvey = { ...survey, id: 'later', kind: 'as left', begun: '2026-02-01T00:00:00.000Z' };
    const more = { survey: 'later' };
    const f = await show(
      ComparePage,
      [signed, later],
      [
        read('relief', 'neck', 0.55),
        read('temperature', 'room', 20),
        read('relief', 'neck', 0.2, more),
        read('temperature', 'room', 21, more),
        read('humidity', 'room', 50, more),
      ],
    );
    const row = (what: string): string =>
      [...host(f).querySelectorAll('tbody tr')]
        .find((r) => r.textContent.includes(what))!
        .textContent.replace(/\s+/g, ' ')
        .trim();
    expect(row('Relief')).toBe('Relief0.55 mm0.20 mm≠ −0.35 mm (± 0.06 mm)');
    expect(row('Temperature')).toBe('Temperature20 °C21 °C+1 °C (± 2 °C)');
    expect(row('humidity')).toContain('—');
    expect(host(f).querySelectorAll('.differs').length).toBe(1);
  });

  it('draws courses, and a profile can be either side', async () => {
    const strings = (id: string, ...values: readonly number[]) => values.map((v, i) => read('action', `string ${i + 1}`, v, { survey: id }));
    const f = await show(ComparePage, [signed], strings('survey', 1.5, 1.6, 1.7));
    const profile = {
      id: 'p',
      name: 'plays well',
      instrument: 'i',
      survey: 'x',
      values: [{ target: { quantity: 'action' as const, feature: 'string 1' }, value: 1.2, limit: 0.1 }],
    };
    const { Store } = await import('@ngrx/store');
    TestBed.inject(Store).dispatch(profiles.loaded({ of: 'workshop', data: [{ ...profile, at: '', archived: false, version: 1 }], version: null }));
    await f.whenStable();
    expect(host(f).querySelector('.choose')!.textContent)
      .withContext('the profile stands for what there is nothing earlier of')
      .toContain('Profile: plays well');
    expect(host(f).querySelectorAll('canvas').length).toBe(1);
    await typeInto(f, '[name=profile]', ' as wished ');
    button(f, 'Save profile').click();
    await settle();
    expect(http.expectOne((r) => r.url.startsWith('/api/profiles/')).request.body).toEqual({ survey: 'survey', name: 'as wished' });
  });
});

describe('findings', () => {
  it('are accepted into the job, and an own one is pinned, accepted and withdrawn', async () => {
    const f = await show(FindingsPage, [survey], [read('humidity', 'room', 50), read('relief', 'neck', 0.5)]);
    button(f, 'Add to this job').click();
    await settle();
    const accepted = http.expectOne((r) => r.method === 'PUT' && r.url.startsWith('/api/findings/'));
    expect(accepted.request.body).toEqual(jasmine.objectContaining({ rule: 'reliefHigh', job: 'job', survey: 'survey' }));
    accepted.flush({});
    await settle();
    button(f, 'Add finding').click();
    await f.whenStable();
    expect(host(f).querySelector('rn-own-finding [role=alert]')!.textContent).toContain('Type what you found');
    const own = {
      id: 'o',
      instrument: 'i',
      survey: 'survey',
      rule: null,
      feature: null,
      text: 'a dent',
      severity: 'watch' as const,
      job: null,
      done: false,
      withdrawn: false,
      person: 'nell',
      at: '',
      version: 3,
    };
    const { Store } = await import('@ngrx/store');
    TestBed.inject(Store).dispatch(findings.loaded({ of: 'i', data: [own, { ...own, id: 't', text: 'a task', job: 'job' }], version: null }));
    await f.whenStable();
    expect(host(f).querySelector('[data-own=o]')!.textContent).toContain('A dent');
    expect(host(f).querySelector('rn-task-list')!.textContent).toContain('A task');
    host(f).querySelector<HTMLButtonElement>('[data-own=o] button:last-of-type')!.click();
    await settle();
    expect(http.expectOne('/api/findings/o').request.body).toEqual(jasmine.objectContaining({ withdrawn: true }));
  });
});
