import { ChangeDetectionStrategy, Component, inject, input, signal, type OnInit } from '@angular/core';
import type { AnatomyRevision } from '@rinnovo/contract';
import type { Anatomy } from '@rinnovo/core/instrument';
import { firstValueFrom } from 'rxjs';
import { Api } from '../../api/api';
import { SmallDrawing } from '../../ui/small-drawing';

/** The instrument itself, small: asked for once its card is seen. */
@Component({
  selector: 'rn-true-drawing',
  imports: [SmallDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (anatomy(); as a) {
      <rn-small-drawing [anatomy]="a" />
    }
  `,
  styles: `
    rn-small-drawing {
      height: 100%;
    }
  `,
})
export class TrueDrawing implements OnInit {
  readonly instrument = input.required<string>();
  private readonly api = inject(Api);
  protected readonly anatomy = signal<Anatomy | null>(null);

  ngOnInit(): void {
    void this.load();
  }

  private async load(): Promise<void> {
    try {
      const { body } = await firstValueFrom(this.api.get<AnatomyRevision>(`/instruments/${this.instrument()}/anatomy`));
      this.anatomy.set(body.document);
    } catch {
      // the card says what it is in words; a drawing that does not come is no trouble
    }
  }
}
