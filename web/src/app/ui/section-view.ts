import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Store } from '@ngrx/store';
import { sectionDimensions, type SectionDimension, type SectionEnd, type SectionPiece, type Surface } from '@rinnovo/core/cut';
import { lengthText } from '@rinnovo/words';
import { viewFeature } from '../state/view.feature';

interface Drawn extends SectionPiece {
  readonly key: string;
  readonly look: string;
}

/** A dimension line as it is drawn: its line with arrows, what leads to it, and its number. */
interface DrawnDimension {
  readonly key: string;
  readonly kind: SectionDimension['kind'];
  readonly d: string;
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly upright: boolean;
}

/** Room round the wood for plates, dimension lines and numbers, mm. */
const ABOVE = 13;
const BELOW = 7;
const BESIDE = 12;
/** How far the open space reaches over the face, so that no line closes a cavity's mouth, mm. */
const MOUTH = 0.8;
const ARROW = 1.4;

/** A section to scale in mm: wood hatched, cavities open, the part in its place with screws, springs and travel; dimension lines as on a drawing. */
@Component({
  selector: 'rn-section-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="viewBox()" role="img" [attr.aria-label]="label()" preserveAspectRatio="xMidYMid meet">
      <defs>
        <pattern id="wood" width="3" height="3" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path d="M0 0V3" class="hatch" /></pattern>
      </defs>
      @for (p of drawn(); track p.key) {
        <rect [class]="p.look" [attr.data-id]="p.id" [attr.x]="p.from" [attr.y]="p.top" [attr.width]="p.to - p.from" [attr.height]="p.bottom - p.top" />
      }
      @if (crown(); as d) {
        <path class="crown" [attr.d]="d"><title>Rise of the top: height measured, curve typical</title></path>
      }
      @for (d of springs(); track $index) {
        <path class="spring" [attr.d]="d" />
      }
      @if (ends(); as e) {
        <text [attr.x]="from()" [attr.y]="thickness() + 5.4" font-size="4.6">{{ e[0] }}</text>
        <text [attr.x]="to()" [attr.y]="thickness() + 5.4" font-size="4.6" text-anchor="end">{{ e[1] }}</text>
      }
      @for (d of dimensions(); track d.key) {
        <g [class]="'dimension ' + d.kind">
          <path [attr.d]="d.d" />
          <text [attr.x]="d.x" [attr.y]="d.y" font-size="4.6" [attr.transform]="d.upright ? 'rotate(-90 ' + d.x + ' ' + d.y + ')' : null" text-anchor="middle">
            {{ d.text }}
          </text>
        </g>
      }
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
      width: 100%;
      height: 100%;
    }
    rect {
      stroke: var(--rn-ink);
      stroke-width: 1.4px;
      vector-effect: non-scaling-stroke;
      fill: none;
    }
    .hatch {
      stroke: var(--rn-ink-soft);
      stroke-width: 0.25;
    }
    .body {
      fill: url(#wood);
    }
    .crown {
      fill: url(#wood);
      stroke: var(--rn-ink);
      stroke-width: 1.4px;
      stroke-dasharray: 5 3;
      vector-effect: non-scaling-stroke;
    }
    .edge {
      stroke-width: 3px;
    }
    .edge.planned {
      stroke: var(--rn-plan);
      stroke-width: 4.4px;
    }
    .open {
      fill: var(--rn-void);
      stroke: none;
    }
    .plate {
      fill: var(--rn-plate);
      stroke: none;
    }
    .part {
      stroke-dasharray: 3 2;
      fill: color-mix(in srgb, var(--rn-plate) 25%, transparent);
    }
    .travel {
      stroke: var(--rn-ink-soft);
      stroke-dasharray: 1 3;
    }
    .screw {
      fill: var(--rn-ink-soft);
      stroke: none;
    }
    .spring {
      fill: none;
      stroke: var(--rn-ink-soft);
      stroke-width: 1.2px;
      vector-effect: non-scaling-stroke;
    }
    .dimension path {
      fill: none;
      stroke: var(--rn-ink);
      stroke-width: 1px;
      vector-effect: non-scaling-stroke;
    }
    text {
      font-family: var(--rn-condensed, inherit);
      fill: var(--rn-ink);
      paint-order: stroke;
      stroke: var(--rn-sheet);
      stroke-width: 1;
      stroke-linejoin: round;
    }
    .floor text {
      font-weight: 600;
    }
  `,
})
export class SectionView {
  readonly label = input.required<string>();
  readonly pieces = input.required<readonly SectionPiece[]>();
  /** The top's surface where it is not flat. */
  readonly surface = input<Surface | null>(null);
  /** The width to show, mm. */
  readonly from = input.required<number>();
  readonly to = input.required<number>();
  /** Where its left and right ends point on the instrument. */
  readonly ends = input<readonly [SectionEnd, SectionEnd] | null>(null);
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);

  protected readonly thickness = computed(() => this.pieces().find((p) => p.kind === 'body')?.bottom ?? 45);
  private readonly rise = computed(() => Math.max(0, ...(this.surface() ?? []).map((p) => -p.z)));
  protected readonly viewBox = computed(() => {
    const above = ABOVE + this.rise();
    return `${this.from() - BESIDE} ${-above} ${this.to() - this.from() + 2 * BESIDE} ${this.thickness() + above + BELOW}`;
  });
  /** Cavities are drawn as edges first and open space over them, so that levels that run into one another show one edge. */
  protected readonly drawn = computed<readonly Drawn[]>(() => {
    const pieces = this.pieces();
    const of = (kind: SectionPiece['kind'], look: (p: SectionPiece) => string): Drawn[] =>
      pieces.filter((p) => p.kind === kind).map((p, i) => ({ ...p, key: `${look(p)} ${p.id} ${i}`, look: look(p) }));
    const planned = (p: SectionPiece): string => (p.set?.startsWith('planned') ? 'edge planned' : 'edge');
    return [
      ...of('body', () => 'body'),
      ...of('cavity', planned),
      ...of('hole', () => 'edge'),
      ...[...of('cavity', () => 'open'), ...of('hole', () => 'open')].map((p) => mouthOpen(p, this.rise())),
      ...of('part', () => 'part'),
      ...of('travel', () => 'travel'),
      ...of('screw', () => 'screw'),
      ...of('plate', () => 'plate'),
    ];
  });
  /** The wood over the plane of the body's edge, open where a cavity comes through. */
  protected readonly crown = computed(() => {
    const s = this.surface();
    const [first, last] = [s?.[0], s?.at(-1)];
    return s && first && last ? `M${first.along} 0${s.map((p) => `L${p.along} ${p.z}`).join('')}L${last.along} 0` : null;
  });
  /** A spring as the zigzag that it is drawn by. */
  protected readonly springs = computed(() =>
    this.pieces()
      .filter((p) => p.kind === 'spring')
      .map((p) => {
        const turns = Math.max(3, Math.round((p.bottom - p.top) / 1.5));
        const at = (i: number): string => `${i % 2 === 0 ? p.from : p.to} ${p.top + ((p.bottom - p.top) * i) / turns}`;
        return `M${Array.from({ length: turns + 1 }, (_, i) => at(i)).join('L')}`;
      }),
  );
  protected readonly dimensions = computed(() => sectionDimensions(this.pieces()).map((d, i) => this.drawDimension(d, i)));

  private drawDimension(d: SectionDimension, i: number): DrawnDimension {
    const text = lengthText(d.mm, this.unit(), 1);
    const key = `${d.kind} ${i}`;
    if (d.kind === 'thickness') {
      const x = this.from() - 6;
      const lead = [d.from.z, d.to.z].map((z) => `M${x - 2} ${z}H${d.from.along - 1}`).join('');
      return { key, kind: d.kind, d: `${lead}${upright(x, d.from.z, d.to.z)}`, x: x - 2, y: (d.from.z + d.to.z) / 2, text, upright: true };
    }
    if (d.from.along === d.to.along) {
      const { along } = d.from;
      const small = d.mm < 14;
      return {
        key,
        kind: d.kind,
        d: upright(along, d.from.z, d.to.z),
        x: along + (small ? 9 : -1.2),
        y: (d.from.z + d.to.z) / 2 + (small ? 1.4 : 0),
        text,
        upright: !small,
      };
    }
    const z = d.kind === 'hidden' ? d.from.z - 4 : d.from.z;
    const lead = d.kind === 'hidden' ? [d.from.along, d.to.along].map((x) => `M${x} ${d.from.z}V${z - 1.5}`).join('') : '';
    return { key, kind: d.kind, d: `${lead}${level(z, d.from.along, d.to.along)}`, x: (d.from.along + d.to.along) / 2, y: z - 1.4, text, upright: false };
  }
}

function upright(x: number, top: number, bottom: number): string {
  const head = Math.min(ARROW, (bottom - top) / 2);
  const tip = (z: number, way: number): string => `M${x - head * 0.5} ${z + way * head}L${x} ${z}L${x + head * 0.5} ${z + way * head}`;
  return `M${x} ${top}V${bottom}${tip(top, 1)}${tip(bottom, -1)}`;
}

function level(z: number, from: number, to: number): string {
  const head = Math.min(ARROW, (to - from) / 2);
  const tip = (x: number, way: number): string => `M${x + way * head} ${z - head * 0.5}L${x} ${z}L${x + way * head} ${z + head * 0.5}`;
  return `M${from} ${z}H${to}${tip(from, 1)}${tip(to, -1)}`;
}

function mouthOpen(p: Drawn, rise: number): Drawn {
  return p.face === 'top' ? { ...p, top: p.top - MOUTH - rise } : { ...p, bottom: p.bottom + MOUTH };
}
