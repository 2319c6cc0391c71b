import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { changeOpening, openingShape, redrawOpening, type Anatomy, seenSide } from '@rinnovo/core/instrument';
import { filledFrom, lengthsOf, wholeLengths } from '../../ui/form-values';
import { LengthField } from '../../ui/length-field';
import { askOutline } from '../../ui/outline/ask-outline';
import { placeFields, resized, sizeFields } from '../../ui/number-fields';
import { NOT_BLANK } from '../../ui/validators';

/** One opening of a plate: its name, place and sizes as seen on the body. */
@Component({
  selector: 'rn-opening-form',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, LengthField, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form [formGroup]="form" (ngSubmit)="apply()" novalidate>
      <div class="grid">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Name of the opening</mat-label>
          <input matInput maxlength="120" formControlName="name" />
          <mat-error role="alert">An opening needs a name</mat-error>
        </mat-form-field>
        @for (f of fields(); track f.key) {
          <rn-length-field
            [label]="f.label"
            [formControl]="lengths.controls[f.key]!"
            [min]="f.min"
            [max]="f.max"
            [refusal]="tried() ? 'Type a length' : null"
            [attr.data-field]="f.key"
          />
        }
      </div>
      <p class="acts">
        <button matButton="filled" type="submit">Apply</button>
        <button matButton type="button" (click)="redraw()">Outline …</button>
        <button matButton type="button" (click)="removed.emit()">Delete opening</button>
      </p>
    </form>
  `,
  styleUrl: './feature-form.scss',
})
export class OpeningForm {
  readonly anatomy = input.required<Anatomy>();
  readonly plate = input.required<string>();
  readonly opening = input.required<string>();
  readonly changed = output<Anatomy>();
  readonly removed = output();

  private readonly dialog = inject(MatDialog);
  private readonly of = computed(() =>
    this.anatomy()
      .plates.find((p) => p.id === this.plate())
      ?.openings.find((o) => o.id === this.opening()),
  );
  private readonly shape = computed(() => openingShape(this.anatomy(), this.plate(), this.opening()));
  protected readonly fields = computed(() => [...placeFields(this.shape().at), ...sizeFields(this.shape())]);
  protected readonly lengths = lengthsOf(this.fields);
  protected readonly form = new FormGroup({ name: new FormControl('', { nonNullable: true, validators: NOT_BLANK }), lengths: this.lengths });
  /** It was applied with something missing. */
  protected readonly tried = signal(false);

  constructor() {
    filledFrom(this.form, () => ({ name: this.of()?.name ?? '' }));
  }

  protected apply(): void {
    const typed = wholeLengths(this.lengths);
    this.tried.set(typed === null);
    this.form.markAllAsTouched();
    if (!typed || this.form.invalid) return;
    const name = this.form.controls.name.value.trim();
    const was = this.shape();
    const shape = { ...resized(was, typed), at: { x: typed.get('x') ?? was.at.x, y: typed.get('y') ?? was.at.y } };
    const same = this.fields().every((f) => typed.get(f.key) === f.value);
    this.changed.emit(changeOpening(this.anatomy(), this.plate(), this.opening(), same ? { name } : { name, shape }));
  }

  /** Another outline from a drawing, the drawer or sizes, about the same middle. */
  protected async redraw(): Promise<void> {
    const { at } = this.shape();
    const a = this.anatomy();
    const face = a.plates.find((p) => p.id === this.plate())?.face ?? 'top';
    const drawn = await askOutline(this.dialog, { what: this.of()?.name ?? '', at, side: seenSide({ handed: a.handed, face, mirrored: false }) });
    if (drawn) this.changed.emit(redrawOpening(this.anatomy(), this.plate(), this.opening(), drawn));
  }
}
