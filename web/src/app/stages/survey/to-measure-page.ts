import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { isState, STATES, type AnyTarget } from '@rinnovo/core/quantity';
import { missingFor, WORK_KINDS, type Missing, type WorkKind } from '@rinnovo/core/survey';
import { toTrace } from '@rinnovo/core/wire';
import { LACK_WORDS, STATE_WORDS, stateTitle, targetText, upperFirst, WORK_KIND_WORDS } from '@rinnovo/words';
import { problemOf, problemText } from '../../api/problem-of';
import { anatomy } from '../../state/resources';
import { selectNames, selectOpenSurvey, selectReadings, selectSurvey, selectSurveyInView } from '../../state/selectors';
import { SurveyCommands } from '../../state/survey-commands';
import { SurveyHead } from './survey-head';
import { SurveyNav } from './survey-nav';

/** What still has to be measured for the kinds of work that are chosen, sorted by what it holds up. */
@Component({
  selector: 'rn-to-measure-page',
  imports: [RouterLink, SurveyHead, SurveyNav],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h1 class="visually-hidden">Still to measure</h1>
    <rn-survey-nav />
    <rn-survey-head />
    <section class="panel kinds">
      <h2 id="work">Kinds of work</h2>
      <div class="toggles" role="group" aria-labelledby="work">
        @for (k of kinds; track k.id) {
          <button type="button" class="toggle" [attr.aria-pressed]="work().includes(k.id)" (click)="turn(k.id)">
            {{ work().includes(k.id) ? '✓ ' : '' }}{{ k.word }}
          </button>
        }
      </div>
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
    </section>
    <section class="panel list" aria-label="Still to measure">
      @if (work().length === 0) {
        <p class="empty">Choose the work above to list what still has to be measured.</p>
      } @else {
        @if (untraced()) {
          <p class="empty">
            The circuit is not traced: what the meter must read is unknown. <a [routerLink]="['/i', instrument(), 'wire', 'circuit']">Trace the circuit</a>
          </p>
        }
        <table>
          <thead>
            <tr>
              <th scope="col">Measure</th>
              <th scope="col">Reason</th>
              <th scope="col">Work</th>
            </tr>
          </thead>
          <tbody>
            @for (r of rows(); track r.key) {
              <tr [attr.data-missing]="r.key">
                <th scope="row">
                  <a [routerLink]="r.link" [queryParams]="r.at">{{ r.title }}</a>
                  @if (r.places > 1) {
                    <span class="soft"> at {{ r.places }} places</span>
                  }
                </th>
                <td>
                  <span aria-hidden="true">{{ r.sign }}</span> {{ r.word }}{{ r.skipped ? ';' : '' }}
                  @if (r.skipped) {
                    <span class="soft">cannot be measured: {{ r.skipped }}</span>
                  }
                </td>
                <td>{{ r.holdsUp }}</td>
              </tr>
            } @empty {
              <tr>
                <td colspan="3">Nothing left to measure: every reading that this work needs is recent and accurate enough.</td>
              </tr>
            }
          </tbody>
        </table>
      }
    </section>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-rows: auto auto auto minmax(0, 1fr);
      gap: 0.4rem;
      height: 100%;
    }
    .kinds {
      padding: 0.5rem 1rem 0.75rem;
    }
    .toggles {
      display: flex;
      flex-wrap: wrap;
      gap: 0.3rem;
      padding-block-start: 0.3rem;
    }
    .list {
      overflow: auto;
    }
    th,
    td {
      padding: 0.6rem 1rem;
      text-align: start;
      border-block-end: 1px solid var(--rn-line);
    }
    thead th {
      font-size: 0.875rem;
      color: var(--rn-ink-soft);
    }
    tbody th {
      font-weight: 400;
    }
    .empty {
      padding: 2rem;
    }
  `,
})
export class ToMeasurePage {
  private readonly store = inject(Store);
  private readonly commands = inject(SurveyCommands);
  private readonly survey = this.store.selectSignal(selectSurvey);
  private readonly readings = this.store.selectSignal(selectReadings);
  private readonly view = this.store.selectSignal(selectSurveyInView);
  private readonly open = this.store.selectSignal(selectOpenSurvey);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly held = this.store.selectSignal(anatomy.select);
  /** Chosen where no survey is open to keep it. */
  private readonly here = signal<readonly WorkKind[] | null>(null);
  protected readonly kinds = WORK_KINDS.map((id) => ({ id, word: WORK_KIND_WORDS[id] }));
  protected readonly work = computed(() => this.here() ?? this.view()?.work ?? []);
  protected readonly problem = signal<string | null>(null);
  protected readonly rows = computed(() => {
    const survey = this.survey();
    if (!survey) return [];
    const all = missingFor(this.work(), survey, this.readings(), this.view()?.skipped ?? [], new Date().toISOString());
    const groups = new Map<string, Missing[]>();
    for (const m of all) {
      const key = [m.target.quantity, m.lack, m.skipped ?? '', isState(m.target) ? '' : m.target.feature + (m.target.part ?? '')].join('|');
      groups.set(key, [...(groups.get(key) ?? []), m]);
    }
    return [...groups].map(([key, list]) => this.row(key, list));
  });

  /** A circuit that nobody traced has no readings to ask for yet. */
  protected readonly untraced = computed(() => {
    const circuit = this.survey()?.surveyed.circuit;
    return this.work().includes('rewire') && (!circuit || toTrace(circuit).length > 0);
  });
  protected readonly instrument = computed(() => this.held().of);

  protected turn(kind: WorkKind): Promise<void> {
    const work = this.work();
    return this.want(work.includes(kind) ? work.filter((k) => k !== kind) : [...work, kind]);
  }

  private async want(kinds: readonly WorkKind[]): Promise<void> {
    this.here.set(kinds);
    const open = this.open();
    if (!open) return;
    this.problem.set(null);
    try {
      await this.commands.change(open, { work: kinds });
      this.here.set(null);
    } catch (error) {
      this.problem.set(problemText(problemOf(error)));
    }
  }

  private row(key: string, list: readonly Missing[]) {
    const [first] = list;
    if (!first) throw new RangeError('a group has a member');
    return {
      key,
      title: this.title(first.target, list.length),
      places: list.length,
      ...LACK_WORDS[first.lack],
      skipped: first.skipped,
      holdsUp: first.holdsUp.map((k) => WORK_KIND_WORDS[k]).join(', '),
      at: isState(first.target) ? { at: first.target.quantity } : {},
      link: ['/i', this.held().of, ...this.pageOf(first.target)],
    };
  }

  /** Where a reading is taken. */
  private pageOf(t: AnyTarget): readonly string[] {
    if (!isState(t)) return ['survey'];
    return STATES[t.quantity].of === 'circuit' ? ['wire'] : ['survey', 'inspection'];
  }

  private title(t: AnyTarget, places: number): string {
    if (!isState(t)) return upperFirst(targetText(t, this.names()));
    return places > 1 ? STATE_WORDS[t.quantity].name : stateTitle(t, this.names());
  }
}
