import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, viewChild } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { amongStrings, describePickupPlace, withDimension, type Anatomy, type PickupPosition } from '@rinnovo/core/instrument';
import { QUANTITIES } from '@rinnovo/core/quantity';
import { viewFeature } from '../../state/view.feature';
import { LengthField } from '../../ui/length-field';
import { fieldText } from '../../ui/number-fields';
import { STATED_LIMIT } from '../../ui/stated-limit';
import { typedAngle } from './typed-angle';

/** The steepest that a pickup is turned, degrees. */
const STEEPEST = 90;

/** How a pickup lies in its place: how far it is turned, and which strings lie over it. What is typed holds at once. */
@Component({
  selector: 'rn-pickup-place',
  imports: [MatFormFieldModule, MatInputModule, MatSelectModule, LengthField],
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
      @if (heightRead()) {
        <p class="soft">A tool read how high the strings are here. Measure again in Survey.</p>
      } @else {
        <rn-length-field
          label="Strings over the face here, held at the last fret"
          [(text)]="height"
          [min]="range.min"
          [max]="range.max"
          data-field="stringHeight"
          (entered)="putHeight()"
          (focusout)="putHeight()"
        />
      }
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
  protected readonly range = QUANTITIES.stringHeight;
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  private readonly heightField = viewChild(LengthField);
  private readonly heightHeld = computed(() => fieldText(this.place().stringHeight?.value ?? NaN, this.unit()));
  protected readonly heightRead = computed(() => this.place().stringHeight?.basis.kind === 'readings');
  protected readonly height = linkedSignal(() => this.heightHeld());
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

  protected putHeight(): void {
    const value = this.heightField()?.value() ?? null;
    if (this.height() === this.heightHeld() || (value === null && this.height().trim() !== '')) return;
    const dimension = value === null ? null : ({ value, limit: STATED_LIMIT, basis: { kind: 'stated' } } as const);
    this.changed.emit(withDimension(this.anatomy(), { quantity: 'stringHeight', feature: this.place().id }, dimension));
  }

  protected put(over = this.over()): void {
    const { value } = this.angle();
    if (value === null) return;
    const [from, to] = over.split(' ').map(Number);
    this.changed.emit(describePickupPlace(this.anatomy(), this.place().id, { turn: value, strings: from && to ? [from, to] : null }));
  }
}
