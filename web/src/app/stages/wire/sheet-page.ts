import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, signal, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { canBe, STATES } from '@rinnovo/core/quantity';
import { typedState } from '@rinnovo/core/survey';
import { judgeLine, toTrace } from '@rinnovo/core/wire';
import { sheetCsv } from '@rinnovo/core/format';
import { circuitValue, unsureText, TEST_STAGE_HOW, TEST_STAGE_WORDS, typedProblem, sheetGroups, type SheetRow } from '@rinnovo/words';
import { Commands } from '../../state/commands';
import { circuit as circuitResource } from '../../state/resources';
import { selectCircuit, selectNames, selectReadings } from '../../state/selectors';
import { attempt } from '../../ui/attempt';
import { saveFile } from '../../ui/save-file';
import { SimulatedMeter } from './simulated-meter';
import { WireNav } from './wire-nav';

/** Every reading of a circuit in the order of the work, each beside what it must be and what it may mean. */
@Component({
  selector: 'rn-sheet-page',
  imports: [MatButtonModule, RouterLink, SimulatedMeter, WireNav],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sheet-page.html',
  styleUrl: './sheet-page.scss',
})
export class SheetPage {
  private readonly store = inject(Store);
  private readonly commands = inject(Commands);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly readings = this.store.selectSignal(selectReadings);
  protected readonly held = this.store.selectSignal(circuitResource.select);
  protected readonly circuit = this.store.selectSignal(selectCircuit);
  protected readonly stageWords = TEST_STAGE_WORDS;
  protected readonly stageHow = TEST_STAGE_HOW;
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;

  protected readonly groups = computed(() => {
    const circuit = this.circuit();
    return circuit ? sheetGroups(circuit, this.readings(), this.names()) : [];
  });
  protected readonly untraced = computed(() => {
    const circuit = this.circuit();
    return circuit ? toTrace(circuit).length : 0;
  });
  protected readonly counts = computed(() => {
    const rows = this.groups().flatMap((g) => g.rows);
    return { all: rows.length, read: rows.filter((r) => r.reading).length, off: rows.filter((r) => r.result && !r.result.agrees).length };
  });
  /** What is typed beside each line, and what stands against it. */
  protected readonly typed = signal<Readonly<Record<string, string>>>({});
  protected readonly refused = signal<Readonly<Record<string, string>>>({});
  /** Lines that are opened to what their target rests on. */
  protected readonly open = signal<string | null>(null);
  protected readonly simulating = signal(false);
  protected readonly meter = viewChild(SimulatedMeter);

  protected type(row: SheetRow, event: Event): void {
    this.typed.update((t) => ({ ...t, [row.key]: (event.target as HTMLInputElement).value }));
    this.refuse(row, '');
  }

  private refuse(row: SheetRow, text: string): void {
    this.refused.update((r) => ({ ...r, [row.key]: text }));
  }

  /** Keeps what is typed; a value that would fit a thousand times more or less is asked about once. */
  protected async keep(row: SheetRow, event: Event): Promise<void> {
    event.preventDefault();
    const raw = (this.typed()[row.key] ?? '').trim();
    const { quantity } = row.line.target;
    const typed = typedState(quantity, raw, 'mm');
    if (typed.kind !== 'value') {
      this.refuse(row, typed.kind === 'empty' ? 'Type the reading' : (typedProblem(quantity, typed, 'mm') ?? 'Not a reading'));
      return;
    }
    const meant = this.meant(row, typed.value);
    if (meant !== null && !(this.refused()[row.key] ?? '').startsWith('Did')) {
      this.refuse(row, `Did you mean ${circuitValue(meant, quantity)}? Press Enter again to save ${circuitValue(typed.value, quantity)}.`);
      return;
    }
    await this.save(row, typed.value, raw);
  }

  /** The value that would agree, where the typed one is a thousand times off. */
  private meant({ expected, line }: SheetRow, value: number): number | null {
    if (!expected) return null;
    const q = STATES[line.target.quantity];
    const agrees = (v: number): boolean => canBe(q, v) && judgeLine(expected, { value: v, limit: 0.02 * v }) === 'agrees';
    return agrees(value) ? null : ([value * 1000, value / 1000].find(agrees) ?? null);
  }

  protected async save(row: SheetRow, value: number, raw: string, simulated = false): Promise<void> {
    const instrument = this.held().of;
    if (instrument === null) return;
    const done = await this.attempt.run(() =>
      this.commands.takeStates(
        instrument,
        [{ target: row.line.target, value, raw, ...(simulated ? { tool: 'simulated meter' as const } : {}) }],
        () => undefined,
      ),
    );
    if (!done) return;
    this.typed.update((t) => ({ ...t, [row.key]: '' }));
    this.refuse(row, '');
    if (!simulated) this.focusAfter(row);
  }

  /** The next line that is not read yet: the hand is on the probes, not on the mouse. */
  private focusAfter(row: SheetRow): void {
    const rows = this.groups().flatMap((g) => g.rows);
    const next = rows.slice(rows.findIndex((r) => r.key === row.key) + 1).find((r) => !r.reading && r.answers.length === 0);
    if (next) this.host.nativeElement.querySelector<HTMLInputElement>(`[data-line="${CSS.escape(next.key)}"] input`)?.focus();
  }

  protected limits({ expected, line }: SheetRow): readonly { readonly what: string; readonly by: string }[] {
    const circuit = this.circuit();
    if (!expected?.resistance || !circuit) return [];
    return [...expected.resistance.doubts]
      .sort((a, b) => b.limit - a.limit)
      .map((d) => ({ what: unsureText(circuit, d, this.names()), by: `± ${circuitValue(d.limit, line.target.quantity)}` }));
  }

  protected rss({ expected, line }: SheetRow): string {
    return expected?.resistance ? `± ${circuitValue(expected.resistance.rss, line.target.quantity)}` : '';
  }

  protected csv(): void {
    const rows = this.groups().flatMap((g) =>
      g.rows.map((r) => ({
        stage: TEST_STAGE_WORDS[g.stage],
        line: r.title,
        target: r.target,
        reading: r.reading?.text ?? '',
        by: r.reading?.by ?? '',
        result: r.result?.word ?? '',
        meaning: r.meanings.join(' '),
      })),
    );
    saveFile(sheetCsv(rows), 'test-sheet.csv', 'text/csv');
  }
}
