import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  linkedSignal,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Store } from '@ngrx/store';
import { inUse } from '@rinnovo/core/part';
import { QUANTITIES, targetKey, type SecondReading, type Target } from '@rinnovo/core/quantity';
import { Connection } from '../../api/connection';
import { Commands, type Coarser } from '../../state/commands';
import { anatomy, people, readings, shop } from '../../state/resources';
import { CoarserLimit, coarserProblem } from '../../ui/coarser-limit';
import { LengthField } from '../../ui/length-field';
import { attempt } from '../../ui/attempt';
import { dateTimeText } from '@rinnovo/words';
import { SecondReading as SecondReadingForm, type BlindData } from './second-reading';

/** One reading to type, and the way to a second one that cannot see the first. */
@Component({
  selector: 'rn-reading-entry',
  imports: [MatButtonModule, MatFormFieldModule, MatSelectModule, CoarserLimit, LengthField, SecondReadingForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Tool</mat-label>
        <mat-select [value]="tool()?.id" (valueChange)="chosen.set($event)">
          @for (t of tools(); track t.id) {
            <mat-option [value]="t.id">{{ t.name }} (± {{ t.limit }})</mat-option>
          }
        </mat-select>
      </mat-form-field>
      @if (state() === 'none') {
        <rn-length-field label="Reading" [(text)]="text" [min]="range().min" [max]="range().max" [refusal]="refusal()" (entered)="keep()" />
        <button matButton="filled" type="button" [disabled]="busy()" (click)="keep()">Save reading</button>
      }
    </div>
    @if (state() === 'none') {
      <rn-coarser-limit [(coarser)]="coarser" />
    } @else if (away()) {
      <p class="soft">A second reading hides the first. It waits until the server answers.</p>
    } @else if (second(); as data) {
      <rn-second-reading [data]="data" (left)="secondEnded($event)" />
    } @else {
      <button matButton="outlined" type="button" [disabled]="busy() || !tool()" (click)="asked.set(true)">
        {{ state() === 'one' ? 'Take a second reading' : 'Take another reading' }}
      </button>
    }
    @if (problem(); as text) {
      <p class="problem" role="alert">{{ text }}</p>
    }
    @if (taken().length > 0 && second() === null) {
      <ul class="soft">
        @for (r of taken(); track r.id) {
          <li>{{ r.raw ?? 'withheld' }} ± {{ r.limit }} · {{ r.toolName }} · {{ r.personName }} · {{ when(r.at) }}{{ r.blind ? ' · blind' : '' }}</li>
        }
      </ul>
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 0.25rem 0.75rem 0.75rem 2.6rem;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 0.75rem;
      align-items: start;
    }
    .row mat-form-field {
      flex: 1 1 12rem;
    }
    .row rn-length-field {
      flex: 1 1 8rem;
    }
    .row button {
      margin-block-start: 0.4rem;
    }
    ul {
      margin: 0.25rem 0 0;
      padding-inline-start: 1rem;
    }
  `,
})
export class ReadingEntry {
  protected readonly when = dateTimeText;
  readonly target = input.required<Target>();
  readonly state = input.required<SecondReading['state']>();
  readonly title = input.required<string>();
  /** The rule asks for a second reading of it: it is asked for at once. */
  readonly twice = input(false);
  /** A reading is kept: a second one where it is said what the two say of one another. */
  readonly kept = output<string | null>();

  private readonly store = inject(Store);
  private readonly commands = inject(Commands);
  private readonly toast = inject(MatSnackBar);
  private readonly field = viewChild(LengthField);
  private readonly shop = this.store.selectSignal(shop.select);
  private readonly people = this.store.selectSignal(people.select);
  private readonly held = this.store.selectSignal(readings.select);

  protected readonly tools = computed(() => inUse(this.shop().data?.tools ?? []));
  protected readonly chosen = linkedSignal<string | null>(() => {
    const depth = this.target().quantity === 'levelDepth';
    return (this.tools().find((t) => t.kind === (depth ? 'depth gauge' : 'calliper')) ?? this.tools()[0])?.id ?? null;
  });
  protected readonly tool = computed(() => this.tools().find((t) => t.id === this.chosen()) ?? null);
  protected readonly text = signal('');
  protected readonly coarser = signal<Coarser | null>(null);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly refusal = signal<string | null>(null);
  protected readonly problem = this.attempt.problem;
  protected readonly range = computed(() => QUANTITIES[this.target().quantity]);
  protected readonly taken = computed(() => {
    const key = targetKey(this.target());
    return (this.held().data ?? [])
      .filter((r) => targetKey(r.target) === key)
      .map((r) => ({
        ...r,
        toolName: this.tools().find((t) => t.id === r.tool)?.name ?? '',
        personName: this.people().data?.find((p) => p.id === r.person)?.name ?? '',
      }));
  });

  /** A second reading is under way, or asked for. */
  protected readonly asked = linkedSignal(() => this.twice() && this.state() === 'one');
  protected readonly second = computed((): BlindData | null => {
    const tool = this.tool();
    return this.asked() && this.state() !== 'none' && tool && !this.away()
      ? { instrument: this.instrument, target: this.target(), title: this.title(), tool }
      : null;
  });

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    // whoever opens it has the tool in the hand: the field is next
    afterRenderEffect(() => {
      if (this.state() === 'none') host.querySelector<HTMLElement>('rn-length-field input')?.focus();
    });
  }

  private readonly connection = inject(Connection);
  protected readonly away = computed(() => this.connection.current() === 'away');

  private get instrument(): string {
    return this.store.selectSignal(anatomy.select)().of ?? '';
  }

  protected async keep(): Promise<void> {
    const value = this.field()?.value() ?? null;
    const tool = this.tool();
    if (value === null || !tool) {
      this.refusal.set('Type the reading');
      return;
    }
    const unsaid = coarserProblem(this.coarser());
    if (unsaid) {
      this.problem.set(unsaid);
      return;
    }
    await this.run(async () => {
      await this.commands.takeReading(this.instrument, this.target(), { value, raw: this.text().trim(), tool, coarser: this.coarser() }, null);
      this.toast.open(`Saved: ${this.title()}`, undefined, { duration: 4000 });
      this.kept.emit(null);
    });
  }

  protected secondEnded(said: string | null): void {
    this.asked.set(false);
    if (said === null) return;
    const words = said === 'agree' ? 'The two readings agree' : 'The two readings disagree. Measure again.';
    this.toast.open(`${this.title()}: ${words}`, undefined, { duration: 6000 });
    this.kept.emit(said);
  }

  private async run(act: () => Promise<void>): Promise<void> {
    this.refusal.set(null);
    await this.attempt.run(act);
  }
}
