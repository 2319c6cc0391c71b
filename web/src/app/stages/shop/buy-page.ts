import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { BuyListLine } from '@rinnovo/contract';
import { buyCsv } from '@rinnovo/core/format';
import { lackText, namesOf, moneyText } from '@rinnovo/words';
import { buyList } from '../../state/resources';
import { selectParts } from '../../state/selectors';
import { saveFile } from '../../ui/save-file';

/** What the plans of all active jobs need and is not there, the longest wait first, and what waits for it. */
@Component({
  selector: 'rn-buy-page',
  imports: [MatButtonModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="head">
      <h2>{{ lines().length === 0 ? 'Nothing to buy' : said() }}</h2>
      <button matButton="outlined" type="button" [disabled]="lines().length === 0" (click)="saveCsv()">Export CSV</button>
    </div>
    @if (lines().length === 0) {
      <p>The drawers hold everything the plans need. Parts chosen in Fit that are not in stock appear here.</p>
    } @else {
      <table>
        <thead>
          <tr>
            <th scope="col">Item</th>
            <th scope="col" class="number">To buy</th>
            <th scope="col" class="number">Needed</th>
            <th scope="col" class="number">In stock</th>
            <th scope="col" class="number">Price</th>
            <th scope="col" class="number">Delivery, days</th>
            <th scope="col">Instrument and job</th>
          </tr>
        </thead>
        <tbody>
          @for (l of rows(); track l.what) {
            <tr>
              <th scope="row">
                @if (l.part) {
                  <a [routerLink]="['/shelf', l.part]">{{ l.what }}</a>
                } @else {
                  {{ l.what }}
                }
              </th>
              <td class="number">
                <strong>{{ l.buy }}</strong>
              </td>
              <td class="number">{{ l.need }}</td>
              <td class="number">{{ l.have }}</td>
              <td class="number">{{ l.price === null ? '—' : money(l.price) }}</td>
              <td class="number">{{ l.leadDays ?? 'unknown' }}</td>
              <td>
                @for (h of l.holds; track h.job + h.choice; let last = $last) {
                  <a [routerLink]="['/i', l.jobs[h.job]?.instrument, 'fit']">{{ held(l, h) }}</a>{{ last ? '' : ', ' }}
                }
              </td>
            </tr>
          }
        </tbody>
      </table>
    }
  `,
  styleUrl: './shop-table.scss',
})
export class BuyPage {
  private readonly store = inject(Store);
  private readonly list = this.store.selectSignal(buyList.select);
  private readonly parts = this.store.selectSignal(selectParts);
  protected readonly lines = computed((): readonly BuyListLine[] => this.list().data ?? []);
  /** Each with what it is called; a part of the shelf leads there. */
  protected readonly rows = computed(() => {
    const names = namesOf(null, this.parts());
    return this.lines().map((l) => ({ ...l, what: lackText(l.what, names), part: l.what.kind === 'part' ? l.what.part : null }));
  });
  protected readonly said = computed(() => {
    const lines = this.lines();
    const price = lines.reduce((s, l) => s + (l.price ?? 0), 0);
    const wait = Math.max(0, ...lines.map((l) => l.leadDays ?? 0));
    return `${lines.length} to buy, ${this.money(price)} for known prices, delivered in ${wait} days at the earliest`;
  });

  protected readonly money = moneyText;

  /** What waits for it: the instrument, the place, the job. */
  protected held({ jobs }: Pick<BuyListLine, 'jobs'>, { job, choice }: BuyListLine['holds'][number]): string {
    const waiting = jobs[job];
    return waiting ? `${waiting.label}, ${waiting.places[choice] ?? choice} (${waiting.title})` : choice;
  }

  protected saveCsv(): void {
    const rows = this.rows().map((l) => ({ ...l, holds: l.holds.map((h) => this.held(l, h)).join('; ') }));
    saveFile(buyCsv(rows), 'buy-list.csv', 'text/csv');
  }
}
