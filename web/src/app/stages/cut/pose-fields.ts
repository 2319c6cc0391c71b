import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal, untracked, viewChildren } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import { MM_PER_INCH } from '@rinnovo/core/measure';
import type { Placement } from '@rinnovo/core/shape';
import { LengthField } from '../../ui/length-field';
import { viewFeature } from '../../state/view.feature';

/** Where the route is, typed: across and along in lengths. */
@Component({
  selector: 'rn-pose-fields',
  imports: [LengthField, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="place($event)">
      <rn-length-field label="Middle, across" [(text)]="x" [min]="-300" [max]="300" />
      <rn-length-field label="Middle, along" [(text)]="y" [min]="-300" [max]="600" />
      @if (locked()) {
        <p class="soft">Cutting has begun: the route stays.</p>
      } @else {
        <button matButton="outlined" type="submit">Put it there</button>
      }
    </form>
  `,
  styles: `
    form {
      display: grid;
      padding: 0.6rem;
    }
  `,
})
export class PoseFields {
  readonly at = input.required<Placement>();
  readonly locked = input(false);
  readonly placed = output<Placement>();
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  private readonly fields = viewChildren(LengthField);
  protected readonly x = signal('');
  protected readonly y = signal('');
  private readonly shown = computed(() => {
    const { x, y } = this.at();
    const text = (mm: number): string => (this.unit() === 'mm' ? mm.toFixed(2) : `${(mm / MM_PER_INCH).toFixed(4)}in`);
    return { x: text(x), y: text(y) };
  });

  constructor() {
    effect(() => {
      const { x, y } = this.shown();
      untracked(() => {
        this.x.set(x);
        this.y.set(y);
      });
    });
  }

  protected place(event?: Event): void {
    event?.preventDefault();
    const [x, y] = this.fields().map((f) => f.value());
    if (x === null || x === undefined || y === null || y === undefined || this.locked()) return;
    this.placed.emit({ ...this.at(), x, y });
  }
}
