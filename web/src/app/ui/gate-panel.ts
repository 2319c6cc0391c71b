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
  untracked,
  viewChild,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Router, RouterLink } from '@angular/router';
import { CANNOT_WAIT, clearToCut, confirmKey, ONE_PERSON, overrideKey, type GateItem } from '@rinnovo/core/gate';
import { gateInput, type Clearance, type GateGround, type Said } from '@rinnovo/core/job';
import { needKey } from '@rinnovo/core/work';
import { dateTimeText, GATE_GROUP_WORDS, GATE_GROUPS, gateGroupOf, gateGroupText, gateText, verdictTitle, type Names } from '@rinnovo/words';
import { Drafts } from '../state/drafts';
import { AskOwner, type Answer, type OwnerAsked } from './ask-owner';
import { wayNow } from './gate-way';
import { LengthField } from './length-field';
import { WayBack } from './way-back';

const lacks = (item: GateItem): item is GateItem & { kind: 'need' } => item.kind === 'need' && item.need.has === null;

/** The gate as a page shows it. */
export interface GateShown {
  readonly decided: boolean;
  readonly standing: Clearance | null;
  /** What is open now of what it was given for. */
  readonly lapsed: readonly GateItem[];
  /** What was said then, as far as it still holds. */
  readonly holds: Said | null;
  /** What is asked, and of which decision; null until it is worked out. */
  readonly asked: { readonly decision: string; readonly ground: GateGround } | null;
  /** What is asked is that of the plan on the screen. */
  readonly fresh: boolean;
  readonly names: Names;
  readonly instrument: string;
  readonly busy: boolean;
  /** What stands against clearing it. */
  readonly problem: string | null;
}

/** What was typed and is not sent. */
interface TypedHere {
  readonly reasons: Readonly<Record<string, string>>;
  readonly across: string;
  readonly along: string;
}

const draftName = (decision: string): string => `gate/${decision}`;

/** Clear to cut, or what is missing: the same judgement on Cut and on Bench, enforced by the server. What is said here is said of one decision. */
@Component({
  selector: 'rn-gate-panel',
  imports: [AskOwner, LengthField, MatButtonModule, MatCheckboxModule, MatFormFieldModule, MatInputModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './gate-panel.html',
  styleUrl: './gate-panel.scss',
})
export class GatePanel {
  protected readonly when = dateTimeText;
  readonly gate = input.required<GateShown>();
  readonly owner = input.required<OwnerAsked>();
  readonly cleared = output<Said>();
  readonly agreed = output<Answer>();
  private readonly drafts = inject(Drafts);
  private readonly router = inject(Router);
  private readonly wayBack = inject(WayBack);

  /** What somebody took upon themselves, by key; of another decision nothing of it holds. */
  private readonly of = computed(() => this.gate().asked?.decision ?? null);
  protected readonly reasons = linkedSignal<string | null, Readonly<Record<string, string>>>({
    source: this.of,
    computation: () => untracked(() => Object.fromEntries((this.gate().holds?.accepted ?? []).map((a) => [a.verdict, a.reason]))),
  });
  /** What was read on the print; it stays while the numbers are worked out again. */
  protected readonly printAcross = linkedSignal<string | null, string>({ source: this.of, computation: () => '' });
  protected readonly printAlong = linkedSignal<string | null, string>({ source: this.of, computation: () => '' });
  private readonly acrossField = viewChild<LengthField>('across');
  private readonly alongField = viewChild<LengthField>('along');
  private readonly meant = computed((): Said => {
    const [across, along] = [this.acrossField()?.value() ?? null, this.alongField()?.value() ?? null];
    return {
      accepted: Object.entries(this.reasons()).map(([verdict, reason]) => ({ verdict, reason: reason.trim() })),
      print: across === null || along === null ? (this.gate().holds?.print ?? null) : { across, along },
    };
  });

  protected readonly judged = computed(() => {
    const asked = this.gate().asked;
    return asked && clearToCut(gateInput(asked.ground, this.meant()));
  });
  protected readonly missing = computed(() => {
    const judged = this.judged();
    if (!judged || !this.gate().fresh) return 'Computing what the cut needs …';
    const n = judged.items.filter((i) => !i.ok).length;
    if (n === 0) return 'Everything is ready: clear the cut';
    return n === 1 ? 'One item still open before the cut' : `${n} items still open before the cut`;
  });
  protected readonly rows = computed(() => {
    const verdicts = this.gate().asked?.ground.evaluation.verdicts ?? [];
    const title = (id: string): string => {
      const v = verdicts.find((x) => x.id === id);
      return v ? verdictTitle(v, this.gate().names) : id;
    };
    return (this.judged()?.items ?? []).map((item, i) => ({
      key: `${item.kind} ${i}`,
      group: gateGroupOf(item),
      ok: item.ok,
      text: gateText(item, this.gate().names, title),
      thin: item.kind === 'thin' ? item.verdict : null,
      onePerson: item.kind === 'onePerson' ? ONE_PERSON : null,
      confirm: item.kind === 'confirm' ? confirmKey(item.confirm) : null,
      override: item.kind === 'verdict' ? overrideKey(item.verdict) : lacks(item) ? overrideKey(needKey(item.need)) : null,
      without: item.kind === 'need',
      way: item.ok ? null : wayNow(item, this.gate().instrument),
      asks: item.kind === 'consent' && !item.ok,
      rest: item.kind === 'rest' && !item.ok,
      print: item.kind === 'print',
      off: item.kind === 'print' && item.off.length > 0 ? 'Differs from the plan' : null,
    }));
  });

  /** The rows by what they are, in the order in which they are done; of each group first what is open. */
  protected readonly groups = computed(() =>
    GATE_GROUPS.flatMap((id) => {
      const rows = this.rows().filter((r) => r.group === id);
      const open = rows.filter((r) => !r.ok).length;
      return rows.length === 0 ? [] : [{ id, name: GATE_GROUP_WORDS[id], rows, open, text: gateGroupText(id, open, rows.length) }];
    }),
  );
  protected readonly still = computed(() => this.groups().filter((g) => g.open > 0));
  private readonly thin = computed(() => this.rows().flatMap((r) => r.thin ?? []));
  /** Thin clearances are accepted together, or one by one. */
  protected readonly apart = linkedSignal<string | null, boolean>({ source: this.of, computation: () => false });
  protected readonly together = computed(() => {
    const given = new Set(this.thin().map((v) => this.reasons()[v] ?? ''));
    return given.size === 1 ? ([...given][0] ?? '') : '';
  });

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    effect(() => {
      const of = this.of();
      if (of !== null) void this.bringBack(of);
    });
    // whoever comes back from where something was done finds the same line
    afterRenderEffect(() => {
      if (this.groups().length === 0) return;
      const line = this.wayBack.arrive(this.router.url);
      if (line === null) return;
      const row =
        host.querySelector<HTMLElement>(`[data-line="${CSS.escape(line)}"]`) ??
        host.querySelector<HTMLElement>(`[data-group="${CSS.escape(line.split(' ')[0] ?? '')}"]`);
      row?.scrollIntoView({ block: 'center' });
      row?.focus();
    });
  }

  /** What was typed of a decision and not sent yet; what a hand confirms, it confirms anew. */
  private async bringBack(of: string): Promise<void> {
    const kept = (await this.drafts.of<TypedHere>(draftName(of)))?.kept;
    if (!kept || untracked(this.of) !== of) return;
    this.reasons.update((r) => ({ ...kept.reasons, ...r }));
    if (untracked(this.printAcross) === '') this.printAcross.set(kept.across);
    if (untracked(this.printAlong) === '') this.printAlong.set(kept.along);
  }

  protected keepTyped(): void {
    const of = this.of();
    if (of === null) return;
    const asked = new Set(this.rows().flatMap((r) => r.thin ?? r.onePerson ?? r.override ?? []));
    const reasons = Object.fromEntries(Object.entries(this.reasons()).filter(([key]) => asked.has(key)));
    void this.drafts.keep<TypedHere>(draftName(of), { version: 0, kept: { reasons, across: this.printAcross(), along: this.printAlong() } });
  }

  /** The page that is gone to leads back to this line. */
  protected leave(line: string): void {
    this.wayBack.back.set({ url: this.router.url, word: 'Clear to cut', line });
  }

  protected accept(verdict: string, event: Event): void {
    const reason = (event.target as HTMLInputElement).value;
    this.reasons.update((r) => ({ ...r, [verdict]: reason }));
    this.keepTyped();
  }

  protected acceptAll(event: Event): void {
    const reason = (event.target as HTMLInputElement).value;
    this.reasons.update((r) => ({ ...r, ...Object.fromEntries(this.thin().map((v) => [v, reason])) }));
    this.keepTyped();
  }

  protected cannotWait(): void {
    this.confirm(CANNOT_WAIT, true);
  }

  protected confirm(key: string, checked: boolean): void {
    this.reasons.update((r) => ({ ...r, [key]: checked ? 'confirmed' : '' }));
  }

  /** Says what the rows ask; what was said of rows that are gone is not sent. */
  protected clear(): void {
    const asked = new Set([CANNOT_WAIT, ...this.rows().flatMap((r) => r.thin ?? r.onePerson ?? r.confirm ?? r.override ?? [])]);
    const { accepted, print } = this.meant();
    const of = this.of();
    if (of !== null) void this.drafts.drop(draftName(of));
    this.cleared.emit({ accepted: accepted.filter((a) => a.reason !== '' && asked.has(a.verdict)), print });
  }
}
