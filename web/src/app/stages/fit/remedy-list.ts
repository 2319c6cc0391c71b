import { ChangeDetectionStrategy, Component, computed, inject, model, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { PLANNED_SET, type CheckId, type Verdict } from '@rinnovo/core/check';
import { MOST_TOGETHER, type Option } from '@rinnovo/core/remedy';
import {
  CLASS_WORDS,
  clearanceText,
  durationText,
  exclusionText,
  holeStepsText,
  lackText,
  moneyText,
  remedyTitle,
  verdictTitle,
  wayBackText,
  fixed,
  withUnit,
} from '@rinnovo/words';
import { attempt } from '../../ui/attempt';
import { Commands } from '../../state/commands';
import { planFeature } from '../../state/plan.feature';
import { resultActions, resultsFeature } from '../../state/results.feature';
import { likeChoices, LikePlaces } from '../../state/like-places';
import { selectAnatomy, selectChoice, selectDecisions, selectJob, selectNames, selectRevisions } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { headline } from '../../ui/marks';
import { OptionDrawing } from './option-drawing';
import { ScoreCompare } from './score-compare';
import { FocusNow } from '../../ui/focus-now';

/** What a cut leaves standing and what hides it, stated even where it is well: of a route its hidden edge, walls and floors, of a hole its washer and the wood round it. */
function isLeftByCut(v: Verdict, woodCut: boolean): boolean {
  const ofRoute: readonly CheckId[] = ['hiddenEdge', 'wall', 'floor'];
  const ofHole: readonly CheckId[] = ['hidesHole', 'plateHides', 'holeBeside', 'woodOver', 'wall', 'floor'];
  return v.choice === v.subject.feature ? woodCut && ofHole.includes(v.check) : ofRoute.includes(v.check) && v.subject.item?.split('/')[0] === PLANNED_SET;
}

/** The ways out side by side, each worked out; one is chosen with a reason. */
@Component({
  selector: 'rn-remedy-list',
  imports: [RouterLink, FocusNow, MatButtonModule, MatFormFieldModule, MatInputModule, OptionDrawing, ScoreCompare],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './remedy-list.html',
  styleUrl: './remedy-list.scss',
})
export class RemedyList {
  private readonly store = inject(Store);
  private readonly commands = inject(Commands);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly computedOptions = this.store.selectSignal(resultsFeature.selectOptions);
  private readonly planState = this.store.selectSignal(planFeature.selectPlanState);
  private readonly job = this.store.selectSignal(selectJob);
  private readonly revisions = this.store.selectSignal(selectRevisions);
  private readonly choice = this.store.selectSignal(selectChoice);

  /** The way out that is looked at on the map. */
  readonly shown = model<string | null>(null);
  protected readonly mostTogether = MOST_TOGETHER;
  protected readonly choosing = signal<string | null>(null);
  protected readonly reason = signal('');
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  /** The options are those of the plan on the screen, and that plan is kept. */
  protected readonly current = computed(() => {
    const c = this.computedOptions();
    const p = this.planState();
    return c !== null && c.plan === p.draft && c.choice === this.choice()?.id && p.saving === 'saved';
  });
  protected readonly all = computed(() => (this.computedOptions()?.choice === this.choice()?.id ? (this.computedOptions()?.result ?? []) : []));
  private readonly every = computed(() => this.all().map((o) => this.row(o)));
  /** What is the same whichever is chosen tells nothing of the choice: it stands once. */
  private readonly same = computed(() => {
    const rows = this.every();
    const [first] = rows;
    const has = (row: (typeof rows)[number], line: string): boolean => row.shown.some((v) => lineOf(v) === line);
    return new Set(rows.length > 1 ? (first?.shown ?? []).map(lineOf).filter((line) => rows.every((r) => has(r, line))) : []);
  });
  protected readonly alike = computed(() => this.same().size);
  protected readonly rows = computed(() => this.every().map((r) => ({ ...r, shown: r.shown.filter((v) => !this.same().has(lineOf(v))) })));

  private readonly likePlaces = inject(LikePlaces);
  private readonly decisions = this.store.selectSignal(selectDecisions);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  /** Where else the same part goes to a place of the same kind. */
  protected readonly like = computed(() => {
    const c = this.choice();
    return c ? likeChoices(this.planState().draft?.choices ?? [], c, new Set(this.decisions().map((d) => d.choice)), this.anatomy()) : [];
  });
  protected readonly underWay = this.likePlaces.underWay;

  protected readonly at = this.store.selectSignal(resultsFeature.selectOptionsAt);
  protected readonly progress = computed(() => {
    const at = this.at();
    return at === 'stopped' ? null : at;
  });

  /** Whose weighing is open: worked out only then. */
  protected readonly opened = signal<ReadonlySet<string>>(new Set());

  protected weigh(id: string, event: Event): void {
    const { open } = event.target as HTMLDetailsElement;
    this.opened.update((ids) => new Set(open ? [...ids, id] : [...ids].filter((x) => x !== id)));
  }

  protected stop(): void {
    this.store.dispatch(resultActions.optionsStopped());
  }

  protected askAgain(): void {
    this.store.dispatch(resultActions.optionsAskedAgain());
  }

  protected pick(id: string): void {
    this.choosing.set(this.choosing() === id ? null : id);
    this.problem.set(null);
  }

  protected text(event: Event): void {
    this.reason.set((event.target as HTMLInputElement).value);
  }

  protected async choose(event: Event, option: Option, forAll = false): Promise<void> {
    event.preventDefault();
    const job = this.job();
    const { record } = this.planState();
    const revisions = this.revisions();
    if (!job || !record || !revisions) return;
    if (this.reason().trim() === '') {
      this.problem.set('Type a reason. In three years it is the first question.');
      return;
    }
    await this.attempt.run(async () => {
      if (forAll) await this.likePlaces.chooseForAll(option, this.like(), this.reason().trim());
      else await this.commands.chooseRemedy(job, record, revisions, option, this.reason().trim());
    });
  }

  private row(option: Option) {
    const names = this.names();
    const { verdicts } = option.evaluation;
    const shown = verdicts.filter((v) => v.unit === 'mm' && v.clearance !== null && (v.class !== 'well' || isLeftByCut(v, option.back.woodCut)));
    const f = option.cutting?.figures;
    return {
      option,
      id: option.proposal.id,
      title: remedyTitle(option, names),
      summary: headline(verdicts),
      excluded: option.excluded ? exclusionText(option.excluded) : null,
      baseline: option.excluded?.kind === 'baseline',
      score: fixed(option.score.total, 1),
      shown: shown.map((v) => ({
        id: v.id,
        sign: CLASS_WORDS[v.class].sign,
        kind: v.class,
        title: verdictTitle(v, names),
        number: clearanceText(v, this.unit()),
      })),
      fresh: option.newClashes.map((v) => verdictTitle(v, names)),
      figures: f
        ? `${withUnit(fixed(f.addedArea, 0), 'mm²')} and ${withUnit(fixed(f.addedVolume / 1000, 1), 'cm³')} more; ${withUnit(fixed(f.leftOver, 1), 'mm²')} of the old route remaining`
        : null,
      back: wayBackText(option.proposal.kind, option.back, names),
      cost: `${withUnit(String(option.minutes), 'min')}${waitText(option.proposal.wait ?? 0)} · ${moneyText(option.proposal.price)}`,
      steps: option.proposal.of.flatMap((p) => (p.steps ? [holeStepsText(p.steps)] : [])).join(' '),
      needsTool: option.proposal.lacks.some((l) => l.kind === 'templateBit' || l.kind === 'drill' || l.kind === 'countersink'),
      lacks: option.proposal.lacks.map((l) => lackText(l, names)).join(', '),
    };
  }
}

/** A check with its number, as it is told from others. */
const lineOf = (v: { readonly title: string; readonly number: string }): string => `${v.title}: ${v.number}`;

/** Waiting time beside the working time: ` + 12 h wait`. */
const waitText = (minutes: number): string => (minutes === 0 ? '' : ` + ${durationText(minutes)} wait`);
