import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { OPEN } from '@rinnovo/core/quantity';
import { typedState } from '@rinnovo/core/survey';
import { isPickup, type LeadReading, type LeadsFound, type Swing } from '@rinnovo/core/part';
import { findLeads, partFound, withLeads, type Circuit, type PickupElement } from '@rinnovo/core/wire';
import { circuitValue, dayOf, elementName, roomOf } from '@rinnovo/words';
import { parts } from '../../state/resources';
import { selectNames, selectReadings } from '../../state/selectors';
import { ShelfCommands } from '../../state/shelf-commands';
import { attempt } from '../../ui/attempt';
import { ElectricField } from '../../ui/electric-field';

/** The leads of a pickup, found with the meter: pairs by resistance, starts by the swing. */
@Component({
  selector: 'rn-find-leads',
  imports: [ElectricField, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details class="panel">
      <summary>Find the leads of a pickup</summary>
      <div class="fields">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Pickup</mat-label>
          <mat-select [value]="chosen()" (valueChange)="chosen.set($event)">
            @for (p of pickups(); track p.id) {
              <mat-option [value]="p.id">{{ p.name }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Leads by colour</mat-label>
          <input matInput name="leads" autocomplete="off" placeholder="red, white, green, black, bare" [value]="typed()" (input)="name($event)" />
        </mat-form-field>
      </div>
      @if (leads().length < 2) {
        <p class="soft">Type the colours of the leads, with commas. A lead without a colour gets a name of your own.</p>
      } @else {
        @if (found().next; as pair) {
          <form class="ask" (submit)="read($event, pair)" novalidate>
            <p>
              Red on <strong>{{ pair[0] }}</strong>, black on <strong>{{ pair[1] }}</strong>.
            </p>
            <input
              name="ohms"
              autocomplete="off"
              [attr.aria-label]="'Reading, ' + pair[0] + ' to ' + pair[1]"
              [value]="ohms()"
              (input)="ohms.set(value($event))"
            />
            <button matButton="filled" type="submit">Save reading</button>
            <button matButton="outlined" type="button" (click)="keep(pair, OPEN)">OL</button>
          </form>
          @if (refused(); as text) {
            <p class="problem" role="alert">{{ text }}</p>
          }
        } @else if (found().swing; as coil) {
          <div class="ask" role="group" aria-label="Swing">
            <p>
              Lay steel on the poles of this coil. Red on <strong>{{ coil[0] }}</strong>, black on <strong>{{ coil[1] }}</strong>. Lift the steel off: the meter
              swings
            </p>
            <button matButton="outlined" type="button" (click)="swing(coil[0], 'up')">Up</button>
            <button matButton="outlined" type="button" (click)="swing(coil[0], 'down')">Down</button>
          </div>
        }
        <ul class="rows" role="status">
          @for (c of found().coils; track c.leads[0]) {
            <li>Coil {{ c.leads[0] }} to {{ c.leads[1] }}: {{ shown(c.ohms) }}{{ c.start ? ', start ' + c.start + ', finish ' + c.finish : '' }}</li>
          }
          @for (t of found().taps; track t.tap) {
            <li>{{ t.tap }} is the joint of {{ t.ends[0] }} and {{ t.ends[1] }}, or a tap</li>
          }
          @for (t of found().together; track t[0] + t[1]) {
            <li>{{ t[0] }} and {{ t[1] }} are one: a shield on a coil end, or a short</li>
          }
          @for (a of found().alone; track a) {
            <li>{{ a }} reaches no other lead: a shield, or an open coil</li>
          }
        </ul>
        @if (whole()) {
          <div class="fields">
            @for (c of found().coils; track c.leads[0]) {
              <rn-electric-field
                [label]="'Inductance, ' + c.leads[0] + ' to ' + c.leads[1] + ', H'"
                unit="H"
                [known]="henries()[$index] ?? null"
                likely="coil inductance"
                (typed)="henry($index, $event)"
              />
            }
          </div>
          <button matButton="filled" type="button" (click)="apply()">Use these leads</button>
          @if (onShelf(); as kept) {
            <button matButton="outlined" type="button" [disabled]="busy()" (click)="keepPart()">Save them with {{ kept.part.name }} on the shelf, too</button>
          }
        }
        <button matButton type="button" (click)="again()">Start again</button>
        @if (problem(); as p) {
          <p class="problem" role="alert">{{ p }}</p>
        }
        <span role="status">{{ said() }}</span>
      }
    </details>
  `,
  styleUrl: './guided.scss',
})
export class FindLeads {
  readonly circuit = input.required<Circuit>();
  readonly traced = output<Circuit>();
  private readonly store = inject(Store);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly shelf = this.store.selectSignal(parts.select);
  private readonly surveyed = this.store.selectSignal(selectReadings);
  private readonly commands = inject(ShelfCommands);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly said = signal('');
  protected readonly henries = signal<readonly (number | null)[]>([]);
  protected readonly OPEN = OPEN;
  protected readonly pickups = computed(() =>
    this.circuit().elements.flatMap((e) => (e.kind === 'pickup' ? [{ id: e.id, name: elementName(e, this.names()), element: e }] : [])),
  );
  protected readonly chosen = linkedSignal(() => this.pickups()[0]?.id ?? null);
  protected readonly typed = signal('');
  protected readonly ohms = signal('');
  protected readonly refused = signal<string | null>(null);
  private readonly readings = signal<readonly LeadReading[]>([]);
  private readonly swings = signal<readonly Swing[]>([]);
  protected readonly leads = computed(() => [
    ...new Set(
      this.typed()
        .split(/[,;]/)
        .map((l) => l.trim())
        .filter(Boolean),
    ),
  ]);
  protected readonly found = computed(() => findLeads(this.leads(), this.readings(), this.swings()));
  private readonly element = computed((): PickupElement | null => this.pickups().find((p) => p.id === this.chosen())?.element ?? null);
  /** As many coils as the pickup has, each with its start. */
  protected readonly whole = computed(() => {
    const { coils, next } = this.found();
    return next === null && coils.length === this.element()?.coils.length && coils.every((c) => c.start !== null);
  });

  /** The part that the pickup is, with the version that was read. */
  protected readonly onShelf = computed(() => {
    const kept = this.shelf().data?.[this.element()?.part ?? ''];
    return kept && isPickup(kept.part) ? { part: kept.part, version: kept.version } : null;
  });

  protected readonly shown = (ohms: number): string => circuitValue(ohms, 'partResistance');
  protected readonly value = (event: Event): string => (event.target as HTMLInputElement).value;

  protected name(event: Event): void {
    this.typed.set(this.value(event));
    this.again();
  }

  protected again(): void {
    this.readings.set([]);
    this.swings.set([]);
    this.henries.set([]);
    this.said.set('');
    this.refused.set(null);
  }

  protected read(event: Event, pair: readonly [string, string]): void {
    event.preventDefault();
    const typed = typedState('partResistance', this.ohms(), 'mm');
    if (typed.kind !== 'value') {
      this.refused.set('Not a resistance. Try 3.95k, 470R or OL.');
      return;
    }
    this.keep(pair, typed.value);
  }

  protected keep([a, b]: readonly [string, string], ohms: number): void {
    this.readings.update((r) => [...r, { a, b, ohms }]);
    this.ohms.set('');
    this.refused.set(null);
  }

  protected swing(red: string, to: Swing['to']): void {
    this.swings.update((s) => [...s, { red, to }]);
  }

  protected henry(index: number, value: number | null): void {
    this.henries.update((h) => this.found().coils.map((_, i) => (i === index ? value : (h[i] ?? null))));
  }

  private readonly told = computed((): PickupElement | null => {
    const element = this.element();
    return element && withLeads(element, this.found().coils, this.henries(), roomOf(this.surveyed()));
  });

  protected apply(): void {
    const told = this.told();
    if (told) this.traced.emit({ ...this.circuit(), elements: this.circuit().elements.map((e) => (e.id === told.id ? told : e)) });
  }

  /** What was found goes to the circuit and to the part on the shelf, with its readings. */
  protected async keepPart(): Promise<void> {
    const [told, kept] = [this.told(), this.onShelf()];
    if (!told || !kept) return;
    const found: LeadsFound = { day: dayOf(new Date().toISOString()), readings: this.readings(), swings: this.swings() };
    const part = partFound(kept.part, told, found);
    if (await this.attempt.run(() => this.commands.keep(part, kept.version), 'Somebody else changed this part meanwhile. Try again.')) {
      this.said.set('Saved on the shelf');
      this.apply();
    }
  }
}
