import { ChangeDetectionStrategy, Component, computed, output, signal, viewChildren } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { area, circle, ellipse, filletedPolygon, roundedRectangle, stadium, type Outline, type Point, pathData, viewBoxOf } from '@rinnovo/core/shape';
import { LengthField } from '../length-field';

type Kind = 'rectangle' | 'slot' | 'circle' | 'ellipse' | 'polygon';

const SIZES: Readonly<Record<Kind, readonly string[]>> = {
  rectangle: ['Width across', 'Length along', 'Corner radius'],
  slot: ['Width across', 'Length along'],
  circle: ['Diameter'],
  ellipse: ['Width across', 'Length along'],
  polygon: ['Corner radius'],
};

/** A shape by its sizes, drawn while it is typed. */
@Component({
  selector: 'rn-shape-form',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, LengthField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="make($event)" novalidate>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Shape</mat-label>
        <mat-select [value]="kind()" (valueChange)="kind.set($event)">
          <mat-option value="rectangle">Rectangle with rounded corners</mat-option>
          <mat-option value="slot">Slot with rounded ends</mat-option>
          <mat-option value="circle">Circle</mat-option>
          <mat-option value="ellipse">Ellipse</mat-option>
          <mat-option value="polygon">Polygon with rounded corners</mat-option>
        </mat-select>
      </mat-form-field>
      @if (kind() === 'polygon') {
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Corners: across and along in mm, one a line</mat-label>
          <textarea matInput rows="5" [value]="corners()" (input)="corners.set(text($event))" placeholder="-47 79"></textarea>
        </mat-form-field>
      }
      @for (label of labels(); track label) {
        <rn-length-field
          [label]="label"
          [text]="texts()[label] ?? ''"
          (textChange)="set(label, $event)"
          [min]="label === 'Corner radius' ? 0 : 0.2"
          [max]="1200"
        />
      }
      @if (outline()) {
        <svg [attr.viewBox]="box()" aria-hidden="true"><path [attr.d]="path()" /></svg>
      }
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
      <p><button matButton="filled" type="submit">Use this shape</button></p>
    </form>
  `,
  styles: `
    form {
      display: grid;
      gap: 0.5rem;
      margin-block-start: 0.75rem;
    }
    svg {
      height: 140px;
    }
    path {
      fill: var(--rn-plan-fill);
      stroke: var(--rn-ink);
      stroke-width: 1.6px;
      vector-effect: non-scaling-stroke;
    }
  `,
})
export class ShapeForm {
  readonly made = output<Outline>();
  private readonly fields = viewChildren(LengthField);
  protected readonly kind = signal<Kind>('rectangle');
  protected readonly corners = signal('');
  protected readonly texts = signal<Readonly<Record<string, string>>>({});
  protected readonly tried = signal(false);
  protected readonly labels = computed(() => SIZES[this.kind()]);

  private readonly result = computed((): { readonly outline: Outline } | { readonly problem: string } => {
    const sizes = this.fields().map((f) => f.value());
    if (sizes.length !== this.labels().length || sizes.some((s) => s === null)) return { problem: 'Type all sizes' };
    const [a = 0, b = 0, c = 0] = sizes as number[];
    switch (this.kind()) {
      case 'rectangle':
        return 2 * c > Math.min(a, b) ? { problem: 'The corner radius is more than half of the shorter side' } : { outline: roundedRectangle(a, b, c) };
      case 'slot':
        return { outline: stadium(a, b) };
      case 'circle':
        return { outline: circle(a) };
      case 'ellipse':
        return { outline: ellipse(a, b) };
      case 'polygon':
        return polygon(this.corners(), a);
    }
  });
  protected readonly outline = computed(() => {
    const r = this.result();
    return 'outline' in r ? r.outline : null;
  });
  protected readonly path = computed(() => {
    const o = this.outline();
    return o ? pathData(o) : '';
  });
  protected readonly box = computed(() => {
    const o = this.outline();
    return o ? viewBoxOf([o], 4) : '0 0 1 1';
  });
  protected readonly problem = computed(() => {
    const r = this.result();
    return this.tried() && 'problem' in r ? r.problem : null;
  });

  protected set(label: string, text: string): void {
    this.texts.update((t) => ({ ...t, [label]: text }));
  }

  protected text(event: Event): string {
    return (event.target as HTMLTextAreaElement).value;
  }

  protected make(event: Event): void {
    event.preventDefault();
    this.tried.set(true);
    const o = this.outline();
    if (o) this.made.emit(o);
  }
}

function polygon(text: string, radius: number): { readonly outline: Outline } | { readonly problem: string } {
  const lines = text
    .split('\n')
    .map((l) => l.trim())
    .filter(Boolean);
  const points: Point[] = [];
  for (const [i, line] of lines.entries()) {
    const [x, y, ...more] = line.replace(/,/g, '.').split(/\s+/).map(Number);
    if (x === undefined || y === undefined || more.length > 0 || !Number.isFinite(x) || !Number.isFinite(y))
      return { problem: `Line ${i + 1}: two numbers, like -47 79` };
    points.push({ x, y });
  }
  if (points.length < 3) return { problem: 'Type at least three corners' };
  try {
    const outline = filletedPolygon(points, radius);
    return area(outline) > 1e-6 ? { outline } : { problem: 'The outline has no area' };
  } catch (error) {
    return { problem: error instanceof RangeError ? error.message : String(error) };
  }
}
