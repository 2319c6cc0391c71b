import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { LISTS } from '@rinnovo/core/house/lists';
import { BY_HAND, phaseOf, PHASES, type OperationKind, type OwnWork, type Phase } from '@rinnovo/core/operation';
import type { PlannedOperation } from '@rinnovo/core/work';
import { operationName, operationTitle, upperFirst } from '@rinnovo/words';

/** Work to be put into the job, as it was typed. */
export interface Written extends OwnWork {
  readonly kind: OperationKind;
}

/** Work of one's own: a plain line or a kind of work that changes nothing, how long it takes and rests, and after and before what. */
@Component({
  selector: 'rn-own-work',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './own-work.html',
  styleUrl: './own-work.scss',
})
export class OwnWorkForm {
  /** The work that it can come after and before, in order. */
  readonly operations = input.required<readonly PlannedOperation[]>();
  readonly busy = input(false);
  /** What stands against keeping it. */
  readonly problem = input<string | null>(null);
  readonly written = output<Written>();
  readonly cancelled = output();

  protected readonly line = BY_HAND;
  protected readonly kinds = Object.values(LISTS.operations)
    .flatMap((o) => (o.byHand === true && o.kind !== BY_HAND ? [{ kind: o.kind, name: operationName(o.kind) }] : []))
    .sort((a, b) => a.name.localeCompare(b.name));
  protected readonly phases = PHASES.map((phase) => ({ phase, name: upperFirst(phase) }));
  protected readonly choices = computed(() =>
    this.operations().flatMap((o) => (o.source.of === 'job' ? [] : [{ id: o.id, name: operationTitle(o), done: o.state === 'done' }])),
  );
  protected readonly open = computed(() => this.choices().filter((o) => !o.done));

  protected readonly kind = signal<OperationKind>(BY_HAND);
  protected readonly text = signal('');
  protected readonly minutes = signal('15');
  protected readonly wait = signal('0');
  protected readonly after = signal<string | null>(null);
  protected readonly before = signal<string | null>(null);
  /** Chosen by hand; else the stage of what it comes after, or of its kind. */
  private readonly chosen = signal<Phase | null>(null);
  protected readonly phase = computed((): Phase => {
    const after = this.operations().find((o) => o.id === this.after());
    return this.chosen() ?? (after ? phaseOf(LISTS, after) : phaseOf(LISTS, { kind: this.kind() }));
  });
  /** It was sent with something missing. */
  protected readonly sent = signal(false);
  protected readonly noLine = computed(() => this.kind() === BY_HAND && this.text().trim() === '');
  protected readonly noMinutes = computed(() => minutesIn(this.minutes(), MOST) === null);
  protected readonly noWait = computed(() => minutesIn(this.wait(), MOST_WAIT) === null);

  protected type(into: { set: (text: string) => void }, event: Event): void {
    into.set((event.target as HTMLInputElement).value);
  }

  protected stage(phase: Phase): void {
    this.chosen.set(phase);
  }

  protected add(event: Event): void {
    event.preventDefault();
    const [minutes, wait] = [minutesIn(this.minutes(), MOST), minutesIn(this.wait(), MOST_WAIT)];
    this.sent.set(true);
    if (this.noLine() || minutes === null || wait === null) return;
    const [after, before] = [this.after(), this.before()];
    this.written.emit({
      kind: this.kind(),
      line: this.text().trim(),
      minutes,
      wait,
      phase: this.phase(),
      after: after === null ? [] : [after],
      before: before === null ? [] : [before],
    });
  }

  /** It is in the job: the form is as it was at first. */
  clear(): void {
    this.text.set('');
    this.minutes.set('15');
    this.wait.set('0');
    this.after.set(null);
    this.before.set(null);
    this.chosen.set(null);
    this.sent.set(false);
  }
}

const MOST = 6000;
const MOST_WAIT = 100_000;

/** Whole minutes, or null where it is none. */
function minutesIn(text: string, most: number): number | null {
  const t = text.trim();
  const value = Number(t.replace(',', '.'));
  return t !== '' && Number.isFinite(value) && value >= 0 && value <= most ? Math.round(value) : null;
}
