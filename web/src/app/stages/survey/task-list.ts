import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { Store } from '@ngrx/store';
import type { KeptFinding } from '@rinnovo/contract';
import { upperFirst } from '@rinnovo/words';
import { findings } from '../../state/resources';
import { selectJob } from '../../state/selectors';
import { SurveyCommands } from '../../state/survey-commands';
import { attempt } from '../../ui/attempt';

/** Findings that were accepted into the active job: what is to be put right beside the planned cut. */
@Component({
  selector: 'rn-task-list',
  imports: [MatButtonModule, MatCheckboxModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (tasks().length > 0) {
      <h2>Tasks of this job</h2>
      <ul>
        @for (t of tasks(); track t.id) {
          <li>
            <mat-checkbox [checked]="t.done" [disabled]="busy()" (change)="change(t, { done: !t.done })">{{ word(t.text) }}</mat-checkbox>
            <button
              matButton
              type="button"
              [disabled]="busy()"
              [attr.aria-label]="'Remove from this job: ' + t.text"
              (click)="change(t, { job: null, done: false })"
            >
              Remove from this job
            </button>
          </li>
        }
      </ul>
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
    }
  `,
  styles: `
    :host {
      display: block;
    }
    h2 {
      padding: 0.5rem 1rem 0;
    }
    ul {
      margin: 0;
      padding: 0 0.5rem 0.5rem;
      list-style: none;
    }
    li {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      justify-content: space-between;
      min-height: 48px;
    }
  `,
})
export class TaskList {
  private readonly store = inject(Store);
  private readonly commands = inject(SurveyCommands);
  private readonly held = this.store.selectSignal(findings.select);
  private readonly job = this.store.selectSignal(selectJob);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly tasks = computed(() => {
    const job = this.job();
    return job === null ? [] : (this.held().data ?? []).filter((f) => f.job === job.id);
  });

  protected word(text: string): string {
    return upperFirst(text);
  }

  protected async change(f: KeptFinding, what: Parameters<SurveyCommands['changeFinding']>[1]): Promise<void> {
    await this.attempt.run(async () => {
      await this.commands.changeFinding(f, what);
    });
  }
}
