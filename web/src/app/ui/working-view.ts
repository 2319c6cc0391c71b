import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Basis, Working } from '@rinnovo/core/measure';
import { workingLines, fixed, dateText } from '@rinnovo/words';
import { people, readings, shop } from '../state/resources';
import { selectParts } from '../state/selectors';
import { viewFeature } from '../state/view.feature';

/** The sum behind a number, down to who read what with which tool. */
@Component({
  selector: 'rn-working-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table>
      <caption class="visually-hidden">
        Working
      </caption>
      <tbody>
        @for (line of lines(); track $index) {
          <tr>
            <th scope="row" [style.padding-inline-start.rem]="line.depth * 0.9">
              {{ line.text }}
              @if (line.basis; as basis) {
                <span class="soft">{{ said(basis) }}</span>
              }
            </th>
            <td class="number">{{ line.value }} {{ line.limit }}</td>
          </tr>
        }
      </tbody>
    </table>
    @if (worst() !== null) {
      <p class="soft">
        Worst case ± {{ two(worst()) }}&#8239;mm decides. Root sum square: ± {{ two(rss()) }} for independent errors. Minimum {{ two(minimum()) }}&#8239;mm.
      </p>
    }
  `,
  styles: `
    :host {
      display: block;
      overflow-x: auto;
    }
    table {
      border-collapse: collapse;
      width: 100%;
      font-size: 0.9rem;
    }
    th {
      text-align: start;
      font-weight: 400;
      padding-block: 0.15rem;
      line-height: 1.2;
    }
    th .soft {
      display: block;
      font-size: 0.85rem;
    }
    td {
      padding-inline-start: 0.5rem;
      text-align: end;
      vertical-align: top;
    }
    p {
      margin-block-start: 0.3rem;
    }
  `,
})
export class WorkingView {
  protected readonly two = (n: number | null): string => (n === null ? '' : fixed(n, 2));
  readonly working = input.required<Working>();
  readonly worst = input<number | null>(null);
  readonly rss = input<number | null>(null);
  readonly minimum = input<number | null>(null);
  private readonly store = inject(Store);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly readings = this.store.selectSignal(readings.select);
  private readonly people = this.store.selectSignal(people.select);
  private readonly shop = this.store.selectSignal(shop.select);
  private readonly parts = this.store.selectSignal(selectParts);
  protected readonly lines = computed(() => workingLines(this.working(), this.unit()));

  protected said(basis: Basis): string {
    switch (basis.kind) {
      case 'readings':
        return basis.ids.map((id) => this.reading(id)).join('; ');
      case 'sheet':
        return this.parts()[basis.part]?.name ?? basis.part;
      case 'setting':
        return 'shop setting or plan';
      case 'measured':
        return `measured with a ${basis.tool}`;
      case 'work':
        return 'read during the work';
      case 'planned':
        return 'planned';
      case 'default':
        return 'typical, not measured';
      case 'stated':
        return 'stated, not measured';
    }
  }

  private reading(id: string): string {
    const r = this.readings().data?.find((x) => x.id === id);
    if (!r) return 'a reading';
    const tool = this.shop().data?.tools.find((t) => t.id === r.tool)?.name ?? 'a tool';
    const person = this.people().data?.find((p) => p.id === r.person)?.name ?? 'unknown person';
    return `${r.raw ?? 'withheld'}, ${tool}, ${person}, ${dateText(r.at)}`;
  }
}
