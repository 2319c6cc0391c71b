import { atHand, beforeCut, confirmationsFor } from '@rinnovo/core/house';
import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { clearToCut, confirmKey, overrideKey, printWidths, type GateItem } from '@rinnovo/core/gate';
import { needKey } from '@rinnovo/core/work';
import { dateTimeText, gateText, verdictTitle } from '@rinnovo/words';
import { problemOf, problemText } from '../api/api';
import { Commands } from '../state/commands';
import { planFeature } from '../state/plan.feature';
import { anatomy } from '../state/resources';
import { AskOwner } from './ask-owner';
import { LengthField } from './length-field';
import { resultsFeature } from '../state/results.feature';
import {
  selectAnatomy,
  selectChoice,
  selectConsent,
  selectDecision,
  selectEvaluation,
  selectJob,
  selectNames,
  selectOperations,
  selectPlan,
  selectPlanState,
  selectSettings,
  selectStandingReadings,
  selectStanding,
  selectWork,
} from '../state/selectors';

/** Where to go to do now what is missing. */
interface Way {
  readonly text: string;
  readonly link: readonly string[];
  readonly query?: Readonly<Record<string, string>>;
}

function wayNow(item: GateItem, instrument: string): Way | null {
  switch (item.kind) {
    case 'reading':
    case 'typical':
      return { text: 'Measure', link: ['/i', instrument, 'survey'] };
    case 'width':
      return { text: 'Check outline', link: ['/i', instrument, 'anatomy'] };
    case 'verdict':
      return { text: 'Options', link: ['/i', instrument, 'fit'] };
    case 'before':
      return { text: 'Open Bench', link: ['/i', instrument, 'bench'] };
    case 'need':
      return WOOD.has(item.need.need) ? { text: 'Open drawers', link: ['/shop', 'drawers'] } : { text: 'Open tools', link: ['/shop', 'tools'] };
    case 'print':
      return { text: 'Print template', link: ['/i', instrument, 'cut'], query: { show: 'template' } };
    default:
      return null;
  }
}

const WOOD: ReadonlySet<string> = new Set(['offcut', 'dowel', 'glue']);

const lacks = (item: GateItem): item is GateItem & { kind: 'need' } => item.kind === 'need' && item.need.has === null;

/** Clear to cut, or what is missing: the same judgement on Cut and on Bench, enforced by the server. */
@Component({
  selector: 'rn-gate-panel',
  imports: [AskOwner, LengthField, MatButtonModule, MatCheckboxModule, MatFormFieldModule, MatInputModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (standing(); as c) {
      <p class="clear">● Clear to cut</p>
      <p class="soft">given {{ when(c.at) }} on revision {{ c.revision }}</p>
    } @else if (decision() === null) {
      <p>No decision yet. Choose an option in Fit first.</p>
    } @else {
      <p class="closed" aria-live="polite">{{ missing() }}</p>
      <button matButton="filled" type="button" [disabled]="!judged()?.clear || busy()" (click)="clear()">Clear to cut</button>
      @if (problem(); as text) {
        <p class="problem" role="alert">{{ text }}</p>
      }
      <ul>
        @for (row of rows(); track row.key) {
          <li [class.ok]="row.ok">
            <span class="sign" aria-hidden="true">{{ row.ok ? '●' : '◇' }}</span>
            @if (row.confirm === null) {
              <span class="what">{{ row.text }}</span>
            }
            @if (row.confirm !== null) {
              <mat-checkbox class="confirm" [checked]="row.ok" (change)="confirm(row.confirm, $event.checked)">{{ row.text }}</mat-checkbox>
            }
            @if (row.override !== null) {
              <mat-form-field subscriptSizing="dynamic">
                <mat-label>{{ row.without ? 'Reason to continue without it' : 'Reason to cut anyway' }}</mat-label>
                <input matInput maxlength="500" [value]="reasons()[row.override] ?? ''" (input)="accept(row.override, $event)" />
              </mat-form-field>
            }
            @if (row.thin !== null) {
              <mat-form-field subscriptSizing="dynamic">
                <mat-label>Reason to accept</mat-label>
                <input matInput maxlength="500" [value]="reasons()[row.thin] ?? ''" (input)="accept(row.thin, $event)" />
              </mat-form-field>
            }
            @if (row.print) {
              <div class="print">
                <rn-length-field #across label="Width across on the print" [(text)]="printAcross" [min]="1" [max]="600" [refusal]="row.off" />
                <rn-length-field #along label="Length along on the print" [(text)]="printAlong" [min]="1" [max]="600" />
              </div>
            }
            @if (row.asks) {
              <rn-ask-owner />
            }
            @if (row.way; as way) {
              <a matButton [routerLink]="way.link" [queryParams]="way.query ?? null">{{ way.text }}</a>
            }
          </li>
        }
      </ul>
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 0.6rem 0.75rem;
    }
    .clear {
      font-size: 1.3rem;
      font-weight: 600;
      color: var(--rn-clear);
    }
    .closed {
      font-weight: 600;
      font-size: 1.1rem;
    }
    ul {
      margin: 0.5rem 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 1.6rem 1fr auto;
      align-items: center;
      min-height: 44px;
      padding-block: 0.3rem;
      border-block-end: 1px solid var(--rn-line);
    }
    li .print {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 0.5rem;
      grid-column: 2 / -1;
    }
    li .confirm,
    li rn-ask-owner,
    li mat-form-field {
      grid-column: 2 / -1;
      margin-block-end: 0.4rem;
    }
    li .print ~ a,
    li mat-form-field ~ a {
      grid-column: 2 / -1;
      justify-self: start;
    }
    .sign {
      font-weight: 600;
      color: var(--rn-danger);
    }
    li.ok .sign {
      color: var(--rn-clear);
    }
  `,
})
export class GatePanel {
  protected readonly when = dateTimeText;
  private readonly store = inject(Store);
  private readonly commands = inject(Commands);
  private readonly evaluation = this.store.selectSignal(selectEvaluation);
  private readonly planState = this.store.selectSignal(planFeature.selectPlanState);
  private readonly document = this.store.selectSignal(selectAnatomy);
  private readonly held = this.store.selectSignal(anatomy.select);
  private readonly readings = this.store.selectSignal(selectStandingReadings);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly job = this.store.selectSignal(selectJob);
  protected readonly decision = this.store.selectSignal(selectDecision);
  protected readonly standing = this.store.selectSignal(selectStanding);
  protected readonly reasons = signal<Readonly<Record<string, string>>>({});
  /** What was read on the print; it stays while the numbers are worked out again. */
  protected readonly printAcross = signal('');
  protected readonly printAlong = signal('');
  private readonly acrossField = viewChild<LengthField>('across');
  private readonly alongField = viewChild<LengthField>('along');
  private readonly print = computed(() => {
    const [across, along] = [this.acrossField()?.value() ?? null, this.alongField()?.value() ?? null];
    return across === null || along === null ? null : { across, along };
  });
  protected readonly problem = signal<string | null>(null);
  protected readonly busy = signal(false);
  protected readonly instrument = computed(() => this.held().of ?? '');

  protected readonly judged = computed(() => {
    const evaluation = this.evaluation();
    const a = this.document();
    if (!evaluation || !a) return null;
    const accepted = new Set(
      Object.entries(this.reasons())
        .filter(([, reason]) => reason.trim() !== '')
        .map(([verdict]) => verdict),
    );
    const choice = this.choice();
    const needs = this.needs();
    if (!choice || !needs) return null;
    const asked = confirmationsFor(choice, evaluation, a);
    const drawn = printWidths(choice, this.settings());
    return clearToCut({
      evaluation,
      found: a,
      readings: this.readings(),
      accepted,
      consent: this.consent(),
      asked,
      print: drawn && { drawn, read: this.print() },
      before: this.before(),
      needs,
    });
  });
  private readonly choice = this.store.selectSignal(selectChoice);
  private readonly consent = this.store.selectSignal(selectConsent);
  private readonly settings = this.store.selectSignal(selectSettings);
  private readonly state = this.store.selectSignal(selectPlanState);
  private readonly cutting = this.store.selectSignal(resultsFeature.selectCutting);
  private readonly work = this.store.selectSignal(selectWork);
  private readonly operations = this.store.selectSignal(selectOperations);
  private readonly plan = this.store.selectSignal(selectPlan);
  /** What the cut asks of the drawers; null until its plan is worked out. */
  private readonly needs = computed(() => {
    const choice = this.choice();
    const state = this.state();
    const cutting = this.cutting();
    if (!choice || !state) return null;
    const routed = choice.route != null;
    if (routed && (cutting?.choice !== choice.id || cutting.plan !== this.plan())) return null;
    return atHand(state, choice, routed ? (cutting?.result ?? null) : null, new Date());
  });
  private readonly before = computed(() => beforeCut(this.decision()?.id ?? '', this.operations(), this.work()?.waivers ?? []));
  protected readonly missing = computed(() => {
    const judged = this.judged();
    if (!judged) return 'Computing what the cut needs …';
    const n = judged.items.filter((i) => !i.ok).length;
    if (n === 0) return 'Everything is ready: clear the cut';
    return n === 1 ? 'One item still open before the cut' : `${n} items still open before the cut`;
  });
  protected readonly rows = computed(() => {
    const verdicts = this.evaluation()?.verdicts ?? [];
    const title = (id: string): string => {
      const v = verdicts.find((x) => x.id === id);
      return v ? verdictTitle(v, this.names()) : id;
    };
    return (this.judged()?.items ?? []).map((item, i) => ({
      key: `${item.kind} ${i}`,
      ok: item.ok,
      text: gateText(item, this.names(), title),
      thin: item.kind === 'thin' ? item.verdict : null,
      confirm: item.kind === 'confirm' ? confirmKey(item.confirm) : null,
      override: item.kind === 'verdict' ? overrideKey(item.verdict) : lacks(item) ? overrideKey(needKey(item.need)) : null,
      without: item.kind === 'need',
      way: item.ok ? null : wayNow(item, this.instrument()),
      asks: item.kind === 'consent' && !item.ok,
      print: item.kind === 'print',
      off: item.kind === 'print' && item.off.length > 0 ? 'Differs from the plan' : null,
    }));
  });

  protected accept(verdict: string, event: Event): void {
    const reason = (event.target as HTMLInputElement).value;
    this.reasons.update((r) => ({ ...r, [verdict]: reason }));
  }

  protected confirm(key: string, checked: boolean): void {
    this.reasons.update((r) => ({ ...r, [key]: checked ? 'confirmed' : '' }));
  }

  protected async clear(): Promise<void> {
    const job = this.job();
    const decision = this.decision();
    const revision = this.held().version;
    const evaluation = this.evaluation();
    if (!job || !decision || revision === null || !evaluation) return;
    const { record } = this.planState();
    if (this.planState().saving !== 'saved' || !record) {
      this.problem.set('The plan is still being saved. Try again in a moment.');
      return;
    }
    this.busy.set(true);
    this.problem.set(null);
    try {
      const accepted = this.rows().flatMap((r) => {
        const key = r.thin ?? r.confirm ?? r.override;
        return key === null ? [] : [{ verdict: key, reason: (this.reasons()[key] ?? '').trim() }];
      });
      await this.commands.clearToCut(job, decision, record, revision, accepted, this.print(), evaluation.verdicts);
    } catch (error) {
      this.problem.set(problemText(problemOf(error)));
    } finally {
      this.busy.set(false);
    }
  }
}
