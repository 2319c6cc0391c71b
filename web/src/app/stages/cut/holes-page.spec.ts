import { knownAt } from '@rinnovo/core/instrument';
import { evaluatePlan } from '@rinnovo/core/house';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { newHardwareChoice } from '@rinnovo/core/check';
import { holeRow } from '@rinnovo/core/cut';
import { settingsWith } from '@rinnovo/core/operation';
import { anatomy } from '../../../testing/fixture';
import { button, host, jobOnScreen, planOf } from '../../../testing/job';
import { planActions } from '../../state/plan.actions';
import { anatomy as resource } from '../../state/resources';
import { resultActions } from '../../state/results.feature';
import { HolesPage } from './holes-page';

describe('the sheet of holes', () => {
  it('says what to do first while the plan makes none', async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([])] });
    jobOnScreen();
    const fixture = TestBed.createComponent(HolesPage);
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('This plan makes no holes');
  });

  it('has a line for each, opens its sums, and has a sheet to print', async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([])] });
    const { store } = jobOnScreen();
    const settings = settingsWith();
    const row = holeRow(
      'row',
      { kind: 'string', face: 'top', first: { x: -20, y: 200 }, pitch: 10, count: 3, way: 'across', diameter: 7.9, depth: 20 },
      settings,
    );
    if ('problem' in row) throw new Error(row.problem);
    const plan = planOf(row.choice, newHardwareChoice('gone', { on: 'feature', feature: 'gone' }, null));
    const state = { anatomy, parts: {}, done: new Set<string>(), fitted: [], stock: [], settings, tools: [] };
    store.dispatch(planActions.loaded({ record: { job: 'job', version: 3, revisions: knownAt({ anatomy: 1 }), plan }, draft: null }));
    store.dispatch(resultActions.evaluatedInFull({ computed: { key: 'k', plan, choice: 'row', result: { ...evaluatePlan(state, plan), figures: null } } }));
    const fixture = TestBed.createComponent(HolesPage);
    await fixture.whenStable();
    const rows = [...host(fixture).querySelectorAll('tbody tr')].map((r) => r.textContent.replace(/\s+/g, ' '));
    expect(rows.length).toBe(3);
    expect(rows[1]).toContain('10.00 mm bass, 200.00 mm');
    // 20 deep and 2.37 of point
    button(fixture, '22.37\u202fmm').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-working-view')!.textContent).toContain('point of the drill');
    expect(host(fixture).querySelector('.bar a[download]')!.getAttribute('href')).toBe('/api/jobs/job/papers/holes');
  });

  it('gives the pilots of the plates’ screws, the lengths that prove a pattern, and copies of what has holes', async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([])] });
    const { store } = jobOnScreen();
    const screws = [
      { x: -40, y: 100, gauge: 6, length: null },
      { x: 40, y: 100, gauge: 6, length: null },
      { x: 40, y: 130, gauge: 4, length: null },
    ];
    const document = { ...anatomy, plates: anatomy.plates.map((p) => ({ ...p, screws })) };
    const revision = { instrument: 'i', revision: 2, document, cause: 'correction' as const, entry: null, person: 'nell', at: '' };
    store.dispatch(resource.loaded({ of: 'i', data: { now: revision, found: revision, changes: [] }, version: 2 }));
    const fixture = TestBed.createComponent(HolesPage);
    await fixture.whenStable();
    const page = host(fixture);
    const rows = [...page.querySelectorAll('[aria-label="Pilots for wood screws"] tbody tr')].map((r) => r.textContent.replace(/\s+/g, ' '));
    expect(rows.map((r) => r.trim().slice(0, 5))).toEqual(['No. 4', 'No. 6']);
    // two thirds of 3.505 in hardwood, and a tenth either way
    for (const said of ['2.34 mm', '2.24 mm – 2.44 mm']) expect(rows[1]).toContain(said);
    // 80 across, 30 along: the longest is the diagonal
    expect(page.textContent).toContain('Longest distance: 85.44\u202fmm, from 1 to 3.');
    const link = [...page.querySelectorAll<HTMLAnchorElement>('a[download]')].map((a) => a.getAttribute('href'));
    expect(link).toContain('/api/jobs/job/template?panel=plate&mirrored=true');
  });
});
