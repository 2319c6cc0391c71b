import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { Store } from '@ngrx/store';
import { dimensionAt, drawAsRead, offDrawing, targetsOf, type Face, isFounded } from '@rinnovo/core/instrument';
import { restsOn, restsTwiceOn } from '@rinnovo/core/gate';
import { isMeasured } from '@rinnovo/core/measure';
import { secondReading, stillStanding, targetKey, type Reading, type Target } from '@rinnovo/core/quantity';
import { targetText, upperFirst, lengthText, fixed } from '@rinnovo/words';
import { anatomyEditActions, anatomyEditFeature } from '../../state/anatomy-edit.feature';
import { anatomy as heldAnatomy, readings } from '../../state/resources';
import { selectAnatomy, selectLeftHanded, selectNames, selectRested } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { drawAnatomy, drawLines, frameOfAnatomy, seenFrame } from '../../ui/drawing';
import { PlanView } from '../../ui/plan-view';
import { ReadingEntry } from './reading-entry';
import { SurveyNav } from './survey-nav';

const STATE = {
  none: { sign: '?', word: 'not read' },
  one: { sign: '◐', word: 'read once' },
  agree: { sign: '●', word: 'two readings agree' },
  disagree: { sign: '✕', word: 'readings do not agree' },
} as const;

/** The map to scale and the readings: first what the planned cut rests on. */
@Component({
  selector: 'rn-survey-page',
  imports: [MatButtonModule, MatButtonToggleModule, PlanView, ReadingEntry, SurveyNav],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './survey-page.html',
  styleUrl: './survey-page.scss',
})
export class SurveyPage {
  private readonly store = inject(Store);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly edit = this.store.selectSignal(anatomyEditFeature.selectAnatomyEditState);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly leftHanded = this.store.selectSignal(selectLeftHanded);
  private readonly verdicts = this.store.selectSignal(selectRested);
  private readonly held = this.store.selectSignal(readings.select);
  private readonly names = this.store.selectSignal(selectNames);

  /** The quantity that somebody came here to measure. */
  readonly measure = input<string>();

  protected readonly face = signal<Face>('top');
  protected readonly open = linkedSignal<string | undefined, string | null>({ source: this.measure, computation: (key) => key ?? null });

  protected readonly mirrored = computed(() => this.leftHanded() !== (this.face() === 'back'));
  protected readonly paths = computed(() => {
    const a = this.anatomy();
    return a ? drawAnatomy(a, this.face()) : [];
  });
  protected readonly frame = computed(() => {
    const a = this.anatomy();
    const f = a ? frameOfAnatomy(a) : { x: 0, y: 0, width: 100, height: 100 };
    return seenFrame(f, this.mirrored());
  });
  protected readonly lines = computed(() => {
    const a = this.anatomy();
    return a ? drawLines(a, this.frame()) : [];
  });
  protected readonly selected = computed(() => {
    const row = [...this.needed(), ...this.others()].find((r) => r.key === this.open());
    if (!row) return null;
    const { feature, part, quantity } = row.target;
    return quantity === 'levelDepth' || (part !== undefined && !this.anatomy()?.plates.some((p) => p.id === feature))
      ? `${feature}/${part ?? ''}`
      : (part ?? feature);
  });
  /** What the cut rests on, the gravest verdict's first. */
  private readonly work = computed((): readonly string[] => {
    const a = this.anatomy();
    return a ? restsOn(this.verdicts(), a).map(targetKey) : [];
  });
  /** What of it is read twice: one hurried reading of it could change what is said. */
  private readonly twice = computed(() => {
    const a = this.anatomy();
    return new Set(a ? restsTwiceOn(this.verdicts(), a).map(targetKey) : []);
  });
  private readonly rows = computed(() => {
    const a = this.anatomy();
    return a ? targetsOf(a).map((t) => this.row(t)) : [];
  });
  /**
   * Nearest verdict first, and what comes later behind it: a list that is sorted anew under the hand takes the focus away.
   * What is open stays while it is, also where no verdict asks for it for a moment, as while its value is hidden: what is typed in it would be gone.
   */
  private readonly order = linkedSignal<{ readonly now: readonly string[]; readonly open: string | null }, readonly string[]>({
    source: () => ({ now: this.work(), open: this.open() }),
    computation: ({ now, open }, before) => {
      const stays = (before?.value ?? []).filter((key) => now.includes(key) || key === open);
      return [...stays, ...now.filter((key) => !stays.includes(key))];
    },
  });
  protected readonly needed = computed(() => {
    const rows = new Map(this.rows().map((r) => [r.key, r]));
    return this.order().flatMap((key) => rows.get(key) ?? []);
  });
  protected readonly others = computed(() => this.rows().filter((r) => !this.order().includes(r.key)));
  protected readonly ready = computed(() => this.needed().filter((r) => r.enough).length);
  /** First what was never read, then what a second reading is to bear out. */
  protected readonly next = computed(() => this.openRows()[0] ?? null);
  private readonly openRows = computed(() => {
    const open = this.needed().filter((r) => !r.enough);
    return [...open.filter((r) => r.state === 'none'), ...open.filter((r) => r.state !== 'none')];
  });

  /** After one reading the hand goes on to the next. */
  protected goOn(key: string, said: string | null): void {
    if (said === 'disagree') return;
    const left = this.openRows().filter((r) => r.key !== key);
    const again = said === null && this.needed().some((r) => r.key === key && r.twice) ? key : null;
    this.open.set((left.find((r) => r.state === 'none') ?? left[0])?.key ?? again);
  }

  /** Draws an outline as wide as it was read. */
  protected draw(target: Target): void {
    // on top of what was changed a moment ago and is not kept yet
    const from = this.edit().draft ?? this.anatomy();
    const { of } = this.store.selectSignal(heldAnatomy.select)();
    if (from && of !== null) this.store.dispatch(anatomyEditActions.edited({ of, from, to: drawAsRead(from, target) }));
  }

  protected toggle(key: string): void {
    this.open.set(this.open() === key ? null : key);
  }

  private row(target: Target) {
    const a = this.anatomy();
    const found = a ? dimensionAt(a, target) : { exists: false as const };
    const d = found.exists ? found.dimension : null;
    const second = secondReading(target, (this.held().data ?? []) as readonly Reading[]);
    const state = second.state;
    const key = targetKey(target);
    const asked = state === 'one' && this.open() === key && this.twice().has(key);
    const hidden = asked || second.readings.some((r) => (r.value as number | null) === null);
    return {
      key,
      target,
      state,
      ...STATE[state],
      title: upperFirst(targetText(target, this.names())),
      // while a second reading cannot see the first, nobody does: neither its value nor what the drawing is off by
      value: hidden ? 'hidden' : d ? `${lengthText(d.value, this.unit())} ± ${fixed(d.limit, 2)}` : '—',
      off: hidden || (state === 'one' && this.twice().has(key)) ? null : this.offText(target),
      typical: d === null || isMeasured(d) ? null : d.basis.kind === 'default' ? 'typical' : 'stated',
      count: second.readings.length,
      twice: this.twice().has(targetKey(target)),
      // of an outline that is drawn nothing need be read where a misreading changed nothing
      enough: this.twice().has(targetKey(target))
        ? state === 'agree'
        : state !== 'disagree' && (d === null || isFounded(d, target, stillStanding(second.readings))),
    };
  }

  private offText(target: Target): string | null {
    const a = this.anatomy();
    const off = a && offDrawing(a, target);
    return off ? `Drawn ${lengthText(off.drawn, this.unit())}. Use ${lengthText(off.read, this.unit())} in the drawing` : null;
  }
}
