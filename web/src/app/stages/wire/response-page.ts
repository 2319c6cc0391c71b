import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { MatSliderModule } from '@angular/material/slider';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import {
  asRead,
  asStruck,
  controlsOf,
  deckText,
  heardFrequencies,
  heardOf,
  knobOf,
  levelsOf,
  netlistOf,
  networkOf,
  resonanceOf,
  responseDeck,
  restingSetting,
  SILENT,
  toTrace,
  VARIANTS,
  wired,
  withControl,
  type Circuit,
  type Control,
  type Setting,
  type VariantId,
} from '@rinnovo/core/wire';
import { elementName, fixed, heardText, lowerFirst, resonanceText, settingText, VARIANT_WORDS, withUnit, roomOf } from '@rinnovo/words';
import { circuit as circuitResource } from '../../state/resources';
import { selectCircuit, selectNames, selectReadings } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { saveFile } from '../../ui/save-file';
import { CurveChart, type Curve } from './curve-chart';
import { DeckCheck } from './deck-check';
import { TurnOf } from './turn-of';
import { WireNav } from './wire-nav';

const POINTS = 160;
/** Where levels are told side by side, Hz. */
const TOLD_AT = 200;
const PICOFARAD = 1e-12;

/** How a circuit sounds: positions and settings over one another, live as a pot or the cable moves. */
@Component({
  selector: 'rn-response-page',
  imports: [DeckCheck, MatButtonModule, MatFormFieldModule, MatSelectModule, MatSliderModule, CurveChart, RouterLink, TurnOf, WireNav],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './response-page.html',
  styleUrl: './response-page.scss',
})
export class ResponsePage {
  private readonly store = inject(Store);
  private readonly saved = this.store.selectSignal(selectCircuit);
  private readonly readings = this.store.selectSignal(selectReadings);
  private readonly names = this.store.selectSignal(selectNames);
  protected readonly held = this.store.selectSignal(circuitResource.select);
  protected readonly theme = this.store.selectSignal(viewFeature.selectTheme);
  protected readonly hertz = heardFrequencies(POINTS);

  /** The circuit with what was metered of its parts; null while there is none, or it is not traced. */
  protected readonly circuit = computed(() => {
    const saved = this.saved();
    return saved && toTrace(saved).length === 0 ? asRead(saved, this.readings(), roomOf(this.readings())) : null;
  });
  protected readonly cable = signal(500);
  protected readonly variant = signal<VariantId | 'nothing'>('nothing');
  protected readonly setting = linkedSignal((): Setting | null => {
    const circuit = this.circuit();
    return circuit && restingSetting(circuit);
  });
  private readonly main = computed((): Control | null => {
    const circuit = this.circuit();
    return (circuit && controlsOf(circuit).find((c) => c.of === 'position')) ?? null;
  });
  /** The positions whose curves are shown. */
  protected readonly shown = linkedSignal(() => Array.from({ length: this.main()?.count ?? 1 }, (_, i) => i).slice(0, 3));

  protected readonly positions = computed(() => Array.from({ length: this.main()?.count ?? 1 }, (_, i) => i));
  /** Pulls and other switches: each a toggle through its states. */
  protected readonly others = computed(() => {
    const [circuit, setting, main] = [this.circuit(), this.setting(), this.main()];
    if (!circuit || !setting) return [];
    return controlsOf(circuit)
      .filter((c) => c.element !== main?.element || c.of !== main.of)
      .map((control) => {
        const e = circuit.elements.find((x) => x.id === control.element);
        const at = control.of === 'pull' ? Number(setting.pulled[control.element] ?? false) : (setting.positions[control.element] ?? 0);
        const word = control.of === 'pull' ? (at === 1 ? 'pulled' : 'pushed') : `position ${at + 1}`;
        return { control, at, word: `${e ? elementName(e, this.names()) : control.element}: ${word}` };
      });
  });
  protected readonly pots = computed(() => {
    const [circuit, setting] = [this.circuit(), this.setting()];
    if (!circuit || !setting) return [];
    return circuit.elements.flatMap((e) => (e.kind === 'pot' ? [{ id: e.id, name: elementName(e, this.names()), at: knobOf(setting, e.id) }] : []));
  });
  protected readonly variants = computed(() => {
    const circuit = this.circuit();
    return circuit ? VARIANTS.filter((v) => v.applies(circuit)).map((v) => ({ id: v.id, word: VARIANT_WORDS[v.id] })) : [];
  });
  private readonly other = computed(() => VARIANTS.find((v) => v.id === this.variant()) ?? null);
  private readonly wiredAs = computed(() => {
    const [circuit, other] = [this.circuit(), this.other()];
    return circuit && { is: wired(circuit), other: other ? wired(other.of(circuit)) : null };
  });

  protected readonly load = computed(() => ({ farad: this.cable() * PICOFARAD, ohms: 1e6 }));
  /** The first position shown, as the knobs stand: where a pot is turned. */
  protected readonly turned = computed(() => {
    const [w, setting, main] = [this.wiredAs(), this.setting(), this.main()];
    return w && setting && { wired: w.is, setting: main ? withControl(setting, main, this.shown()[0] ?? 0) : setting };
  });
  /** Each shown position: its network, and that of what is laid over. */
  private readonly networks = computed(() => {
    const [w, setting, main] = [this.wiredAs(), this.setting(), this.main()];
    if (!w || !setting) return [];
    const load = this.load();
    return this.shown().map((i) => {
      const at = main ? withControl(setting, main, i) : setting;
      return { at, is: networkOf(netlistOf(w.is, at), load), other: w.other && networkOf(netlistOf(w.other, at), load) };
    });
  });
  /** Curves of another setting that stay while this one is changed. */
  protected readonly kept = signal<readonly Curve[]>([]);
  protected readonly curves = computed((): readonly Curve[] => [...this.now(), ...this.kept()]);
  private readonly now = computed((): readonly Curve[] => {
    const circuit = this.circuit();
    const variant = this.variant();
    if (!circuit) return [];
    return this.networks().flatMap(({ at, is, other }) => {
      const label = this.title(circuit, at);
      return [
        { label, levels: levelsOf(is, this.hertz), compared: false },
        ...(other && variant !== 'nothing'
          ? [{ label: `${label}, ${lowerFirst(VARIANT_WORDS[variant])}`, levels: levelsOf(other, this.hertz), compared: true }]
          : []),
      ];
    });
  });
  protected readonly rows = computed(() => {
    const circuit = this.circuit();
    if (!circuit) return [];
    const at = Float64Array.of(TOLD_AT);
    const first = this.networks()[0];
    const zero = first ? (levelsOf(first.is, at)[0] ?? SILENT) : SILENT;
    return this.networks().map((n) => {
      const level = levelsOf(n.is, at)[0] ?? SILENT;
      return {
        title: this.title(circuit, n.at),
        heard: heardText(circuit, heardOf(n.is), this.names()),
        level: level <= SILENT ? 'silent' : zero <= SILENT ? '–' : withUnit(fixed(level - zero, 1), 'dB'),
        peak: resonanceText(resonanceOf(n.is)),
        compared: n.other ? resonanceText(resonanceOf(n.other)) : '',
      };
    });
  });

  private title(circuit: Circuit, at: Setting): string {
    return settingText(circuit, { ...at, knobs: restingSetting(circuit).knobs }, this.names());
  }

  /** The curves stay as they are, to be held against what is set next. */
  protected hold(): void {
    const circuit = this.circuit();
    if (!circuit) return;
    const cable = withUnit(String(this.cable()), 'pF');
    this.kept.set(
      this.networks().map(({ at, is }) => ({
        label: `${settingText(circuit, at, this.names())}, ${cable}, kept`,
        levels: levelsOf(is, this.hertz),
        compared: true,
      })),
    );
  }

  protected toggle(i: number): void {
    this.shown.update((s) => (s.includes(i) ? s.filter((x) => x !== i) : [...s, i].sort((a, b) => a - b)));
  }

  protected step(control: Control, at: number): void {
    this.setting.update((s) => s && withControl(s, control, (at + 1) % control.count));
  }

  protected turn(id: string, to: number): void {
    this.setting.update((s) => s && { ...s, knobs: { ...s.knobs, [id]: to / 10 } });
  }

  protected readonly tenth = (at: number): string => fixed(at * 10, 1);

  /** The first shown position as a deck for a general simulator. */
  protected deck(): void {
    const circuit = this.circuit();
    const n = this.networks()[0];
    if (!circuit || !n) return;
    const title = this.title(circuit, n.at);
    saveFile(deckText(responseDeck(title, n.is, asStruck(n.is)).deck, 'response'), 'circuit.cir', 'text/plain');
  }
}
