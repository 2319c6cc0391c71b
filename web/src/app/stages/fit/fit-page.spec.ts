import { knownAt } from '@rinnovo/core/instrument';
import type { Decision } from '@rinnovo/core/job';
import type { TestRequest } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import type { ReturnPlan } from '@rinnovo/contract';
import { actsOfChoice, newHardwareChoice, withChoice } from '@rinnovo/core/check';
import { holeRow } from '@rinnovo/core/cut';
import { settingsWith } from '@rinnovo/core/operation';
import { anatomy as resource, work } from '../../state/resources';
import { planActions } from '../../state/plan.actions';
import { resultActions, resultsFeature } from '../../state/results.feature';
import { planFeature } from '../../state/plan.feature';
import { anatomy } from '../../../testing/fixture';
import { button, choice, decision, host, jobOnScreen, noWork, operation, route, settle, type } from '../../../testing/job';
import { FitPage } from './fit-page';

const planned = (element: HTMLElement): number => element.querySelectorAll('rn-plan-view [data-moving] path').length;

describe('the fit page', () => {
  it('lays a way out on the map with all its verdicts, and goes back to the plan as it stands', async () => {
    jobOnScreen();
    const fixture = TestBed.createComponent(FitPage);
    await fixture.whenStable();
    const before = host(fixture).querySelector('rn-verdict-list')!.textContent;
    expect(planned(host(fixture))).toBe(0);

    host(fixture).querySelector<HTMLButtonElement>('[data-remedy^="reroute"] [aria-pressed]')!.click();
    await fixture.whenStable();
    expect(planned(host(fixture))).toBeGreaterThan(0);
    expect(host(fixture).querySelector('.headline')!.textContent).toContain('Option: Re-route under the cover');
    expect(host(fixture).querySelector('rn-verdict-list [data-verdict^="hiddenEdge/route/planned"]')).not.toBeNull();

    button(fixture, 'Back to the plan').click();
    await fixture.whenStable();
    expect(planned(host(fixture))).toBe(0);
    expect(host(fixture).querySelector('rn-verdict-list')!.textContent).toBe(before);
  });

  it('keeps the map and the other places as they are while a part is moved over it', async () => {
    const { store } = jobOnScreen();
    const fixture = TestBed.createComponent(FitPage);
    await fixture.whenStable();
    const row = (): string => host(fixture).querySelector('[data-choice="pickup"]')!.textContent;
    const before = row();
    expect(before).toContain('clash');
    const at = (x: number, y: number) => newHardwareChoice('new', { on: 'face', face: 'top', at: { x, y }, hole: 'pot' }, 'two-coil');
    const plan = store.selectSignal(planFeature.selectDraft)()!;
    store.dispatch(planActions.edited({ plan: withChoice(plan, at(60, 240)) }));
    store.dispatch(planActions.lookAt({ choice: 'new' }));
    await fixture.whenStable();
    const view = (): string | null => host(fixture).querySelector('rn-plan-view svg')!.getAttribute('viewBox');
    const seen = view();
    store.dispatch(planActions.choiceEdited({ choice: at(72, 231) }));
    await fixture.whenStable();
    expect(host(fixture).querySelector('[data-moving]')!.getAttribute('transform')).toContain('72 231');
    expect(view()).toBe(seen);
    expect(row()).toBe(before);
    store.dispatch(planActions.lookAt({ choice: 'pickup' }));
    await fixture.whenStable();
    expect(view()).not.toBe(seen);
  });

  it('moves a row of holes whole, by the keys of the map, until it is decided', async () => {
    const { store } = jobOnScreen();
    const row = holeRow(
      'row',
      { kind: 'string', face: 'top', first: { x: -20, y: 200 }, pitch: 10, count: 3, way: 'across', diameter: 8, depth: null },
      settingsWith(),
    );
    if ('problem' in row) throw new Error(row.problem);
    store.dispatch(planActions.edited({ plan: withChoice(store.selectSignal(planFeature.selectDraft)()!, row.choice) }));
    store.dispatch(planActions.lookAt({ choice: 'row' }));
    const fixture = TestBed.createComponent(FitPage);
    await fixture.whenStable();
    expect(planned(host(fixture))).toBe(3);
    host(fixture)
      .querySelector('rn-plan-view svg')!
      .dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', ctrlKey: true, bubbles: true }));
    await fixture.whenStable();
    const now = store
      .selectSignal(planFeature.selectDraft)()!
      .choices.find((c) => c.id === 'row')!;
    expect(actsOfChoice(now).map((w) => (w.kind === 'addHole' ? w.hole.at.x : NaN))).toEqual([-15, -5, 5]);
  });

  it('orders the way back from work that has begun, with a reason, instead of taking it back', async () => {
    const { http, store } = jobOnScreen({
      choice: { ...choice, route },
      work: { decisions: [decision], operations: [operation('fitPart', { state: 'done' })] },
    });
    const fixture = TestBed.createComponent(FitPage);
    // it is never stable while the server owes an answer
    await settle(50);
    const said = (): string => host(fixture).querySelector('rn-decision-made')!.textContent;
    expect(button(fixture, 'Undo decision').disabled).toBeTrue();
    const way: ReturnPlan = {
      operations: ['removePart', 'putInsertBack'],
      stays: [{ kind: 'cannotPutWoodBack', subject: 'route', part: null, possible: false }],
      minutes: 44,
      numbers: [{ id: 'floor', clearance: 7, class: 'well' }],
    };
    const asked = (): TestRequest => http.expectOne('/api/decisions/decision/way-back');
    asked().flush({ title: 'Not now', status: 409, type: '/problems/not-now' }, { status: 409, statusText: 'not now' });
    await settle();
    await fixture.whenStable();
    expect(said()).toContain('Not now');
    button(fixture, 'Try again').click();
    await settle(50);
    asked().flush(way);
    await settle();
    await fixture.whenStable();
    for (const what of [
      'Remove the pickup',
      'Put the insert back',
      'The wood cut from the pickup route',
      'The original parts fit again without a clash; 44\u202fmin',
    ])
      expect(said()).toContain(what);
    button(fixture, 'Plan the way back …').click();
    await fixture.whenStable();
    const form = (): HTMLFormElement => host(fixture).querySelector('rn-go-back form')!;
    form().dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    expect(said()).toContain('Type a reason');
    await type(fixture, 'rn-go-back form input', 'the old sound');
    form().dispatchEvent(new Event('submit'));
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/ways-back/'));
    expect(put.request.body).toEqual({ decision: 'decision', reason: 'the old sound', operations: way.operations, seen: [{ id: 'floor', clearance: 7 }] });
    put.flush({ type: '/problems/numbers-differ', title: 'The server computes different numbers', status: 409 }, { status: 409, statusText: 'differ' });
    await settle(50);
    expect(said()).toContain('different numbers');
    // it is asked for anew, and what was typed stays
    asked().flush(way);
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector<HTMLInputElement>('rn-go-back form input')!.value).toBe('the old sound');
    // the way back itself tells what stays, and offers no way back from it
    const back: Decision = {
      ...decision,
      option: 'goBack',
      revisions: knownAt({ anatomy: 1 }),
      options: [{ id: 'goBack', kind: 'goBack', part: null, total: 0, minutes: 44, price: 0, excluded: null, numbers: way.numbers, stays: way.stays }],
    };
    const held = { ...noWork, decisions: [back], operations: [operation('removePart', { state: 'done' })] };
    store.dispatch(work.loaded({ of: 'job', data: held, version: null }));
    await fixture.whenStable();
    expect(said()).toContain('Return to the previous state');
    expect(said()).toContain('The wood cut from the pickup route');
    expect(host(fixture).querySelector('rn-go-back')).toBeNull();
    const at = { instrument: 'i', revision: 4, document: anatomy, cause: 'work' as const, entry: 'e', person: 'nell', at: '' };
    store.dispatch(resource.loaded({ of: 'i', data: { found: { ...at, revision: 1 }, now: at, changes: [] }, version: 4 }));
    await fixture.whenStable();
    expect(said()).toContain('Decided on revision 1; the instrument is at 4');
  });

  it('draws the instrument as a way out without a route would leave it', async () => {
    const { store } = jobOnScreen();
    const fixture = TestBed.createComponent(FitPage);
    await fixture.whenStable();
    const plates = (): number => host(fixture).querySelectorAll('rn-plan-view path.plate').length;
    expect(plates()).toBe(1);
    const options = store.selectSignal(resultsFeature.selectOptions)()!;
    const result = options.result.map((o) => (o.proposal.kind === 'keep' ? { ...o, evaluation: { ...o.evaluation, anatomy: { ...anatomy, plates: [] } } } : o));
    store.dispatch(resultActions.optionsWorkedOut({ computed: { ...options, result } }));
    await fixture.whenStable();
    host(fixture).querySelector<HTMLButtonElement>('[data-remedy^="keep"] [aria-pressed]')!.click();
    await fixture.whenStable();
    expect(plates()).toBe(0);
    button(fixture, 'Back to the plan').click();
    await fixture.whenStable();
    expect(plates()).toBe(1);
  });
});
