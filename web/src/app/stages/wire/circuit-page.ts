import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import { circuitProblems, everySetting, looseEnds, netlistOf, restingSetting, toTrace, wired, type Circuit } from '@rinnovo/core/wire';
import { circuitProblemText, looseEndText, settingText, upperFirst } from '@rinnovo/words';
import { Drafts } from '../../state/drafts';
import { circuit as circuitResource } from '../../state/resources';
import { selectCircuit, selectNames } from '../../state/selectors';
import { WireCommands } from '../../state/wire-commands';
import { attempt } from '../../ui/attempt';
import { ChooseCircuit } from './choose-circuit';
import { CompareCircuits } from './compare-circuits';
import { EditParts } from './edit-parts';
import { FindLeads } from './find-leads';
import { MeterSwitch } from './meter-switch';
import { TraceLugs } from './trace-lugs';
import { TracingPhoto } from './tracing-photo';
import { circuitDraft } from './wire-drafts';
import { WireNav } from './wire-nav';

/** So many changes can be undone. */
const MOST_UNDONE = 100;

/** The circuit that is there: chosen by what it does, or traced lug by lug. */
@Component({
  selector: 'rn-circuit-page',
  imports: [ChooseCircuit, CompareCircuits, EditParts, FindLeads, MatButtonModule, MeterSwitch, TraceLugs, TracingPhoto, WireNav],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h1 class="visually-hidden">Circuit</h1>
    <rn-wire-nav />
    <div class="scroll">
      @if (draft()) {
        <div class="unsaved panel" role="status">
          <p>Changed and not saved yet.</p>
          <button matButton="filled" type="button" [disabled]="busy()" (click)="save()">Save circuit</button>
          <button matButton="outlined" type="button" [disabled]="busy() || before().length === 0" (click)="undo()">Undo</button>
          <button matButton type="button" [disabled]="busy()" (click)="discard()">Discard</button>
        </div>
      }
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
      @if (shown(); as c) {
        @for (t of doubts(); track t) {
          <p class="panel doubt">{{ t }}</p>
        }
        <div class="trace">
          <rn-trace-lugs [circuit]="c" (traced)="trace($event)" />
          <rn-tracing-photo class="panel" />
        </div>
        <rn-edit-parts [circuit]="c" (traced)="trace($event)" />
        <rn-find-leads [circuit]="c" (traced)="trace($event)" />
        <rn-meter-switch [circuit]="c" (traced)="trace($event)" />
        <rn-compare-circuits [circuit]="c" />
      } @else {
        <p class="panel empty">
          No circuit yet. Choose the one that comes nearest: each terminal can be traced afterwards. The test sheet and the response follow from it.
        </p>
      }
      <rn-choose-circuit [replaces]="shown() !== null" [busy]="busy()" (chosen)="choose($event)" />
    </div>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-rows: auto auto minmax(0, 1fr);
      gap: 0.4rem;
      height: 100%;
    }
    .scroll {
      grid-row: 3;
      display: grid;
      align-content: start;
      gap: 0.6rem;
      overflow: auto;
      padding-block-end: 5rem;
    }
    .trace {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
      align-items: start;
      gap: 0.6rem;
    }
    .unsaved {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.5rem;
      padding: 0.5rem 1rem;
    }
    .unsaved p {
      flex: 1;
      margin: 0;
    }
    .doubt,
    .empty {
      padding: 0.6rem 1rem;
      margin: 0;
    }
    @media (width < 900px) {
      :host {
        display: block;
        height: auto;
      }
      .trace {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class CircuitPage {
  private readonly store = inject(Store);
  private readonly commands = inject(WireCommands);
  private readonly drafts = inject(Drafts);
  private readonly held = this.store.selectSignal(circuitResource.select);
  private readonly kept = this.store.selectSignal(selectCircuit);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  /** What was traced and is not kept yet; it outlives the page. */
  protected readonly draft = signal<Circuit | null>(null);
  protected readonly shown = computed(() => this.draft() ?? this.kept());
  /** As it stood before each change since it was last saved. */
  protected readonly before = signal<readonly Circuit[]>([]);

  /** What cannot be of it, and what hangs together wrongly wherever the switch stands, once all is traced. */
  protected readonly doubts = computed(() => {
    const circuit = this.shown();
    if (!circuit) return [];
    const wrong = circuitProblems(circuit).map((p) => `This cannot be: ${circuitProblemText(p)}.`);
    if (wrong.length > 0 || toTrace(circuit).length > 0) return wrong;
    const w = wired(circuit);
    const settings = everySetting(circuit, restingSetting(circuit));
    const silent = settings.filter((s) => looseEnds(circuit, netlistOf(w, s)).some((e) => e.kind === 'silent'));
    const always = looseEnds(circuit, netlistOf(w, settings[0] ?? restingSetting(circuit))).filter((e) => e.kind === 'floating');
    const hanging = settings.flatMap((s) => {
      const free = looseEnds(circuit, netlistOf(w, s)).filter((e) => e.kind === 'hanging');
      return free.map((e) => `${upperFirst(settingText(circuit, s, this.names()))}. ${looseEndText(circuit, e, this.names())}`);
    });
    const kills = circuit.elements.some((e) => e.does === 'kill');
    return [
      ...(silent.length > 0 && !kills ? [`Silent at: ${silent.map((s) => settingText(circuit, s, this.names())).join('; ')}.`] : []),
      ...always.map((e) => looseEndText(circuit, e, this.names())),
      ...hanging,
    ];
  });

  constructor() {
    // what was traced before the page went away comes back, where nobody else kept a circuit since
    effect(() => {
      const { of, version } = this.held();
      if (of === null || version === null) return;
      void this.drafts.of<Circuit>(circuitDraft(of)).then((d) => {
        if (d?.version === version && untracked(this.draft) === null) this.draft.set(d.kept);
      });
    });
  }

  protected trace(circuit: Circuit): void {
    const before = this.shown();
    if (before && before !== circuit) this.before.update((b) => [...b.slice(1 - MOST_UNDONE), before]);
    this.hold(circuit);
  }

  protected undo(): void {
    const last = this.before().at(-1);
    if (!last) return;
    this.before.update((b) => b.slice(0, -1));
    if (last === this.kept()) this.discard();
    else this.hold(last);
  }

  private hold(circuit: Circuit): void {
    this.draft.set(circuit);
    const { of, version } = this.held();
    if (of !== null) void this.drafts.keep(circuitDraft(of), { version: version ?? 0, kept: circuit });
  }

  protected choose(circuit: Circuit): void {
    void this.keep(circuit);
  }

  protected save(): void {
    const circuit = this.draft();
    if (circuit) void this.keep(circuit);
  }

  protected discard(): void {
    this.draft.set(null);
    this.before.set([]);
    const { of } = this.held();
    if (of !== null) void this.drafts.drop(circuitDraft(of));
  }

  private async keep(circuit: Circuit): Promise<void> {
    const { of, version } = this.held();
    if (of === null) return;
    const stale = 'Somebody else saved this circuit meanwhile. Yours is kept here: save again to replace theirs, or discard it.';
    const done = await this.attempt.run(() => this.commands.keep(of, version ?? 0, circuit), stale);
    if (done) {
      this.discard();
      return;
    }
    this.hold(circuit);
    this.commands.reload(of);
  }
}
