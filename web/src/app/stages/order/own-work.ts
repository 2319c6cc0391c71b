import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { LISTS } from '@rinnovo/core/house/lists';
import { BY_HAND, phaseOf, PHASES, type OperationKind, type OwnWork, type Phase } from '@rinnovo/core/operation';
import type { PlannedOperation } from '@rinnovo/core/work';
import { operationName, operationTitle, upperFirst } from '@rinnovo/words';
import { standing } from '../../ui/form-values';

/** Work to be put into the job, as it was typed. */
export interface Written extends OwnWork {
  readonly kind: OperationKind;
}

/** Work of one's own: a plain line or a kind of work that changes nothing, how long it takes and rests, and after and before what. */
@Component({
  selector: 'rn-own-work',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, ReactiveFormsModule],
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

  protected readonly form = new FormGroup({
    kind: new FormControl<OperationKind>(BY_HAND, { nonNullable: true }),
    line: new FormControl('', { nonNullable: true }),
    minutes: new FormControl('15', { nonNullable: true }),
    wait: new FormControl('0', { nonNullable: true }),
    after: new FormControl<string | null>(null),
    before: new FormControl<string | null>(null),
  });
  protected readonly is = standing(this.form);
  /** Chosen by hand; else the stage of what it comes after, or of its kind. */
  private readonly chosen = signal<Phase | null>(null);
  protected readonly phase = computed((): Phase => {
    const after = this.operations().find((o) => o.id === this.is().after);
    return this.chosen() ?? (after ? phaseOf(LISTS, after) : phaseOf(LISTS, { kind: this.is().kind }));
  });
  /** It was sent with something missing. */
  protected readonly sent = signal(false);
  protected readonly noLine = computed(() => this.is().kind === BY_HAND && this.is().line.trim() === '');
  protected readonly noMinutes = computed(() => minutesIn(this.is().minutes, MOST) === null);
  protected readonly noWait = computed(() => minutesIn(this.is().wait, MOST_WAIT) === null);

  protected stage(phase: Phase): void {
    this.chosen.set(phase);
  }

  protected add(): void {
    const { kind, line, after, before, ...typed } = this.form.getRawValue();
    const [minutes, wait] = [minutesIn(typed.minutes, MOST), minutesIn(typed.wait, MOST_WAIT)];
    this.sent.set(true);
    if (this.noLine() || minutes === null || wait === null) return;
    const list = (id: string | null): readonly string[] => (id === null ? [] : [id]);
    this.written.emit({ kind, line: line.trim(), minutes, wait, phase: this.phase(), after: list(after), before: list(before) });
  }

  /** It is in the job: the form is as it was at first, but for the kind of work. */
  clear(): void {
    this.form.reset({ kind: this.is().kind });
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
