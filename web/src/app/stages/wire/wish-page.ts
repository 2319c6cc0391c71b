import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, signal, untracked } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatProgressBarModule } from '@angular/material/progress-bar';
import { MatSelectModule } from '@angular/material/select';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { isPickup, pickupIn } from '@rinnovo/core/part';
import {
  heardIn,
  ledOutOf,
  pickupElement,
  presetCircuit,
  presetsFor,
  unsaid,
  usualWish,
  wishOf,
  wishProblems,
  type Circuit,
  type CircuitWish,
  type LedOut,
  type PickupElement,
  type Solution,
} from '@rinnovo/core/wire';
import { becauseText, differenceText, fixed, lugName, mendText, rowText, solutionText, upperFirst, wishProblemText } from '@rinnovo/words';
import { circuitDifferences } from '@rinnovo/core/wire';
import { buildCircuit, type Build } from '../../../workers/build-client';
import type { BuildAnswer } from '../../../workers/build-messages';
import { Drafts } from '../../state/drafts';
import { circuit as circuitResource } from '../../state/resources';
import { selectAnatomy, selectCircuit, selectLeftHanded, selectNames, selectParts } from '../../state/selectors';
import { circuitDraft, wishDraft } from './wire-drafts';
import { WireNav } from './wire-nav';
import { WishMatrix } from './wish-matrix';
import { WishParts } from './wish-parts';

/** So many changes can be undone. */
const MOST_UNDONE = 50;

/** What each position shall do, and the circuits that do it. */
@Component({
  selector: 'rn-wish-page',
  imports: [MatButtonModule, MatFormFieldModule, MatProgressBarModule, MatSelectModule, WireNav, WishMatrix, WishParts],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wish-page.html',
  styleUrl: './wish-page.scss',
})
export class WishPage {
  private readonly store = inject(Store);
  private readonly drafts = inject(Drafts);
  private readonly router = inject(Router);
  private readonly held = this.store.selectSignal(circuitResource.select);
  private readonly kept = this.store.selectSignal(selectCircuit);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly parts = this.store.selectSignal(selectParts);
  private readonly leftHanded = this.store.selectSignal(selectLeftHanded);
  protected readonly names = this.store.selectSignal(selectNames);
  protected readonly title = upperFirst;

  protected readonly wish = signal<CircuitWish | null>(null);
  private readonly before = signal<readonly CircuitWish[]>([]);
  protected readonly canUndo = computed(() => this.before().length > 0);
  /** What could not be read from the circuit that it began from. */
  protected readonly unread = signal<readonly string[]>([]);
  private build: Build | null = null;
  protected readonly busy = signal(false);
  protected readonly answer = signal<BuildAnswer | null>(null);
  /** Another circuit is under Circuit and not saved yet: it is not overwritten. */
  protected readonly inTheWay = signal(false);

  /** The pickups: those of the circuit, else those that are drawn, as their parts say or as they usually are. */
  private readonly pickups = computed((): readonly PickupElement[] => {
    const wired = this.kept()?.elements.filter((e): e is PickupElement => e.kind === 'pickup') ?? [];
    if (wired.length > 0) return wired;
    const positions = [...(this.anatomy()?.positions ?? [])].sort((a, b) => a.at.y - b.at.y);
    return positions.map((p) => {
      const part = pickupIn(this.parts(), p.part);
      return pickupElement(p.id, p.id, part ? { part } : { kind: 'single-coil' });
    });
  });
  protected readonly presets = computed(() => presetsFor(this.pickups()));
  protected readonly isWired = computed(() => this.kept() !== null);
  protected readonly problems = computed(() => {
    const w = this.wish();
    return w ? wishProblems(w).map((p) => wishProblemText(w, p, this.names())) : [];
  });
  /** Positions in which nothing is heard: meant or forgotten. */
  protected readonly silent = computed(() => {
    const w = this.wish();
    return w ? w.rows.filter((r) => heardIn(r.voice).length === 0).map((r) => rowText(w, r, this.names())) : [];
  });
  protected readonly tries = computed(() => {
    const a = this.answer();
    return a?.kind === 'tries' ? `${fixed(a.tries, 0)} ways tried${a.asking === 'why not' ? ', looking for what would do' : ''}` : 'Begun';
  });
  protected readonly solutions = computed(() => {
    const [a, w] = [this.answer(), this.wish()];
    if (a?.kind !== 'built' || !w) return null;
    return a.built.solutions.map((solution) => ({
      solution,
      text: solutionText(w, solution, this.names()),
      joints: this.jointsOf(solution.circuit),
      back: this.backOf(solution),
    }));
  });
  protected readonly why = computed(() => {
    const [a, w] = [this.answer(), this.wish()];
    if (a?.kind !== 'impossible' || !w) return null;
    const { rows, changes, whole } = a.why;
    const because = [...new Set(changes.filter((c) => c.length === 1).flatMap((c) => c.map((x) => becauseText(w, x, this.names()))))];
    return {
      proved: a.built.whole,
      because,
      rows: rows.flatMap((i) => w.rows[i] ?? []).map((r) => rowText(w, r, this.names())),
      would: changes.map((c) => upperFirst(c.map((x) => mendText(w, x, this.names())).join(', and '))),
      whole,
    };
  });

  constructor() {
    // a wish that was left comes back; nothing of what is kept elsewhere hangs on it
    effect(() => {
      const { of } = this.held();
      if (of === null) return;
      void this.drafts.of<CircuitWish>(wishDraft(of)).then((d) => {
        if (d && untracked(this.wish) === null) this.wish.set(d.kept);
      });
    });
    inject(DestroyRef).onDestroy(() => this.build?.cancel());
  }

  protected begin(from: string): void {
    const preset = this.presets().find((p) => p.id === from);
    const wired = this.kept();
    const circuit = preset ? presetCircuit(preset.id, { ...usualWish(this.pickups()), leftHanded: this.leftHanded() }) : wired;
    if (!circuit) return;
    const { wish, unsaid: lost } = wishOf(circuit, this.ledOut());
    this.hold(from === 'empty' ? unsaid(wish) : wish);
    this.unread.set(lost.map((at) => rowText(wish, { at }, this.names())));
  }

  /** How the pickups' coils come out of them, where their parts tell it. */
  private ledOut(): Readonly<Record<string, LedOut>> {
    return Object.fromEntries(
      this.pickups().flatMap((p) => {
        const part = p.part === null ? undefined : this.parts()[p.part];
        return part && isPickup(part) && p.coils.length > 1 ? [[p.id, ledOutOf(part)] as const] : [];
      }),
    );
  }

  protected change(wish: CircuitWish): void {
    const was = this.wish();
    if (was) this.before.update((b) => [...b.slice(1 - MOST_UNDONE), was]);
    this.hold(wish);
  }

  protected undo(): void {
    const last = this.before().at(-1);
    if (!last) return;
    this.before.update((b) => b.slice(0, -1));
    this.hold(last);
  }

  private hold(wish: CircuitWish): void {
    this.cancel();
    this.answer.set(null);
    this.inTheWay.set(false);
    this.wish.set(wish);
    const { of, version } = this.held();
    if (of !== null) void this.drafts.keep(wishDraft(of), { version: version ?? 0, kept: wish });
  }

  protected again(): void {
    this.cancel();
    this.answer.set(null);
    this.wish.set(null);
    this.before.set([]);
    this.unread.set([]);
    const { of } = this.held();
    if (of !== null) void this.drafts.drop(wishDraft(of));
  }

  protected start(): void {
    const wish = this.wish();
    if (!wish || this.problems().length > 0) return;
    this.cancel();
    this.answer.set(null);
    this.busy.set(true);
    this.build = buildCircuit(wish, (a) => {
      this.answer.set(a);
      if (a.kind !== 'tries') this.busy.set(false);
    });
  }

  protected cancel(): void {
    this.build?.cancel();
    this.build = null;
    this.busy.set(false);
  }

  /** The circuit goes to the page of circuits, where it is looked at, compared, and saved once it is soldered. */
  protected async use({ circuit }: Solution): Promise<void> {
    const { of, version } = this.held();
    if (of === null) return;
    const there = await this.drafts.of<Circuit>(circuitDraft(of));
    this.inTheWay.set(there !== null && JSON.stringify(there.kept) !== JSON.stringify(circuit));
    if (this.inTheWay()) return;
    await this.drafts.keep(circuitDraft(of), { version: version ?? 0, kept: circuit });
    await this.router.navigate(['/i', of, 'wire', 'circuit']);
  }

  private jointsOf(circuit: Circuit): readonly string[] {
    return circuit.joints.map(({ a, b }) => `${lugName(circuit, a, this.names())} to ${lugName(circuit, b, this.names())}`);
  }

  /** What is otherwise than as it is wired; null: nothing is wired yet. */
  private backOf({ circuit }: Solution): readonly string[] | null {
    const now = this.kept();
    return now && circuitDifferences(now, circuit).map((d) => differenceText(now, circuit, d, this.names()));
  }
}
