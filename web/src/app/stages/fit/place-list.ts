import { afterRenderEffect, ChangeDetectionStrategy, Component, computed, ElementRef, inject, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Store } from '@ngrx/store';
import { type Choice, isCutChoice } from '@rinnovo/core/check';
import { byGravity, type VerdictClass } from '@rinnovo/core/measure';
import { CLASS_WORDS, cutSizeText, nameOf, placeOfChoice } from '@rinnovo/words';
import { planActions } from '../../state/plan.actions';
import { selectChoice, selectDecisions, selectNames, selectLastWhole, selectPlan, selectVerdicts } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { headline } from '../../ui/marks';

/** Every place of the plan with the part chosen for it and the gravest that is to be said of it. */
@Component({
  selector: 'rn-place-list',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Places and parts</h2>
    <p class="soft" aria-live="polite">{{ headline() }}</p>
    <ul tabindex="0" aria-label="Places">
      @for (r of rows(); track r.id) {
        <li [class]="r.class" [class.here]="r.here">
          <button type="button" class="plain-row" [attr.aria-current]="r.here ? 'true' : null" [attr.data-choice]="r.id" (click)="look(r.id)">
            <span class="sign" aria-hidden="true">{{ r.sign }}</span>
            <span class="what">
              <strong>{{ r.where }}</strong>
              <span>{{ r.part }}</span>
              <span class="soft">{{ r.word }}{{ r.decided ? ' · decided' : '' }}</span>
            </span>
          </button>
          @if (r.here && !r.decided) {
            <button matButton type="button" (click)="remove(r.id)" [attr.aria-label]="'Remove ' + r.where + ' from the plan'">Remove</button>
          }
        </li>
      }
    </ul>
    <p><button matButton="outlined" type="button" (click)="add.emit()">Add place</button></p>
  `,
  styleUrl: './place-list.scss',
})
export class PlaceList {
  readonly add = output();
  /** A place is chosen to be looked at. */
  readonly looked = output();
  private readonly store = inject(Store);
  private readonly toast = inject(MatSnackBar);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly plan = this.store.selectSignal(selectPlan);
  private readonly whole = this.store.selectSignal(selectLastWhole);
  private readonly newest = this.store.selectSignal(selectVerdicts);
  private readonly choice = this.store.selectSignal(selectChoice);
  private readonly decisions = this.store.selectSignal(selectDecisions);
  protected readonly headline = computed(() => {
    const whole = this.whole();
    if (this.rows().length === 0) return 'No part is planned yet.';
    return whole ? headline(whole.verdicts) : 'Computing …';
  });
  protected readonly rows = computed(() => (this.plan()?.choices ?? []).map((c) => this.row(c)));

  private readonly here = computed(() => this.choice()?.id);

  /** A place that comes into view elsewhere, a new one at the end of the list above all, is shown here too. */
  constructor() {
    afterRenderEffect(() => {
      const here = this.here();
      const row = [...this.host.nativeElement.querySelectorAll<HTMLElement>('[data-choice]')].find((r) => r.dataset['choice'] === here);
      row?.closest('li')?.scrollIntoView({ block: 'nearest' });
    });
  }

  protected look(choice: string): void {
    this.store.dispatch(planActions.lookAt({ choice }));
    this.looked.emit();
  }

  protected remove(id: string): void {
    const plan = this.plan();
    if (!plan) return;
    const where = this.where(plan.choices.find((c) => c.id === id));
    this.store.dispatch(planActions.edited({ plan: { ...plan, choices: plan.choices.filter((c) => c.id !== id) } }));
    const said = this.toast.open(`${where} removed from the plan`, 'Undo', { duration: 8000 });
    said.onAction().subscribe(() => this.store.dispatch(planActions.edited({ plan })));
  }

  private where(c: Choice | undefined): string {
    return c ? placeOfChoice(c, this.names()) : '';
  }

  private row(c: Choice) {
    const here = this.choice()?.id === c.id;
    // the one in the hand by its newest verdicts, the others by the last sum of the whole plan
    const verdicts = here ? this.newest().toSorted(byGravity) : (this.whole()?.verdicts ?? []).filter((v) => v.choice === c.id);
    const gravest: VerdictClass | null = verdicts[0]?.class ?? null;
    return {
      id: c.id,
      where: this.where(c),
      part: isCutChoice(c) ? cutSizeText(c, this.unit()) : c.part === null ? 'none' : nameOf(this.names(), c.part),
      class: gravest ?? '',
      sign: gravest ? CLASS_WORDS[gravest].sign : '…',
      word: gravest === null ? (this.whole() ? 'no checks' : '') : gravest === 'well' ? 'clears well' : headline(verdicts),
      here,
      decided: this.decisions().some((d) => d.choice === c.id),
    };
  }
}
