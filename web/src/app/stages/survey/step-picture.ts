import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { StateId } from '@rinnovo/core/quantity';
import { STEP_DRAWINGS } from './step-pictures';

/** How it is measured, drawn small: the words beside it say the same. */
@Component({
  selector: 'rn-step-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 200 100" aria-hidden="true">
      <path class="there" [attr.d]="drawing().there" />
      <path class="read" [attr.d]="drawing().read" />
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 200px;
      height: 100px;
    }
    path {
      fill: none;
      stroke-linejoin: round;
      stroke-linecap: round;
    }
    .there {
      stroke: var(--rn-ink-soft);
      stroke-width: 1.4px;
    }
    .read {
      stroke: var(--rn-plan);
      stroke-width: 2.6px;
    }
  `,
})
export class StepPicture {
  readonly quantity = input.required<StateId>();
  protected readonly drawing = computed(() => STEP_DRAWINGS[this.quantity()]);
}
