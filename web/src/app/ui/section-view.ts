import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { SectionPiece } from '@rinnovo/core/cut';

interface Drawn extends SectionPiece {
  readonly key: string;
  readonly look: string;
}

/** A section across the strings, to scale in mm: wood hatched, hollows open, the part in its place. */
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
    .screw {
      fill: var(--rn-ink-soft);
      stroke: none;
    }
  `,
})
export class SectionView {
  readonly label = input.required<string>();
  readonly pieces = input.required<readonly SectionPiece[]>();
  /** The width to show, mm. */
  readonly from = input.required<number>();
  readonly to = input.required<number>();

  protected readonly viewBox = computed(() => {
    const body = this.pieces().find((p) => p.kind === 'body');
    const thickness = body?.bottom ?? 45;
    return `${this.from()} -12 ${this.to() - this.from()} ${thickness + 16}`;
  });
  /** Hollows are drawn as edges first and open space over them, so that pockets that run into one another show one edge. */
  protected readonly drawn = computed<readonly Drawn[]>(() => {
    const pieces = this.pieces();
    const of = (kind: SectionPiece['kind'], look: (p: SectionPiece) => string): Drawn[] =>
      pieces.filter((p) => p.kind === kind).map((p, i) => ({ ...p, key: `${look(p)} ${p.id} ${i}`, look: look(p) }));
    const planned = (p: SectionPiece): string => (p.set?.startsWith('planned') ? 'edge planned' : 'edge');
    return [
      ...of('body', () => 'body'),
      ...of('cavity', planned),
      ...of('cavity', () => 'open').map(mouthOpen),
      ...of('part', () => 'part'),
      ...of('screw', () => 'screw'),
      ...of('plate', () => 'plate'),
    ];
  });
}

/** How far the open space reaches over the face, so that no line closes a hollow's mouth, mm. */
const MOUTH = 0.8;

function mouthOpen(p: Drawn): Drawn {
  return p.face === 'top' ? { ...p, top: p.top - MOUTH } : { ...p, bottom: p.bottom + MOUTH };
}
