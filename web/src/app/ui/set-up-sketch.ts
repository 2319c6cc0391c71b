import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { SetUpId } from '@rinnovo/core/cut';
import { SET_UP_WORDS } from '@rinnovo/words';

/** Heights in the sketch, from the top down; it is no scale drawing. */
const BASE = 18;
const TEMPLATE = 12;
const FLOOR = 34;
const EDGE = 5;

/** How a depth set-up is read off, as a sketch: what lies on what, and from where to where the number goes. */
@Component({
  selector: 'rn-set-up-sketch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 150 78" role="img" [attr.aria-label]="label()">
      @if (shown() !== 'finished') {
        <rect class="metal" x="34" [attr.y]="face() - base" width="82" [attr.height]="base" />
        <rect class="metal" x="70" y="2" width="10" [attr.height]="face() - base - 2" />
        <rect class="bit" x="68" [attr.y]="face()" width="14" [attr.height]="floor - face()" />
      }
      @if (template()) {
        <rect class="board" x="14" [attr.y]="wood - sheet" width="44" [attr.height]="sheet" />
        <rect class="board" x="92" [attr.y]="wood - sheet" width="44" [attr.height]="sheet" />
      }
      <path class="wood" [attr.d]="'M6 ' + wood + 'H58V' + floor + 'H92V' + wood + 'H144V76H6Z'" />
      @if (shown() !== 'projection') {
        <rect class="edge" x="24" [attr.y]="shown() === 'finished' ? face() - edge : face()" width="100" [attr.height]="edge" />
      }
      <path class="arrow" [attr.d]="arrow()" />
      <text x="132" [attr.y]="(from() + to()) / 2 + 3">{{ letter() }}</text>
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      max-height: 130px;
    }
    .wood,
    .board,
    .metal,
    .bit,
    .edge {
      stroke: var(--rn-ink);
      stroke-width: 0.8;
      fill: var(--rn-sheet);
    }
    .wood {
      fill: var(--rn-wood, var(--rn-tint));
    }
    .board {
      fill: var(--rn-plate);
    }
    .metal {
      fill: color-mix(in srgb, var(--rn-ink-soft) 30%, var(--rn-sheet));
    }
    .bit {
      fill: var(--rn-ink-soft);
    }
    .edge {
      fill: var(--rn-ink);
      fill-opacity: 0.7;
    }
    .arrow {
      stroke: var(--rn-plan);
      stroke-width: 1.6;
      fill: none;
    }
    text {
      font-size: 11px;
      font-weight: 600;
      fill: var(--rn-plan);
    }
  `,
})
export class SetUpSketch {
  readonly shown = input.required<SetUpId>();
  readonly template = input(true);
  protected readonly base = BASE - 10;
  protected readonly sheet = TEMPLATE;
  protected readonly edge = EDGE;
  protected readonly wood = BASE + TEMPLATE;
  protected readonly floor = BASE + TEMPLATE + FLOOR;
  /** Where the base lies: on the template, or on the wood. */
  protected readonly face = computed(() => (this.template() ? this.wood - TEMPLATE : this.wood));
  protected readonly from = computed(() =>
    this.shown() === 'projection' ? this.face() : this.shown() === 'finished' ? this.face() - EDGE : this.face() + EDGE,
  );
  protected readonly to = computed(() => this.floor);
  protected readonly arrow = computed(() => {
    const [a, b] = [this.from(), this.to()];
    return `M88 ${a}H130M88 ${b}H130M126 ${a}V${b}M123 ${a + 4}L126 ${a}L129 ${a + 4}M123 ${b - 4}L126 ${b}L129 ${b - 4}`;
  });
  protected readonly letter = computed(() => SET_UP_WORDS[this.shown()].letter);
  protected readonly label = computed(() => `Sketch of set-up ${this.letter()}: ${SET_UP_WORDS[this.shown()].how}`);
}
