import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, signal } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { overTurn, SILENT, TURN_AT, type Load, type Setting, type Wired } from '@rinnovo/core/wire';
import { fixed, hertzText, withUnit } from '@rinnovo/words';
import { CurveChart, type Curve } from './curve-chart';

/** Where the table tells it. */
const TOLD = [0, 2.5, 5, 7.5, 10];

/** What one pot does over its turn, all else as it is set. */
@Component({
  selector: 'rn-turn-of',
  imports: [CurveChart, MatFormFieldModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (pots().length > 0) {
      <details (toggle)="look($event)">
        <summary>Over the turn of a pot</summary>
        @if (open()) {
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>Pot</mat-label>
            <mat-select [value]="pot()" (valueChange)="pot.set($event)">
              @for (p of pots(); track p.id) {
                <mat-option [value]="p.id">{{ p.name }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          <div class="chart"><rn-curve-chart over="turn" [xs]="xs()" [curves]="curves()" [theme]="theme()" /></div>
          <table>
            <thead>
              <tr>
                <th scope="col">Knob</th>
                @for (h of titles; track h) {
                  <th scope="col">Level at {{ h }}</th>
                }
                <th scope="col">Peak</th>
              </tr>
            </thead>
            <tbody>
              @for (r of rows(); track r.at) {
                <tr>
                  <th scope="row">{{ r.at }}</th>
                  @for (l of r.levels; track $index) {
                    <td class="number">{{ l }}</td>
                  }
                  <td class="number">{{ r.peak }}</td>
                </tr>
              }
            </tbody>
          </table>
        }
      </details>
    }
  `,
  styles: `
    summary {
      min-height: 44px;
      line-height: 44px;
      font-weight: 600;
      cursor: pointer;
    }
    .chart {
      height: 260px;
    }
    th,
    td {
      padding: 0.2rem 0.75rem 0.2rem 0;
      text-align: start;
      border-block-end: 1px solid var(--rn-line);
    }
  `,
})
export class TurnOf {
  readonly wired = input.required<Wired>();
  readonly setting = input.required<Setting>();
  readonly load = input.required<Load>();
  readonly pots = input.required<readonly { readonly id: string; readonly name: string }[]>();
  readonly theme = input.required<'light' | 'dark'>();
  /** It is worked out only while somebody looks at it: a slider of the page has its frame to itself. */
  protected readonly open = signal(false);
  protected readonly titles = TURN_AT.map(hertzText);
  protected readonly pot = linkedSignal<readonly { readonly id: string }[], string>({
    source: this.pots,
    computation: (pots, before) => (before && pots.some((p) => p.id === before.value) ? before.value : (pots[0]?.id ?? '')),
  });
  protected look(event: Event): void {
    this.open.set((event.target as HTMLDetailsElement).open);
  }

  private readonly turned = computed(() => overTurn(this.wired(), this.setting(), this.pot(), this.load()));
  protected readonly xs = computed(() => Float64Array.from(this.turned(), (t) => t.turn * 10));
  /** Silence is left out: it lies under every scale. */
  protected readonly curves = computed((): readonly Curve[] =>
    TURN_AT.map((hertz, i) => ({
      label: hertzText(hertz),
      levels: Float64Array.from(this.turned(), (t) => ((t.levels[i] ?? SILENT) <= SILENT ? NaN : (t.levels[i] ?? NaN))),
      compared: i > 0,
    })),
  );
  protected readonly rows = computed(() =>
    this.turned()
      .filter((t) => TOLD.includes(t.turn * 10))
      .map((t) => ({
        at: fixed(t.turn * 10, 1),
        levels: t.levels.map((l) => (l <= SILENT ? 'silent' : withUnit(fixed(l, 1), 'dB'))),
        peak: t.peak === null ? 'none' : hertzText(t.peak),
      })),
  );
}
