import { stepFlaw } from '@rinnovo/core/house';
import { isIrreversible } from '@rinnovo/core/house/lists';
import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { LogStep } from '@rinnovo/contract';
import type { DepthSetUps, SetUpId } from '@rinnovo/core/cut';
import type { Bench, StepCard } from '@rinnovo/core/gate';
import type { StepFlaw } from '@rinnovo/core/job';
import type { PlannedOperation } from '@rinnovo/core/work';
import { valueOf } from '@rinnovo/core/measure';
import { inUse } from '@rinnovo/core/part';
import {
  CAUTION_WORDS,
  CLEARANCE_LAPSED,
  NO_CUT_WHILE_AWAY,
  ASKED_WORDS,
  COIL_SAYS,
  expectedText,
  gapText,
  hindranceText,
  labelText,
  lengthText,
  MISHAP_WORDS,
  operationAt,
  operationsTogether,
  otherLengthText,
  RULE_WORDS,
  stepFlawText,
  stepText,
  upperFirst,
  WAY_ON_WORDS,
  dateText,
} from '@rinnovo/words';
import { usualLimit } from '@rinnovo/core/quantity';
import { typedState } from '@rinnovo/core/survey';
import { coilSays } from '@rinnovo/core/wire';
import { Connection } from '../../api/connection';
import { problemOf, problemText } from '../../api/problem-of';
import { BenchCommands } from '../../state/bench-commands';
import type { Typed } from '../../state/commands';
import { selectBenchInput } from '../../state/job-in-hand';
import { planActions } from '../../state/plan.actions';
import { anatomy, ledger, lessons, shop } from '../../state/resources';
import { resultsFeature } from '../../state/results.feature';
import { selectChoice, selectDecisions, selectJob, selectOperations, selectPlanState, selectWhereOf } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { attempt } from '../../ui/attempt';
import { AskOwner } from '../../ui/ask-owner';
import { gateOnScreen } from '../../state/gate-on-screen';
import { ownerOnScreen } from '../../state/owner-on-screen';
import { GatePanel } from '../../ui/gate-panel';
import { LengthField } from '../../ui/length-field';
import { SetUpReadPanel } from '../../ui/set-up-read';
import { WorkingView } from '../../ui/working-view';
import { keepAwake, type Awake } from '../../ui/keep-awake';
import { LastStep } from './last-step';
import { StepDrawing } from './step-drawing';
import { UnjudgedStep } from './unjudged-step';
import { StepPhotos } from './step-photos';
import { StopWatch } from './stop-watch';
import { WentWrong, type MishapReport } from './went-wrong';

const AWAKE_WORDS: Readonly<Record<Awake, string>> = {
  on: 'The screen stays on while the Bench is open.',
  off: 'The screen may go dark: the browser is not keeping it on.',
  cannot: 'The screen may go dark: this browser cannot keep it on.',
};

/** The cards' labels of the three named set-ups. */
const SET_UP_OF_LABEL: Readonly<Record<string, SetUpId>> = { projection: 'projection', overStraightEdge: 'overStraightEdge', finishedDepth: 'finished' };

/** Is the step at hand the first of its work that cannot be undone? */
function startsCut(bench: Bench | null): boolean {
  const cuts = (bench?.cards ?? []).map((c) => c.cautions.includes('irreversible'));
  return bench !== null && cuts[bench.now] === true && !cuts.slice(0, bench.now).includes(true);
}

/** One step at a time: caution first, numbers readable from a metre, the reading it asks for, done or went wrong. */
@Component({
  selector: 'rn-bench-page',
  imports: [
    MatButtonModule,
    MatFormFieldModule,
    MatInputModule,
    MatSelectModule,
    RouterLink,
    AskOwner,
    GatePanel,
    LengthField,
    SetUpReadPanel,
    WorkingView,
    WentWrong,
    LastStep,
    StepDrawing,
    StepPhotos,
    StopWatch,
    UnjudgedStep,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-page.html',
  styleUrl: './bench-page.scss',
})
export class BenchPage {
  protected readonly gate = gateOnScreen();
  protected readonly owner = ownerOnScreen();
  private readonly store = inject(Store);
  private readonly commands = inject(BenchCommands);
  private readonly results = this.store.selectSignal(resultsFeature.selectBench);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly job = this.store.selectSignal(selectJob);
  protected readonly operations = this.store.selectSignal(selectOperations);
  private readonly shop = this.store.selectSignal(shop.select);
  private readonly ledger = this.store.selectSignal(ledger.select);
  private readonly state = this.store.selectSignal(selectPlanState);
  private readonly input = this.store.selectSignal(selectBenchInput);
  private readonly held = this.store.selectSignal(anatomy.select);
  private readonly field = viewChild(LengthField);
  private readonly decisions = this.store.selectSignal(selectDecisions);
  protected readonly instrument = computed(() => this.held().of ?? '');

  /** Millimetres stand alone; the number that is open has the inch beside it. */
  protected readonly metric = computed(() => this.unit() === 'mm');
  protected readonly bench = computed(() => this.results()?.result ?? null);
  protected readonly card = computed(() => this.bench()?.cards[this.bench()?.now ?? -1] ?? null);
  private readonly whereOf = this.store.selectSignal(selectWhereOf);
  protected readonly title = computed(() => {
    const o = this.bench()?.operation;
    return o ? operationAt(o, this.whereOf()(o), this.unit()) : '';
  });
  /** What is done step by step together with the work at hand: how many, and which of them this is. */
  protected readonly together = computed(() => {
    const b = this.bench();
    const set = b?.together.find((t) => t.includes(b.operation?.id ?? ''));
    const o = b?.operation;
    if (!b || !set || !o) return null;
    return { title: this.setTitle(o, set), here: this.whereOf()(o), place: set.indexOf(o.id) + 1, of: set.length };
  });

  private setTitle(o: PlannedOperation, set: readonly string[]): string {
    const all = (this.bench()?.ordered ?? []).filter((x) => set.includes(x.id));
    return operationsTogether(
      o,
      all.map((x) => this.whereOf()(x)),
      this.unit(),
    );
  }
  protected readonly step = computed(() => {
    const card = this.card();
    return card ? stepText(card) : '';
  });
  protected readonly rule = computed(() => {
    const rule = this.card()?.rule;
    return rule ? (RULE_WORDS[rule] ?? null) : null;
  });
  protected readonly cautions = computed(() => (this.card()?.cautions ?? []).map((c) => CAUTION_WORDS[c]));
  /** The choice that the step is work of. */
  protected readonly chosenNow = computed(() => this.input().choices[this.bench()?.operation?.decision ?? ''] ?? null);
  private readonly setUp = this.store.selectSignal(viewFeature.selectSetUp);
  /** The numbers of the card; of the three set-ups the one that is worked by stands first and large, the others are for checking. */
  protected readonly numbers = computed(() => {
    const all = this.card()?.numbers ?? [];
    const chosen = all.find((n) => SET_UP_OF_LABEL[n.label] === this.setUp());
    return all
      .map((n) => ({
        ...n,
        minor: chosen !== undefined && n !== chosen && n.label in SET_UP_OF_LABEL,
        word: labelText(n.label),
        value: lengthText(valueOf(n.working), this.unit(), 1),
        other: otherLengthText(valueOf(n.working), this.unit()),
      }))
      .sort((x, y) => Number(x.minor) - Number(y.minor));
  });
  /** The set-ups that the card sets the bit by, all three. */
  protected readonly setUps = computed((): DepthSetUps | null => {
    const of = (label: string) => this.card()?.numbers.find((n) => n.label === label)?.working;
    const [projection, overStraightEdge, finished] = Object.keys(SET_UP_OF_LABEL).map(of);
    return projection && overStraightEdge && finished ? { projection, overStraightEdge, finished } : null;
  });
  /** Why the part is here though no drawer says so, for the operation that it was said of. */
  private readonly counted = signal<{ readonly operation: string; readonly reason: string } | null>(null);
  protected readonly reason = signal('');
  private readonly countedHere = computed(() => (this.counted()?.operation === this.bench()?.operation?.id ? (this.counted()?.reason ?? null) : null));
  private readonly standingHindrances = computed(() =>
    (this.bench()?.hindrances ?? []).filter((h) => this.countedHere() === null || h.kind !== 'gate' || h.state !== 'partInHand'),
  );
  /** A drawer that says none is challenged: whoever has the part in hand counts it in. */
  protected readonly countable = computed(() => this.standingHindrances().some((h) => h.kind === 'gate' && h.state === 'partInHand'));
  protected readonly hindrances = computed(() => {
    const titles = new Map(this.operations().map((o) => [o.id, operationAt(o, this.whereOf()(o), this.unit())]));
    const other = this.standingHindrances().map((h) => ({
      text: hindranceText(h, (id) => titles.get(id)),
      gate: h.kind === 'gate' && h.state === 'clearToCut',
    }));
    const more = [
      ...(this.lapsed() ? [{ text: CLEARANCE_LAPSED, gate: true }] : []),
      ...(this.connection.current() === 'away' && startsCut(this.bench()) ? [{ text: NO_CUT_WHILE_AWAY, gate: false }] : []),
    ];
    return [...other, ...more];
  });
  private readonly connection = inject(Connection);
  /** A cut was made though it could not be judged: said for this step alone. */
  private readonly anywayAt = signal('');
  private readonly stepNow = computed(() => `${this.bench()?.operation?.id ?? ''} ${this.card()?.key ?? ''}`);
  protected readonly anyway = computed(() => this.anywayAt() === this.stepNow());
  protected readonly stopped = computed(() => this.hindrances().length > 0 && !this.anyway());
  /** What nobody could judge is asked for only where nobody can. */
  protected readonly mayBeDone = computed(() => this.connection.current() === 'away' && this.irreversible() && this.hindrances().length > 0);
  protected readonly unlooked = computed(() =>
    this.standingHindrances().some((h) => h.kind === 'gate' && h.state === 'lookedAt')
      ? (this.ledger().data ?? []).filter((l) => l.unjudged?.looked === null)
      : [],
  );
  /** A part is cut down only when its owner agreed: asked where the work waits for it. */
  protected readonly asksOwner = computed(() => this.standingHindrances().some((h) => h.kind === 'gate' && h.state === 'ownerAgreed'));
  protected readonly gated = computed(() => this.hindrances().some((h) => h.gate));
  private readonly irreversible = computed(() => {
    const kind = this.bench()?.operation?.kind;
    return kind !== undefined && isIrreversible(kind);
  });
  protected readonly cutting = computed(() => this.irreversible() && this.gate.shown().standing !== null && this.hindrances().length === 0);
  /** What the cut at hand was cleared on has changed: no step of it goes on. */
  private readonly lapsed = computed(
    () => this.irreversible() && this.gate.shown().asked?.decision === this.bench()?.operation?.decision && this.gate.shown().lapsed.length > 0,
  );
  protected readonly steps = computed(() =>
    (this.bench()?.cards ?? []).map((c, i) => ({ key: c.key, text: stepText(c), done: i < (this.bench()?.now ?? 0), now: i === this.bench()?.now })),
  );
  protected readonly soFar = computed(() =>
    (this.bench()?.ordered ?? []).flatMap((o) => {
      const set = this.bench()?.together.find((t) => t.includes(o.id));
      // what is done together is one line, where its first one stands
      if (set && set[0] !== o.id) return [];
      const word = set ? this.setTitle(o, set) : operationAt(o, this.whereOf()(o), this.unit());
      const now = (set ?? [o.id]).includes(this.bench()?.operation?.id ?? '');
      return [{ id: o.id, word, state: o.state, now, skipped: this.bench()?.skipped.includes(o.id) ?? false }];
    }),
  );
  protected readonly lastMishap = computed(() => {
    const last = this.ledger().data?.at(-1);
    return last?.outcome === 'wentWrong' ? last : null;
  });

  protected readonly tools = computed(() => inUse(this.shop().data?.tools ?? []));
  protected readonly chosen = signal<string | null>(null);
  protected readonly tool = computed(
    () => this.tools().find((t) => t.id === this.chosen()) ?? this.tools().find((t) => t.kind === 'depth gauge') ?? this.tools()[0] ?? null,
  );
  protected readonly text = signal('');
  protected readonly open = signal<string | null>(null);
  protected readonly wrong = signal(false);
  protected readonly busy = signal(false);
  protected readonly problem = signal<string | null>(null);
  protected readonly refusal = signal<string | null>(null);
  protected readonly asks = computed(() => this.card()?.asks ?? null);
  protected readonly expected = computed(() => {
    const asks = this.asks();
    return asks && expectedText(asks, this.unit());
  });
  /** What a gap that is not as planned says of the wood and the part. */
  protected readonly says = computed(() => {
    const asks = this.asks();
    if (asks?.what === 'resistance') {
      const ohms = this.ohms();
      const of = ohms === null ? null : coilSays(asks, { value: ohms, limit: usualLimit('partResistance', ohms) });
      return of && COIL_SAYS[of];
    }
    const read = this.field()?.value() ?? null;
    return asks?.what === 'gap' && read !== null ? gapText(read, asks, this.tool()?.limit ?? 0, this.unit()) : null;
  });
  /** Ω as typed; null while nothing is, or it is none. */
  private readonly ohms = computed(() => {
    const typed = typedState('partResistance', this.text(), 'mm');
    return typed.kind === 'value' ? typed.value : null;
  });
  protected readonly askedWords = ASKED_WORDS;
  private readonly lessons = this.store.selectSignal(lessons.select);
  /** What was learned at the same work before, the newest three. */
  protected readonly learned = computed(() => {
    const kind = this.bench()?.operation?.kind;
    return (this.lessons().data ?? [])
      .filter((l) => l.kind === kind)
      .slice(0, 3)
      .map((l) => ({ id: l.id, lesson: l.lesson, from: `${MISHAP_WORDS[l.mishap].toLowerCase()}, ${l.label}, ${dateText(l.at)}` }));
  });
  private readonly watch = viewChild(StopWatch);
  protected readonly looking = attempt();
  protected readonly wayWords = WAY_ON_WORDS;
  private readonly awake = keepAwake();
  protected readonly awakeText = computed(() => AWAKE_WORDS[this.awake()]);

  constructor() {
    // what is asked before a cut is asked for the work at hand: the choice behind it comes to view
    const looked = this.store.selectSignal(selectChoice);
    effect(() => {
      const of = this.bench()?.operation?.decision;
      const choice = this.decisions().find((d) => d.id === of)?.choice;
      if (choice !== undefined && looked()?.id !== choice) this.store.dispatch(planActions.lookAt({ choice }));
    });
  }

  protected typeReason(event: Event): void {
    this.reason.set((event.target as HTMLInputElement).value);
  }

  protected countIn(event: Event): void {
    event.preventDefault();
    const operation = this.bench()?.operation?.id;
    const reason = this.reason().trim();
    this.refusal.set(reason === '' ? 'Type the reason' : null);
    if (operation !== undefined && reason !== '') this.counted.set({ operation, reason });
  }

  protected sayAnyway(): void {
    this.anywayAt.set(this.anyway() ? '' : this.stepNow());
    this.reason.set('');
    this.refusal.set(null);
  }

  protected async look({ entry, found }: { readonly entry: string; readonly found: string }): Promise<void> {
    await this.looking.run(() => this.commands.lookAt({ instrument: this.instrument() }, entry, found));
  }

  protected toggle(label: string): void {
    this.open.set(this.open() === label ? null : label);
  }

  protected async done(): Promise<void> {
    const card = this.card();
    const measured = card?.asks ? this.typed() : null;
    const flaw = card && this.flawOf(card, measured);
    this.refusal.set(flaw && (flaw.at === '/measured/value' ? `It ${stepFlawText(flaw)}` : upperFirst(stepFlawText(flaw))));
    if (flaw) return;
    const why = this.reason().trim();
    if (this.anyway() && why === '') this.refusal.set('Type why the cut was made');
    else await this.log({ outcome: 'done', wrong: null, note: '', ...(this.anyway() ? { unjudged: why } : {}) }, measured);
  }

  protected async mishap({ wrong, note, measured }: MishapReport): Promise<void> {
    if (await this.log({ outcome: 'wentWrong', wrong, note }, measured)) this.wrong.set(false);
  }

  /** What is wrong with what was typed, before anything is sent. */
  private flawOf(card: StepCard, measured: Typed | null): StepFlaw | null {
    const state = this.state();
    const of = this.bench()?.operation?.decision ?? '';
    const said = { outcome: 'done' as const, wrong: null, measured: measured && { value: measured.value, limit: measured.tool.limit, tool: measured.tool.id } };
    return state && stepFlaw({ card, choice: this.input().choices[of] ?? null, state }, said);
  }

  protected typeOhms(event: Event): void {
    this.text.set((event.target as HTMLInputElement).value);
  }

  private typed(): Typed | null {
    if (this.asks()?.what === 'resistance') {
      const ohms = this.ohms();
      return ohms === null ? null : { value: ohms, raw: this.text().trim(), tool: { id: 'meter', limit: usualLimit('partResistance', ohms) } };
    }
    const value = this.field()?.value() ?? null;
    const tool = this.tool();
    return value === null || !tool ? null : { value, raw: this.text().trim(), tool };
  }

  /** Logs the step at hand with the minutes of the watch; true when it is in. */
  private async log(said: Pick<LogStep, 'outcome' | 'wrong' | 'note' | 'unjudged'>, measured: Typed | null): Promise<boolean> {
    const job = this.job();
    const operation = this.bench()?.operation;
    const card = this.card();
    if (!job || !operation || !card || this.watch()?.problem()) return false;
    this.busy.set(true);
    this.problem.set(null);
    this.refusal.set(null);
    try {
      const counted = this.countedHere();
      await this.commands.logStep(
        job,
        operation.id,
        card,
        { ...said, minutes: this.watch()?.minutes() ?? null, ...(counted === null ? {} : { counted }) },
        measured,
      );
      this.counted.set(null);
      this.anywayAt.set('');
      this.reason.set('');
      this.text.set('');
      this.open.set(null);
      return true;
    } catch (error) {
      const p = problemOf(error);
      const here = p.errors?.find((e) => e.pointer.startsWith('/measured'));
      if (here && said.outcome === 'done') this.refusal.set(`It ${here.detail}`);
      else this.problem.set(problemText(p));
      return false;
    } finally {
      this.busy.set(false);
    }
  }
}
