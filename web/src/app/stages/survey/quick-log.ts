import type { ElementRef } from '@angular/core';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import { inUse } from '@rinnovo/core/part';
import { isState } from '@rinnovo/core/quantity';
import { completions, isWhole, quickLine, type QuickValue } from '@rinnovo/core/survey';
import { improbableText, lengthText, stateText, stateTitle, targetText, typedProblem, upperFirst } from '@rinnovo/words';
import { attempt } from '../../ui/attempt';
import { Commands } from '../../state/commands';
import { shop } from '../../state/resources';
import { selectNames, selectOpenSurvey, selectSurvey } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { Claims } from '../../ui/claims';

/** Letters of one note; the instrument's notes hold 4,000. */
const LONGEST_NOTE = 3500;

/** One line for whatever is read or noticed, in reach on every stage: it says what it understood before it is kept. */
@Component({
  selector: 'rn-quick-log',
  imports: [MatButtonModule, Claims],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'reach($event)' },
  template: `
    @if (open()) {
      <form class="bar" (submit)="keep($event)" novalidate aria-label="Quick log">
        <label>
          <span class="visually-hidden">Reading or note</span>
          <input
            #line
            autocomplete="off"
            placeholder="relief .25; action e1 1.6 e6 2; rh 48 t 20; note …"
            [value]="text()"
            (input)="type($event)"
            (keydown)="key($event)"
          />
        </label>
        <button matButton="filled" type="submit" [disabled]="busy()">Save</button>
        <button matButton type="button" (click)="open.set(false)">Close</button>
        <div class="understood" role="status" aria-label="Parsed">
          <ul class="rows">
            @for (v of understood(); track v.key) {
              <li [class.problem]="v.problem !== null">
                {{ v.title }}: <strong class="number">{{ v.problem ?? v.value }}</strong>
                @if (v.doubt) {
                  <span class="doubt">{{ v.doubt }}</span>
                }
              </li>
            }
            @if (note(); as n) {
              <li>Note: {{ n }}</li>
            }
            @if (offered().length > 0) {
              <li class="soft">Tab: {{ offered().join(' · ') }}</li>
            }
          </ul>
        </div>
        <rn-claims class="claims" [text]="text()" />
        @if (problem(); as p) {
          <p class="problem" role="alert">{{ p }}</p>
        }
        @if (said(); as s) {
          <p role="status">{{ s }}</p>
        }
      </form>
    } @else {
      <button matButton="outlined" type="button" class="reach no-print" aria-keyshortcuts="/" (click)="show()">Log <kbd>/</kbd></button>
    }
  `,
  styles: `
    /* Under the rail, where nothing else lies. */
    :host {
      position: fixed;
      inset-block-end: 0.75rem;
      inset-inline-start: 0.3rem;
      z-index: 20;
    }
    .reach {
      min-width: 0;
      width: 70px;
      padding: 0;
      background: var(--rn-sheet);
    }
    .bar {
      margin-inline-start: 5.2rem;
      display: grid;
      grid-template-columns: 1fr auto auto;
      gap: 0.4rem 0.6rem;
      align-items: center;
      width: min(900px, calc(100vw - 7.5rem));
      padding: 0.75rem;
      background: var(--rn-sheet);
      border: 2px solid var(--rn-plan);
      border-radius: 8px;
      box-shadow: 0 4px 24px rgb(0 0 0 / 35%);
    }
    input {
      width: 100%;
      min-height: 48px;
      padding: 0 0.75rem;
      font-size: 1.2rem;
    }
    @media (width < 900px) {
      :host {
        inset-block-end: 60px;
      }
      .bar {
        width: calc(100vw - 0.6rem);
        margin-inline-start: 0;
      }
    }
    .understood,
    .claims,
    p {
      grid-column: 1 / -1;
      margin: 0;
    }
    .understood {
      min-height: 1.4em;
    }
    .doubt {
      margin-inline-start: 0.6rem;
      color: var(--rn-thin);
      font-weight: 600;
    }
  `,
})
export class QuickLog {
  readonly instrument = input.required<string>();
  private readonly store = inject(Store);
  private readonly commands = inject(Commands);
  private readonly survey = this.store.selectSignal(selectSurvey);
  private readonly openSurvey = this.store.selectSignal(selectOpenSurvey);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly shop = this.store.selectSignal(shop.select);
  private readonly line = viewChild<ElementRef<HTMLInputElement>>('line');

  protected readonly open = signal(false);
  protected readonly text = signal('');
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly said = signal<string | null>(null);
  /** Which values of this line are in already: after a failure only the rest is sent again. */
  private readonly kept = new Set<number>();
  /** The line whose improbable values were challenged. */
  private insisted = '';
  private readonly parsed = computed(() => {
    const s = this.survey();
    return s ? quickLine(this.text(), s.surveyed, this.unit()) : null;
  });
  protected readonly understood = computed(() => (this.parsed()?.values ?? []).map((v, i) => ({ key: i, ...this.shown(v) })));
  protected readonly note = computed(() => this.parsed()?.note ?? null);
  protected readonly offered = computed(() => {
    const s = this.survey();
    return s && this.text() !== '' ? completions(this.text(), s.surveyed) : [];
  });

  /** `/` reaches the line from anywhere but a field. */
  protected reach(event: KeyboardEvent): void {
    const typing = event.target instanceof Element && event.target.closest('input, textarea, select, [contenteditable], mat-select, [role=dialog]') !== null;
    if (event.key !== '/' || event.ctrlKey || event.metaKey || event.altKey || typing) return;
    event.preventDefault();
    this.show();
  }

  protected show(): void {
    this.open.set(true);
    this.said.set(null);
    setTimeout(() => this.line()?.nativeElement.focus());
  }

  protected type(event: Event): void {
    this.text.set((event.target as HTMLInputElement).value);
    this.kept.clear();
    this.problem.set(null);
    this.said.set(null);
  }

  /** Tab takes what is offered first, Escape closes; what was typed stays for the next time. */
  protected key(event: KeyboardEvent): void {
    if (event.key === 'Escape') this.open.set(false);
    const [first] = this.offered();
    if (event.key !== 'Tab' || event.shiftKey || first === undefined) return;
    event.preventDefault();
    const words = this.text().split(/\s+/);
    this.text.set(`${[...words.slice(0, -1), first].join(' ')} `);
  }

  protected async keep(event: Event): Promise<void> {
    event.preventDefault();
    const line = this.parsed();
    if (!line || this.busy() || (line.values.length === 0 && line.note === null)) return;
    if (!isWhole(line)) {
      this.problem.set('Not saved. Correct the marked values');
      return;
    }
    if (line.note !== null && line.note.length > LONGEST_NOTE) {
      this.problem.set(`A note has at most ${LONGEST_NOTE} characters. This one has ${line.note.length}. Not saved yet.`);
      return;
    }
    if (this.understood().some((v) => v.doubt !== null) && this.insisted !== this.text()) {
      this.insisted = this.text();
      this.problem.set('Check the unlikely values. Press Enter again to save them');
      return;
    }
    await this.attempt.run(async () => {
      for (const [i, v] of line.values.entries()) {
        if (this.kept.has(i)) continue;
        await this.take(v);
        this.kept.add(i);
      }
      if (line.note !== null) await this.commands.addNote(this.instrument(), line.note);
      this.text.set('');
      this.kept.clear();
      const kept = line.values.length === 1 ? 'One reading saved' : `${line.values.length} readings saved`;
      const readings = line.values.length === 0 ? '' : this.openSurvey() ? kept : `${kept}, outside a survey because none is open`;
      this.said.set([readings, line.note === null ? '' : readings === '' ? 'Saved as a note' : 'the rest as a note'].filter(Boolean).join('; '));
    });
  }

  private async take({ target, typed, raw, tool }: QuickValue): Promise<void> {
    if (typed.kind !== 'value') return;
    if (isState(target)) {
      await this.commands.takeStates(this.instrument(), [{ target, value: typed.value, raw }], () => undefined);
      return;
    }
    const tools = inUse(this.shop().data?.tools ?? []);
    const used = tools.find((t) => t.kind === (tool ?? 'calliper')) ?? tools[0];
    if (!used) throw new Error(`The shop has no ${tool ?? 'calliper'}`);
    await this.commands.takeReading(this.instrument(), target, { value: typed.value, raw, tool: used }, null);
  }

  private shown({ target, typed }: QuickValue): {
    readonly title: string;
    readonly value: string;
    readonly problem: string | null;
    readonly doubt: string | null;
  } {
    if (!isState(target)) {
      const value = typed.kind === 'value' ? lengthText(typed.value, this.unit()) : '';
      return {
        title: upperFirst(targetText(target, this.names())),
        value,
        problem: typed.kind === 'value' ? null : 'Not a length. Try 7.9 or 5/16.',
        doubt: null,
      };
    }
    const value = typed.kind === 'value' ? stateText(target.quantity, typed.value, this.unit()) : '';
    return {
      title: stateTitle(target, this.names()),
      value,
      problem: typedProblem(target.quantity, typed, this.unit()),
      doubt: typed.kind === 'value' ? improbableText(target.quantity, typed.value, this.unit()) : null,
    };
  }
}
