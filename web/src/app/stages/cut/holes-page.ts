import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { hardnessOf, holeTable, panelsOf, patternOf, pilotFor } from '@rinnovo/core/cut';
import { placementOf } from '@rinnovo/core/instrument';
import { valueOf, type Working } from '@rinnovo/core/measure';
import { placePoint } from '@rinnovo/core/shape';
import { acrossText, handText, HOLE_WORK_WORDS, lackText, lengthText, nameOf, TRANSFER_WORDS, upperFirst, WATCH_FOR_WORDS } from '@rinnovo/words';
import { anatomy, instrument } from '../../state/resources';
import { selectJob, selectLastWhole, selectNames, selectPlan, selectPlanState } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { WorkingView } from '../../ui/working-view';

/** The holes of the job on one sheet: where, how large, by which drills, where the stop goes, and what to heed; the pilots of its screws, patterns to carry over, and copies of panels. On paper it is the hole sheet. */
@Component({
  selector: 'rn-holes-page',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, RouterLink, WorkingView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './holes-page.html',
  styleUrl: './holes-page.scss',
})
export class HolesPage {
  private readonly store = inject(Store);
  private readonly state = this.store.selectSignal(selectPlanState);
  private readonly plan = this.store.selectSignal(selectPlan);
  private readonly whole = this.store.selectSignal(selectLastWhole);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  protected readonly job = this.store.selectSignal(selectJob);
  private readonly held = this.store.selectSignal(anatomy.select);
  protected readonly instrument = computed(() => this.held().of ?? '');
  protected readonly title = computed(() => this.job()?.title ?? '');
  /** Whose hand the sheet is for. */
  protected readonly hand = computed(() => {
    const a = this.state()?.anatomy;
    return a ? handText({ handed: a.handed, face: 'top', mirrored: false }) : '';
  });
  protected readonly shown = signal<Working | null>(null);
  protected readonly mm = (w: Working): string => lengthText(valueOf(w), this.unit());
  protected readonly lines = computed(() => {
    const [state, plan, whole] = [this.state(), this.plan(), this.whole()];
    if (!state || !plan || !whole) return [];
    const length = (mm: number | null): string => (mm === null ? '—' : lengthText(mm, this.unit()));
    return holeTable(state, plan, whole).map((l) => ({
      ...l,
      work: HOLE_WORK_WORDS[l.work],
      where: `${acrossText(l.at.x, this.unit())}, ${length(l.at.y)}`,
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
        range: `${length(p.least)} – ${length(p.most)}`,
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
      const places = pattern.places.map((x) => ({ where: `${acrossText(x.x, this.unit())}, ${length(x.y)}`, toNext: length(x.toNext) }));
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
}
