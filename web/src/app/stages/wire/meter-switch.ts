import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { pairsToMeter, tableFromMeter, wrongContacts, type ContactRead } from '@rinnovo/core/part';
import { tableOf, withTable, type Circuit } from '@rinnovo/core/wire';
import { elementName, joinsText } from '@rinnovo/words';
import { selectNames } from '../../state/selectors';

/** The contacts of a switch, found with the meter: makers differ, so its table is where one begins. */
@Component({
  selector: 'rn-meter-switch',
  imports: [MatButtonModule, MatFormFieldModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details class="panel">
      <summary>Meter the contacts of a switch</summary>
      <div class="fields">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Switch</mat-label>
          <mat-select [value]="chosen()" (valueChange)="chosen.set($event)">
            @for (s of switches(); track s.id) {
              <mat-option [value]="s.id">{{ s.name }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
      </div>
      @if (next(); as n) {
        <div class="ask" role="group" aria-label="Contact">
          <p>
            Position <strong>{{ n.position + 1 }}</strong>: probes on <strong>{{ n.a }}</strong> and <strong>{{ n.b }}</strong>.
            <span class="soft">{{ left() }} left. The switch out of the circuit, or its leads off.</span>
          </p>
          <button matButton="outlined" type="button" (click)="read(true)">Closed</button>
          <button matButton="outlined" type="button" (click)="read(false)">Open</button>
          <button matButton type="button" [disabled]="reads().length === 0" (click)="back()">Undo</button>
        </div>
      } @else if (chosen()) {
        <ul class="rows" role="status">
          @for (p of table().positions; track $index) {
            <li>Position {{ $index + 1 }}: {{ joins(p.joins) }}</li>
          }
        </ul>
        <button matButton="filled" type="button" [disabled]="wrong()" (click)="apply()">Use these contacts</button>
        <button matButton type="button" (click)="back()">Undo</button>
      }
    </details>
  `,
  styleUrl: './guided.scss',
})
export class MeterSwitch {
  readonly circuit = input.required<Circuit>();
  readonly traced = output<Circuit>();
  private readonly names = inject(Store).selectSignal(selectNames);
  /** Switches and the switches on pots, with their lugs and positions. */
  protected readonly switches = computed(() =>
    this.circuit().elements.flatMap((e) => {
      const table = tableOf(e);
      return table ? [{ id: e.id, name: elementName(e, this.names()), table }] : [];
    }),
  );
  protected readonly chosen = linkedSignal(() => this.switches()[0]?.id ?? null);
  private readonly all = signal<Readonly<Record<string, readonly ContactRead[]>>>({});
  protected readonly reads = computed(() => this.all()[this.chosen() ?? ''] ?? []);
  private readonly known = computed(() => this.switches().find((s) => s.id === this.chosen())?.table ?? null);
  private readonly pairs = computed(() => {
    const known = this.known();
    return known ? pairsToMeter(known.lugs, known.positions.length, this.reads()) : [];
  });
  protected readonly next = computed(() => this.pairs()[0] ?? null);
  protected readonly left = computed(() => this.pairs().length);
  protected readonly table = computed(() => {
    const known = this.known();
    const found = tableFromMeter(known?.lugs ?? [], known?.positions.length ?? 0, this.reads());
    return known?.momentary ? { ...found, momentary: true as const } : found;
  });
  protected readonly wrong = computed(() => wrongContacts(this.table()).length > 0);

  protected readonly joins = joinsText;

  protected read(closed: boolean): void {
    const next = this.next();
    if (next) this.set([...this.reads(), { ...next, closed }]);
  }

  protected back(): void {
    this.set(this.reads().slice(0, -1));
  }

  private set(reads: readonly ContactRead[]): void {
    const id = this.chosen();
    if (id !== null) this.all.update((a) => ({ ...a, [id]: reads }));
  }

  protected apply(): void {
    const id = this.chosen();
    const table = this.table();
    this.traced.emit({
      ...this.circuit(),
      elements: this.circuit().elements.map((e) => (e.id === id ? withTable(e, table) : e)),
    });
  }
}
