import { ChangeDetectionStrategy, Component, computed, inject, input, resource, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { UsedIn } from '@rinnovo/contract';
import { dateText } from '@rinnovo/words';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';

/** Where a part or what lies in a drawer went in, and where a part is planned: looked up when it is opened. */
@Component({
  selector: 'rn-used-in',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details (toggle)="open.set($any($event.target).open)">
      <summary>Used in</summary>
      @if (uses.isLoading()) {
        <p class="soft" role="status">Looking it up …</p>
      } @else {
        <ul>
          @for (u of rows(); track u.key) {
            <li>
              <a [routerLink]="['/i', u.instrument, 'record']">{{ u.label }}</a>, {{ u.title }} <span class="soft">{{ u.said }}</span>
            </li>
          } @empty {
            <li class="soft">In no instrument yet.</li>
          }
        </ul>
      }
    </details>
  `,
  styles: `
    summary {
      min-height: 44px;
      align-content: center;
      cursor: pointer;
    }
    ul {
      margin: 0.25rem 0;
      padding-inline-start: 1.2rem;
    }
  `,
})
export class UsedInList {
  /** `parts` or `stock`. */
  readonly of = input.required<'parts' | 'stock'>();
  readonly id = input.required<string>();
  protected readonly open = signal(false);
  private readonly api = inject(Api);
  protected readonly uses = resource({
    params: () => (this.open() ? { of: this.of(), id: this.id() } : undefined),
    loader: ({ params }) => firstValueFrom(this.api.get<{ items: readonly UsedIn[] }>(`/${params.of}/${params.id}/used-in`)).then((r) => r.body.items),
  });
  protected readonly rows = computed(() =>
    (this.uses.hasValue() ? this.uses.value() : []).map((u, i) => ({
      ...u,
      key: i,
      said: `${u.amount > 1 ? `${u.amount} × ` : ''}${u.at === null ? 'planned' : dateText(u.at)}`,
    })),
  );
}
