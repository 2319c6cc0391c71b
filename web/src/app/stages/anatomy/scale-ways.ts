import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import { scaleWays, withDimension, type Anatomy } from '@rinnovo/core/instrument';
import { valueOf, worstCase } from '@rinnovo/core/measure';
import { lengthText, limitText, SCALE_WAY_WORDS } from '@rinnovo/words';
import { viewFeature } from '../../state/view.feature';

/** The scale as each way gives it, side by side with the one that is held; that of the frets can take its place. */
@Component({
  selector: 'rn-scale-ways',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (rows().length > 0) {
      <table>
        <caption>
          Scale length, by every way that was measured
        </caption>
        <tbody>
          <tr>
            <th scope="row">As held</th>
            <td class="number">{{ held() }}</td>
            <td></td>
          </tr>
          @for (r of rows(); track r.way) {
            <tr [attr.data-way]="r.way">
              <th scope="row">{{ r.name }}</th>
              <td class="number">{{ r.value }}</td>
              <td>
                @if (r.way === 'frets' && !r.same) {
                  <button matButton type="button" (click)="use()">Use this</button>
                }
              </td>
            </tr>
          }
        </tbody>
      </table>
    }
  `,
  styles: `
    caption {
      text-align: start;
      padding-block: 0.3rem;
    }
    th {
      text-align: start;
      font-weight: 400;
    }
    td,
    th {
      padding: 0.2rem 0.4rem;
      border-block-start: 1px solid var(--rn-line);
      height: 44px;
    }
    button {
      white-space: nowrap;
    }
    .number {
      text-align: end;
    }
  `,
})
export class ScaleWays {
  readonly anatomy = input.required<Anatomy>();
  readonly changed = output<Anatomy>();
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  protected readonly held = computed(() => {
    const { scale } = this.anatomy().neck;
    return scale ? this.text(scale.value, scale.limit) : 'unknown';
  });
  protected readonly rows = computed(() =>
    scaleWays(this.anatomy().neck).map(({ way, working }) => ({
      way,
      name: SCALE_WAY_WORDS[way],
      value: this.text(valueOf(working), worstCase(working)),
      same: Math.abs(valueOf(working) - (this.anatomy().neck.scale?.value ?? 0)) < 0.005,
    })),
  );

  private text(mm: number, limit: number): string {
    return `${lengthText(mm, this.unit())} ± ${limitText(limit, this.unit())}`;
  }

  /** The scale by the frets, as surely known as what was measured between them. */
  protected use(): void {
    const by = scaleWays(this.anatomy().neck).find((w) => w.way === 'frets');
    if (!by) return;
    const basis = this.anatomy().neck.firstToThirteenth?.basis ?? { kind: 'stated' as const };
    const scale = { value: valueOf(by.working), limit: worstCase(by.working), basis };
    this.changed.emit(withDimension(this.anatomy(), { quantity: 'scaleLength', feature: 'neck' }, scale));
  }
}
