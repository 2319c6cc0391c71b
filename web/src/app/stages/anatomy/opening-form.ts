import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, viewChildren } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Store } from '@ngrx/store';
import { changeOpening, openingShape, redrawOpening, type Anatomy, seenSide } from '@rinnovo/core/instrument';
import { viewFeature } from '../../state/view.feature';
import { LengthField } from '../../ui/length-field';
import { askOutline } from '../../ui/outline/ask-outline';
import { fieldTexts, placeFields, resized, sizeFields, typedNumbers } from '../../ui/number-fields';
import { sameTexts } from '../../ui/same-texts';

/** One opening of a plate: its name, place and sizes as seen on the body. */
@Component({
  selector: 'rn-opening-form',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, LengthField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="apply($event)" novalidate>
      <div class="grid">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Name of the opening</mat-label>
          <input matInput required maxlength="120" [value]="name()" (input)="name.set(value($event))" />
          @if (name().trim() === '') {
            <mat-hint class="problem" role="alert">An opening needs a name</mat-hint>
          }
        </mat-form-field>
        @for (f of fields(); track f.key) {
          <rn-length-field
            [label]="f.label"
            [text]="texts()[f.key] ?? ''"
            (textChange)="set(f.key, $event)"
            [min]="f.min"
            [max]="f.max"
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
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  private readonly inputs = viewChildren(LengthField);
  private readonly of = computed(() =>
    this.anatomy()
      .plates.find((p) => p.id === this.plate())
      ?.openings.find((o) => o.id === this.opening()),
  );
  private readonly shape = computed(() => openingShape(this.anatomy(), this.plate(), this.opening()));
  protected readonly name = linkedSignal(computed(() => this.of()?.name ?? ''));
  protected readonly fields = computed(() => [...placeFields(this.shape().at), ...sizeFields(this.shape())]);
  private readonly shown = computed(() => fieldTexts(this.fields(), this.unit()), { equal: sameTexts });
  protected readonly texts = linkedSignal<Readonly<Record<string, string>>>(() => this.shown());

  protected set(key: string, text: string): void {
    this.texts.update((t) => ({ ...t, [key]: text }));
  }

  protected value(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected apply(event: Event): void {
    event.preventDefault();
    const typed = typedNumbers(
      this.fields(),
      this.texts(),
      this.inputs().map((i) => i.value()),
      this.unit(),
    );
    const name = this.name().trim();
    if (!typed || name === '') return;
    const was = this.shape();
    const shape = { ...resized(was, typed), at: { x: typed.get('x') ?? was.at.x, y: typed.get('y') ?? was.at.y } };
    const same = [...typed].every(([key, value]) => value === this.fields().find((f) => f.key === key)?.value);
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
