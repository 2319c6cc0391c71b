import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { By } from '@angular/platform-browser';
import { provideState, Store } from '@ngrx/store';
import { boundsOf, featureOf, type Anatomy } from '@rinnovo/core/instrument';
import { choose, host, jobOnScreen, button, type } from '../../../testing/job';
import { anatomy } from '../../../testing/fixture';
import { anatomyEditFeature } from '../../state/anatomy-edit.feature';
import { anatomy as resource } from '../../state/resources';
import { viewActions } from '../../state/view.feature';
import { PlanView } from '../../ui/plan-view';
import { AnatomyPage } from './anatomy-page';

describe('the anatomy page', () => {
  let fixture: ComponentFixture<AnatomyPage>;
  let draft: Anatomy | null = null;

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideState(anatomyEditFeature)] });
    const { store } = jobOnScreen();
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    store.select(anatomyEditFeature.selectDraft).subscribe((d) => (draft = d));
    fixture = TestBed.createComponent(AnatomyPage);
    await fixture.whenStable();
  });

  const row = (id: string): HTMLButtonElement => host(fixture).querySelector(`[data-feature="${id}"]`)!;
  const field = (key: string): string => `[data-field="${key}"] input`;
  const middle = (id: string): readonly number[] => {
    const b = boundsOf(draft!, featureOf(draft!, id)!);
    return [(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2];
  };
  async function open(id: string): Promise<void> {
    row(id).click();
    await fixture.whenStable();
  }

  it('adds a feature by its kind, chosen at once', async () => {
    button(fixture, 'Add feature').click();
    await fixture.whenStable();
    expect(draft!.cavities.length).toBe(4);
    expect(host(fixture).querySelector('[aria-expanded=true][data-feature]')!.textContent).toContain('Pickup route');
    button(fixture, 'Undo').click();
    await fixture.whenStable();
    expect(draft!.cavities.length).toBe(3);
  });

  it('places and sizes a feature by number; what cannot be is said beside its field and nothing changes', async () => {
    await open('route');
    await type(fixture, field('x'), '2.5');
    await type(fixture, field('width'), 'wide');
    host(fixture).querySelector('rn-feature-form form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    expect(host(fixture).querySelector('[data-field=width] [role=alert]')!.textContent).toContain('Not a length');
    expect(draft).toBeNull();
    await type(fixture, field('width'), '3 1/2');
    host(fixture).querySelector('rn-feature-form form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    const b = boundsOf(draft!, featureOf(draft!, 'route')!);
    // 3 1/2 in is 88.9 mm about x = 2.5
    expect([b.minX, b.maxX].map((v) => Math.round(v * 1e6) / 1e6)).toEqual([2.5 - 44.45, 2.5 + 44.45]);
  });

  it('moves what is chosen when the hand lets it go', async () => {
    await open('back cavity');
    const view = fixture.debugElement.query(By.directive(PlanView)).componentInstance as PlanView;
    view.moved.emit({ to: { x: 3, y: -2, turn: 0 }, dropped: false });
    expect(draft).toBeNull();
    view.moved.emit({ to: { x: 3, y: -2, turn: 0 }, dropped: true });
    await fixture.whenStable();
    expect(middle('back cavity')).toEqual([-47, 128]);
  });

  it('shows what is pulled while the hand pulls, and keeps it when the hand lets go', async () => {
    await open('back cavity');
    const view = fixture.debugElement.query(By.directive(PlanView)).componentInstance as PlanView;
    expect(view.handles()).toEqual([]);
    await open('route');
    const right = view.handles().find((h) => h.id === '1 0')!;
    const to = { x: right.x + 6, y: right.y };
    view.pulled.emit({ id: right.id, to, dropped: false });
    await fixture.whenStable();
    expect(draft).toBeNull();
    expect(view.handles().find((h) => h.id === '1 0')!.x).toBeCloseTo(to.x, 6);
    view.pulled.emit({ id: right.id, to, dropped: true });
    await fixture.whenStable();
    const b = boundsOf(draft!, featureOf(draft!, 'route')!);
    expect(b.maxX).toBeCloseTo(to.x, 6);
    button(fixture, 'Undo').click();
    await fixture.whenStable();
    expect(view.handles().find((h) => h.id === '1 0')!.x).toBeCloseTo(right.x, 6);
  });

  it('measures between the two edges that are clicked on the map', async () => {
    button(fixture, 'Distances').click();
    await fixture.whenStable();
    const view = fixture.debugElement.query(By.directive(PlanView)).componentInstance as PlanView;
    const level = boundsOf(anatomy, featureOf(anatomy, 'neck pocket')!);
    const route = boundsOf(anatomy, featureOf(anatomy, 'route')!);
    view.chosen.emit({ id: 'neck pocket/pocket', at: { x: 0, y: level.maxY - 1 } });
    view.chosen.emit({ id: 'route/old', at: { x: 0, y: route.minY + 1 } });
    await fixture.whenStable();
    expect(view.lines().filter((l) => l.kind === 'edge').length).toBe(2);
    await type(fixture, 'rn-distance-panel rn-length-field input', '20');
    host(fixture).querySelector('rn-distance-panel form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    expect(draft!.distances.map((d) => [d.from, d.to, d.value])).toEqual([[{ of: 'neck pocket', side: 'high' }, { of: 'route', side: 'low' }, 20]]);
  });

  it('repeats a feature across in the unit that is typed, and says why it cannot', async () => {
    await open('back cavity');
    const row = 'rn-repeat-row form';
    const send = async (): Promise<void> => {
      host(fixture).querySelector(row)!.dispatchEvent(new Event('submit'));
      await fixture.whenStable();
    };
    await type(fixture, `${row} input[inputmode=numeric]`, '2');
    await type(fixture, `${row} rn-length-field input`, 'far');
    await send();
    expect(draft).toBeNull();
    const alerts = [...host(fixture).querySelectorAll('rn-repeat-row [role=alert]')].map((a) => a.textContent);
    expect(alerts.filter((a) => /Not a length|1 to 24 copies/.test(a)).length).toBe(2);
    await type(fixture, `${row} rn-length-field input`, '1in');
    await choose(fixture, `${row} mat-select`, 'across');
    await send();
    const made = draft!.cavities.slice(-2).map((c) => middle(c.id));
    expect(made.map(([x, y]) => [Math.round((x ?? 0) * 100) / 100, y])).toEqual([
      [-24.6, 130],
      [0.8, 130],
    ]);
  });

  it('chooses a feature by its line on the map, and refuses to take away what a pickup hangs in', async () => {
    const view = fixture.debugElement.query(By.directive(PlanView)).componentInstance as PlanView;
    view.chosen.emit({ id: 'window', at: { x: 0, y: 105 } });
    await fixture.whenStable();
    expect(row('plate').getAttribute('aria-expanded')).toBe('true');
    button(fixture, 'Delete feature').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-feature-form [role=alert]')!.textContent).toContain('is planned in it');
  });

  it('says what a hole is for and how deep it is, but not the depth of one that goes right through', async () => {
    await choose(fixture, '.add mat-select', 'Hole');
    button(fixture, 'Add feature').click();
    await fixture.whenStable();
    const { id } = draft!.holes.at(-1)!;
    expect(host(fixture).querySelector('[data-field=depth]')).toBeNull();
    await choose(fixture, '[data-field=purpose]', 'stud');
    await choose(fixture, '[data-field=through]', 'no, it has a depth');
    await type(fixture, field('depth'), '300');
    host(fixture).querySelector('rn-feature-form form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    expect(draft!.holes.at(-1)!.through).toBe(true);
    expect(host(fixture).querySelector('[data-field=depth] [role=alert]')!.textContent).toContain('out of range');
    await type(fixture, field('depth'), '18');
    host(fixture).querySelector('rn-feature-form form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    const hole = draft!.holes.find((h) => h.id === id)!;
    expect([hole.kind, hole.through, hole.depth?.value]).toEqual(['stud', false, 18]);
  });

  it('doubts what cannot be, with the sum, and keeps an insistence with its reason', async () => {
    await open('back cavity');
    await type(fixture, field('size'), '50');
    host(fixture).querySelector('rn-feature-form form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    button(fixture, 'Doubts 1').click();
    await fixture.whenStable();
    const doubt = host(fixture).querySelector('[data-doubt]')!;
    expect(doubt.textContent).toContain('back cavity breaks through the other face by 6.00\u202fmm');
    expect(doubt.querySelector('rn-working-view')!.textContent).toContain('body thickness');
    await type(fixture, '[data-doubt] input', 'a plate closes it');
    doubt.querySelector('form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    expect(draft!.insisted).toEqual([{ doubt: 'deeperThanBody/back cavity/floor', because: 'a plate closes it' }]);
    expect(host(fixture).textContent).toContain('Accepted: a plate closes it');
  });

  it('leaves what is being typed alone when a revision comes back from the server', async () => {
    await open('route');
    await type(fixture, field('x'), '2.5');
    const revision = { instrument: 'i', revision: 2, cause: 'correction' as const, entry: null, person: 'nell', at: '' };
    const document = structuredClone(anatomy);
    TestBed.inject(Store).dispatch(
      resource.loaded({ of: 'i', data: { now: { ...revision, document }, found: { ...revision, document }, changes: [] }, version: 2 }),
    );
    await fixture.whenStable();
    expect(host(fixture).querySelector<HTMLInputElement>(field('x'))!.value).toBe('2.5');
  });
});
