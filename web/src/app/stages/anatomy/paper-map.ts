import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { DrawnPath, Frame } from '../../ui/drawing';
import { PlanView } from '../../ui/plan-view';

/** Scales of a drawing, one to so many [std: ISO 5455, from memory]. */
const SCALES = [1, 2, 5] as const;

/** What is left of A4 and of Letter between their margins and below the words, mm. */
const SHEET = { width: 180, height: 225 };

/** The map on a sheet, at the first scale that fits, with a bar to check the printer by. */
@Component({
  selector: 'rn-paper-map',
  imports: [PlanView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>
      <strong>Scale 1 : {{ paper().scale }}</strong
      >, {{ said() }}. Print at 100&#8239;%, without fitting to the page. The bar below must measure 100&#8239;mm.
    </p>
    <div class="rule"></div>
    <rn-plan-view
      label="The instrument to scale, on paper"
      [paths]="paths()"
      [lines]="lines()"
      [frame]="frame()"
      [mirrored]="mirrored()"
      [style.width.mm]="paper().width"
      [style.height.mm]="paper().height"
    />
  `,
  styleUrl: './paper-map.scss',
})
export class PaperMap {
  readonly paths = input.required<readonly DrawnPath[]>();
  readonly lines = input.required<readonly DrawnPath[]>();
  readonly frame = input.required<Frame>();
  readonly mirrored = input.required<boolean>();
  /** What is drawn, in words: which face, which revision. */
  readonly said = input.required<string>();

  protected readonly paper = computed(() => {
    const { width, height } = this.frame();
    const scale = SCALES.find((s) => width / s <= SHEET.width && height / s <= SHEET.height) ?? 10;
    return { scale, width: width / scale, height: height / scale };
  });
}
