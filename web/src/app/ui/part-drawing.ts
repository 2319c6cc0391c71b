import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Part } from '@rinnovo/core/part';
import { bounds, pathData } from '@rinnovo/core/shape';
import { lengthText } from '@rinnovo/words';
import { viewFeature } from '../state/view.feature';
import { viewsOf } from './part-views';

/** Room round a view for its dimension lines, mm. */
const MARGIN = 10;

/** A part to scale, from above and from the side, with its dimension lines in drawing style. */
@Component({
  selector: 'rn-part-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (plan(); as p) {
      <figure>
        <svg [attr.viewBox]="p.box" role="img" [attr.aria-label]="part().name + ' from above, ' + p.size">
          @for (o of p.outlines; track $index) {
            <path [class]="o.look" [attr.d]="o.d" />
          }
          <path class="axis" [attr.d]="p.axes" />
        </svg>
        <figcaption class="number">{{ p.size }}</figcaption>
      </figure>
    }
    @if (side(); as s) {
      <figure>
        <svg [attr.viewBox]="s.box" role="img" [attr.aria-label]="part().name + ' from the side'">
          @for (p of s.pieces; track $index) {
            <rect [class]="p.look" [attr.x]="p.from" [attr.y]="p.top" [attr.width]="p.to - p.from" [attr.height]="p.bottom - p.top" />
          }
          <path class="face" [attr.d]="s.face" />
          @for (l of s.lines; track $index) {
            <path class="dimension" [attr.d]="l.d" />
            <text [attr.x]="l.x" [attr.y]="l.y" [attr.font-size]="s.letter" [attr.text-anchor]="l.anchor">{{ l.text }}</text>
          }
        </svg>
        <figcaption class="soft">The line is the mounting face</figcaption>
      </figure>
    }
    @if (!plan() && !side()) {
      <p class="soft">Nothing to draw yet. Type the first sizes.</p>
    }
  `,
  styles: `
    :host {
      display: flex;
      gap: 1rem;
    }
    figure {
      flex: 1;
      min-width: 0;
      margin: 0;
    }
    svg {
      display: block;
      width: 100%;
      height: 210px;
    }
    figcaption {
      text-align: center;
    }
    path,
    rect {
      fill: none;
      stroke: var(--rn-ink);
      stroke-width: 1.6px;
      vector-effect: non-scaling-stroke;
    }
    .edge,
    .metal {
      fill: var(--rn-plate);
    }
    .body {
      fill: var(--rn-tint);
    }
    .open,
    .opening {
      fill: var(--rn-paper);
    }
    .hidden {
      stroke-dasharray: 4 3;
      stroke-width: 1.2px;
    }
    .screw {
      stroke-width: 1px;
    }
    .axis {
      stroke-width: 0.8px;
      stroke-dasharray: 10 3 2 3;
    }
    .face {
      stroke: var(--rn-plan);
      stroke-width: 1.6px;
    }
    .dimension {
      stroke: var(--rn-ink-soft);
      stroke-width: 1px;
    }
    text {
      fill: var(--rn-ink);
      font-family: 'IBM Plex Sans', sans-serif;
    }
  `,
})
export class PartDrawing {
  readonly part = input.required<Part>();
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  private readonly views = computed(() => viewsOf(this.part()));

  protected readonly plan = computed(() => {
    const { plan } = this.views();
    if (plan.length === 0) return null;
    const b = bounds(plan.map((p) => p.outline));
    const [w, h] = [b.maxX - b.minX, b.maxY - b.minY];
    const [x, y] = [b.minX - MARGIN, b.minY - MARGIN];
    return {
      box: `${x} ${y} ${w + 2 * MARGIN} ${h + 2 * MARGIN}`,
      outlines: plan.map((p) => ({ d: pathData(p.outline), look: p.look })),
      axes: `M${x + MARGIN / 2} 0H${b.maxX + MARGIN / 2}M0 ${y + MARGIN / 2}V${b.maxY + MARGIN / 2}`,
      size: `${lengthText(w, this.unit())} × ${lengthText(h, this.unit())}`,
    };
  });

  protected readonly side = computed(() => {
    const { side, lines } = this.views();
    if (side.length === 0) return null;
    const [left, right] = [Math.min(...side.map((p) => p.from)), Math.max(...side.map((p) => p.to))];
    const [top, bottom] = [Math.min(0, ...side.map((p) => p.top)), Math.max(0, ...side.map((p) => p.bottom))];
    const width = right - left + 4 * MARGIN;
    const height = bottom - top + 2 * MARGIN;
    const letter = Math.max(width / 380, height / 210) * 15;
    return {
      box: `${left - MARGIN} ${top - MARGIN / 2} ${width} ${height + letter}`,
      pieces: side,
      face: `M${left - MARGIN / 2} 0H${right + MARGIN / 2}`,
      letter,
      lines: lines.map((l) => {
        const text = lengthText(l.to - l.from, this.unit(), 1);
        const tick = letter / 3;
        return l.along === 'x'
          ? {
              d: `M${l.from} ${l.at - tick}v${2 * tick}M${l.from} ${l.at}H${l.to}M${l.to} ${l.at - tick}v${2 * tick}`,
              x: (l.from + l.to) / 2,
              y: l.at + letter * 1.2,
              text,
              anchor: 'middle',
            }
          : {
              d: `M${l.at - tick} ${l.from}h${2 * tick}M${l.at} ${l.from}V${l.to}M${l.at - tick} ${l.to}h${2 * tick}`,
              x: l.at + tick,
              y: (l.from + l.to) / 2,
              text,
              anchor: 'start',
            };
      }),
    };
  });
}
