import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Store } from '@ngrx/store';
import { claimsIn } from '@rinnovo/core/survey';
import { claimText } from '@rinnovo/words';
import { viewFeature } from '../state/view.feature';

/** What a note says of one length beside another, checked while it is typed. */
@Component({
  selector: 'rn-claims',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div role="status">
      @for (c of claims(); track $index) {
        <p [class.problem]="!c.holds">
          <span aria-hidden="true">{{ c.holds ? '●' : '✕' }}</span> {{ c.text }}
        </p>
      }
    </div>
  `,
  styles: `
    p {
      margin: 0;
    }
  `,
})
export class Claims {
  readonly text = input.required<string>();
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  protected readonly claims = computed(() => claimsIn(this.text(), this.unit()).map((c) => ({ holds: c.holds, text: claimText(c, this.unit()) })));
}
