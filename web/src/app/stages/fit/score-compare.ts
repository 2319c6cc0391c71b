import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import { Store } from '@ngrx/store';
import type { Option } from '@rinnovo/core/remedy';
import { rankReason, remedyTitle, SCALE_WORDS, fixed } from '@rinnovo/words';
import { selectNames } from '../../state/selectors';

/** How a way out was weighed: its parts as a bar, beside any other one, and in words why it stands where it does. */
@Component({
  selector: 'rn-score-compare',
  imports: [MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 100 ' + (2 * row + 2)" preserveAspectRatio="none" role="img" [attr.aria-label]="said()">
      @for (b of bars(); track b.key) {
        <rect [class]="'scale-' + b.n" [class.other]="b.other" [attr.x]="b.x" [attr.y]="b.other ? row + 2 : 0" [attr.width]="b.width" [attr.height]="row" />
      }
    </svg>
    @if (others().length > 0) {
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Other option</mat-label>
        <select matNativeControl (change)="choose($event)">
          @for (o of others(); track o.id) {
            <option [value]="o.id" [selected]="o.id === beside()">{{ o.title }}</option>
          }
        </select>
      </mat-form-field>
    }
    <table>
      <thead>
        <tr>
          <th scope="col">Scale</th>
          <th scope="col" class="number">This option</th>
          @if (other()) {
            <th scope="col" class="number">Other option</th>
          }
          <th scope="col" class="number">Weight</th>
        </tr>
      </thead>
      <tbody>
        @for (s of rows(); track s.id) {
          <tr>
            <th scope="row"><span aria-hidden="true" [class]="'key scale-' + s.n"></span>{{ s.word }}</th>
            <td class="number">{{ s.mine }}</td>
            @if (other()) {
              <td class="number">{{ s.theirs }}</td>
            }
            <td class="number">{{ s.weight }}</td>
          </tr>
        }
      </tbody>
    </table>
    @if (why(); as text) {
      <p>{{ text }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.4rem;
    }
    svg {
      width: 100%;
      height: 34px;
    }
    rect {
      stroke: var(--rn-sheet);
      stroke-width: 1px;
      vector-effect: non-scaling-stroke;
    }
    .other {
      opacity: 0.6;
    }
    .key {
      display: inline-block;
      width: 0.8rem;
      height: 0.8rem;
      margin-inline-end: 0.4rem;
    }
    .scale-0 {
      fill: var(--rn-ink);
      background: var(--rn-ink);
    }
    .scale-1 {
      fill: var(--rn-plan);
      background: var(--rn-plan);
    }
    .scale-2 {
      fill: var(--rn-clear);
      background: var(--rn-clear);
    }
    .scale-3 {
      fill: var(--rn-thin);
      background: var(--rn-thin);
    }
    .scale-4 {
      fill: var(--rn-ink-soft);
      background: var(--rn-ink-soft);
    }
    .scale-5 {
      fill: var(--rn-plate);
      background: var(--rn-plate);
    }
    .scale-6 {
      fill: var(--rn-line);
      background: var(--rn-line);
    }
    th {
      font-weight: 400;
      text-align: start;
    }
    td,
    th.number {
      text-align: end;
      padding-inline-start: 0.75rem;
    }
  `,
})
export class ScoreCompare {
  readonly option = input.required<Option>();
  readonly all = input.required<readonly Option[]>();
  private readonly names = inject(Store).selectSignal(selectNames);
  protected readonly row = 5;
  protected readonly others = computed(() =>
    this.all()
      .filter((o) => o.proposal.id !== this.option().proposal.id)
      .map((o) => ({ id: o.proposal.id, title: remedyTitle(o, this.names()) })),
  );
  /** The next one in the list, or the one before the last. */
  protected readonly beside = linkedSignal(() => {
    const i = this.all().findIndex((o) => o.proposal.id === this.option().proposal.id);
    return (this.all()[i + 1] ?? this.all()[i - 1])?.proposal.id ?? null;
  });
  protected readonly other = computed(() => this.all().find((o) => o.proposal.id === this.beside()) ?? null);
  private readonly most = computed(() => this.option().score.scales.reduce((s, x) => s + x.weight, 0));
  protected readonly bars = computed(() => {
    const bar = (o: Option, other: boolean) => {
      let x = 0;
      return o.score.scales.map((s, n) => {
        const width = ((s.value * s.weight) / this.most()) * 100;
        x += width;
        return { key: `${s.id} ${String(other)}`, n, other, x: x - width, width };
      });
    };
    const other = this.other();
    return [...bar(this.option(), false), ...(other ? bar(other, true) : [])];
  });
  protected readonly rows = computed(() =>
    this.option().score.scales.map((s, n) => ({
      id: s.id,
      n,
      word: SCALE_WORDS[s.id],
      mine: fixed(s.value, 2),
      theirs: twoPlaces(this.other()?.score.scales[n]?.value),
      weight: s.weight,
    })),
  );
  protected readonly said = computed(() => `Score ${fixed(this.option().score.total, 1)} of ${this.most()}`);
  protected readonly why = computed(() => {
    const other = this.other();
    return other ? rankReason(this.option(), other, this.names()) : '';
  });

  protected choose(event: Event): void {
    this.beside.set((event.target as HTMLSelectElement).value);
  }
}

const twoPlaces = (value: number | undefined): string => (value === undefined ? '' : fixed(value, 2));
