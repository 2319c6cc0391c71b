import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { hardnessOf, holeTable, panelsOf, patternOf, pilotFor } from '@rinnovo/core/cut';
import { placementOf } from '@rinnovo/core/instrument';
import { valueOf, type Working } from '@rinnovo/core/measure';
import { placePoint } from '@rinnovo/core/shape';
import { WATCH_FOR_WORDS, HOLE_WORK_WORDS, lackText, lengthText, nameOf, TRANSFER_WORDS, upperFirst } from '@rinnovo/words';
import { anatomy, instrument } from '../../state/resources';
import { selectJob, selectLastWhole, selectNames, selectPlan, selectPlanState } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { WorkingView } from '../../ui/working-view';

/** The holes of the job on one sheet: where, how large, by which drills, where the stop goes, and what to heed; the pilots of its screws, patterns to carry over, and copies of panels. Prints as it stands. */
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
              <th scope="col">Position (across, along)</th>
              <th scope="col">Current Ø</th>
              <th scope="col">Finished Ø</th>
              <th scope="col">Ø in bare wood</th>
              <th scope="col">Drills</th>
              <th scope="col">Depth</th>
              <th scope="col">Stop distance from the tip</th>
              <th scope="col">Watch for</th>
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
                    <span class="problem">Not in stock: {{ l.lacks }}</span>
                  }
                </td>
                <td class="number">{{ l.depth }}</td>
                <td class="number">
                  @if (l.stop; as w) {
                    <button class="as-sum" type="button" (click)="shown.set(w)">{{ mm(w) }}</button>
                  }
                </td>
                <td>{{ l.watchFor }}</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      @if (shown(); as w) {
        <div class="panel no-print" aria-live="polite"><rn-working-view [working]="w" /></div>
      }
    } @else {
      <p>This plan makes no holes. Choose parts for holes in Fit, or plan a row of holes in Cut.</p>
    }
    @if (pilots().length > 0) {
      <section class="panel pad">
        <h2>Pilots for wood screws, in {{ woodSaid() }}</h2>
        <div class="table" tabindex="0" role="region" aria-label="Pilots for wood screws">
          <table>
            <thead>
              <tr>
                <th scope="col">Screw</th>
                <th scope="col">Shank</th>
                <th scope="col">Approx. root</th>
                <th scope="col">Pilot</th>
                <th scope="col">Drill in stock</th>
                <th scope="col">Countersink Ø</th>
              </tr>
            </thead>
            <tbody>
              @for (p of pilots(); track p.gauge) {
                <tr>
                  <th scope="row">No. {{ p.gauge }}</th>
                  <td class="number">{{ p.shank }}</td>
                  <td class="number">{{ p.root }}</td>
                  <td class="number">
                    <button class="as-sum" type="button" (click)="shown.set(p.target)">{{ mm(p.target) }}</button>
                  </td>
                  <td>{{ p.drill }}</td>
                  <td class="number">{{ p.countersink }}</td>
                </tr>
              }
            </tbody>
          </table>
        </div>
        <p class="soft">
          Many guitar screws are tapping screws: measure the root. Drill to full length, wax the thread, drive by hand. A dry screw snaps in a tight hole.
        </p>
      </section>
    }
    @if (plates().length > 0) {
      <section class="panel pad">
        <h2>Transferring a hole pattern</h2>
        <label class="pick">
          Plate
          <select [value]="plate()?.id" (change)="picked.set(textOf($event))">
            @for (p of plates(); track p.id) {
              <option [value]="p.id" [selected]="p.id === plate()?.id">{{ p.name }}</option>
            }
          </select>
        </label>
        @if (plate(); as p) {
          <ol>
            @for (x of p.places; track $index) {
              <li class="number">{{ x.where }}; {{ x.toNext }} to the next screw</li>
            }
          </ol>
          <p>{{ p.longest }}</p>
        }
        <p class="soft">Use any of these methods. Check the lengths before drilling:</p>
        <ul class="soft">
          @for (w of transfer; track w) {
            <li>{{ w }}</li>
          }
        </ul>
      </section>
    }
    @if (panels().length > 0) {
      <section class="panel pad no-print">
        <h2>Copy of a panel for wiring outside the body</h2>
        <p class="soft">True size, seen from behind. Glue it to card, mount the parts in it, and wire them there.</p>
        <p class="links">
          @for (p of panels(); track p.id) {
            <a matButton="outlined" [href]="p.href" download>{{ p.name }}</a>
          }
        </p>
      </section>
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
    .pad {
      padding: 0.6rem 0.9rem;
    }
    h2 {
      font-size: 1.1rem;
    }
    .pick {
      display: flex;
      align-items: center;
      gap: 0.5rem;
    }
    select {
      min-height: 44px;
      font: inherit;
      color: inherit;
      background: var(--rn-paper);
      border: 1px solid var(--rn-ink-soft);
      border-radius: 4px;
      padding-inline: 0.5rem;
    }
    .links {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
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
      watchFor: l.watchFor.map((h) => WATCH_FOR_WORDS[h]).join(' '),
    }));
  });

  private readonly one = this.store.selectSignal(instrument.select);
  private readonly wood = computed(() => this.one().data?.identity.bodyWood?.value ?? null);
  private readonly hardness = computed(() => hardnessOf(this.wood()));
  protected readonly woodSaid = computed(() => {
    const wood = this.wood();
    return wood === null ? 'hardwood (body wood unknown)' : `${wood}: ${this.hardness()}`;
  });
  /** Of the screws that hold the instrument's plates. */
  protected readonly pilots = computed(() => {
    const state = this.state();
    const gauges = [...new Set((state?.anatomy.plates ?? []).flatMap((p) => p.screws.map((s) => s.gauge)))].sort((a, b) => a - b);
    const length = (mm: number): string => lengthText(mm, this.unit());
    return gauges.map((gauge) => {
      const p = pilotFor(gauge, this.hardness(), state?.tools ?? []);
      return {
        ...p,
        shank: length(p.shank),
        root: length(p.root),
        drill: p.drill ? `${p.drill.name} (${length(p.drill.diameter)})` : 'none near that size',
        countersink: length(p.countersink),
      };
    });
  });
  protected readonly transfer = TRANSFER_WORDS;
  protected readonly picked = signal<string | null>(null);
  /** The plates with a pattern of screws, their places as the instrument lies. */
  protected readonly plates = computed(() => {
    const a = this.state()?.anatomy;
    const length = (mm: number): string => lengthText(mm, this.unit());
    if (!a) return [];
    return a.plates.flatMap((p) => {
      const at = placementOf(a, p.frame);
      const pattern = patternOf(p.screws.map((s) => placePoint(s, at)));
      if (!pattern) return [];
      const { from, to, length: far } = pattern.longest;
      const places = pattern.places.map((x) => ({ where: `${length(x.x)}, ${length(x.y)}`, toNext: length(x.toNext) }));
      return [{ id: p.id, name: nameOf(this.names(), p.id), places, longest: `Longest distance: ${length(far)}, from ${from + 1} to ${to + 1}.` }];
    });
  });
  protected readonly plate = computed(() => this.plates().find((p) => p.id === this.picked()) ?? this.plates()[0] ?? null);
  protected readonly panels = computed(() => {
    const state = this.state();
    const job = this.job();
    if (!state || !job) return [];
    return panelsOf(state).map((id) => ({
      id,
      name: upperFirst(nameOf(this.names(), id)),
      href: `/api/jobs/${job.id}/template?${new URLSearchParams({ panel: id, mirrored: 'true' }).toString()}`,
    }));
  });

  protected textOf(event: Event): string {
    return (event.target as HTMLSelectElement).value;
  }

  protected print(): void {
    window.print();
  }
}
