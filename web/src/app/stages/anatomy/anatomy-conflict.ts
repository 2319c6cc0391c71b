import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import type { AnatomyRevision } from '@rinnovo/contract';
import { compareFeatures, type Anatomy } from '@rinnovo/core/instrument';
import { featureChangeText } from '@rinnovo/words';
import { anatomyEditActions } from '../../state/anatomy-edit.feature';
import { people } from '../../state/resources';
import { viewFeature } from '../../state/view.feature';

/** Two hands changed the same instrument: what mine has otherwise, and the choice. Nothing is lost until one is chosen. */
@Component({
  selector: 'rn-anatomy-conflict',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="panel" role="alert" aria-label="Two versions of the instrument">
      <h2>
        {{ who() }} changed this instrument (revision {{ theirs().revision }}) while you were editing. Both versions are safe. Choose the one to continue with.
      </h2>
      <p>Your changes: {{ differences() }}</p>
      <button matButton="outlined" type="button" (click)="takeTheirs()">Use the other version</button>
      <button matButton="filled" type="button" (click)="keepMine()">Keep my version</button>
    </section>
  `,
  styles: `
    section {
      padding: 0.75rem 1rem;
      border: 2px solid var(--rn-danger);
    }
  `,
})
export class AnatomyConflict {
  readonly theirs = input.required<AnatomyRevision>();
  readonly mine = input.required<Anatomy>();
  private readonly store = inject(Store);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly people = this.store.selectSignal(people.select);
  protected readonly who = computed(() => this.people().data?.find((p) => p.id === this.theirs().person)?.name ?? 'Someone');
  protected readonly differences = computed(() => {
    const changes = compareFeatures(this.theirs().document, this.mine()).map((c) => featureChangeText(c, this.unit()));
    return changes.length > 0 ? changes.join('; ') : 'values only';
  });

  protected takeTheirs(): void {
    this.store.dispatch(anatomyEditActions.takeTheirs());
  }

  protected keepMine(): void {
    this.store.dispatch(anatomyEditActions.keepMine());
  }
}
