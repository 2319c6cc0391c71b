import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { isOpenCircuit } from '@rinnovo/core/quantity';
import { byItself, expectedAt, FAULTS, restingSetting, simulatedMeter, wired, type Circuit, type Faulty } from '@rinnovo/core/wire';
import { circuitValue, faultName, type SheetRow } from '@rinnovo/words';
import { selectNames } from '../../state/selectors';

/** How long each number stands until the next, ms. */
const SETTLING = 120;
/** Faults that can be chosen: those that a part has, wherever the switch stands. */
const OF_PARTS = ['coil open', 'coil shorted', 'ground lug open'];

/** A stand-in for a meter, for practice and for a circuit that is not on the bench: it always says that it is simulated. */
@Component({
  selector: 'rn-simulated-meter',
  imports: [MatFormFieldModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="panel meter" role="group" aria-label="Simulated meter">
      <p class="display number" role="status" aria-label="Display">{{ shown() }}</p>
      <p>
        <strong>Simulated.</strong> Its readings are kept under the name <em>simulated meter</em>. Choose <em>Probe</em> beside a line.
        <span class="soft">{{ range() }}</span>
      </p>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Circuit on the bench</mat-label>
        <mat-select [value]="fault()" (valueChange)="fault.set($event)">
          <mat-option value="sound">Sound</mat-option>
          @for (f of faults(); track f.key) {
            <mat-option [value]="f.key">{{ f.word }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
    </div>
  `,
  styles: `
    .meter {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.5rem 1rem;
      padding: 0.5rem 1rem;
    }
    .display {
      min-width: 9rem;
      margin: 0;
      padding: 0.3rem 0.8rem;
      font-size: 1.8rem;
      text-align: end;
      border: 2px solid var(--rn-ink-soft);
      border-radius: 6px;
    }
    p {
      flex: 1 1 16rem;
      margin: 0;
    }
    .display {
      flex: none;
    }
    mat-form-field {
      flex: 1 1 18rem;
    }
  `,
})
export class SimulatedMeter {
  readonly circuit = input.required<Circuit>();
  /** A line was read. */
  readonly stood = output<{ readonly row: SheetRow; readonly value: number; readonly raw: string }>();
  private readonly names = inject(Store).selectSignal(selectNames);
  protected readonly fault = signal('sound');
  protected readonly shown = signal('– – –');
  protected readonly range = signal('');

  private readonly ways = computed((): readonly (Faulty & { readonly key: string; readonly word: string })[] => {
    const circuit = this.circuit();
    return FAULTS.filter((f) => OF_PARTS.includes(f.id)).flatMap((f) =>
      f
        .ways(circuit, restingSetting(circuit))
        .map((w) => ({ ...w, key: `${f.id}|${w.element}|${w.at}`, word: faultName(circuit, f.id, w.element, w.at, this.names()) })),
    );
  });
  protected readonly faults = this.ways;

  /** Puts the probes on a line: the display settles, then the reading stands. */
  async probe(row: SheetRow): Promise<void> {
    const { line } = row;
    if (!line.probes) return;
    const truth = this.ways().find((w) => w.key === this.fault())?.circuit ?? this.circuit();
    const { quantity } = line.target;
    if (quantity === 'partCapacitance' || quantity === 'partInductance') {
      const digits = quantity === 'partCapacitance' ? 10 : 100;
      const value = Math.round((expectedAt(wired(truth), line)?.value ?? 0) * digits) / digits;
      this.show(value, quantity);
      this.stood.emit({ row, value, raw: String(value) });
      return;
    }
    const of = line.stage === 'part' ? byItself(truth, line.target.feature) : truth;
    const read = simulatedMeter(of, ...line.probes, line.setting, { celsius: 20, random: Math.random });
    this.range.set(`Range ${circuitValue(read.range, quantity)}.`);
    for (const value of read.settling) {
      this.show(value, quantity);
      await new Promise((resolve) => setTimeout(resolve, SETTLING));
    }
    const raw = isOpenCircuit(read.shown) ? 'OL' : `${read.shown / 1000}k`;
    this.stood.emit({ row, value: read.shown, raw });
  }

  private show(value: number, quantity: SheetRow['line']['target']['quantity']): void {
    this.shown.set(circuitValue(value, quantity));
  }
}
