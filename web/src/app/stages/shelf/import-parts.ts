import { LISTS } from '@rinnovo/core/house/lists';
import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { Store } from '@ngrx/store';
import { part as partSchema } from '@rinnovo/contract';
import { MOST_PART_LINES, readPartsCsv } from '@rinnovo/core/format';
import { partProblems, replacementsFirst, type Part } from '@rinnovo/core/part';
import { partKindWord, partCsvProblemText, partProblemText } from '@rinnovo/words';
import { parts } from '../../state/resources';
import { selectParts } from '../../state/selectors';
import { ShelfCommands } from '../../state/shelf-commands';
import { attempt } from '../../ui/attempt';

const MOST_BYTES = 8_000_000;

/** Parts out of a table: what was to import and what cannot be is shown first, then put on the shelf, with its progress; it can be stopped. */
@Component({
  selector: 'rn-import-parts',
  imports: [MatButtonModule, MatDialogModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Import parts</h2>
    <mat-dialog-content tabindex="0">
      <label class="file">
        A CSV file with at least the columns kind and name, at most {{ most }} lines. A size is a number, or ‘9.4 ±0.05 (calliper)’.
        <input type="file" accept=".csv,text/csv" [disabled]="busy()" (change)="choose($event)" />
      </label>
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
      @if (problems().length > 0) {
        <h3>Skipped</h3>
        <ul class="problem">
          @for (p of problems().slice(0, 20); track $index) {
            <li>{{ p }}</li>
          }
          @if (problems().length > 20) {
            <li>and {{ problems().length - 20 }} more</li>
          }
        </ul>
      }
      @if (rows().length > 0) {
        <h3>{{ rows().length }} to import</h3>
        <ul>
          @for (r of rows().slice(0, 40); track $index) {
            <li>
              {{ r.name }} <span class="soft">{{ r.kind }}{{ r.known ? ', replaces the one on the shelf' : ', new' }}</span>
            </li>
          }
        </ul>
      }
      @if (busy()) {
        <progress [max]="rows().length" [value]="count()" aria-label="Parts saved"></progress>
      }
      <p role="status">{{ said() }}</p>
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      @if (busy()) {
        <button matButton type="button" (click)="stopped = true">Stop</button>
      } @else {
        <button matButton type="button" mat-dialog-close>Close</button>
      }
      <button matButton="filled" type="button" [disabled]="rows().length === 0 || busy()" (click)="take()">
        Import {{ rows().length === 1 ? '1 part' : rows().length + ' parts' }}
      </button>
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
    progress {
      width: 100%;
    }
  `,
})
export class ImportParts {
  private readonly dialog = inject<MatDialogRef<ImportParts>>(MatDialogRef);
  private readonly store = inject(Store);
  private readonly commands = inject(ShelfCommands);
  private readonly shelf = this.store.selectSignal(selectParts);
  private readonly kept = this.store.selectSignal(parts.select);
  private readonly attempt = attempt();
  private readonly read = signal<readonly Part[]>([]);
  protected readonly most = MOST_PART_LINES;
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly problems = signal<readonly string[]>([]);
  protected readonly said = signal('');
  protected readonly count = signal(0);
  protected stopped = false;
  protected readonly rows = computed(() => this.read().map((p) => ({ name: p.name, kind: partKindWord(p.kind), known: p.id in this.shelf() })));

  constructor() {
    inject(DestroyRef).onDestroy(() => (this.stopped = true));
  }

  protected async choose(event: Event): Promise<void> {
    const file = (event.target as HTMLInputElement).files?.[0];
    if (!file) return;
    this.said.set('');
    this.read.set([]);
    this.problems.set([]);
    this.problem.set(file.size > MOST_BYTES ? `The file is too large. The limit is ${MOST_PART_LINES} lines and 8 MB` : null);
    if (file.size > MOST_BYTES) return;
    const { parts: found, problems } = readPartsCsv(LISTS, await file.text(), () => crypto.randomUUID());
    const shelf = { ...this.shelf(), ...Object.fromEntries(found.map(({ part }) => [part.id, part])) };
    const judged = found.map(({ part, line }) => ({ part, line, why: this.wrongWith(part, shelf) }));
    this.read.set(replacementsFirst(judged.filter((j) => j.why === null).map((j) => j.part)));
    this.problems.set([...problems.map(partCsvProblemText), ...judged.flatMap((j) => (j.why === null ? [] : [`Line ${j.line}: ${j.why}`]))]);
  }

  private wrongWith(part: Part, shelf: Parameters<typeof partProblems>[1]): string | null {
    const invalid = partSchema.validate(part, { convert: false }).error;
    if (invalid) return invalid.message;
    const [problem] = partProblems(part, shelf);
    return problem ? partProblemText(problem) : null;
  }

  /** What is on the shelf stays there; after a failure or a stop only the rest is sent again. */
  protected async take(): Promise<void> {
    const list = this.read();
    this.stopped = false;
    this.count.set(0);
    const done = await this.attempt.run(() =>
      this.commands.keepAll(
        list,
        this.kept().data ?? {},
        (n) => {
          this.count.set(n);
          this.said.set(`${n} of ${list.length} imported`);
        },
        () => this.stopped,
      ),
    );
    if (done && this.count() === list.length) this.dialog.close();
    else this.read.set(list.slice(this.count()));
  }
}
