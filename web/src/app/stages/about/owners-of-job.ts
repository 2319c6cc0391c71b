import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Store } from '@ngrx/store';
import { dateText } from '@rinnovo/words';
import { people } from '../../state/resources';
import { selectWork } from '../../state/selectors';

/** Who owned the instrument since the job was begun; nothing where that never changed. */
@Component({
  selector: 'rn-owners-of-job',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (changes().length > 0) {
      <h3>Owner changed during this job</h3>
      <ul>
        @for (c of changes(); track c.at) {
          <li>{{ c.text }}</li>
        }
      </ul>
      <p class="soft">Consents from before are asked again before the next cut.</p>
    }
  `,
})
export class OwnersOfJob {
  private readonly store = inject(Store);
  private readonly work = this.store.selectSignal(selectWork);
  private readonly people = this.store.selectSignal(people.select);
  protected readonly changes = computed(() =>
    (this.work()?.ownerChanges ?? []).map(({ at, was, now, person }) => {
      const what = was === now ? `${this.nameOf(now)}: client or technician` : `${this.nameOf(was)} to ${this.nameOf(now)}`;
      return { at, text: `${dateText(at)}: ${what}, changed by ${this.nameOf(person)}` };
    }),
  );

  private nameOf(id: string | null): string {
    return id === null ? 'the workshop' : (this.people().data?.find((p) => p.id === id)?.name ?? 'somebody');
  }
}
