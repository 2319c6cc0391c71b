import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import type { PlanRecord } from '@rinnovo/contract';
import type { Plan } from '@rinnovo/core/check';
import { nameOf } from '@rinnovo/words';
import { planActions } from '../state/plan.actions';
import { selectNames } from '../state/selectors';

/** Two hands changed the same plan: both sides, and the choice between them. Nothing is lost until one is chosen. */
@Component({
  selector: 'rn-plan-conflict',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="panel" role="alert" aria-label="Two versions of the plan">
      <h2>This plan was changed elsewhere in the meantime. Nothing is lost: which one goes on?</h2>
      <div class="sides">
        <div>
          <h3>The other one (version {{ theirs().version }})</h3>
          <p>{{ describe(theirs().plan) }}</p>
          <button matButton="outlined" (click)="takeTheirs()">Go on with the other one</button>
        </div>
        <div>
          <h3>Mine</h3>
          <p>{{ describe(mine()) }}</p>
          <button matButton="filled" (click)="keepMine()">Keep mine over it</button>
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
  private readonly sentence = computed(() => {
    const names = this.names();
    return (p: Plan): string => {
      const part = p.part === null ? 'no part' : nameOf(names, p.part);
      const route = p.route ? `route at ${p.route.at.x.toFixed(2)}, ${p.route.at.y.toFixed(2)}, turned ${p.route.at.turn.toFixed(1)}°` : 'no new route';
      return `${part}; ${p.insertFitted ? 'insert fitted' : 'insert off'}; ${route}.`;
    };
  });

  protected takeTheirs(): void {
    this.store.dispatch(planActions.takeTheirs({ theirs: this.theirs() }));
  }

  protected keepMine(): void {
    this.store.dispatch(planActions.keepMine({ theirs: this.theirs(), mine: this.mine() }));
  }
}
