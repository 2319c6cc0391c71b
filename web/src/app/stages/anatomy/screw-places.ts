import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { plateScrews, toBody, withPlateScrews, type Anatomy, type PlateScrew } from '@rinnovo/core/instrument';
import { bounds } from '@rinnovo/core/shape';
import { woodScrewShank } from '@rinnovo/core/part';
import { lengthText } from '@rinnovo/words';
import { lengthsOf, wholeLengths } from '../../ui/form-values';
import { LengthField } from '../../ui/length-field';
import type { NumberField } from '../../ui/number-fields';

/** Gauges that hold plates and rings [trade: docs/trade/check.md, screws]. */
const GAUGES = [1, 2, 3, 4, 5, 6, 8];

/** Where a plate's screws are as seen on the body, each by its gauge. */
@Component({
  selector: 'rn-screw-places',
  imports: [MatButtonModule, MatFormFieldModule, MatSelectModule, LengthField, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form [formGroup]="lengths" (ngSubmit)="apply()" novalidate>
      @for (s of screws(); track $index) {
        <div class="grid screw" [attr.data-screw]="$index + 1">
          @for (f of [fields()[2 * $index], fields()[2 * $index + 1]]; track f?.key) {
            @if (f) {
              <rn-length-field
                [label]="f.label"
                [formControl]="lengths.controls[f.key]!"
                [min]="f.min"
                [max]="f.max"
                [refusal]="tried() ? 'Type a length' : null"
              />
            }
          }
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>Gauge</mat-label>
            <mat-select [value]="s.gauge" (valueChange)="gauge($index, $event)" panelWidth="auto">
              <mat-select-trigger>#{{ s.gauge }}</mat-select-trigger>
              @for (g of gauges; track g.gauge) {
                <mat-option [value]="g.gauge">{{ g.word }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          <button matButton type="button" [attr.aria-label]="'Delete screw ' + ($index + 1)" (click)="remove($index)">Delete</button>
        </div>
      } @empty {
        <p class="soft">No screw places yet.</p>
      }
      @if (refusal(); as text) {
        <p class="problem" role="alert">{{ text }}</p>
      }
      <p class="acts">
        @if (screws().length > 0) {
          <button matButton="filled" type="submit">Apply screw places</button>
        }
        <button matButton="outlined" type="button" (click)="add()">Add a screw place</button>
      </p>
    </form>
  `,
  styleUrl: './feature-form.scss',
})
export class ScrewPlaces {
  readonly anatomy = input.required<Anatomy>();
  readonly plate = input.required<string>();
  readonly changed = output<Anatomy>();

  protected readonly refusal = signal<string | null>(null);
  protected readonly gauges = GAUGES.map((gauge) => ({ gauge, word: `#${gauge}, ${lengthText(woodScrewShank(gauge), 'mm', 1)}` }));
  protected readonly screws = computed(() => plateScrews(this.anatomy(), this.plate()));
  protected readonly fields = computed((): readonly NumberField[] =>
    this.screws().flatMap((s, i) => [
      { key: `${i} x`, label: `Screw ${i + 1}, across`, value: s.x, min: -400, max: 400 },
      { key: `${i} y`, label: `Screw ${i + 1}, along`, value: s.y, min: -1200, max: 1200 },
    ]),
  );
  protected readonly lengths = lengthsOf(this.fields);
  /** It was applied with something missing. */
  protected readonly tried = signal(false);

  protected apply(): void {
    const typed = wholeLengths(this.lengths);
    this.tried.set(typed === null);
    if (typed) this.put(this.screws().map((s, i) => ({ ...s, x: typed.get(`${i} x`) ?? s.x, y: typed.get(`${i} y`) ?? s.y })));
  }

  protected gauge(index: number, gauge: number): void {
    this.put(this.screws().map((s, i) => (i === index ? { ...s, gauge } : s)));
  }

  protected remove(index: number): void {
    this.put(this.screws().filter((_, i) => i !== index));
  }

  /** One more, in the middle of the plate: it is seen there and put where it belongs. */
  protected add(): void {
    const p = this.anatomy().plates.find((x) => x.id === this.plate());
    if (!p) return;
    const b = bounds([toBody(this.anatomy(), p.frame, p.outline.outline)]);
    this.put([...this.screws(), { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2, gauge: this.screws().at(-1)?.gauge ?? 4 }]);
  }

  private put(screws: readonly PlateScrew[]): void {
    try {
      this.changed.emit(withPlateScrews(this.anatomy(), this.plate(), screws));
      this.refusal.set(null);
    } catch (error) {
      this.refusal.set(error instanceof RangeError ? `Not changed: ${error.message}` : String(error));
    }
  }
}
