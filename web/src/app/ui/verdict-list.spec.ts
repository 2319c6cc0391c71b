import { evaluateChoice } from '@rinnovo/core/house';
import { TestBed } from '@angular/core/testing';
import { Store } from '@ngrx/store';
import { settingsWith } from '@rinnovo/core/operation';
import { host, choice, jobOnScreen, pickup, route } from '../../testing/job';
import { anatomy } from '../../testing/fixture';
import { viewActions } from '../state/view.feature';
import { VerdictList } from './verdict-list';

const state = { anatomy, parts: { 'two-coil': pickup }, done: new Set<string>(), fitted: [], stock: [], settings: settingsWith(), tools: [] };

describe('a list of verdicts', () => {
  async function list(shown = choice) {
    const { store } = jobOnScreen();
    store.dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    const fixture = TestBed.createComponent(VerdictList);
    fixture.componentRef.setInput('verdicts', evaluateChoice(state, shown).verdicts);
    await fixture.whenStable();
    return fixture;
  }

  it('has the gravest first, a sign and a word beside each number', async () => {
    const fixture = await list();
    const first = host(fixture).querySelector('li')!;
    expect(first.className).toContain('clashes');
    expect(first.querySelector('.sign')!.textContent).toBe('✕');
    expect(first.querySelector('.visually-hidden')!.textContent).toContain('clashes');
    expect(first.querySelector('.number')!.textContent).toMatch(/^−[\d.]+\u202fmm ± [\d.]+$/);
  });

  it('opens one working at a time, down to what each number rests on', async () => {
    const fixture = await list({ ...choice, route });
    const row = (start: string): HTMLButtonElement => host(fixture).querySelector<HTMLButtonElement>(`[data-verdict^="${start}"]`)!;
    row('floor/route/planned').click();
    await fixture.whenStable();
    expect(row('floor/route/planned').getAttribute('aria-expanded')).toBe('true');
    const working = host(fixture).querySelector('rn-working-view')!.textContent;
    expect(working).toContain('body thickness');
    expect(working).toContain('stated, not measured');
    expect(working).toContain('planned');
    expect(working).toMatch(/Worst case ± [\d.]+\u202fmm decides/);
    row('hiddenEdge/route/planned').click();
    await fixture.whenStable();
    expect(host(fixture).querySelectorAll('rn-working-view').length).toBe(1);
    row('hiddenEdge/route/planned').click();
    await fixture.whenStable();
    expect(host(fixture).querySelectorAll('rn-working-view').length).toBe(0);
  });

  it('keeps every row fitted while the hand moves the plan, says which question has gone, and sorts anew when it is let go', async () => {
    const aside = { ...choice, route: { ...route, at: { ...route.at, y: route.at.y + 5 } } };
    const moved = evaluateChoice(state, aside).verdicts.filter((v) => v.check !== 'smallestCorner');
    const fixture = await list({ ...choice, route });
    const rows = (): readonly string[] => [...host(fixture).querySelectorAll<HTMLElement>('[data-verdict]')].map((b) => b.dataset['verdict'] ?? '');
    const before = rows();
    expect(before).toContain('smallestCorner/pickup//');
    fixture.componentRef.setInput('steady', true);
    fixture.componentRef.setInput('verdicts', moved);
    await fixture.whenStable();
    expect(rows().slice(0, before.length)).toEqual(before);
    const corner = host(fixture).querySelector('[data-verdict="smallestCorner/pickup//"]')!;
    expect(corner.textContent).toContain('not relevant here');
    expect(corner.querySelector('.number')!.textContent).toBe('');
    fixture.componentRef.setInput('steady', false);
    await fixture.whenStable();
    expect(rows()).toEqual(moved.map((v) => v.id));
    expect(rows()).not.toContain('smallestCorner/pickup//');
  });

  it('changes its unit with the view', async () => {
    const fixture = await list();
    const number = (): string => host(fixture).querySelector('[data-verdict^="windowGap"] .number')!.textContent;
    expect(number()).toContain('mm');
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'inch' }));
    await fixture.whenStable();
    // cover r 3 in a window r 4, arcs' centres 0.5 and 0.5 apart: 4 − 3 − 0.7071 = 0.2929 mm, 0.012 in; ± 0.30 mm is 0.012 in
    expect(number()).toBe('0.012\u202fin ± 0.012\u202fin');
  });
});
