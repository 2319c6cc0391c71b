import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import type { BitRefusal, CuttingPlan } from '@rinnovo/core/cut';
import { valueOf, type Working } from '@rinnovo/core/measure';
import { lengthText } from '@rinnovo/words';
import { viewFeature } from '../../state/view.feature';
import { WorkingView } from '../../ui/working-view';

/** Bulk, passes with the three named depth set-ups, wells, and what the cutter cannot reach. */
@Component({
  selector: 'rn-cutting-table',
  imports: [WorkingView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cutting-table.html',
  styles: `
    :host {
      display: block;
      padding: 0.5rem 0.75rem;
    }
    table {
      width: 100%;
      border-collapse: collapse;
    }
    th,
    td {
      text-align: end;
      padding: 0.25rem 0.3rem;
      border-block-end: 1px solid var(--rn-line);
    }
    th:first-child,
    td:first-child {
      text-align: start;
    }
    thead th {
      font-weight: 400;
      font-size: 0.85rem;
      color: var(--rn-ink-soft);
      vertical-align: bottom;
    }
    .off td {
      background: var(--rn-tint);
      text-align: start;
    }
    h3 {
      margin-block-start: 0.6rem;
    }
  `,
})
export class CuttingTable {
  readonly cutting = input.required<CuttingPlan>();
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  protected readonly shown = signal<Working | null>(null);
  protected readonly mm = (w: Working): string => lengthText(valueOf(w), this.unit(), 1);
  protected readonly passes = computed(() => this.cutting().passes?.passes ?? []);
  protected readonly refused = computed(() =>
    this.cutting().bits.flatMap((b) => (b.refusal ? [{ name: b.bit.name, why: this.why(b.refusal), needed: b.needed }] : [])),
  );
  protected readonly length = (mm: number): string => lengthText(mm, this.unit(), 1);

  protected show(w: Working): void {
    this.shown.set(this.shown() === w ? null : w);
  }

  private why(r: BitRefusal): string {
    switch (r.kind) {
      case 'cornerTooTight':
        return `its radius ${this.length(r.cutterRadius)} does not go into a corner of ${this.length(r.corner)}`;
      case 'templateTooThin':
        return `its bearing would not touch at the first pass: the template must be ${this.mm(r.needed)}, it is ${this.length(r.has)}`;
      case 'reachTooShort':
        return `it reaches ${this.length(r.reach)}, the floor is at ${this.length(r.depth)}`;
    }
  }
}
