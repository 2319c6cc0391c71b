import { isCutChoice, isPickupChoice, isPlaced, type PlacedChoice } from '@rinnovo/core/check';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal, untracked } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import { isMovableCut, moveCut } from '@rinnovo/core/cut';
import { pickupIn } from '@rinnovo/core/part';
import { bestPlaceText, remedyTitle } from '@rinnovo/words';
import { planActions } from '../../state/plan.actions';
import { planFeature } from '../../state/plan.feature';
import { sameRevisions } from '@rinnovo/core/instrument';
import { resultsFeature } from '../../state/results.feature';
import {
  selectAnatomy,
  selectChoice,
  selectDecision,
  selectJob,
  selectLeftHanded,
  selectNames,
  selectParts,
  selectRevisions,
  selectVerdicts,
} from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { drawLines, drawPlace, drawRoute, frameOfAnatomy, frameOfPosition, seenFrame } from '../../ui/drawing';
import { drawChosen, drawCut, drawHardware, drawMovableCut, frameOfPlace, pointOfPlace } from '../../ui/draw-choices';
import { frameOfSpans, spansOf } from '../../ui/close-up';
import { headline, marksOf } from '../../ui/marks';
import type { Move } from '../../ui/hand';
import { PlanView } from '../../ui/plan-view';
import { same } from '../../ui/same';
import { VerdictList } from '../../ui/verdict-list';
import { AddChoice } from './add-choice';
import { BeginPlan } from './begin-plan';
import { ChoiceBar } from './choice-bar';
import { DecisionMade } from './decision-made';
import { PlaceList } from './place-list';
import { RemedyList } from './remedy-list';

/** The chosen parts in their places: the clashes on the map, their numbers, and the ways out. */
@Component({
  selector: 'rn-fit-page',
  imports: [MatButtonModule, PlanView, VerdictList, RemedyList, DecisionMade, BeginPlan, PlaceList, AddChoice, ChoiceBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fit-page.html',
  styleUrl: './fit-page.scss',
})
export class FitPage {
  private readonly store = inject(Store);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly revisions = this.store.selectSignal(selectRevisions);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly parts = this.store.selectSignal(selectParts);
  private readonly record = this.store.selectSignal(planFeature.selectRecord);
  protected readonly leftHanded = this.store.selectSignal(selectLeftHanded);
  protected readonly plan = this.store.selectSignal(planFeature.selectDraft);
  protected readonly choice = this.store.selectSignal(selectChoice);
  protected readonly status = this.store.selectSignal(planFeature.selectStatus);
  protected readonly verdicts = this.store.selectSignal(selectVerdicts);
  protected readonly decision = this.store.selectSignal(selectDecision);
  protected readonly job = this.store.selectSignal(selectJob);
  protected readonly failure = this.store.selectSignal(resultsFeature.selectFailure);
  protected readonly open = signal<string | null>(null);
  /** A place is being added. */
  protected readonly adding = signal(false);
  /** The plan was checked against an older state of the instrument. */
  protected readonly stale = computed(() => {
    const [checked, now] = [this.record()?.revisions, this.revisions()];
    return checked !== undefined && now !== null && !sameRevisions(checked, now);
  });

  private readonly options = this.store.selectSignal(resultsFeature.selectOptions);
  /** The way out that is looked at instead of the plan as it stands. */
  protected readonly shown = signal<string | null>(null);
  protected readonly preview = computed(() => {
    const o = this.options();
    return this.decision() || o?.choice !== this.choice()?.id ? null : (o?.result.find((x) => x.proposal.id === this.shown()) ?? null);
  });
  protected readonly previewTitle = computed(() => {
    const option = this.preview();
    return option ? remedyTitle(option, this.names()) : null;
  });
  private readonly drawn = computed(() => this.preview()?.proposal.choice ?? this.choice());
  protected readonly judged = computed(() => this.preview()?.evaluation.verdicts ?? this.verdicts());
  protected readonly headline = computed(() => headline(this.judged()));
  protected readonly grave = computed(() => this.judged().some((v) => v.class === 'clashes'));
  private readonly inView = computed(() => ({ a: this.anatomy(), id: this.choice()?.id, part: this.choice()?.part, mirrored: this.leftHanded() }), {
    equal: (x, y) => x.a === y.a && x.id === y.id && x.part === y.part && x.mirrored === y.mirrored,
  });
  /** Round the place as it comes into view: the map stays where it is while the part is moved over it. */
  protected readonly frame = computed(() => {
    const { a, mirrored } = this.inView();
    const c = untracked(this.choice);
    if (!a || !c) return { x: 0, y: 0, width: 100, height: 100 };
    if (!isPlaced(c)) return seenFrame(isPickupChoice(c) ? frameOfPosition(a, c.position) : frameOfAnatomy(a), mirrored);
    return seenFrame(frameOfPlace(a, c, untracked(this.parts)), mirrored);
  });
  /** The lengths of the verdict that is open, for the drawing. */
  protected readonly spans = computed(() => {
    const v = this.judged().find((x) => x.id === this.open());
    return v ? spansOf(v) : [];
  });
  /** The drawing shows the open verdict large; not any more when another place is looked at. */
  protected readonly near = linkedSignal<string | undefined, boolean>({ source: () => this.choice()?.id, computation: () => false });
  protected readonly shownFrame = computed(() => {
    const close = this.near() ? frameOfSpans(this.spans()) : null;
    return close ? seenFrame(close, this.leftHanded()) : this.frame();
  });
  /** What a move of the part in the hand leaves as it is: the pickup's place, and the other parts of the plan. */
  private readonly place = computed(
    () => {
      const c = this.drawn();
      return c && isPickupChoice(c) ? { position: c.position, insertFitted: c.insertFitted, part: c.part } : { position: '', insertFitted: true, part: null };
    },
    { equal: same },
  );
  private readonly others = computed(() => (this.plan()?.choices ?? []).filter((o) => o.id !== this.drawn()?.id), {
    equal: (a, b) => a.length === b.length && a.every((c, i) => c === b[i]),
  });
  /** The instrument on the map: as a way out that is looked at would leave it, but for a planned route, which is drawn over what is there. */
  private readonly shownAnatomy = computed(() => {
    const option = this.preview();
    const c = option?.proposal.choice;
    return option && !c?.route ? option.evaluation.anatomy : this.anatomy();
  });
  protected readonly paths = computed(() => {
    const a = this.shownAnatomy();
    const place = this.place();
    const cut = this.cut();
    return a
      ? [
          ...drawPlace(a, place, pickupIn(this.parts(), place.part)),
          ...drawChosen(a, this.others(), this.parts()),
          ...(cut && !isMovableCut(cut) ? drawCut(a, cut) : []),
        ]
      : [];
  });
  /** A cut that no part asks for. */
  protected readonly cut = computed(() => {
    const c = this.drawn();
    return c && isCutChoice(c) ? c : null;
  });
  protected readonly moving = computed(() => {
    const c = this.drawn();
    if (c && isPickupChoice(c)) return c.route ? drawRoute(c.route) : [];
    const a = this.shownAnatomy();
    if (c && a && isCutChoice(c) && isMovableCut(c)) return drawMovableCut(a, c);
    const part = c ? this.parts()[c.part ?? ''] : undefined;
    return c && part ? drawHardware(part) : [];
  });
  protected readonly at = computed(() => {
    const c = this.drawn();
    const a = this.shownAnatomy();
    if (c && isPickupChoice(c)) return c.route?.at ?? { x: 0, y: 0, turn: 0 };
    return c && a && isPlaced(c) ? { ...pointOfPlace(a, c), turn: 0 } : { x: 0, y: 0, turn: 0 };
  });
  /** A new hole, a row or a new cavity goes where the hand puts it, until it is decided; not while a way out is looked at. */
  protected readonly movable = computed(() => {
    const c = this.choice();
    const moves = c && isPlaced(c) && c.place.on === 'face' && (!isCutChoice(c) || isMovableCut(c));
    return moves === true && this.decision() === null && this.preview() === null;
  });
  protected readonly lines = computed(() => {
    const a = this.anatomy();
    return a ? drawLines(a, this.frame()) : [];
  });
  protected readonly marks = computed(() => marksOf(this.judged(), this.open(), this.names()));

  private readonly best = this.store.selectSignal(resultsFeature.selectBest);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  /** Where each body that does not clear would have most room, while it is that of the plan on the screen. */
  protected readonly bestPlaces = computed(() => {
    const b = this.best();
    if (b?.plan !== this.plan() || b.choice !== this.choice()?.id || this.preview()) return [];
    const tight = new Set(this.verdicts().flatMap((v) => (v.check === 'partInRoute' && v.class !== 'well' ? [v.subject.item] : [])));
    return b.result.filter((x) => tight.has(x.tier)).map((x) => bestPlaceText(x, this.names(), this.unit()));
  });

  protected move({ to }: Move): void {
    const c = this.choice();
    if (!c || !isPlaced(c) || c.place.on !== 'face') return;
    const at = { x: to.x, y: to.y };
    const choice: PlacedChoice = isCutChoice(c) ? moveCut(c, at) : { ...c, place: { ...c.place, at } };
    this.store.dispatch(planActions.choiceEdited({ choice }));
  }
}
