import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { MatSlideToggleModule } from '@angular/material/slide-toggle';
import { Store } from '@ngrx/store';
import type { Plan } from '@rinnovo/core/check';
import { pickupIn, stockOf } from '@rinnovo/core/part';
import { remedyTitle } from '@rinnovo/words';
import { planActions } from '../../state/plan.actions';
import { planFeature } from '../../state/plan.feature';
import { resultsFeature } from '../../state/results.feature';
import {
  selectAnatomy,
  selectDecision,
  selectDraft,
  selectJob,
  selectLeftHanded,
  selectNames,
  selectParts,
  selectPickups,
  selectStock,
  selectVerdicts,
} from '../../state/selectors';
import { drawLines, drawPlace, drawRoute, frameOfPosition, seenFrame } from '../../ui/drawing';
import { headline, marksOf } from '../../ui/marks';
import { PlanView } from '../../ui/plan-view';
import { VerdictList } from '../../ui/verdict-list';
import { BeginPlan } from './begin-plan';
import { DecisionMade } from './decision-made';
import { RemedyList } from './remedy-list';

/** The chosen part against its place: the clashes on the map, their numbers, and the ways out. */
@Component({
  selector: 'rn-fit-page',
  imports: [MatButtonModule, MatFormFieldModule, MatSelectModule, MatSlideToggleModule, PlanView, VerdictList, RemedyList, DecisionMade, BeginPlan],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fit-page.html',
  styleUrl: './fit-page.scss',
})
export class FitPage {
  private readonly store = inject(Store);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly parts = this.store.selectSignal(selectParts);
  private readonly pickups = this.store.selectSignal(selectPickups);
  protected readonly leftHanded = this.store.selectSignal(selectLeftHanded);
  protected readonly plan = this.store.selectSignal(selectDraft);
  protected readonly status = this.store.selectSignal(planFeature.selectStatus);
  protected readonly verdicts = this.store.selectSignal(selectVerdicts);
  protected readonly decision = this.store.selectSignal(selectDecision);
  protected readonly job = this.store.selectSignal(selectJob);
  protected readonly failure = this.store.selectSignal(resultsFeature.selectFailure);
  protected readonly open = signal<string | null>(null);

  private readonly stock = this.store.selectSignal(selectStock);
  protected readonly shelf = computed(() => this.pickups().map((p) => ({ id: p.id, name: p.name, leads: p.leads, inStock: stockOf(this.stock(), p.id) > 0 })));
  protected readonly insert = computed(() => {
    const position = this.anatomy()?.positions.find((p) => p.id === this.plan()?.position);
    return (
      this.anatomy()
        ?.plates.find((p) => p.id === position?.plate)
        ?.openings.find((o) => o.id === position?.opening)?.insert ?? null
    );
  });
  private readonly options = this.store.selectSignal(resultsFeature.selectOptions);
  /** The way out that is looked at instead of the plan as it stands. */
  protected readonly shown = signal<string | null>(null);
  protected readonly preview = computed(() => (this.decision() ? null : (this.options()?.result.find((o) => o.proposal.id === this.shown()) ?? null)));
  protected readonly previewTitle = computed(() => {
    const option = this.preview();
    return option ? remedyTitle(option, this.names()) : null;
  });
  private readonly drawn = computed(() => this.preview()?.proposal.plan ?? this.plan());
  protected readonly judged = computed(() => this.preview()?.evaluation.verdicts ?? this.verdicts());
  protected readonly headline = computed(() => headline(this.judged()));
  protected readonly grave = computed(() => this.judged().some((v) => v.class === 'clashes'));
  protected readonly frame = computed(() => {
    const a = this.anatomy();
    const p = this.plan();
    return a && p ? seenFrame(frameOfPosition(a, p.position), this.leftHanded()) : { x: 0, y: 0, width: 100, height: 100 };
  });
  protected readonly paths = computed(() => {
    const a = this.anatomy();
    const plan = this.drawn();
    return a && plan ? drawPlace(a, plan, pickupIn(this.parts(), plan.part)) : [];
  });
  protected readonly route = computed(() => {
    const r = this.drawn()?.route;
    return r ? drawRoute(r) : [];
  });
  protected readonly at = computed(() => this.drawn()?.route?.at ?? { x: 0, y: 0, turn: 0 });
  protected readonly lines = computed(() => {
    const a = this.anatomy();
    return a ? drawLines(a, this.frame()) : [];
  });
  protected readonly marks = computed(() => marksOf(this.judged(), this.open(), this.names()));

  protected edit(change: Partial<Plan>): void {
    const plan = this.plan();
    if (plan) this.store.dispatch(planActions.edited({ plan: { ...plan, ...change } }));
  }
}
