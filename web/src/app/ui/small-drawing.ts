import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { boundsOf, featuresOf, HEADSTOCK_FRAME, toBody, type Anatomy } from '@rinnovo/core/instrument';
import { bounds } from '@rinnovo/core/shape';
import { drawAnatomy } from './drawing';

/** A small true drawing of an instrument, its headstock to the left: to be recognised, not to be read. */
@Component({
  selector: 'rn-small-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg aria-hidden="true" [attr.viewBox]="box()" preserveAspectRatio="xMidYMid meet">
      <g [attr.transform]="turned()">
        @for (p of paths(); track p.id) {
          <path [class]="p.kind" [attr.d]="p.d" />
        }
      </g>
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      height: 100%;
    }
    path {
      fill: none;
      stroke: var(--rn-ink);
      stroke-width: 1px;
      vector-effect: non-scaling-stroke;
    }
    .body {
      fill: var(--rn-wood);
      stroke-width: 1.4px;
    }
    .board {
      fill: color-mix(in srgb, var(--rn-ink) 14%, transparent);
    }
    .cavity,
    .hole {
      fill: var(--rn-void);
    }
    .plate {
      fill: color-mix(in srgb, var(--rn-plate) 30%, transparent);
    }
  `,
})
export class SmallDrawing {
  readonly anatomy = input.required<Anatomy>();
  protected readonly paths = computed(() => drawAnatomy(this.anatomy(), 'top').filter((p) => p.kind !== 'hidden' && p.kind !== 'fret'));
  /** Laid on its side: what runs along the strings runs across the picture; a left-handed one is seen as it is. */
  protected readonly turned = computed(() => `rotate(-90) scale(${this.anatomy().handed === 'left' ? -1 : 1} 1)`);
  protected readonly box = computed(() => {
    const a = this.anatomy();
    const outlines = [
      ...(a.body.outline ? [a.body.outline.outline] : []),
      ...(a.headstock.outline ? [toBody(a, HEADSTOCK_FRAME, a.headstock.outline.outline)] : []),
    ];
    const all = [...featuresOf(a).map((f) => boundsOf(a, f)), ...(outlines.length > 0 ? [bounds(outlines)] : [])];
    if (all.length === 0) return '0 0 100 100';
    const half = Math.max(...all.map((b) => Math.max(Math.abs(b.minX), Math.abs(b.maxX)))) + MARGIN;
    const [from, to] = [Math.min(...all.map((b) => b.minY)) - MARGIN, Math.max(...all.map((b) => b.maxY)) + MARGIN];
    return `${from} ${-half} ${to - from} ${2 * half}`;
  });
}

/** Paper round it, mm. */
const MARGIN = 6;
