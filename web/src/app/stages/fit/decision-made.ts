import type { Decision } from '@rinnovo/core/job';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { hasStarted, isOwn } from '@rinnovo/core/operation';
import { dateText, exclusionText, fixed, nameOf, remedyName, undoText, wayBackText } from '@rinnovo/words';
import { attempt } from '../../ui/attempt';
import { Commands } from '../../state/commands';
import { anatomy, people } from '../../state/resources';
import { selectYes } from '../../state/job-in-hand';
import { selectJob, selectNames, selectOperations } from '../../state/selectors';
import { ConsentGiven } from './consent-given';
import { GoBack } from './go-back';

/** What was chosen, why, and against what; it can be taken back until work on it begins. */
@Component({
  selector: 'rn-decision-made',
  imports: [ConsentGiven, MatButtonModule, RouterLink, GoBack],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Decided</h2>
    <p>
      <strong>{{ kind(decision().option) }}</strong> · {{ person() }}, {{ date(decision().at) }}
    </p>
    <blockquote>{{ decision().reason }}</blockquote>
    @if (stale()) {
      <p class="stale">Decided on revision {{ decision().revisions.anatomy }}; the instrument is at {{ now() }}: these numbers are from then.</p>
    }
    @if (back(); as text) {
      <p>{{ text }}</p>
    }
    @if (yes(); as y) {
      <rn-consent-given [yes]="y" />
    }
    <table>
      <caption>
        The options at the time
      </caption>
      <tbody>
        @for (o of rows(); track o.id) {
          <tr [class.chosen]="o.id === decision().option">
            <th scope="row">{{ o.title }}</th>
            <td class="number">{{ o.note }}</td>
            <td class="number">{{ o.minutes }}&#8239;min</td>
          </tr>
        }
      </tbody>
    </table>
    <p class="acts">
      <a matButton="filled" [routerLink]="['/i', instrument(), cuts() ? 'cut' : 'order']">{{ cuts() ? 'Open Cut' : 'Open Order' }}</a>
      <button matButton type="button" [disabled]="started()" (click)="takeBack()">Undo decision</button>
    </p>
    @if (stays().length > 0) {
      <p>Cannot be undone:</p>
      <ul>
        @for (u of stays(); track u) {
          <li>{{ u }}</li>
        }
      </ul>
    }
    @if (started() && !goesBack()) {
      <rn-go-back [decision]="decision()" />
    }
    @if (problem(); as text) {
      <p class="problem" role="alert">{{ text }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 0.6rem 0.75rem;
    }
    blockquote {
      margin: 0.5rem 0;
      padding-inline-start: 0.75rem;
      border-inline-start: 3px solid var(--rn-plan);
    }
    caption {
      text-align: start;
      font-weight: 600;
    }
    th {
      text-align: start;
      font-weight: 400;
      padding-block: 0.3rem;
    }
    tr.chosen th {
      font-weight: 600;
    }
    td {
      padding-inline-start: 0.5rem;
    }
    .acts {
      display: flex;
      gap: 0.5rem;
      margin-block: 0.75rem;
    }
  `,
})
export class DecisionMade {
  readonly decision = input.required<Decision>();
  private readonly store = inject(Store);
  private readonly commands = inject(Commands);
  private readonly job = this.store.selectSignal(selectJob);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly people = this.store.selectSignal(people.select);
  private readonly operations = this.store.selectSignal(selectOperations);
  private readonly held = this.store.selectSignal(anatomy.select);
  protected readonly instrument = computed(() => this.held().of ?? '');
  protected readonly started = computed(() => this.operations().some((o) => o.decision === this.decision().id && isOwn(o) && hasStarted(o)));
  private readonly option = computed(() => this.decision().options.find((o) => o.id === this.decision().option));
  /** Is it a way back itself? */
  protected readonly goesBack = computed(() => this.option()?.kind === 'goBack');
  protected readonly stays = computed(() => (this.option()?.stays ?? []).map((u) => undoText(u, this.names())));
  protected readonly cuts = computed(() => {
    const { chosen } = this.decision();
    return chosen.route != null;
  });
  protected readonly now = computed(() => this.held().version);
  protected readonly stale = computed(() => this.now() !== null && this.now() !== this.decision().revisions.anatomy);
  private readonly attempt = attempt();
  protected readonly problem = this.attempt.problem;
  protected readonly person = computed(() => this.people().data?.find((p) => p.id === this.decision().person)?.name ?? '');
  protected readonly yes = this.store.selectSignal(selectYes);
  protected readonly rows = computed(() =>
    this.decision().options.map((o) => ({
      id: o.id,
      title: `${remedyName(o.kind)}${o.part === null ? '' : `: ${nameOf(this.names(), o.part)}`}`,
      note: o.excluded ? (o.excluded.kind === 'baseline' ? 'baseline' : 'not offered') : o.kind === 'goBack' ? '' : fixed(o.total, 1),
      why: o.excluded ? exclusionText(o.excluded) : '',
      minutes: o.minutes,
    })),
  );

  /** The way back as it stood then. */
  protected readonly back = computed(() => {
    const option = this.option();
    return option?.back ? wayBackText(option.kind, option.back, this.names()) : null;
  });
  protected readonly date = dateText;

  protected kind(option: string): string {
    const o = this.decision().options.find((x) => x.id === option);
    return o ? remedyName(o.kind) : option;
  }

  protected async takeBack(): Promise<void> {
    const job = this.job();
    if (!job) return;
    await this.attempt.run(async () => {
      await this.commands.takeDecisionBack(job, this.decision());
    });
  }
}
