import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { holeTable } from '@rinnovo/core/cut';
import { valueOf, type Working } from '@rinnovo/core/measure';
import { HEED_WORDS, HOLE_WORK_WORDS, lackText, lengthText } from '@rinnovo/words';
import { anatomy } from '../../state/resources';
import { selectJob, selectLastWhole, selectNames, selectPlan, selectPlanState } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { WorkingView } from '../../ui/working-view';

/** The holes of the job on one sheet: where, how large, by which drills, where the stop goes, and what to heed; prints as it stands. */
@Component({
  selector: 'rn-holes-page',
  imports: [MatButtonModule, RouterLink, WorkingView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bar">
      <h1>Holes</h1>
      <span class="soft">{{ title() }}</span>
      <span class="space"></span>
      <a matButton class="no-print" [routerLink]="['/i', instrument(), 'cut']">Back to Cut</a>
      <button matButton="outlined" class="no-print" type="button" [disabled]="lines().length === 0" (click)="print()">Print</button>
    </div>
    @if (lines().length > 0) {
      <div class="panel table" tabindex="0" role="region" aria-label="Holes of the job">
        <table>
          <thead>
            <tr>
              <th scope="col">Hole</th>
              <th scope="col">Work</th>
              <th scope="col">Across, along</th>
              <th scope="col">Now</th>
              <th scope="col">Finished</th>
              <th scope="col">In bare wood</th>
              <th scope="col">Drills</th>
              <th scope="col">Depth</th>
              <th scope="col">Stop, from the tip</th>
              <th scope="col">Heed</th>
            </tr>
          </thead>
          <tbody>
            @for (l of lines(); track l.hole) {
              <tr>
                <th scope="row">
                  {{ l.name }}<br /><span class="soft">{{ l.face }}</span>
                </th>
                <td>{{ l.work }}</td>
                <td class="number">{{ l.where }}</td>
                <td class="number">{{ l.now }}</td>
                <td class="number">
                  <strong>{{ l.finished }}</strong>
                </td>
                <td class="number">
                  @if (l.bare; as w) {
                    <button class="as-sum" type="button" (click)="shown.set(w)">{{ mm(w) }}</button>
                  }
                </td>
                <td>
                  {{ l.drills }}
                  @if (l.lacks) {
                    <span class="problem">Missing here: {{ l.lacks }}</span>
                  }
                </td>
                <td class="number">{{ l.depth }}</td>
                <td class="number">
                  @if (l.stop; as w) {
                    <button class="as-sum" type="button" (click)="shown.set(w)">{{ mm(w) }}</button>
                  }
                </td>
                <td>{{ l.heed }}</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      @if (shown(); as w) {
        <div class="panel no-print" aria-live="polite"><rn-working-view [working]="w" /></div>
      }
    } @else {
      <p>No hole is made or changed by this plan. Choose parts for holes in Fit, or plan a row of holes in Cut.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.75rem;
      align-content: start;
      min-width: 0;
    }
    .bar {
      display: flex;
      align-items: baseline;
      gap: 1rem;
    }
    h1 {
      font-size: 1.4rem;
    }
    .space {
      flex: 1;
    }
    .table {
      overflow: auto;
    }
    table {
      width: 100%;
      border-collapse: collapse;
    }
    th,
    td {
      padding: 0.4rem 0.6rem;
      border-block-end: 1px solid var(--rn-line);
      text-align: start;
      vertical-align: top;
    }
    thead th {
      font-weight: 400;
      color: var(--rn-ink-soft);
    }
  `,
})
export class HolesPage {
  private readonly store = inject(Store);
  private readonly state = this.store.selectSignal(selectPlanState);
  private readonly plan = this.store.selectSignal(selectPlan);
  private readonly whole = this.store.selectSignal(selectLastWhole);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly job = this.store.selectSignal(selectJob);
  private readonly held = this.store.selectSignal(anatomy.select);
  protected readonly instrument = computed(() => this.held().of ?? '');
  protected readonly title = computed(() => this.job()?.title ?? '');
  protected readonly shown = signal<Working | null>(null);
  protected readonly mm = (w: Working): string => lengthText(valueOf(w), this.unit());
  protected readonly lines = computed(() => {
    const [state, plan, whole] = [this.state(), this.plan(), this.whole()];
    if (!state || !plan || !whole) return [];
    const length = (mm: number | null): string => (mm === null ? '—' : lengthText(mm, this.unit()));
    return holeTable(state, plan, whole).map((l) => ({
      ...l,
      work: HOLE_WORK_WORDS[l.work],
      where: `${length(l.at.x)}, ${length(l.at.y)}`,
      now: length(l.now),
      finished: length(l.finished),
      depth: l.through ? 'through' : length(l.depth),
      drills: l.drills.map((d) => d.name).join(', '),
      lacks: l.lacks.map((x) => lackText(x, this.names())).join(', '),
      heed: l.heed.map((h) => HEED_WORDS[h]).join(' '),
    }));
  });

  protected print(): void {
    window.print();
  }
}
