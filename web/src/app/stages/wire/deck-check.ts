import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { circuitOfDeck, heardFrequencies, readDeck, solveDeck, type Deck } from '@rinnovo/core/wire';
import { deckProblemText, fixed, hertzText, noCircuitText, withUnit } from '@rinnovo/words';
import { circuit as circuitResource } from '../../state/resources';
import { WireCommands } from '../../state/wire-commands';
import { attempt } from '../../ui/attempt';

/** Points between 20 Hz and 20 kHz at which a deck is told. */
const POINTS = 7;
/** A deck is a page of text: larger files are none. */
const LARGEST = 200_000;

/** A simple deck from elsewhere, solved: what its nodes give. */
@Component({
  selector: 'rn-deck-check',
  imports: [MatButtonModule, MatFormFieldModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="file">
      <span>Check a deck (R, C, L, V, I)</span>
      <input type="file" accept=".cir,.sp,.net,.txt,text/plain" (change)="take($event)" />
    </label>
    @for (p of problems(); track p) {
      <p class="problem" role="alert">{{ p }}</p>
    }
    @if (deck(); as d) {
      <p role="status">{{ d.title || 'Untitled deck' }}: {{ d.elements.length }} elements.</p>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Node</mat-label>
        <mat-select [value]="node()" (valueChange)="node.set($event)">
          @for (n of nodes(); track n) {
            <mat-option [value]="n">{{ n }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <ul class="rows">
        @for (l of levels(); track l) {
          <li class="number">{{ l }}</li>
        }
      </ul>
      <button matButton="outlined" type="button" [disabled]="busy()" (click)="keep()">Save it as the circuit, {{ node() }} to the jack</button>
      <span role="status">{{ said() }}</span>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.4rem;
    }
    .file {
      display: grid;
    }
    input {
      min-height: 44px;
      max-width: 100%;
    }
    p {
      margin: 0;
    }
  `,
})
export class DeckCheck {
  private readonly commands = inject(WireCommands);
  private readonly held = inject(Store).selectSignal(circuitResource.select);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly said = signal('');
  protected readonly deck = signal<Deck | null>(null);
  protected readonly problems = signal<readonly string[]>([]);
  protected readonly node = signal<string | null>(null);
  protected readonly nodes = computed(() => [...new Set((this.deck()?.elements ?? []).flatMap((e) => [e.a, e.b]))].filter((n) => n !== '0').sort());
  protected readonly levels = computed(() => {
    const [deck, node] = [this.deck(), this.node()];
    if (!deck || node === null) return [];
    const hertz = heardFrequencies(POINTS);
    return Array.from(hertz, (f) => {
      const solved = solveDeck(deck, f);
      if (!solved.ok) return `${hertzText(f)}: ${solved.because === 'loop' ? 'ideal sources form a loop' : `floating: ${solved.nodes.join(', ')}`}`;
      const v = solved.volts.get(node);
      const size = Math.hypot(v?.re ?? 0, v?.im ?? 0);
      return `${hertzText(f)}: ${size === 0 ? 'silent' : withUnit(fixed(20 * Math.log10(size), 2), 'dB')}`;
    });
  });

  /** The deck becomes the next revision of the circuit, heard at the chosen node. */
  protected async keep(): Promise<void> {
    const [deck, node, { of, version }] = [this.deck(), this.node(), this.held()];
    if (!deck || node === null || of === null) return;
    const made = circuitOfDeck(deck, node);
    this.problems.set(made.ok ? [] : made.problems.map((p) => `${noCircuitText(p)}.`));
    if (!made.ok) return;
    const stale = 'Somebody else saved this circuit meanwhile. Look at it first.';
    if (await this.attempt.run(() => this.commands.keep(of, version ?? 0, made.circuit), stale)) this.said.set('Saved as the circuit');
    else this.problems.set([this.attempt.problem() ?? '']);
  }

  protected async take(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    if (!file) return;
    this.deck.set(null);
    this.node.set(null);
    this.said.set('');
    if (file.size > LARGEST) {
      this.problems.set(['This file is too large for a deck: 200 kB at most.']);
      return;
    }
    const read = readDeck(await file.text());
    field.value = '';
    this.problems.set(read.ok ? [] : read.problems.map(deckProblemText));
    if (!read.ok) return;
    this.deck.set(read.deck);
    this.node.set(this.nodes().at(-1) ?? null);
  }
}
