import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { PICKUP_KINDS, pickupIn, type PickupKind } from '@rinnovo/core/part';
import { typedState } from '@rinnovo/core/survey';
import {
  BLEEDS,
  improbableValue,
  markedCapacitor,
  markedTrack,
  pickupElement,
  presetCircuit,
  presetsFor,
  usualWish,
  type Bleed,
  type Circuit,
  type ValueOf,
} from '@rinnovo/core/wire';
import { BLEED_WORDS, circuitValue, partKindWord, unusualText, upperFirst } from '@rinnovo/words';
import { selectAnatomy, selectLeftHanded, selectParts, selectPickups } from '../../state/selectors';
import { standing } from '../../ui/form-values';

/** A circuit from one that is known, named by what it does, for the pickups of the instrument. */
@Component({
  selector: 'rn-choose-circuit',
  imports: [MatButtonModule, MatCheckboxModule, MatFormFieldModule, MatInputModule, MatSelectModule, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './choose-circuit.html',
  styles: `
    form {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(15rem, 1fr));
      gap: 0.6rem 0.9rem;
      padding: 0.75rem 1rem 1rem;
    }
    .wide,
    .acts {
      grid-column: 1 / -1;
    }
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
    }
    p {
      margin: 0;
    }
    mat-form-field {
      width: 100%;
    }
  `,
})
export class ChooseCircuit {
  /** A circuit is there already: choosing takes its place. */
  readonly replaces = input.required<boolean>();
  readonly busy = input.required<boolean>();
  readonly chosen = output<Circuit>();
  private readonly store = inject(Store);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly parts = this.store.selectSignal(selectParts);
  private readonly shelf = this.store.selectSignal(selectPickups);
  private readonly leftHanded = this.store.selectSignal(selectLeftHanded);
  protected readonly bleeds = BLEEDS;
  protected readonly bleedWords = BLEED_WORDS;
  protected readonly title = upperFirst;

  protected readonly form = new FormGroup({
    preset: new FormControl<string | null>(null),
    volume: new FormControl('', { nonNullable: true }),
    tone: new FormControl('', { nonNullable: true }),
    capacitor: new FormControl('', { nonNullable: true }),
    bleed: new FormControl<Bleed>('none', { nonNullable: true }),
    independent: new FormControl(false, { nonNullable: true }),
    noLoad: new FormControl(false, { nonNullable: true }),
  });
  private readonly typed = standing(this.form);
  /** What was chosen for places without a known part: a part of the shelf, or a kind. */
  private readonly chosenFor = signal<Readonly<Record<string, string>>>({});
  /** Pickups that are not drawn on the anatomy. */
  private readonly more = signal(0);
  /** What stands against a field, and what was challenged once. */
  protected readonly refused = signal<Readonly<Record<string, string>>>({});

  /** What a pickup can be: a part of the shelf, or what its kind usually is. */
  protected readonly options = computed(() => [
    ...this.shelf().map((p) => ({ value: p.id, word: p.name })),
    ...PICKUP_KINDS.map((kind) => ({ value: kind, word: `${upperFirst(partKindWord(kind))}, typical` })),
  ]);
  /** The pickups, from the neck: those that are drawn, then those that are not. */
  protected readonly places = computed(() => {
    const drawn = [...(this.anatomy()?.positions ?? [])]
      .sort((a, b) => a.at.y - b.at.y)
      .map((p) => ({ id: p.id, name: p.name, place: p.id, part: pickupIn(this.parts(), p.part) }));
    const others = Array.from({ length: this.more() }, (_, i) => ({
      id: `pickup ${drawn.length + i + 1}`,
      name: `Pickup ${drawn.length + i + 1}`,
      place: null,
      part: null,
    }));
    return [...drawn, ...others].map((p) => ({ ...p, chosen: this.chosenFor()[p.id] ?? 'single-coil' }));
  });
  private readonly pickups = computed(() =>
    this.places().map((p) => {
      const part = p.part ?? pickupIn(this.parts(), p.chosen);
      return pickupElement(p.id, p.place, part ? { part } : { kind: p.chosen as PickupKind });
    }),
  );
  protected readonly presets = computed(() => presetsFor(this.pickups()));
  protected readonly preset = computed(() => this.presets().find((p) => p.id === this.typed().preset) ?? null);
  protected readonly usual = computed(() => {
    const wish = usualWish(this.pickups());
    return {
      volume: circuitValue(wish.volume.value, 'partResistance'),
      tone: circuitValue(wish.tone.value, 'partResistance'),
      capacitor: circuitValue(wish.capacitor.value * 1e9, 'partCapacitance'),
    };
  });

  protected choose(place: string, what: string): void {
    this.chosenFor.update((k) => ({ ...k, [place]: what }));
  }

  protected addPickup(by: 1 | -1): void {
    this.more.update((n) => Math.max(0, n + by));
  }

  protected readonly extra = this.more.asReadonly();

  /** The circuit as chosen; null while something is wrong with what is typed. */
  protected begin(event: Event, traced: boolean): void {
    event.preventDefault();
    const preset = this.preset();
    if (!preset) {
      this.refused.set({ preset: 'Choose a circuit' });
      return;
    }
    const before = this.refused();
    const refused: Record<string, string> = {};
    const wish = usualWish(this.pickups());
    const [volume, tone] = (['volume', 'tone'] as const).map((f) => this.value(f, 'partResistance', 'track', 1, before, refused));
    const capacitor = this.value('capacitor', 'partCapacitance', 'capacitor', 1e-9, before, refused);
    this.refused.set(refused);
    if (Object.keys(refused).length > 0) return;
    const { bleed, independent, noLoad } = this.form.getRawValue();
    const circuit = presetCircuit(preset.id, {
      ...wish,
      volume: volume ? markedTrack(volume) : wish.volume,
      tone: tone ? markedTrack(tone) : wish.tone,
      capacitor: capacitor ? markedCapacitor(capacitor) : wish.capacitor,
      bleed,
      independent,
      noLoadTone: noLoad,
      leftHanded: this.leftHanded(),
    });
    // what is traced begins from the parts alone
    this.chosen.emit(traced ? { ...circuit, joints: [], bare: [] } : circuit);
  }

  /** A value as typed, in its unit; null: nothing is typed. What is not likely is asked about once. */
  private value(
    field: 'volume' | 'tone' | 'capacitor',
    quantity: 'partResistance' | 'partCapacitance',
    of: ValueOf,
    scale: number,
    before: Readonly<Record<string, string>>,
    refused: Record<string, string>,
  ): number | null {
    const raw = this.form.controls[field].value;
    const typed = typedState(quantity, raw, 'mm');
    if (typed.kind === 'empty') return null;
    if (typed.kind === 'wrong') {
      refused[field] = quantity === 'partResistance' ? 'Not a resistance. Try 500k, 1M or 250.' : 'Not a capacitance in nF. Try 22 or 47.';
      return null;
    }
    const value = typed.value * scale;
    const improbable = improbableValue(of, value);
    const question = improbable && `${unusualText(value, quantity === 'partResistance' ? 'Ω' : 'F', improbable.meant)} Save again to keep it.`;
    if (question && before[field] !== question) {
      refused[field] = question;
      return null;
    }
    return value;
  }
}
