import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { amongStrings, describePickupPlace, type Anatomy, type PickupPosition } from '@rinnovo/core/instrument';
import { typedAngle } from './typed-angle';

/** The steepest that a pickup is turned, degrees. */
const STEEPEST = 90;

/** How a pickup lies in its place: how far it is turned, and which strings lie over it. What is typed holds at once. */
@Component({
  selector: 'rn-pickup-place',
  imports: [MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="grid">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Turn of the pickup</mat-label>
        <input
          matInput
          inputmode="decimal"
          autocomplete="off"
          data-field="turn"
          [value]="turn()"
          (input)="turn.set(typed($event))"
          (change)="put()"
          (keydown.enter)="$event.preventDefault(); put()"
        />
        <span matTextSuffix>°</span>
        @if (angle().problem; as text) {
          <mat-hint class="problem" role="alert">{{ text }}</mat-hint>
        } @else {
          <mat-hint>Positive: the treble end nearer to the bridge</mat-hint>
        }
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>{{ courses() ? 'Courses above it' : 'Strings above it' }}</mat-label>
        <mat-select data-field="strings" [value]="over()" (valueChange)="put($event)">
          @for (o of choices(); track o.id) {
            <mat-option [value]="o.id">{{ o.word }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
    </div>
  `,
  styleUrl: './feature-form.scss',
})
export class PickupPlace {
  readonly anatomy = input.required<Anatomy>();
  readonly place = input.required<PickupPosition>();
  readonly changed = output<Anatomy>();

  private readonly held = computed(() => String(this.place().turn ?? 0));
  protected readonly turn = linkedSignal(() => this.held());
  protected readonly angle = computed(() => typedAngle(this.turn(), STEEPEST));
  protected readonly courses = computed(() => this.anatomy().strings.courses !== undefined);
  protected readonly over = computed(() => (this.place().strings ?? []).join(' '));

  /** All strings, or some that lie beside one another: the highest first. */
  protected readonly choices = computed(() => {
    const n = amongStrings(this.anatomy().strings, true).length;
    const pairs = Array.from({ length: n }, (_, i) => i + 1).flatMap((from) =>
      Array.from({ length: n - from }, (_, i) => from + i + 1).flatMap((to) => (to - from + 1 < n ? [{ id: `${from} ${to}`, word: `${from} to ${to}` }] : [])),
    );
    return [{ id: '', word: 'all' }, ...pairs];
  });

  protected typed(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected put(over = this.over()): void {
    const { value } = this.angle();
    if (value === null) return;
    const [from, to] = over.split(' ').map(Number);
    this.changed.emit(describePickupPlace(this.anatomy(), this.place().id, { turn: value, strings: from && to ? [from, to] : null }));
  }
}
