import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { Store } from '@ngrx/store';
import { readReadingsCsv, type ImportedReading } from '@rinnovo/core/format';
import { dimensionAt } from '@rinnovo/core/instrument';
import { isState, type AnyTarget } from '@rinnovo/core/quantity';
import { isPlace } from '@rinnovo/core/survey';
import { csvProblemText, lengthText, stateText, stateTitle, targetText, upperFirst } from '@rinnovo/words';
import { attempt } from '../../ui/attempt';
import { selectNames, selectSurveyed } from '../../state/selectors';
import { shop } from '../../state/resources';
import { SurveyCommands } from '../../state/survey-commands';
import { viewFeature } from '../../state/view.feature';

const MOST_BYTES = 2_000_000;

/** Readings out of a table: what was to import and what cannot be is shown first, then taken into the open survey. */
@Component({
  selector: 'rn-import-readings',
  imports: [MatButtonModule, MatDialogModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Import readings</h2>
    <mat-dialog-content tabindex="0">
      <label class="file">
        A CSV file with the columns quantity, feature and value. Optional: part, unit, limit, typed and tool.
        <input type="file" accept=".csv,text/csv" (change)="choose($event)" />
      </label>
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
      @if (problems().length > 0) {
        <h3>{{ problems().length }} skipped</h3>
        <ul class="problem">
          @for (p of problems().slice(0, 20); track p) {
            <li>{{ p }}</li>
          }
        </ul>
      }
      @if (rows().length > 0) {
        <h3>{{ rows().length }} to import</h3>
        <ul>
          @for (r of rows().slice(0, 40); track $index) {
            <li>
              {{ r.title }}: <strong class="number">{{ r.value }}</strong>
            </li>
          }
        </ul>
      }
      <p role="status">{{ said() }}</p>
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button matButton type="button" mat-dialog-close>{{ busy() ? 'Stop' : 'Close' }}</button>
      <button matButton="filled" type="button" [disabled]="rows().length === 0 || busy()" (click)="take()">Import {{ rows().length }} into the survey</button>
    </mat-dialog-actions>
  `,
  styles: `
    .file {
      display: grid;
      gap: 0.5rem;
    }
    .file input {
      min-height: 44px;
    }
    ul {
      margin: 0;
      padding-inline-start: 1.2rem;
    }
  `,
})
export class ImportReadings {
  private readonly data = inject<{ readonly instrument: string }>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<ImportReadings>>(MatDialogRef);
  private readonly store = inject(Store);
  private readonly commands = inject(SurveyCommands);
  private readonly shop = this.store.selectSignal(shop.select);
  private readonly surveyed = this.store.selectSignal(selectSurveyed);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly readings = signal<readonly ImportedReading[]>([]);
  protected readonly problems = signal<readonly string[]>([]);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly said = signal('');
  protected readonly rows = computed(() =>
    this.readings().map(({ target, value }) =>
      isState(target)
        ? { title: stateTitle(target, this.names()), value: stateText(target.quantity, value, this.unit()) }
        : { title: upperFirst(targetText(target, this.names())), value: lengthText(value, this.unit()) },
    ),
  );

  protected async choose(event: Event): Promise<void> {
    const file = (event.target as HTMLInputElement).files?.[0];
    if (!file) return;
    this.said.set('');
    this.problem.set(file.size > MOST_BYTES ? 'The file is too large for a table of readings' : null);
    const { readings, problems } =
      file.size > MOST_BYTES ? { readings: [], problems: [] } : readReadingsCsv(await file.text(), (t) => this.isThere(t), this.shop().data?.tools ?? []);
    this.readings.set(readings);
    this.problems.set(problems.map(csvProblemText));
  }

  /** What is in stays in; after a failure only the rest is sent again. */
  protected async take(): Promise<void> {
    const list = this.readings();
    let count = 0;
    const done = await this.attempt.run(async () => {
      await this.commands.takeImported(this.data.instrument, list, (n) => {
        count = n;
        this.said.set(`${n} of ${list.length} imported`);
      });
      this.dialog.close();
    });
    if (!done) this.readings.set(list.slice(count));
  }

  private isThere(t: AnyTarget): boolean {
    const surveyed = this.surveyed();
    if (!surveyed) return false;
    return isState(t) ? isPlace(t, surveyed) : dimensionAt(surveyed.anatomy, t).exists;
  }
}
