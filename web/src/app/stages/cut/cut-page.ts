import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { sectionAt } from '@rinnovo/core/cut';
import { pickupIn } from '@rinnovo/core/part';
import type { Placement } from '@rinnovo/core/shape';
import { bounds, placeOutline } from '@rinnovo/core/shape';
import { lengthText } from '@rinnovo/words';
import { planActions } from '../../state/plan.actions';
import { anatomy } from '../../state/resources';
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
  selectVerdicts,
} from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { OPERATIONS } from '@rinnovo/core/operation';
import { drawLines, drawPlace, drawRoute, frameOfPosition, seenFrame } from '../../ui/drawing';
import { GatePanel } from '../../ui/gate-panel';
import { headline, marksOf } from '../../ui/marks';
import { PlanView, type Move } from '../../ui/plan-view';
import { readable } from '../../ui/readable';
import { SectionView } from '../../ui/section-view';
import { VerdictList } from '../../ui/verdict-list';
import { CuttingTable } from './cutting-table';
import { PoseFields } from './pose-fields';

/** The route on its place, moved by hand, keys or numbers with its verdicts live; the section; and what is cut with what. */
@Component({
  selector: 'rn-cut-page',
  imports: [MatButtonModule, RouterLink, PlanView, SectionView, VerdictList, CuttingTable, PoseFields, GatePanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cut-page.html',
  styleUrl: './cut-page.scss',
})
export class CutPage {
  private readonly store = inject(Store);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly parts = this.store.selectSignal(selectParts);
  protected readonly leftHanded = this.store.selectSignal(selectLeftHanded);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly operations = this.store.selectSignal(selectOperations);
  private readonly held = this.store.selectSignal(anatomy.select);
  protected readonly plan = this.store.selectSignal(selectPickupChoice);
  protected readonly live = this.store.selectSignal(selectLive);
  protected readonly verdicts = this.store.selectSignal(selectVerdicts);
  protected readonly cutting = this.store.selectSignal(resultsFeature.selectCutting);
  protected readonly open = signal<string | null>(null);
  protected readonly tab = signal<'verdicts' | 'cutting' | 'gate'>('verdicts');

  protected readonly instrument = computed(() => this.held().of ?? '');
  protected readonly headline = computed(() => headline(this.verdicts()));
  protected readonly route = computed(() => this.plan()?.route ?? null);
  private readonly decision = this.store.selectSignal(selectDecision);
  protected readonly begun = computed(() =>
    this.operations().some((o) => o.decision === this.decision()?.id && OPERATIONS[o.kind].irreversible && (o.state === 'doing' || o.state === 'done')),
  );
  private readonly pockets = computed(() => this.route()?.pockets ?? null);
  protected readonly moving = computed(() => {
    const pockets = this.pockets();
    return pockets ? drawRoute({ at: { x: 0, y: 0, turn: 0 }, pockets }) : [];
  });
  protected readonly at = computed(() => this.route()?.at ?? { x: 0, y: 0, turn: 0 });
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
  private readonly pickup = computed(() => pickupIn(this.parts(), this.plan()?.part ?? null));
  private readonly insertFitted = computed(() => this.plan()?.insertFitted ?? false);
  private readonly surroundings = computed(() => {
    const a = this.anatomy();
    return a ? frameOfPosition(a, this.positionId()) : { x: 0, y: 0, width: 100, height: 100 };
  });
  protected readonly frame = computed(() => seenFrame(this.surroundings(), this.leftHanded()));
  protected readonly paths = computed(() => {
    const a = this.anatomy();
    return a ? drawPlace(a, { position: this.positionId(), insertFitted: this.insertFitted() }, this.pickup()) : [];
  });
  protected readonly lines = computed(() => {
    const a = this.anatomy();
    return a ? drawLines(a, this.frame()) : [];
  });
  protected readonly marks = computed(() => marksOf(this.verdicts(), this.open(), this.names()));
  protected readonly figures = computed(() => {
    const f = this.resting()?.result.figures;
    if (!f || this.begun()) return null;
    if (this.inHand()) return 'The areas follow when you let go.';
    return `${f.addedArea.toFixed(0)} mm² new, ${f.leftOver.toFixed(1)} left over, ${f.together.toFixed(0)} together, ${(f.addedVolume / 1000).toFixed(1)} cm³; smallest corner ${lengthText(f.smallestCorner, this.unit())}`;
  });
  /** What rests: the section and what is read out follow when the hand does, so that a drag stays light. */
  private readonly resting = this.store.selectSignal(resultsFeature.selectFull);
  protected readonly section = computed(() => {
    const after = this.resting()?.result.anatomy;
    const position = after?.positions.find((p) => p.id === this.positionId());
    const pickup = this.pickup();
    return after && position ? sectionAt(after, position.at.y, pickup ? { pickup, at: position.at } : null) : [];
  });
  protected readonly sectionFrom = computed(() => this.surroundings().x - 12);
  protected readonly sectionTo = computed(() => this.surroundings().x + this.surroundings().width + 12);
  /** What was found where the route came to rest, for the reader of the screen. */
  protected readonly said = computed(() => {
    const resting = this.resting();
    const r = this.route();
    if (!resting || !r) return '';
    const box = bounds(r.pockets.map((p) => placeOutline(p.outline, r.at)));
    return `${headline(resting.result.verdicts)}. Route from ${lengthText(box.minX, this.unit())} to ${lengthText(box.maxX, this.unit())} across, ${lengthText(box.minY, this.unit())} to ${lengthText(box.maxY, this.unit())} along.`;
  });

  constructor() {
    // what is cut is a pickup's: the choice that is looked at follows
    const looked = this.store.selectSignal(selectChoice);
    effect(() => {
      const choice = this.plan()?.id;
      if (choice !== undefined && looked()?.id !== choice) this.store.dispatch(planActions.lookAt({ choice }));
    });
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
