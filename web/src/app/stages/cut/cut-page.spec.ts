import { knownAt } from '@rinnovo/core/instrument';
import { evaluatePlan } from '@rinnovo/core/house';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { By } from '@angular/platform-browser';
import type { Store } from '@ngrx/store';
import type { PickupChoice } from '@rinnovo/core/check';
import { settingsWith } from '@rinnovo/core/operation';
import { button, host, jobOnScreen, choice, pickup, planOf, route, type } from '../../../testing/job';
import { anatomy } from '../../../testing/fixture';
import { planActions } from '../../state/plan.actions';
import { planFeature } from '../../state/plan.feature';
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
    expect(texts(host(fixture))).toEqual(['0.00', '105.00', '0.0']);
    view.moved.emit({ to: at(110), dropped: false });
    await fixture.whenStable();
    expect(texts(host(fixture))).toEqual(['0.00', '105.00', '0.0']);
    view.moved.emit({ to: at(112), dropped: true });
    await fixture.whenStable();
    expect(texts(host(fixture))).toEqual(['0.00', '112.00', '0.0']);
  });

  it('keeps what is being typed when a sum or the saved plan comes late', async () => {
    const { fixture, store, view } = await page();
    view.moved.emit({ to: at(112), dropped: true });
    await fixture.whenStable();
    await type(fixture, 'rn-pose-fields input', '1.5');
    const moved = planOf({ ...choice, route: { ...route, at: at(112) } });
    store.dispatch(resultActions.evaluatedInFull({ computed: { key: 'k', plan: moved, choice: 'pickup', result: { verdicts: [], anatomy, figures: null } } }));
    store.dispatch(planActions.loaded({ record: { job: 'job', version: 3, revisions: knownAt({ anatomy: 1 }), plan: structuredClone(moved) }, draft: null }));
    await fixture.whenStable();
    expect(texts(host(fixture))).toEqual(['1.5', '112.00', '0.0']);
  });
});

describe('verdicts while the hand holds the route', () => {
  it('are stated at once by marks and headline, stand in the list long enough to be read, and are all new when it lets go', async () => {
    const { fixture, store, view } = await page();
    const state = { anatomy, parts: { 'two-coil': pickup }, done: new Set<string>(), fitted: [], stock: [], settings: settingsWith(), tools: [] };
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

describe('the route in the hand', () => {
  const latest = (store: Store) => store.selectSignal(planFeature.selectDraft)()!.choices[0] as PickupChoice;

  it('is turned by its grip, straight when nearly so, and by what is typed; what is no turn is said', async () => {
    const { fixture, store, view } = await page();
    const from = latest(store).route!.at;
    view.pulled.emit({ id: 'turn', to: { x: from.x + 20, y: from.y - 20 }, dropped: true });
    expect(latest(store).route!.at.turn).toBe(45);
    view.pulled.emit({ id: 'turn', to: { x: from.x + 0.2, y: from.y - 20 }, dropped: true });
    expect(latest(store).route!.at.turn).toBe(0);
    await fixture.whenStable();
    await type(fixture, 'rn-pose-fields [aria-describedby=turn-said]', '200');
    expect(host(fixture).querySelector('#turn-said')!.textContent).toContain('from −180 to 180');
    host(fixture).querySelector('rn-pose-fields form')!.dispatchEvent(new Event('submit'));
    expect(latest(store).route!.at.turn).toBe(0);
    await type(fixture, 'rn-pose-fields [aria-describedby=turn-said]', '-2,5');
    host(fixture).querySelector('rn-pose-fields form')!.dispatchEvent(new Event('submit'));
    expect(latest(store).route!.at.turn).toBe(-2.5);
  });

  it('meets the centre line, and goes by it further off', async () => {
    const { view } = await page();
    const snapper = view.snapper()!;
    expect(snapper.move({ x: 0.4, y: 200, turn: 0 }, 1).to.x).toBeCloseTo(0, 9);
    expect(snapper.move({ x: 1.4, y: 200, turn: 0 }, 1).across).toBeNull();
  });

  it('has its section along the line that is pulled', async () => {
    const { fixture, view } = await page();
    const label = () => host(fixture).querySelector('rn-section-view svg')!.getAttribute('viewBox')!.split(' ').map(Number)[2]!;
    const before = label();
    const from = view.handles().find((h) => h.id === 'section from')!;
    view.pulled.emit({ id: 'section to', to: { x: from.x + 30, y: from.y + 40 }, dropped: true });
    await fixture.whenStable();
    expect(label()).toBeCloseTo(50 + 24, 6);
    button(fixture, 'Across').click();
    await fixture.whenStable();
    expect(label()).toBeCloseTo(before, 6);
    button(fixture, 'Along').click();
    await fixture.whenStable();
    expect(label()).not.toBeCloseTo(before, 1);
  });
});

describe('a cut from scratch', () => {
  it('is begun along the part, and lies there undecided', async () => {
    TestBed.configureTestingModule({ providers: [provideRouter([])] });
    const { store } = jobOnScreen();
    const fixture = TestBed.createComponent(CutPage);
    await fixture.whenStable();
    button(fixture, 'Plan a cut for Wide two-coil').click();
    await fixture.whenStable();
    const made = store.selectSignal(planFeature.selectDraft)()!.choices[0] as PickupChoice;
    expect(made.route!.levels.map((p) => p.id)[0]).toBe('main');
    expect(made.insertFitted).toBeFalse();
    expect(host(fixture).textContent).toContain('No decision yet');
  });
});
