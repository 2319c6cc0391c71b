import { brokenRules, edgesOf, isIrreversible, LISTS } from '@rinnovo/core/house/lists';
import { NgTemplateOutlet } from '@angular/common';
import { CdkDrag, CdkDragHandle, CdkDropList, moveItemInArray, type CdkDragDrop } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { isByHand, type Operation } from '@rinnovo/core/operation';
import { isWaived, isMeant } from '@rinnovo/core/order';
import { BENCH_WORDS, brokenText, durationText, operationAt, operationsTogether, operationTitle, placesTogether, RULE_WORDS } from '@rinnovo/words';
import { problemOf, problemText } from '../../api/problem-of';
import { Commands } from '../../state/commands';
import { anatomy } from '../../state/resources';
import { resultsFeature } from '../../state/results.feature';
import { selectDecision, selectJob, selectOperations, selectWhereOf, selectWork } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { attempt } from '../../ui/attempt';
import { Icon } from '../../ui/icon';
import { TaskList } from '../survey/task-list';
import { OwnWorkForm, type Written } from './own-work';

const STATE_WORDS = { proposed: '', ready: 'ready', doing: 'on the bench', done: 'done', failed: 'mishap', dropped: 'dropped' } as const;

/** An operation as it stands in the list. */
interface Row {
  readonly id: string;
  readonly ids: readonly string[];
  readonly set: readonly Row[] | null;
  readonly place: string;
  readonly title: string;
  readonly line: string;
  readonly where: string;
  readonly minutes: number;
  readonly wait: string | null;
  readonly byHand: boolean;
  readonly irreversible: boolean;
  readonly bench: boolean;
  readonly state: string;
  readonly done: boolean;
  readonly broken: boolean;
}

/** The operations in an order that breaks no rule, or in the technician's own with what it breaks. */
@Component({
  selector: 'rn-order-page',
  imports: [
    NgTemplateOutlet,
    CdkDropList,
    CdkDrag,
    CdkDragHandle,
    MatButtonModule,
    MatFormFieldModule,
    MatInputModule,
    RouterLink,
    Icon,
    TaskList,
    OwnWorkForm,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './order-page.html',
  styleUrl: './order-page.scss',
})
export class OrderPage {
  private readonly store = inject(Store);
  private readonly commands = inject(Commands);
  private readonly operations = this.store.selectSignal(selectOperations);
  private readonly work = this.store.selectSignal(selectWork);
  private readonly job = this.store.selectSignal(selectJob);
  protected readonly jobId = computed(() => this.job()?.id ?? null);
  private readonly held = this.store.selectSignal(anatomy.select);
  protected readonly decision = this.store.selectSignal(selectDecision);
  protected readonly instrument = computed(() => this.held().of ?? '');
  protected readonly problem = signal<string | null>(null);
  protected readonly selected = signal<string | null>(null);
  protected readonly reasons = signal<Readonly<Record<string, string>>>({});

  private readonly whereOf = this.store.selectSignal(selectWhereOf);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private line(o: Operation): string {
    return operationAt(o, this.whereOf()(o), this.unit());
  }
  /** As the server orders them, with what they ask of the bench. */
  protected readonly ordered = this.operations;
  protected readonly own = computed(() => this.operations().some((o) => o.rank !== null));
  private readonly titles = computed(() => new Map(this.operations().map((o) => [o.id, this.line(o)])));
  protected readonly broken = computed(() =>
    brokenRules(this.ordered()).map((b) => ({
      ...b,
      key: `${b.rule} ${b.operations.join(' ')}`,
      text: brokenText(b, (id) => this.titles().get(id)),
      why: RULE_WORDS[b.rule] ?? '',
      waiver: this.work()?.waivers.find((w) => isWaived(b, [w])) ?? null,
    })),
  );
  protected readonly open = computed(() => this.broken().filter((b) => b.waiver === null).length);
  protected readonly rows = computed((): readonly Row[] => {
    const broken = new Set(this.broken().flatMap((b) => (b.waiver ? [] : b.operations)));
    return this.ordered().map((o, i) => ({
      id: o.id,
      ids: [o.id],
      set: null,
      place: String(i + 1),
      title: operationTitle(o),
      line: this.line(o),
      where: this.whereOf()(o),
      minutes: o.minutes,
      wait: o.waitAfter ? durationText(o.waitAfter.minutes) : null,
      byHand: isByHand(o) && o.state !== 'done' && o.state !== 'doing',
      irreversible: isIrreversible(o.kind),
      // what is changed on the bench goes where the work asks for it
      bench: o.source.of === 'job',
      state: STATE_WORDS[o.state],
      done: o.state === 'done',
      broken: broken.has(o.id),
    }));
  });
  private readonly bench = this.store.selectSignal(resultsFeature.selectBench);
  /** What stands in the list: an operation, or like ones at like places that are done step by step together, moved as one. */
  protected readonly units = computed(() => {
    const rows = this.rows();
    const sets = this.bench()?.result.together ?? [];
    const begins = (id: string, at: number): readonly string[] | undefined => sets.find((t) => t[0] === id && t.every((x, i) => rows[at + i]?.id === x));
    const inside = new Set(rows.flatMap((r, i) => begins(r.id, i)?.slice(1) ?? []));
    return rows.flatMap((r, i) => {
      const ids = begins(r.id, i);
      if (inside.has(r.id)) return [];
      return [ids ? this.asSet(rows.slice(i, i + ids.length)) : r];
    });
  });

  private asSet(members: readonly Row[]): Row {
    const [first] = members;
    const o = this.operations().find((x) => x.id === first?.id);
    const wheres = members.map((m) => m.where);
    return {
      ...(first as Row),
      id: `set ${first?.id ?? ''}`,
      ids: members.map((m) => m.id),
      place: `${first?.place ?? ''}–${members.at(-1)?.place ?? ''}`,
      line: o ? operationsTogether(o, wheres, this.unit()) : '',
      where: placesTogether(wheres),
      minutes: members.reduce((sum, m) => sum + m.minutes, 0),
      broken: members.some((m) => m.broken),
      set: members,
    };
  }
  /** The set whose members are looked at one by one. */
  protected readonly opened = signal<string | null>(null);

  protected toggle(id: string): void {
    this.opened.set(this.opened() === id ? null : id);
  }

  protected readonly total = computed(() => this.rows().reduce((s, r) => s + r.minutes, 0));
  protected readonly next = computed(() => this.rows().find((r) => !r.done) ?? null);
  /** Why the selected operation stands where it does. */
  protected readonly reasonsFor = computed(() => {
    const id = this.selected() ?? this.next()?.id ?? null;
    const o = this.operations().find((x) => x.id === id);
    if (!o) return null;
    const word = (op: string): string => this.titles().get(op) ?? '';
    const edges = edgesOf(this.operations());
    const also = LISTS.rules.filter((r) => (r.type === 'gate' || r.type === 'step' || r.type === 'wait' || r.type === 'tidy') && isMeant(LISTS, r.to, o));
    return {
      title: this.line(o),
      after: edges.filter((e) => e.after === o.id).map((e) => ({ key: e.rule + e.before, other: word(e.before), why: RULE_WORDS[e.rule] ?? '' })),
      before: edges.filter((e) => e.before === o.id).map((e) => ({ key: e.rule + e.after, other: word(e.after), why: RULE_WORDS[e.rule] ?? '' })),
      also: [...o.bench.makes.map((m) => BENCH_WORDS[m.of] ?? ''), ...also.map((r) => RULE_WORDS[r.id] ?? '')],
    };
  });

  protected drop(event: CdkDragDrop<unknown>): void {
    const units = [...this.units()];
    moveItemInArray(units, event.previousIndex, event.currentIndex);
    const own = new Set(this.ownIds());
    this.reorder(units.flatMap((u) => u.ids).filter((id) => own.has(id)));
  }

  /** What has a place of its own: the changes of the bench go where the work asks for them. */
  private readonly ownIds = computed(() => this.ordered().flatMap((o) => (o.source.of === 'job' ? [] : [o.id])));
  protected readonly firstOwn = computed(() => this.ownIds()[0]);
  protected readonly lastOwn = computed(() => this.ownIds().at(-1));

  /** One place earlier or later among what has a place of its own; what is done together goes together, and past what is. */
  protected step(moved: readonly string[], by: -1 | 1): void {
    const own = new Set(this.ownIds());
    const whole = this.units().flatMap((u) => (own.has(u.ids[0] ?? '') ? [u.ids] : []));
    const within = whole.find((ids) => ids.length > moved.length && ids.includes(moved[0] ?? ''));
    const units = within ? whole.flatMap((ids) => (ids === within ? ids.map((id) => [id]) : [ids])) : whole;
    const from = units.findIndex((ids) => ids[0] === moved[0]);
    const to = [...units];
    moveItemInArray(to, from, from + by);
    this.reorder(to.flat());
  }

  private reorder(own: readonly string[]): void {
    if (own.join() === this.ownIds().join()) return;
    const bench = this.ordered().flatMap((o) => (o.source.of === 'job' ? [o.id] : []));
    this.run((job) => this.commands.reorder(job, [...own, ...bench]));
  }

  protected byRules(): void {
    this.run((job) => this.commands.reorder(job, []));
  }

  private readonly form = viewChild(OwnWorkForm);
  protected readonly adding = signal(false);
  protected readonly putIn = attempt();
  /** Work of one's own goes into the job. */
  protected async addOwn(written: Written): Promise<void> {
    const job = this.job();
    if (job && (await this.putIn.run(() => this.commands.addOwnWork(job, written)))) {
      this.form()?.clear();
      this.adding.set(false);
    }
  }

  /** What was taken out last: it can be put back. */
  protected readonly takenOut = signal<Written | null>(null);

  protected takeOut(id: string): void {
    const o = this.operations().find((x) => x.id === id);
    this.run(async (job) => {
      await this.commands.takeOwnWorkOut(job, id);
      this.takenOut.set(o?.own ? { kind: o.kind, ...o.own } : null);
    });
  }

  protected putBack(): void {
    const written = this.takenOut();
    if (written)
      this.run(async (job) => {
        await this.commands.addOwnWork(job, written);
        this.takenOut.set(null);
      });
  }

  protected type(key: string, event: Event): void {
    const text = (event.target as HTMLInputElement).value;
    this.reasons.update((r) => ({ ...r, [key]: text }));
  }

  protected accept(event: Event, b: { readonly key: string; readonly rule: string; readonly operations: readonly string[] }): void {
    event.preventDefault();
    const reason = (this.reasons()[b.key] ?? '').trim();
    if (reason === '') {
      this.problem.set('Type a reason for the exception.');
      return;
    }
    this.run((job) => this.commands.acceptBreak(job, b.rule, b.operations, reason));
  }

  private run(act: (job: NonNullable<ReturnType<typeof this.job>>) => Promise<void>): void {
    const job = this.job();
    if (!job) return;
    this.problem.set(null);
    act(job).catch((error: unknown) => this.problem.set(problemText(problemOf(error))));
  }
}
