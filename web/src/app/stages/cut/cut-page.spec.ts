import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { By } from '@angular/platform-browser';
import { evaluatePlan } from '@rinnovo/core/check';
import { settingsWith } from '@rinnovo/core/operation';
import { host, jobOnScreen, choice, pickup, planOf, route, type } from '../../../testing/job';
import { anatomy } from '../../../testing/fixture';
import { planActions } from '../../state/plan.actions';
import { resultActions } from '../../state/results.feature';
import { PlanView } from '../../ui/plan-view';
import { CutPage } from './cut-page';

const at = (y: number) => ({ ...route.at, y });
const texts = (element: HTMLElement): string[] => [...element.querySelectorAll<HTMLInputElement>('rn-pose-fields input')].map((i) => i.value);

async function page() {
  TestBed.configureTestingModule({ providers: [provideRouter([])] });
  const { store } = jobOnScreen({ choice: { ...choice, route } });
  const fixture = TestBed.createComponent(CutPage);
  await fixture.whenStable();
  const view = fixture.debugElement.query(By.directive(PlanView)).componentInstance as PlanView;
  return { fixture, store, view };
}

describe('the typed place of the route', () => {
  it('waits while the hand holds the route and follows as soon as it is let go', async () => {
    const { fixture, view } = await page();
    expect(texts(host(fixture))).toEqual(['0.00', '105.00']);
    view.moved.emit({ to: at(110), dropped: false });
    await fixture.whenStable();
    expect(texts(host(fixture))).toEqual(['0.00', '105.00']);
    view.moved.emit({ to: at(112), dropped: true });
    await fixture.whenStable();
    expect(texts(host(fixture))).toEqual(['0.00', '112.00']);
  });

  it('keeps what is being typed when a sum or the saved plan comes late', async () => {
    const { fixture, store, view } = await page();
    view.moved.emit({ to: at(112), dropped: true });
    await fixture.whenStable();
    await type(fixture, 'rn-pose-fields input', '1.5');
    const moved = planOf({ ...choice, route: { ...route, at: at(112) } });
    store.dispatch(resultActions.evaluatedInFull({ computed: { key: 'k', plan: moved, choice: 'pickup', result: { verdicts: [], anatomy, figures: null } } }));
    store.dispatch(planActions.loaded({ record: { job: 'job', version: 3, revision: 1, plan: structuredClone(moved) }, draft: null }));
    await fixture.whenStable();
    expect(texts(host(fixture))).toEqual(['1.5', '112.00']);
  });
});

describe('verdicts while the hand holds the route', () => {
  it('are told at once by marks and headline, stand in the list long enough to be read, and are all new when it lets go', async () => {
    const { fixture, store, view } = await page();
    const state = { anatomy, parts: { 'two-coil': pickup }, stock: [], settings: settingsWith() };
    const arrive = async (y: number): Promise<number> => {
      const moved = planOf({ ...choice, route: { ...route, at: at(y) } });
      const { verdicts } = evaluatePlan(state, moved);
      store.dispatch(resultActions.evaluated({ computed: { key: 'k', plan: moved, choice: 'pickup', result: { verdicts } } }));
      await fixture.whenStable();
      return verdicts.filter((v) => v.class === 'clashes').length;
    };
    const clashes = (): number => host(fixture).querySelectorAll('rn-verdict-list li.clashes').length;
    await arrive(105);
    const before = clashes();
    view.moved.emit({ to: at(125), dropped: false });
    const now = await arrive(125);
    expect(now).not.toBe(before);
    expect(host(fixture).querySelector('.headline')!.textContent).toContain(`${now} clash`);
    expect(clashes()).toBe(before);
    await new Promise((r) => setTimeout(r, 350));
    await fixture.whenStable();
    expect(clashes()).toBe(now);
    view.moved.emit({ to: at(105), dropped: true });
    await arrive(105);
    expect(clashes()).toBe(before);
  });
});
