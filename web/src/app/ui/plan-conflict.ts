import type { PlanRecord } from '@rinnovo/core/job';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import { sameChoice, type Choice, type Plan, isPickupChoice } from '@rinnovo/core/check';
import { nameOf, upperFirst, fixed } from '@rinnovo/words';
import { planActions } from '../state/plan.actions';
import { selectNames } from '../state/selectors';

/** Two hands changed the same plan: both sides, and the choice between them. Nothing is lost until one is chosen. */
@Component({
  selector: 'rn-plan-conflict',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="panel" role="alert" aria-label="Two versions of the plan">
      <h2>This plan was changed elsewhere while you were editing. Both versions are safe. Choose the one to continue with.</h2>
      <div class="sides">
        <div>
          <h3>Other version ({{ theirs().version }})</h3>
          <p>{{ describe(theirs().plan) }}</p>
          <button matButton="outlined" (click)="takeTheirs()">Use the other version</button>
        </div>
        <div>
          <h3>My version</h3>
          <p>{{ describe(mine()) }}</p>
          <button matButton="filled" (click)="keepMine()">Keep my version</button>
        </div>
      </div>
    </section>
  `,
  styles: `
    section {
      margin: 0 1rem 0.5rem;
      padding: 0.75rem 1rem;
      border-color: var(--rn-danger);
      border-width: 2px;
    }
    .sides {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 1rem;
      margin-block-start: 0.5rem;
    }
  `,
})
export class PlanConflict {
  readonly theirs = input.required<PlanRecord>();
  readonly mine = input.required<Plan>();
  private readonly store = inject(Store);
  private readonly names = this.store.selectSignal(selectNames);
  protected readonly describe = (plan: Plan): string => this.sentence()(plan);
  /** Only what differs is stated: a sentence for each choice of one side that the other does not have just so. */
  private readonly sentence = computed(() => {
    const names = this.names();
    const one = (c: Choice): string => {
      const part = c.part === null ? 'no part' : nameOf(names, c.part);
      const where = upperFirst(nameOf(names, isPickupChoice(c) ? c.position : c.id));
      if (!isPickupChoice(c)) return `${where}: ${part}.`;
      const route = c.route ? `route at ${fixed(c.route.at.x, 2)}, ${fixed(c.route.at.y, 2)}, rotated ${fixed(c.route.at.turn, 1)}°` : 'no new route';
      return `${where}: ${part}; ${c.insertFitted ? 'insert fitted' : 'insert off'}; ${route}.`;
    };
    return (p: Plan): string => {
      const other = p === this.mine() ? this.theirs().plan : this.mine();
      const differ = p.choices.filter((c) => !other.choices.some((o) => sameChoice(c, o)));
      return differ.length === 0 ? 'No further differences.' : differ.map(one).join(' ');
    };
  });

  protected takeTheirs(): void {
    this.store.dispatch(planActions.takeTheirs({ theirs: this.theirs() }));
  }

  protected keepMine(): void {
    this.store.dispatch(planActions.keepMine({ theirs: this.theirs(), mine: this.mine() }));
  }
}
