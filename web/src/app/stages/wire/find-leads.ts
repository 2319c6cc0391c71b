import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { OPEN, usualLimit } from '@rinnovo/core/quantity';
import { typedState } from '@rinnovo/core/survey';
import { findLeads, type Circuit, type LeadReading, type PickupElement, type Swing } from '@rinnovo/core/wire';
import { circuitValue, elementName } from '@rinnovo/words';
import { selectNames } from '../../state/selectors';

/** The leads of a pickup, found with the meter: pairs by resistance, starts by the swing. */
@Component({
  selector: 'rn-find-leads',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule],
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
          <button matButton="filled" type="button" (click)="apply()">Use these leads</button>
        }
        <button matButton type="button" (click)="again()">Start again</button>
      }
    </details>
  `,
  styleUrl: './guided.scss',
})
export class FindLeads {
  readonly circuit = input.required<Circuit>();
  readonly traced = output<Circuit>();
  private readonly names = inject(Store).selectSignal(selectNames);
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

  protected readonly shown = (ohms: number): string => circuitValue(ohms, 'partResistance');
  protected readonly value = (event: Event): string => (event.target as HTMLInputElement).value;

  protected name(event: Event): void {
    this.typed.set(this.value(event));
    this.again();
  }

  protected again(): void {
    this.readings.set([]);
    this.swings.set([]);
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

  /** Colours and resistances go to the coils in the order in which they were found. */
  protected apply(): void {
    const element = this.element();
    if (!element) return;
    const { coils } = this.found();
    const told: PickupElement = {
      ...element,
      coils: element.coils.map((c, i) => {
        const f = coils[i];
        if (!f) return c;
        return {
          ...c,
          startColour: f.start,
          finishColour: f.finish,
          ohms: { value: f.ohms, limit: usualLimit('partResistance', f.ohms), basis: { kind: 'measured', tool: 'meter' } },
        };
      }),
    };
    this.traced.emit({ ...this.circuit(), elements: this.circuit().elements.map((e) => (e.id === element.id ? told : e)) });
  }
}
