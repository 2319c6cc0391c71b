import type { LedgerEntry, Wrong } from '@rinnovo/core/job';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { overrideKey } from '@rinnovo/core/gate';
import { changedAspects, type Anatomy } from '@rinnovo/core/instrument';
import { hasStarted } from '@rinnovo/core/operation';
import { undoRecipe } from '@rinnovo/core/record';
import type { WayBack } from '@rinnovo/core/remedy';
import {
  CAUSE_WORDS,
  changeTexts,
  labelText,
  lengthText,
  measuredText,
  MISHAP_WORDS,
  loggedStepText,
  placeOfChoice,
  moneyText,
  remedyName,
  SIDE_WORDS,
  undoText,
  WAY_ON_WORDS,
  wayBackText,
  fixed,
  withUnit,
  dateText,
  dateTimeText,
} from '@rinnovo/words';
import { anatomy, ledger, people, photographs } from '../../state/resources';
import { selectJob, selectLeftHanded, selectNames, selectWork } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { drawAnatomy, drawLines, frameOfAnatomy, frameOfPosition, seenFrame, type DrawnPath, type Frame } from '../../ui/drawing';
import { PlanView } from '../../ui/plan-view';

/** Does a way leave something cut behind? */
const cuts = ({ woodCut, partCut, plateCut }: Pick<WayBack, 'woodCut' | 'partCut' | 'plateCut'>): boolean => woodCut || partCut || plateCut;

/** A step that was kept more than a minute after it was done: the server was away, or a clock is wrong. */
const keptLater = ({ done, at }: Pick<LedgerEntry, 'done' | 'at'>): boolean => done !== null && Math.abs(Date.parse(at) - Date.parse(done)) > 60_000;

/** What was done, as found beside as left, and what can be undone; on paper it is the hand-over report. */
@Component({
  selector: 'rn-record-page',
  imports: [MatButtonModule, MatButtonToggleModule, RouterLink, PlanView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './record-page.html',
  styleUrl: './record-page.scss',
})
export class RecordPage {
  private readonly store = inject(Store);
  private readonly held = this.store.selectSignal(anatomy.select);
  private readonly ledger = this.store.selectSignal(ledger.select);
  private readonly photographs = this.store.selectSignal(photographs.select);
  private readonly people = this.store.selectSignal(people.select);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  protected readonly leftHanded = this.store.selectSignal(selectLeftHanded);
  protected readonly job = this.store.selectSignal(selectJob);
  private readonly work = this.store.selectSignal(selectWork);
  /** Every decision of the job: its place, what was chosen and why, and what the owner said to it. */
  protected readonly decisions = computed(() =>
    (this.work()?.decisions ?? []).map((d) => {
      const chosen = d.options.find((o) => o.id === d.option);
      const yes = this.work()?.consents.findLast((c) => c.decision === d.id);
      return {
        id: d.id,
        place: placeOfChoice(d.chosen, this.names()),
        what: chosen ? remedyName(chosen.kind) : '',
        reason: d.reason,
        until: d.undoneAt === null ? null : `Undone ${dateText(d.undoneAt)}.`,
        overrides: (this.work()?.clearances ?? [])
          .filter((c) => c.decision === d.id)
          .flatMap((c) => c.accepted)
          .filter((a) => a.verdict.startsWith(overrideKey('')))
          .map((a) => a.reason),
        stays: (chosen?.stays ?? []).map((u) => undoText(u, this.names())),
        // where nothing is cut, it simply goes back as it was
        back: chosen?.back && cuts(chosen.back) ? wayBackText(chosen.kind, chosen.back, this.names()) : null,
        who: `${this.nameOfPerson(d.person)}, ${dateText(d.at)}`,
        owner: yes
          ? `The owner agreed ${yes.how}, ${dateText(yes.at)}, at ${moneyText(yes.price)}: “${yes.said}”${yes.withdrawn ? `. Withdrawn ${dateText(yes.withdrawn.at)}: “${yes.withdrawn.said}”` : ''}`
          : null,
      };
    }),
  );
  protected readonly view = signal<'left' | 'found'>('left');
  protected readonly whole = signal(false);

  protected readonly now = computed(() => this.held().data?.now ?? null);
  private readonly shown = computed(() => (this.view() === 'left' ? this.held().data?.now : this.held().data?.found) ?? null);
  protected readonly revision = computed(() => this.shown()?.revision ?? 0);
  protected readonly map = computed(() => this.draw(this.shown()?.document ?? null, this.whole()));
  private readonly differences = computed(() => this.held().data?.changes ?? []);
  private readonly fresh = computed(() => new Set(this.differences().flatMap((d) => (d.kind === 'levelAdded' ? [`${d.cavity}/${d.level}`] : []))));
  protected readonly changes = computed(() => {
    const now = this.now();
    return now ? changeTexts(this.differences(), now.document, this.names(), this.unit()) : [];
  });
  protected readonly undo = computed(() => undoRecipe(this.differences()).map((u) => ({ text: undoText(u, this.names()), possible: u.possible })));
  protected readonly entries = computed(() =>
    [...(this.ledger().data ?? [])].reverse().map((e) => ({
      id: e.id,
      when: dateTimeText(e.done ?? e.at),
      kept: keptLater(e) ? dateTimeText(e.at) : '',
      unjudged: e.unjudged && { why: e.unjudged.why, looked: e.unjudged.looked && { ...e.unjudged.looked, who: this.nameOfPerson(e.unjudged.looked.person) } },
      who: this.nameOfPerson(e.person),
      what: loggedStepText(e.kind, e.step),
      wrong: e.outcome === 'wentWrong',
      note: e.note,
      mishap: e.wrong ? this.mishapSaid(e.wrong) : '',
      lesson: e.wrong?.lesson ?? '',
      minutes: e.minutes === null ? '' : withUnit(fixed(e.minutes, 1), 'min'),
      pictures: (this.photographs().data ?? []).filter((p) => p.operation === e.operation && p.step === e.step),
      read: e.measured ? measuredText(e.measured, this.unit()) : '',
      numbers: Object.entries(e.numbers)
        .map(([label, value]) => `${labelText(label)} ${lengthText(value, this.unit(), 1)}`)
        .join(', '),
      takenBack: e.takenBack && { ...e.takenBack, who: this.nameOfPerson(e.takenBack.person), when: dateTimeText(e.takenBack.at) },
      revision: changedAspects(e.before, e.after).length === 0 ? '' : `revision ${e.before.anatomy} → ${e.after.anatomy}`,
    })),
  );
  /** Work of a decision has begun: its way back can be ordered. */
  protected readonly begun = computed(() => (this.work()?.operations ?? []).some(hasStarted));
  protected readonly fit = computed(() => ['/i', this.held().of ?? '', 'fit']);
  protected readonly title = computed(() => this.job()?.title ?? '');
  protected readonly file = computed(() => `/api/instruments/${this.held().of ?? ''}/passport`);

  /** What went wrong, how far it went, where it comes from and what was done about it. */
  private mishapSaid({ mishap, flaw, cause, way }: Wrong): string {
    const far = flaw ? `${lengthText(flaw.by, this.unit())}${flaw.side ? ` ${SIDE_WORDS[flaw.side]}` : ''}` : '';
    const said = [MISHAP_WORDS[mishap], far, cause ? CAUSE_WORDS[cause].toLowerCase() : ''].filter(Boolean).join(', ');
    return `${said}.${way ? ` ${WAY_ON_WORDS[way]}` : ''}`;
  }

  private nameOfPerson(id: string): string {
    return this.people().data?.find((p) => p.id === id)?.name ?? '';
  }

  /** One state to scale: all of it, or the first place where a pickup sits; what is new stands out. */
  private draw(a: Anatomy | null, whole: boolean): { readonly paths: readonly DrawnPath[]; readonly lines: readonly DrawnPath[]; readonly frame: Frame } {
    if (!a) return { paths: [], lines: [], frame: { x: 0, y: 0, width: 100, height: 100 } };
    const position = a.positions[0]?.id;
    const frame = seenFrame(whole || position === undefined ? frameOfAnatomy(a) : frameOfPosition(a, position), this.leftHanded());
    const isNew = (p: DrawnPath): boolean => p.kind === 'cavity' && this.fresh().has(p.id);
    return { paths: drawAnatomy(a, 'top').map((p) => (isNew(p) ? { ...p, kind: 'planned' as const } : p)), lines: drawLines(a, frame), frame };
  }
}
