import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import {
  amongStrings,
  describePickupPlace,
  hangPickup,
  takeOffPickup,
  withDimension,
  type Anatomy,
  type Face,
  type PickupPosition,
} from '@rinnovo/core/instrument';
import { QUANTITIES } from '@rinnovo/core/quantity';
import { viewFeature } from '../../state/view.feature';
import { LengthField } from '../../ui/length-field';
import { fieldText } from '../../ui/number-fields';
import { STATED_LIMIT } from '../../ui/stated-limit';
import { typedAngle } from './typed-angle';

/** The steepest that a pickup is turned, degrees. */
const STEEPEST = 90;

/** What a pickup can hang in: plates of its face, a bridge last. */
export function platesOn(a: Anatomy, face: Face): readonly { readonly id: string; readonly name: string }[] {
  const here = a.plates.filter((p) => p.face === face);
  return [...here.filter((p) => p.kind !== 'bridge'), ...here.filter((p) => p.kind === 'bridge')].map((p) => ({ id: p.id, name: p.name }));
}

/** How a pickup lies in its place: how far it is turned, and which strings lie over it. What is typed holds at once. */
@Component({
  selector: 'rn-pickup-place',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, LengthField],
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
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Mounting plate</mat-label>
        <mat-select data-field="plate" [value]="place().plate" (valueChange)="hang($event)">
          @for (p of plates(); track p.id) {
            <mat-option [value]="p.id">{{ p.name }}</mat-option>
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
    <p class="acts">
      @if (place().part === null) {
        <button matButton type="button" (click)="takeOff()">Remove the pickup place</button>
      } @else {
        <span class="soft">A pickup is fitted here. The place can hang in another plate, but stays.</span>
      }
    </p>
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

  protected readonly plates = computed(() => {
    const a = this.anatomy();
    const face = a.plates.find((p) => p.id === this.place().plate)?.face;
    return face ? platesOn(a, face) : [];
  });

  protected hang(plate: string): void {
    if (plate !== this.place().plate) this.changed.emit(hangPickup(this.anatomy(), this.place().id, plate));
  }

  protected takeOff(): void {
    this.changed.emit(takeOffPickup(this.anatomy(), this.place().id));
  }

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
