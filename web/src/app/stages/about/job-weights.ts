import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import { settingsWith } from '@rinnovo/core/operation';
import { SCALES, shopWeights, type ScaleId, type Weights } from '@rinnovo/core/remedy';
import { SCALE_WORDS } from '@rinnovo/words';
import { shop } from '../../state/resources';

/** How much each scale counts in this job when ways out are ranked; what is left as the workshop weighs is not kept with the job. */
@Component({
  selector: 'rn-job-weights',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details>
      <summary>Weights of the score{{ differs() ? '(own to this job)' : '' }}</summary>
      @for (f of fields(); track f.id) {
        <label>
          {{ f.word }}
          <input type="text" inputmode="decimal" autocomplete="off" [value]="f.text" [attr.aria-invalid]="f.bad" (input)="typed(f.id, $event)" />
          @if (f.bad) {
            <span class="problem" role="alert">0 to 100</span>
          } @else if (f.own) {
            <span class="soft">workshop: {{ f.shop }}</span>
          }
        </label>
      }
      <button matButton type="button" (click)="asShop()">Reset to the workshop’s weights</button>
    </details>
  `,
  styles: `
    label {
      display: grid;
      grid-template-columns: 1fr 5rem 9rem;
      gap: 0.5rem;
      align-items: center;
    }
    summary {
      min-height: 44px;
      align-content: center;
      cursor: pointer;
    }
  `,
})
export class JobWeights {
  readonly weights = input.required<Weights>();
  /** The job's own weights; null while one of them is no number. */
  readonly weigh = output<Weights | null>();
  private readonly held = inject(Store).selectSignal(shop.select);
  private readonly usual = computed(() => shopWeights(this.held().data?.settings ?? settingsWith()));
  private readonly texts = linkedSignal<Partial<Record<ScaleId, string>>>(() =>
    Object.fromEntries(Object.entries(this.weights()).map(([id, value]) => [id, String(value)])),
  );
  protected readonly fields = computed(() =>
    SCALES.map((id) => {
      const text = this.texts()[id] ?? String(this.usual()[id]);
      const value = weightIn(text);
      return { id, word: SCALE_WORDS[id], text, bad: value === null, shop: this.usual()[id], own: value !== this.usual()[id] };
    }),
  );
  protected readonly differs = computed(() => this.fields().some((f) => f.own));

  protected typed(id: ScaleId, event: Event): void {
    const { value } = event.target as HTMLInputElement;
    this.texts.update((t) => ({ ...t, [id]: value }));
    this.tell();
  }

  protected asShop(): void {
    this.texts.set({});
    this.tell();
  }

  private tell(): void {
    const fields = this.fields();
    this.weigh.emit(fields.some((f) => f.bad) ? null : Object.fromEntries(fields.filter((f) => f.own).map((f) => [f.id, Number(f.text.replace(',', '.'))])));
  }
}

function weightIn(text: string): number | null {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() === '' || !(value >= 0 && value <= 100) ? null : value;
}
