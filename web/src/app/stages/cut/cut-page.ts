import { isIrreversible } from '@rinnovo/core/house/lists';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { alongPart, lengthOf, lineAsSeen, sectionAlong, snapRoute, surfaceAlong, type SectionLine } from '@rinnovo/core/cut';
import type { PickupChoice, PlannedRoute } from '@rinnovo/core/check';
import { lies } from '@rinnovo/core/instrument';
import { pickupIn, smallestCutter, USUAL_CUTTER } from '@rinnovo/core/part';
import type { Placement } from '@rinnovo/core/shape';
import { bounds, placeOutline } from '@rinnovo/core/shape';
import { routeFiguresText, routePlaceText, routeProblemText } from '@rinnovo/words';
import { planActions } from '../../state/plan.actions';
import { anatomy, instrument } from '../../state/resources';
import { resultsFeature } from '../../state/results.feature';
import {
  selectAnatomy,
  selectChoice,
  selectDecision,
  selectLeftHanded,
  selectLive,
  selectNames,
  selectOperations,
  selectParts,
  selectPickupChoice,
  selectPlan,
  selectSettings,
  selectTools,
  selectVerdicts,
} from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { drawBores, drawLines, drawPlace, drawRoute, frameOfPosition, seenFrame } from '../../ui/drawing';
import { gateOnScreen } from '../../state/gate-on-screen';
import { ownerOnScreen } from '../../state/owner-on-screen';
import { GatePanel } from '../../ui/gate-panel';
import { headline, marksOf } from '../../ui/marks';
import type { Move, Pull, Snapper } from '../../ui/hand';
import { PlanView } from '../../ui/plan-view';
import { readable } from '../../ui/readable';
import { SectionView } from '../../ui/section-view';
import { VerdictList } from '../../ui/verdict-list';
import { CuttingTable } from './cutting-table';
import { gripsOf, turnTo } from './grips';
import { OtherCuts } from './other-cuts';
import { PoseFields } from './pose-fields';
import { RouteOutline } from './route-outline';
import { TemplateForm } from './template-form';

const TABS = ['verdicts', 'outline', 'cutting', 'template', 'gate', 'other'] as const;
type Tab = (typeof TABS)[number];

/** The route on its place, moved by hand, keys or numbers with its verdicts live; the section; and what is cut with what. */
@Component({
  selector: 'rn-cut-page',
  imports: [MatButtonModule, RouterLink, PlanView, SectionView, VerdictList, CuttingTable, PoseFields, RouteOutline, OtherCuts, TemplateForm, GatePanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cut-page.html',
  styleUrl: './cut-page.scss',
})
export class CutPage {
  protected readonly gate = gateOnScreen();
  protected readonly owner = ownerOnScreen();
  private readonly store = inject(Store);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly parts = this.store.selectSignal(selectParts);
  protected readonly leftHanded = this.store.selectSignal(selectLeftHanded);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly operations = this.store.selectSignal(selectOperations);
  private readonly held = this.store.selectSignal(anatomy.select);
  protected readonly plan = this.store.selectSignal(selectPickupChoice);
  /** A plan is here to plan in. */
  protected readonly ready = this.store.selectSignal(selectPlan);
  protected readonly live = this.store.selectSignal(selectLive);
  protected readonly verdicts = this.store.selectSignal(selectVerdicts);
  protected readonly cutting = this.store.selectSignal(resultsFeature.selectCutting);
  protected readonly open = signal<string | null>(null);
  /** What the address asks to look at first. */
  readonly show = input<string>();
  /** What is looked at: what the address asks for, until somebody turns to something else. */
  protected readonly tab = linkedSignal<Tab>(() => TABS.find((t) => t === this.show()) ?? 'verdicts');
  private readonly router = inject(Router);
  private readonly here = inject(ActivatedRoute);

  private readonly one = this.store.selectSignal(instrument.select);
  /** What the body is made of, as it was seen, stated or guessed. */
  protected readonly wood = computed(() => {
    const fact = this.one().data?.identity.bodyWood;
    return fact ? `${fact.value} (${fact.basis})` : null;
  });
  protected readonly instrument = computed(() => this.held().of ?? '');
  protected readonly headline = computed(() => headline(this.verdicts()));
  protected readonly route = computed(() => this.plan()?.route ?? null);
  private readonly tools = this.store.selectSignal(selectTools);
  private readonly settings = this.store.selectSignal(selectSettings);
  protected readonly decision = this.store.selectSignal(selectDecision);
  protected readonly begun = computed(() =>
    this.operations().some((o) => o.decision === this.decision()?.id && isIrreversible(o.kind) && (o.state === 'doing' || o.state === 'done')),
  );
  private readonly levels = computed(() => this.route()?.levels ?? null);
  protected readonly moving = computed(() => {
    const levels = this.levels();
    return levels ? drawRoute({ at: { x: 0, y: 0, turn: 0 }, levels }) : [];
  });
  protected readonly at = computed(() => this.route()?.at ?? { x: 0, y: 0, turn: 0 });
  /** Why no cut can be begun. */
  protected readonly problem = signal<string | null>(null);
  protected readonly inHand = signal(false);
  /** Where the route was last let go: what is typed there is overwritten by the hand alone, never by a sum that comes late. */
  protected readonly settledAt = linkedSignal<{ at: Placement; inHand: boolean }, Placement>({
    source: () => ({ at: this.at(), inHand: this.inHand() }),
    computation: ({ at, inHand }, before) => (inHand && before ? before.value : at),
    equal: (a, b) => a.x === b.x && a.y === b.y && a.turn === b.turn,
  });
  private readonly readable = readable(this.verdicts);
  /** The list's verdicts: while the hand moves, marks and headline follow every frame, and a number stands long enough to be read. */
  protected readonly listed = computed(() => (this.inHand() ? this.readable() : this.verdicts()));
  private readonly positionId = computed(() => this.plan()?.position ?? '');
  protected readonly pickup = computed(() => pickupIn(this.parts(), this.plan()?.part ?? null));
  private readonly insertFitted = computed(() => this.plan()?.insertFitted ?? false);
  private readonly surroundings = computed(() => {
    const a = this.anatomy();
    return a ? frameOfPosition(a, this.positionId()) : { x: 0, y: 0, width: 100, height: 100 };
  });
  protected readonly frame = computed(() => seenFrame(this.surroundings(), this.leftHanded()));
  protected readonly paths = computed(() => {
    const a = this.anatomy();
    return a ? [...drawPlace(a, { position: this.positionId(), insertFitted: this.insertFitted() }, this.pickup()), ...this.bores()] : [];
  });
  /** Where the bulk is bored, while the cutting plan is looked at. */
  private readonly bores = computed(() => {
    const boring = this.tab() === 'cutting' && !this.inHand() ? this.cutting()?.result?.boring : null;
    return boring ? drawBores(boring.holes, boring.bit.diameter) : [];
  });
  protected readonly lines = computed(() => {
    const a = this.anatomy();
    const { from, to } = this.sectionLine();
    const cut = { id: 'section line', kind: 'section' as const, d: `M${from.x} ${from.y}L${to.x} ${to.y}`, title: 'Section line' };
    return a ? [...drawLines(a, this.frame()), cut] : [];
  });
  protected readonly marks = computed(() => marksOf(this.verdicts(), this.open(), this.names()));
  protected readonly figures = computed(() => {
    const f = this.resting()?.result.figures;
    if (!f || this.begun()) return null;
    return this.inHand() ? 'Areas update on release.' : routeFiguresText(f, this.unit());
  });
  /** What rests: the section and what is read out follow when the hand does, so that a drag stays light. */
  private readonly resting = this.store.selectSignal(resultsFeature.selectFull);
  protected readonly section = computed(() => {
    const after = this.resting()?.result.anatomy;
    const position = after?.positions.find((p) => p.id === this.positionId());
    const pickup = this.pickup();
    return after && position ? sectionAlong(after, this.seenLine().line, pickup ? { pickup, at: lies(position) } : null) : [];
  });
  protected readonly surface = computed(() => {
    const after = this.resting()?.result.anatomy;
    return after ? surfaceAlong(after, this.seenLine().line) : null;
  });
  /** Section line: across the pickup until somebody pulls its ends. */
  protected readonly sectionLine = linkedSignal<SectionLine>(() => this.across());
  /** The same from left to right as the plan is seen. */
  protected readonly seenLine = computed(() => lineAsSeen(this.sectionLine(), this.leftHanded() ? -1 : 1));
  protected readonly sectionLength = computed(() => lengthOf(this.sectionLine()));
  private readonly across = computed((): SectionLine => {
    const { x, width } = this.surroundings();
    const y = this.anatomy()?.positions.find((p) => p.id === this.positionId())?.at.y ?? 0;
    return { from: { x: x + 3, y }, to: { x: x + width - 3, y } };
  });
  /** The ends of the section's line, and the grip that turns the route. */
  protected readonly handles = computed(() => gripsOf(this.sectionLine(), this.begun() ? null : this.route()));
  protected readonly snapper = computed((): Snapper | null => {
    const a = this.anatomy();
    const levels = this.levels();
    const cavity = a?.positions.find((p) => p.id === this.positionId())?.cavity;
    if (!a || !levels || cavity === undefined) return null;
    return { move: (to, reach) => snapRoute(a, cavity, { at: to, levels }, to, reach), pull: (_handle, to) => ({ to, across: null, along: null }) };
  });
  /** What was found where the route came to rest, for the reader of the screen. */
  protected readonly said = computed(() => {
    const resting = this.resting();
    const r = this.route();
    if (!resting || !r) return '';
    const box = bounds(r.levels.map((p) => placeOutline(p.outline, r.at)));
    return `${headline(resting.result.verdicts)}. ${routePlaceText(box, this.unit())}`;
  });

  constructor() {
    // what is cut is a pickup's: the choice that is looked at follows
    const looked = this.store.selectSignal(selectChoice);
    effect(() => {
      const choice = this.plan()?.id;
      if (choice !== undefined && looked()?.id !== choice) this.store.dispatch(planActions.lookAt({ choice }));
    });
  }

  /** Along the strings through the route's middle, or across the pickup again. */
  /** What is looked at stands in the address: whoever goes away comes back to it. */
  protected choose(tab: Tab): void {
    this.tab.set(tab);
    void this.router.navigate([], { relativeTo: this.here, queryParams: { show: tab }, queryParamsHandling: 'merge', replaceUrl: true });
  }

  protected lay(way: 'across' | 'along'): void {
    const { y, height } = this.surroundings();
    const { x } = this.at();
    this.sectionLine.set(way === 'across' ? this.across() : { from: { x, y: y + 3 }, to: { x, y: y + height - 3 } });
  }

  protected pull({ id, to, dropped }: Pull): void {
    if (id === 'turn') {
      this.inHand.set(!dropped && to !== null);
      if (to) this.place({ ...this.at(), turn: turnTo(this.at(), to) });
    } else if (to) {
      this.sectionLine.update((l) => (id === 'section from' ? { ...l, from: to } : { ...l, to }));
    }
  }

  /** A cut from scratch: along the part's own outline, at its place. */
  protected begin(): void {
    const a = this.anatomy();
    const plan = this.plan();
    const part = this.pickup();
    const position = a?.positions.find((p) => p.id === plan?.position);
    if (!plan || !part || !position) return;
    const { settings } = this;
    const made = alongPart(part, lies(position), settings().routeSide, smallestCutter(this.tools()) ?? USUAL_CUTTER, settings());
    if ('route' in made) this.reroute(made.route);
    else this.problem.set(routeProblemText(made.problem));
  }

  protected reroute(route: PlannedRoute): void {
    const plan = this.plan();
    if (plan && !this.begun()) this.put({ ...plan, insertFitted: false, route });
  }

  private put(choice: PickupChoice): void {
    this.store.dispatch(planActions.choiceEdited({ choice }));
  }

  protected move(move: Move): void {
    this.inHand.set(!move.dropped);
    this.place(move.to);
  }

  protected place(at: Placement): void {
    const plan = this.plan();
    if (plan?.route && !this.begun()) this.store.dispatch(planActions.choiceEdited({ choice: { ...plan, route: { ...plan.route, at } } }));
  }
}
