import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Choice } from '@rinnovo/core/check';
import { depthOfStep, type Bench } from '@rinnovo/core/gate';
import { selectAnatomy, selectLeftHanded, selectParts } from '../../state/selectors';
import { drawLines, seenFrame } from '../../ui/drawing';
import { PlanView } from '../../ui/plan-view';
import { DepthBar } from './depth-bar';
import { drawStep } from './draw-step';

const SEEN = { top: 'from the top', back: 'from the back', side: 'from the side' } as const;

/** The drawing of a step: where it is on the instrument, what is cut in heavy line, and how deep. */
@Component({
  selector: 'rn-step-drawing',
  imports: [PlanView, DepthBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (drawn(); as d) {
      <rn-plan-view [label]="'The work ' + seen[d.side] + ', to scale'" [paths]="d.paths" [lines]="lines()" [frame]="frame()" [mirrored]="mirrored()" />
    }
    @if (depth(); as x) {
      <rn-depth-bar [depth]="x" [thickness]="thickness()" />
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
      gap: 0.75rem;
      min-height: 0;
    }
    rn-plan-view {
      border: 1px solid var(--rn-line);
      border-radius: 6px;
      min-height: 12rem;
    }
    rn-depth-bar {
      width: 9.5rem;
      max-height: 20rem;
    }
  `,
})
export class StepDrawing {
  readonly bench = input.required<Bench>();
  readonly choice = input.required<Choice | null>();
  protected readonly seen = SEEN;
  private readonly store = inject(Store);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly shelf = this.store.selectSignal(selectParts);
  private readonly leftHanded = this.store.selectSignal(selectLeftHanded);
  protected readonly drawn = computed(() => {
    const a = this.anatomy();
    const { operation } = this.bench();
    return a && operation && drawStep(a, this.choice(), operation, this.shelf());
  });
  protected readonly mirrored = computed(() => this.leftHanded() !== (this.drawn()?.side === 'back') && this.drawn()?.side !== 'side');
  protected readonly frame = computed(() => seenFrame(this.drawn()?.frame ?? { x: 0, y: 0, width: 100, height: 100 }, this.mirrored()));
  protected readonly lines = computed(() => {
    const a = this.anatomy();
    const d = this.drawn();
    return a && d && d.side !== 'side' ? drawLines(a, d.frame) : [];
  });
  protected readonly depth = computed(() => depthOfStep(this.bench().cards, this.bench().now));
  /** Of the wood that is cut. */
  protected readonly thickness = computed(() => {
    const a = this.anatomy();
    const zones = this.bench().operation?.at.zones ?? [];
    return (zones.includes('headstock') ? a?.headstock.thickness?.value : a?.body.thickness?.value) ?? null;
  });
}
