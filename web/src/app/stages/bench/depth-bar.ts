import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Store } from '@ngrx/store';
import { leftUnder, type StepDepth } from '@rinnovo/core/gate';
import { lengthText } from '@rinnovo/words';
import { viewFeature } from '../../state/view.feature';

/** The bar in its own units: as high as the wood is thick, at most. */
const HIGH = 100;
/** Texts nearer than this stand over one another. */
const APART = 7;

/** How deep it is, how deep this step goes and how deep it is to be, in the thickness of the wood; the wood that stays under it. */
@Component({
  selector: 'rn-depth-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 -6 64 114" role="img" [attr.aria-label]="label()" preserveAspectRatio="xMinYMid meet">
      <rect class="wood" x="0" y="0" width="22" [attr.height]="high" />
      <rect class="gone" x="4" y="0" width="14" [attr.height]="y().was" />
      <rect class="now" x="4" [attr.y]="y().was" width="14" [attr.height]="y().to - y().was" />
      <path class="whole" [attr.d]="'M2 ' + y().whole + 'H20'" />
      @for (t of texts(); track t.key) {
        <path class="lead" [attr.d]="'M22 ' + t.at + 'L26 ' + t.y" />
        <text x="27" [attr.y]="t.y + 1.8" [class.strong]="t.key === 'to'">{{ t.text }}</text>
      }
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
      height: 100%;
    }
    rect,
    path {
      vector-effect: non-scaling-stroke;
      stroke: var(--rn-ink);
      stroke-width: 1.2px;
      fill: none;
    }
    .wood {
      fill: var(--rn-wood);
    }
    .gone {
      fill: var(--rn-void);
    }
    .now {
      fill: var(--rn-plan-fill);
      stroke: var(--rn-plan);
      stroke-width: 3.5px;
    }
    .whole {
      stroke: var(--rn-plan);
      stroke-dasharray: 4 3;
      stroke-width: 2px;
    }
    .lead {
      stroke: var(--rn-ink-soft);
      stroke-width: 1px;
    }
    text {
      font-size: 5px;
      fill: var(--rn-ink);
    }
    .strong {
      font-weight: 700;
      font-size: 6px;
    }
  `,
})
export class DepthBar {
  readonly depth = input.required<StepDepth>();
  /** Of the wood, mm; null where nobody measured it. */
  readonly thickness = input.required<number | null>();
  protected readonly high = HIGH;
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  private readonly scale = computed(() => HIGH / (this.thickness() ?? this.depth().whole * 1.5));
  protected readonly y = computed(() => {
    const { was, to, whole } = this.depth();
    const s = this.scale();
    return { was: was * s, to: to * s, whole: whole * s };
  });
  protected readonly texts = computed(() => {
    const { was, to, whole } = this.depth();
    const left = leftUnder(this.depth(), this.thickness());
    const mm = (x: number): string => lengthText(x, this.unit(), 1);
    const each = [
      ...(was > 0 && was < to ? [{ key: 'was', mm: was, text: `is ${mm(was)}` }] : []),
      ...(to > 0 ? [{ key: 'to', mm: to, text: mm(to) }] : []),
      ...(whole > to ? [{ key: 'whole', mm: whole, text: `to be ${mm(whole)}` }] : []),
      ...(left === null ? [] : [{ key: 'left', mm: whole + left / 2, text: `leaves ${mm(left)}` }]),
    ];
    let last = -Infinity;
    return each.map(({ mm: at, ...e }) => {
      const y = Math.max(at * this.scale(), last + APART);
      last = y;
      return { ...e, at: at * this.scale(), y };
    });
  });
  protected readonly label = computed(
    () =>
      `Depth: ${this.texts()
        .map((t) => t.text)
        .join(', ')}`,
  );
}
