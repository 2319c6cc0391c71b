import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal, untracked, viewChildren } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Store } from '@ngrx/store';
import { asTyped } from '@rinnovo/words';
import type { Placement } from '@rinnovo/core/shape';
import { LengthField } from '../../ui/length-field';
import { viewFeature } from '../../state/view.feature';

/** Where the route is, typed: across and along in lengths, and how far it is turned, in degrees. */
@Component({
  selector: 'rn-pose-fields',
  imports: [LengthField, MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="place($event)">
      <rn-length-field label="Centre, offset across" [(text)]="x" [min]="-300" [max]="300" />
      <rn-length-field label="Centre, offset along" [(text)]="y" [min]="-300" [max]="600" />
      <div>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Rotation</mat-label>
          <input matInput inputmode="decimal" autocomplete="off" [value]="turn()" (input)="turn.set(text($event))" aria-describedby="turn-said" />
          <span matTextSuffix>°</span>
        </mat-form-field>
        <p id="turn-said" class="said" [class.problem]="turned() === null" [attr.role]="turned() === null ? 'alert' : null">
          {{ turned() === null ? 'Type degrees from −180 to 180' : '' }}
        </p>
      </div>
      @if (locked()) {
        <p class="soft">Cutting has started. The route cannot move.</p>
      } @else {
        <button matButton="outlined" type="submit">Move the route</button>
      }
    </form>
  `,
  styles: `
    form {
      display: grid;
      grid-template-columns: 1fr 1fr 0.7fr auto;
      gap: 0.5rem;
      align-items: start;
      padding: 0.5rem 0.6rem 0;
    }
    button {
      margin-block-start: 0.4rem;
    }
    mat-form-field {
      width: 100%;
    }
    .said {
      min-height: 1.3em;
      padding-inline: 0.25rem;
      font-size: 0.875rem;
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
  protected readonly turn = signal('');
  /** Degrees; null while what stands there is no turn. */
  protected readonly turned = computed(() => {
    const text = this.turn().trim().replace(',', '.').replace('−', '-').replace('°', '');
    const value = Number(text);
    return text !== '' && Number.isFinite(value) && Math.abs(value) <= 180 ? value : null;
  });
  private readonly shown = computed(() => {
    const { x, y, turn } = this.at();
    const text = (mm: number): string => (this.unit() === 'mm' ? mm.toFixed(2) : asTyped(mm, this.unit()));
    return { x: text(x), y: text(y), turn: turn.toFixed(1) };
  });

  constructor() {
    effect(() => {
      const { x, y, turn } = this.shown();
      untracked(() => {
        this.x.set(x);
        this.y.set(y);
        this.turn.set(turn);
      });
    });
  }

  protected text(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected place(event?: Event): void {
    event?.preventDefault();
    const [x, y] = this.fields().map((f) => f.value());
    const turn = this.turned();
    if (x === null || x === undefined || y === null || y === undefined || turn === null || this.locked()) return;
    this.placed.emit({ x, y, turn });
  }
}
