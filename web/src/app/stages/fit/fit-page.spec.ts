import { TestBed } from '@angular/core/testing';
import { newHardwareChoice, withChoice } from '@rinnovo/core/check';
import { applyChanges } from '@rinnovo/core/instrument';
import { anatomy as resource } from '../../state/resources';
import { planActions } from '../../state/plan.actions';
import { resultActions, resultsFeature } from '../../state/results.feature';
import { planFeature } from '../../state/plan.feature';
import { anatomy } from '../../../testing/fixture';
import { button, choice, decision, host, jobOnScreen, operation, route } from '../../../testing/job';
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
    expect(host(fixture).querySelector('.headline')!.textContent).toContain('Looked at: Re-route under the cover');
    expect(host(fixture).querySelector('rn-verdict-list [data-verdict^="hiddenEdge/route/planned"]')).not.toBeNull();

    button(fixture, 'Back to the plan as it stands').click();
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

  it('tells of work that has begun what leads back from it, instead of taking it back', async () => {
    const { store } = jobOnScreen({ choice: { ...choice, route }, work: { decisions: [decision], operations: [operation('fitPart', { state: 'done' })] } });
    const fixture = TestBed.createComponent(FitPage);
    await fixture.whenStable();
    const said = (): string => host(fixture).querySelector('rn-decision-made')!.textContent;
    expect(said()).toContain('Nothing of the instrument has changed yet');
    expect(button(fixture, 'Take it back').disabled).toBeTrue();
    const left = applyChanges(anatomy, [{ kind: 'fitPart', position: 'pickup', part: 'two-coil' }]);
    const at = { instrument: 'i', cause: 'work' as const, entry: 'e', person: 'nell', at: '' };
    const data = { found: { ...at, revision: 1, document: anatomy }, now: { ...at, revision: 4, document: left } };
    store.dispatch(resource.loaded({ of: 'i', data, version: 4 }));
    await fixture.whenStable();
    expect(said()).toContain('Take the part at the pickup out again.');
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
    button(fixture, 'Back to the plan as it stands').click();
    await fixture.whenStable();
    expect(plates()).toBe(1);
  });
});
