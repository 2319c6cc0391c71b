import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Store } from '@ngrx/store';
import { isPickupChoice, isPlaced } from '@rinnovo/core/check';
import type { Option } from '@rinnovo/core/remedy';
import { selectAnatomy, selectLeftHanded, selectParts } from '../../state/selectors';
import { frameOfPlace } from '../../ui/draw-choices';
import { drawAnatomy, frameOfAnatomy, frameOfPosition, markChanged, seenFrame } from '../../ui/drawing';

/** An option drawn small: its place, with what it changes in heavy line. */
@Component({
  selector: 'rn-option-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg aria-hidden="true" [attr.viewBox]="box()" preserveAspectRatio="xMidYMid meet">
      <g [attr.transform]="leftHanded() ? 'scale(-1 1)' : null">
        @for (p of paths(); track p.id) {
          <path [class]="p.kind" [class.now]="p.now" [attr.d]="p.d" />
        }
      </g>
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 104px;
      height: 78px;
      border: 1px solid var(--rn-line);
      border-radius: 4px;
    }
    path {
      fill: none;
      stroke: var(--rn-ink-soft);
      stroke-width: 1px;
      vector-effect: non-scaling-stroke;
    }
    .body {
      fill: var(--rn-wood);
    }
    .cavity,
    .hole {
      fill: var(--rn-void);
    }
    .plate {
      fill: color-mix(in srgb, var(--rn-plate) 22%, transparent);
    }
    .hidden {
      stroke-dasharray: 3 2;
    }
    .now {
      stroke: var(--rn-plan);
      stroke-width: 2.6px;
    }
  `,
})
export class OptionDrawing {
  readonly option = input.required<Option>();
  private readonly store = inject(Store);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly shelf = this.store.selectSignal(selectParts);
  protected readonly leftHanded = this.store.selectSignal(selectLeftHanded);
  protected readonly paths = computed(() => {
    const a = this.anatomy();
    return a ? markChanged(drawAnatomy(a, 'top'), drawAnatomy(this.option().evaluation.anatomy, 'top')) : [];
  });
  protected readonly box = computed(() => {
    const a = this.anatomy();
    const { choice } = this.option().proposal;
    if (!a) return '0 0 1 1';
    const frame = isPickupChoice(choice) ? frameOfPosition(a, choice.position) : isPlaced(choice) ? frameOfPlace(a, choice, this.shelf()) : frameOfAnatomy(a);
    const f = seenFrame(frame, this.leftHanded());
    return `${f.x} ${f.y} ${f.width} ${f.height}`;
  });
}
