import { ChangeDetectionStrategy, Component, computed, inject, input, signal, viewChild } from '@angular/core';
import { Store } from '@ngrx/store';
import { readSetUp, type DepthSetUps } from '@rinnovo/core/cut';
import { SET_UP_WORDS, setUpReadText } from '@rinnovo/words';
import { viewFeature } from '../state/view.feature';
import { LengthField } from './length-field';
import { WorkingView } from './working-view';

/** The setting of the bit as it was read, against the sum of the plan: what the stack leaves, and whose number it is when it is not the plan's. */
@Component({
  selector: 'rn-set-up-read',
  imports: [LengthField, WorkingView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details>
      <summary>Check the setting</summary>
      <rn-length-field data-field="setUpRead" [label]="label()" [(text)]="text" [min]="0" [max]="120" />
      <div class="result" aria-live="polite">
        @if (read(); as r) {
          @for (line of said(); track line) {
            <p [class.problem]="!r.agrees">{{ line }}</p>
          }
          <rn-working-view [working]="r.depth" />
        }
      </div>
    </details>
  `,
  styles: `
    summary {
      min-height: 44px;
      display: list-item;
      align-content: center;
    }
  `,
})
export class SetUpReadPanel {
  readonly setUps = input.required<DepthSetUps>();
  private readonly store = inject(Store);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly by = this.store.selectSignal(viewFeature.selectSetUp);
  private readonly field = viewChild(LengthField);
  protected readonly text = signal('');
  protected readonly label = computed(() => `Reading (${SET_UP_WORDS[this.by()].letter}), ${SET_UP_WORDS[this.by()].title}`);
  protected readonly read = computed(() => {
    const value = this.text() === '' ? null : (this.field()?.value() ?? null);
    return value === null ? null : readSetUp(this.setUps(), this.by(), value);
  });
  protected readonly said = computed(() => {
    const read = this.read();
    return read ? setUpReadText(read, this.by(), this.unit()) : [];
  });
}
