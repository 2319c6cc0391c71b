import { unitWord } from '@rinnovo/core/measure';
import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  linkedSignal,
  output,
  signal,
  untracked,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatMenuModule } from '@angular/material/menu';
import { Store } from '@ngrx/store';
import { secondReading, STATES, targetKey, usualLimit, type StateId, type StateTarget } from '@rinnovo/core/quantity';
import { aimFor, standing, typedState, waitsFor, type Step } from '@rinnovo/core/survey';
import {
  aimText,
  answersOf,
  improbableText,
  placeText,
  standingWords,
  STATE_WORDS,
  stateText,
  stateTitle,
  typedProblem,
  upperFirst,
  fixed,
  withUnit,
  STATE_TOOL_WORDS,
} from '@rinnovo/words';
import { attempt } from '../../ui/attempt';
import { Commands, type StateReading } from '../../state/commands';
import { selectNames, selectOpenSurvey, selectReadings, selectSurvey } from '../../state/selectors';
import { SurveyCommands } from '../../state/survey-commands';
import { Drafts } from '../../state/drafts';
import { viewFeature } from '../../state/view.feature';
import { StepPicture } from './step-picture';

const draftName = (instrument: string): string => `inspection/${instrument}`;

/** One quantity at all of its places: typed down the column, judged as it is typed, kept together. */
@Component({
  selector: 'rn-step-grid',
  imports: [MatButtonModule, MatMenuModule, StepPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './step-grid.html',
  styleUrl: './step-grid.scss',
})
export class StepGrid {
  readonly step = input.required<Step>();
  readonly instrument = input.required<string>();
  /** Everything typed here was kept. */
  readonly kept = output();

  private readonly store = inject(Store);
  private readonly commands = inject(Commands);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly survey = this.store.selectSignal(selectSurvey);
  private readonly surveyCommands = inject(SurveyCommands);
  private readonly dialog = inject(MatDialog);
  protected readonly open = this.store.selectSignal(selectOpenSurvey);
  private readonly readings = this.store.selectSignal(selectReadings);
  private readonly skipped = computed(() => new Map((this.open()?.skipped ?? []).map((s) => [targetKey(s.target), s.reason])));
  private readonly quantity = computed(() => this.step().quantity);
  protected readonly words = computed(() => STATE_WORDS[this.quantity()]);
  protected readonly choices = computed(() => answersOf(this.quantity()));
  protected readonly unitWord = computed(() => {
    const u = STATES[this.quantity()].unit;
    if (u === 'choice') return '';
    const bare = u === 'Ω' && STATES[this.quantity()].bare === 1000 ? 'kΩ' : u;
    return `, ${u === 'mm' ? unitWord(this.unit()) : bare}`;
  });
  protected readonly tool = computed(() => {
    const q = STATES[this.quantity()];
    if (q.unit === 'choice') return `By ${STATE_TOOL_WORDS[q.by]}.`;
    const share = q.share === undefined ? '' : ` and ${withUnit(fixed(q.share * 100, 0), '%')}`;
    return `With the ${STATE_TOOL_WORDS[q.by]}: ± ${stateText(q.id, q.limit, this.unit())}${share}.`;
  });
  protected readonly waits = computed(() => {
    const s = this.survey();
    const w = s && waitsFor(this.quantity(), s);
    return w ? `the ${stateTitle(w.target, this.names()).toLowerCase()} (${stateText(w.target.quantity, w.reading.value, this.unit())})` : null;
  });
  /** What is typed of the instrument and not yet kept, by what is read of which place: it stays while another step is looked at, and over a reload. */
  protected readonly texts = linkedSignal<string, Readonly<Record<string, string>>>({ source: () => this.instrument(), computation: () => ({}) });
  private readonly drafts = inject(Drafts);
  /** What is known of each place before anything is typed. */
  private readonly places = computed(() => {
    const survey = this.survey();
    return this.step().places.map((target) => {
      const key = targetKey(target);
      const aim = survey ? aimFor(target, survey.surveyed) : null;
      const old = survey?.at(target.quantity, target.feature, target.part) ?? null;
      return {
        target,
        key,
        bounds: aim,
        place: STATES[target.quantity].of === 'neck' || STATES[target.quantity].of === 'bridge' ? this.words().name : placeText(target, this.names()),
        aim: aimText(target.quantity, aim, this.unit()),
        before: old ? `read: ${stateText(target.quantity, old.reading.value, this.unit())}${this.second(target)}` : '',
        again: old !== null && STATES[target.quantity].unit !== 'choice',
        cannot: this.skipped().get(key) ?? null,
      };
    });
  });
  protected readonly cells = computed(() => {
    const texts = this.texts();
    return this.places().map((p) => {
      const text = texts[p.key] ?? '';
      const { quantity } = p.target;
      const typed = typedState(quantity, text, this.unit());
      const at = typed.kind === 'value' && p.bounds && !this.waits() ? standing(typed.value, usualLimit(quantity, typed.value), p.bounds) : null;
      const doubt = typed.kind === 'value' ? improbableText(quantity, typed.value, this.unit()) : null;
      return { ...p, text, typed, doubt, wrong: typedProblem(quantity, typed, this.unit()), standing: at ? standingWords(quantity, at) : null, mark: at ?? '' };
    });
  });
  constructor() {
    effect(() => void this.bringBack(this.instrument()));
    // at another step the hand goes on in its first place, not back to the rail
    let before: StateId | null = null;
    afterRenderEffect(() => {
      const now = this.quantity();
      if (before !== null && before !== now) this.host.nativeElement.querySelector<HTMLElement>('[data-cell], .answers button')?.focus();
      before = now;
    });
  }

  /** How many of several questions are neither answered nor read before. */
  protected readonly unanswered = computed(() =>
    this.choices() && this.cells().length > 1 ? this.cells().filter((c) => c.text === '' && c.before === '' && c.cannot === null).length : 0,
  );
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly said = signal('');
  /** The improbable values that were challenged: kept when they are sent again as they are. */
  private insisted = '';
  /** The place of which it is said just now why it cannot be measured. */
  protected readonly cannot = linkedSignal<StateId, string | null>({ source: () => this.quantity(), computation: () => null });

  private second(target: StateTarget): string {
    const { state } = secondReading(target, this.readings());
    return state === 'agree' ? ', two readings agree' : state === 'disagree' ? ', two readings disagree: take another' : '';
  }

  /** What was not answered is answered with the first choice: no. */
  protected restNo(): void {
    const left = this.cells().filter((c) => c.text === '' && c.before === '' && c.cannot === null);
    this.type(Object.fromEntries(left.map((c) => [c.key, '0'])));
  }

  /** A second reading that cannot see the first. */
  protected async again(target: StateTarget): Promise<void> {
    const { BlindReading } = await import('./blind-reading');
    const tool = { id: STATES[target.quantity].by, name: upperFirst(STATE_TOOL_WORDS[STATES[target.quantity].by]) };
    this.dialog.open(BlindReading, {
      data: { instrument: this.instrument(), target, title: stateTitle(target, this.names()), tool },
      width: '100vw',
      maxWidth: '100vw',
      height: '100dvh',
      disableClose: true,
      autoFocus: 'first-tabbable',
    });
  }

  protected async outOfReach(target: StateTarget, reason: string): Promise<void> {
    const survey = this.open();
    if (!survey || this.busy() || (reason.trim() === '' && this.cannot() !== null)) return;
    await this.attempt.run(async () => {
      await this.surveyCommands.outOfReach(survey, target, reason.trim());
      this.cannot.set(null);
    });
  }

  protected value(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected set(key: string, text: string): void {
    this.said.set('');
    this.type({ [key]: text });
  }

  private async bringBack(instrument: string): Promise<void> {
    const kept = (await this.drafts.of<Readonly<Record<string, string>>>(draftName(instrument)))?.kept;
    if (kept && untracked(this.instrument) === instrument) this.texts.update((t) => ({ ...kept, ...t }));
  }

  /** Puts texts into cells; what is typed at all is a draft until it is kept. */
  private type(texts: Readonly<Record<string, string>>): void {
    this.texts.update((t) => ({ ...t, ...texts }));
    const kept = Object.fromEntries(Object.entries(this.texts()).filter(([, text]) => text !== ''));
    const what = draftName(this.instrument());
    void (Object.keys(kept).length > 0 ? this.drafts.keep(what, { version: 0, kept }) : this.drafts.drop(what));
  }

  /** Enter and the arrows go down and up the column; Enter in the last one keeps. */
  protected key(event: KeyboardEvent, i: number): void {
    const step = event.key === 'Enter' || event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step === 0) return;
    const cells = [...this.host.nativeElement.querySelectorAll<HTMLInputElement>('[data-cell]')];
    const next = cells[i + step];
    if (!next) return;
    event.preventDefault();
    next.focus();
    next.select();
  }

  /** A column from elsewhere fills the cells from here on; what is too much is said and left out. */
  protected paste(event: ClipboardEvent, i: number): void {
    const lines = (event.clipboardData?.getData('text') ?? '').replace(/\r?\n$/, '').split(/\r?\n|\t/);
    if (lines.length < 2) return;
    event.preventDefault();
    const cells = this.cells().slice(i);
    this.type(Object.fromEntries(cells.flatMap((c, n) => (lines[n] === undefined ? [] : [[c.key, lines[n].trim()]]))));
    const counted = `${lines.length} values for ${cells.length} places`;
    this.said.set(
      lines.length === cells.length
        ? ''
        : `${counted}: ${lines.length > cells.length ? `the last ${lines.length - cells.length} were skipped` : 'the rest stays empty'}`,
    );
  }

  /** Keeps what is typed; a cell that cannot be keeps everything back. What is in is cleared, what failed stays typed. */
  protected async keep(event: Event): Promise<void> {
    event.preventDefault();
    if (this.busy()) return;
    const cells = this.cells();
    if (cells.some((c) => c.typed.kind === 'wrong')) {
      this.problem.set('Not saved. Correct the marked cells');
      return;
    }
    const doubted = cells
      .filter((c) => c.doubt !== null)
      .map((c) => `${c.key} ${c.text}`)
      .join(' ');
    if (doubted !== '' && doubted !== this.insisted) {
      this.insisted = doubted;
      this.problem.set('Check the unlikely values. Save again to confirm them');
      return;
    }
    const typed = cells.flatMap((c): readonly StateReading[] =>
      c.typed.kind === 'value' ? [{ target: c.target, value: c.typed.value, raw: this.rawOf(c.target, c.text, c.typed.value) }] : [],
    );
    await this.attempt.run(async () => {
      const sent = this.texts();
      // what was typed anew meanwhile is not what was kept
      const clear = (key: string): void => {
        if (this.texts()[key] === sent[key]) this.type({ [key]: '' });
      };
      await this.commands.takeStates(this.instrument(), typed, ({ target }) => clear(targetKey(target)));
      this.said.set(typed.length === 1 ? 'One reading saved' : `${typed.length} readings saved`);
      if (this.cells().every((c) => c.text === '')) this.kept.emit();
    });
  }

  private rawOf(t: StateTarget, text: string, value: number): string {
    return (STATES[t.quantity].unit === 'choice' ? stateText(t.quantity, value, 'mm') : text.trim()).slice(0, 80);
  }
}
