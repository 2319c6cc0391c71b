import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal, viewChildren } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import {
  boundsOf,
  centreFeature,
  coversOf,
  copyFeature,
  describeFeature,
  dimensionAt,
  featureOf,
  HOLE_FACES,
  hideFeature,
  holders,
  mirrorFeature,
  moveFeature,
  outlineOf,
  placeHoleOn,
  placePickup,
  redrawFeature,
  removeFeature,
  repeatFeature,
  reshapeFeature,
  withDimension,
  type Anatomy,
  type Condition,
  type HoleFace,
  seenSide,
} from '@rinnovo/core/instrument';
import { isMeasured, MM_PER_INCH, parseLength, type Dimension } from '@rinnovo/core/measure';
import { QUANTITIES, type Target } from '@rinnovo/core/quantity';
import { recognise } from '@rinnovo/core/shape';
import { asTyped, CONDITION_WORDS, lengthText, nameOf, FACE_WORDS } from '@rinnovo/words';
import { selectNames } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { LengthField } from '../../ui/length-field';
import { askOutline } from '../../ui/outline/ask-outline';
import { fieldTexts, placeFields, resized, sizeFields, typedNumbers, type NumberField } from '../../ui/number-fields';
import { PickupPlace } from './pickup-place';
import { PlateParts } from './plate-parts';
import { STATED_LIMIT } from '../../ui/stated-limit';
import { sameTexts } from '../../ui/same-texts';

/** One feature: its name, state, place and sizes by number; copies, mirror, row, away with it. */
@Component({
  selector: 'rn-feature-form',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, LengthField, PickupPlace, PlateParts],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './feature-form.html',
  styleUrl: './feature-form.scss',
})
export class FeatureForm {
  protected readonly faceWords = FACE_WORDS;
  readonly anatomy = input.required<Anatomy>();
  readonly id = input.required<string>();
  readonly changed = output<Anatomy>();
  readonly chosen = output<string>();

  private readonly store = inject(Store);
  private readonly dialog = inject(MatDialog);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly inputs = viewChildren(LengthField);
  protected readonly conditions = Object.entries(CONDITION_WORDS).map(([id, word]) => ({ id: id as Condition, word }));
  protected readonly feature = computed(() => featureOf(this.anatomy(), this.id()));
  // linked to values and not to documents: a revision that comes back from the server leaves what is being typed alone
  protected readonly name = linkedSignal(computed(() => this.feature()?.of.name ?? ''));
  protected readonly condition = linkedSignal<Condition>(computed(() => this.feature()?.of.condition ?? 'sound'));
  protected readonly copies = signal('5');
  protected readonly step = linkedSignal((): string => asTyped(this.unit() === 'mm' ? 25 : MM_PER_INCH, this.unit()));
  protected readonly rowAlong = signal(true);
  protected readonly refusal = signal<string | null>(null);
  /** What is at its one size that a tool read: changed by a reading only. */
  protected readonly target = computed((): Target | null => {
    const f = this.feature();
    if (f?.kind === 'hole') return { quantity: 'holeDiameter', feature: f.id };
    const level = f?.kind === 'cavity' ? f.of.levels[0] : undefined;
    return f && level ? { quantity: 'levelDepth', feature: f.id, part: level.id } : null;
  });
  private readonly size = computed((): Dimension | null => {
    const t = this.target();
    const found = t ? dimensionAt(this.anatomy(), t) : null;
    return found?.exists ? found.dimension : null;
  });
  protected readonly read = computed(() => {
    const d = this.size();
    return d !== null && isMeasured(d) && d.basis.kind === 'readings';
  });
  protected readonly plates = computed(() => this.anatomy().plates.map((p) => ({ id: p.id, name: p.name })));
  protected readonly hider = computed(() => {
    const f = this.feature();
    return f && f.kind !== 'plate' ? { by: f.of.hiddenBy } : null;
  });
  /** What lies over the whole of it, by the drawing. */
  protected readonly covered = computed(() => {
    if (!this.hider()) return null;
    const [widest] = coversOf(this.anatomy(), this.id());
    return widest
      ? `In the drawing, the ${nameOf(this.names(), widest.plate)} covers all of it, with a margin of ${lengthText(widest.by, this.unit())} at the worst point.`
      : 'In the drawing, nothing covers all of it.';
  });

  /** How much deeper a floor is at one end; 0 where it is level. */
  private readonly fallen = computed((): Target | null => {
    const t = this.target();
    return t?.quantity === 'levelDepth' ? { ...t, quantity: 'floorFall' } : null;
  });
  private readonly fall = computed((): readonly NumberField[] => {
    const t = this.fallen();
    const found = t ? dimensionAt(this.anatomy(), t) : null;
    if (!found?.exists || found.dimension?.basis.kind === 'readings') return [];
    const { min, max } = QUANTITIES.floorFall;
    return [{ key: 'fall', label: 'Fall of the floor', value: found.dimension?.value ?? 0, min, max }];
  });

  protected readonly fields = computed((): readonly NumberField[] => {
    const f = this.feature();
    if (!f) return [];
    const b = boundsOf(this.anatomy(), f);
    const o = outlineOf(f);
    const t = this.target();
    const one: readonly NumberField[] =
      t && !this.read()
        ? [
            {
              key: 'size',
              label: f.kind === 'hole' ? 'Diameter' : 'Depth',
              value: this.size()?.value ?? NaN,
              min: QUANTITIES[t.quantity].min,
              max: QUANTITIES[t.quantity].max,
            },
          ]
        : [];
    return [...placeFields({ x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 }), ...(o ? sizeFields(recognise(o.outline)) : []), ...one, ...this.fall()];
  });
  private readonly shown = computed(() => fieldTexts(this.fields(), this.unit()), { equal: sameTexts });
  protected readonly texts = linkedSignal<Readonly<Record<string, string>>>(() => this.shown());

  protected set(key: string, text: string): void {
    this.texts.update((t) => ({ ...t, [key]: text }));
  }

  protected value(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected apply(event?: Event): void {
    event?.preventDefault();
    const f = this.feature();
    const fields = this.fields();
    const typed = typedNumbers(
      fields,
      this.texts(),
      this.inputs().map((i) => i.value()),
      this.unit(),
    );
    if (!f || !typed || this.name().trim() === '') return;
    const changed = (key: string): boolean => typed.has(key) && typed.get(key) !== fields.find((x) => x.key === key)?.value;
    let a = describeFeature(this.anatomy(), f.id, { name: this.name().trim(), condition: this.condition() });
    const o = outlineOf(f);
    if (o && (changed('width') || changed('height') || changed('corner'))) a = reshapeFeature(a, f.id, resized(recognise(o.outline), typed));
    const now = boundsOf(a, featureOf(a, f.id) ?? f);
    a = moveFeature(a, f.id, (typed.get('x') ?? 0) - (now.minX + now.maxX) / 2, (typed.get('y') ?? 0) - (now.minY + now.maxY) / 2);
    const t = this.target();
    const size = typed.get('size');
    if (t && size !== undefined && changed('size')) a = withDimension(a, t, { value: size, limit: STATED_LIMIT, basis: { kind: 'stated' } });
    const floor = this.fallen();
    const by = typed.get('fall');
    if (floor && by !== undefined && changed('fall'))
      a = withDimension(a, floor, by === 0 ? null : { value: by, limit: STATED_LIMIT, basis: { kind: 'stated' } });
    this.changed.emit(a);
  }

  protected copy(): void {
    this.added((as, a) => copyFeature(a, this.id(), as, 10, 10), 'copy');
  }

  protected mirror(): void {
    this.added((as, a) => mirrorFeature(a, this.id(), as), 'mirrored');
  }

  protected readonly faces = HOLE_FACES;
  protected readonly holeFace = computed(() => {
    const f = this.feature();
    return f?.kind === 'hole' ? f.of.face : null;
  });

  protected toFace(face: HoleFace): void {
    this.changed.emit(placeHoleOn(this.anatomy(), this.id(), face));
  }

  protected hide(by: string | null): void {
    this.changed.emit(hideFeature(this.anatomy(), this.id(), by));
  }

  /** Plates in which a pickup over this route could hang; empty when one does, or it is no route. */
  protected readonly hangers = computed(() => {
    const f = this.feature();
    const a = this.anatomy();
    if (f?.kind !== 'cavity' || f.of.kind !== 'route' || a.positions.some((p) => p.cavity === f.id)) return null;
    // a pickup hangs in what lies over its route; a bridge is offered last
    const here = a.plates.filter((p) => p.face === f.of.face);
    return [...here.filter((p) => p.kind !== 'bridge'), ...here.filter((p) => p.kind === 'bridge')].map((p) => ({ id: p.id, name: p.name }));
  });

  /** The pickup place that hangs in this route. */
  protected readonly pickupPlace = computed(() => this.anatomy().positions.find((p) => p.cavity === this.id()) ?? null);

  protected hang(plate: string): void {
    const f = this.feature();
    if (f) this.changed.emit(placePickup(this.anatomy(), f.id, plate, fresh('pickup'), f.of.name.replace(/ route$/, '')));
  }

  protected readonly hasOutline = computed(() => this.feature()?.kind !== 'hole');

  /** Another outline from a drawing or from sizes, about the same middle. */
  protected async redraw(): Promise<void> {
    const f = this.feature();
    if (!f) return;
    const b = boundsOf(this.anatomy(), f);
    const { face } = f.of;
    const side = face === 'top' || face === 'back' ? seenSide({ handed: this.anatomy().handed, face, mirrored: false }) : 1;
    const drawn = await askOutline(this.dialog, { what: f.of.name, at: { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 }, side });
    if (drawn) this.changed.emit(redrawFeature(this.anatomy(), f.id, drawn));
  }

  protected centre(): void {
    this.changed.emit(centreFeature(this.anatomy(), this.id()));
  }

  /** A row of copies along or across the strings, each a step further. */
  protected repeat(): void {
    const n = Number(this.copies());
    const parsed = parseLength(this.step(), this.unit());
    const step = parsed.ok ? parsed.mm : 0;
    if (!Number.isInteger(n) || n < 1 || n > 24 || step === 0) {
      this.refusal.set('Type 1 to 24 copies and a spacing: 25, 1in or 10.5');
      return;
    }
    this.refusal.set(null);
    const name = this.feature()?.of.name ?? '';
    const as = Array.from({ length: n }, (_, i) => ({ id: fresh(this.id()), name: `${name} ${i + 2}` }));
    const [dx, dy] = this.rowAlong() ? [0, step] : [step, 0];
    this.changed.emit(repeatFeature(this.anatomy(), this.id(), as, dx, dy));
  }

  protected remove(): void {
    const a = this.anatomy();
    if (a.positions.some((p) => p.cavity === this.id() || p.plate === this.id())) {
      this.refusal.set(
        `The ${holders(a, this.id())
          .map((h) => nameOf(this.names(), h))
          .join(' and the ')} is planned in it`,
      );
      return;
    }
    this.changed.emit(removeFeature(a, this.id()));
  }

  private added(make: (as: { readonly id: string; readonly name: string }, a: Anatomy) => Anatomy, word: string): void {
    const id = fresh(this.id());
    this.changed.emit(make({ id, name: `${this.feature()?.of.name ?? ''}, ${word}` }, this.anatomy()));
    this.chosen.emit(id);
  }
}

function fresh(id: string): string {
  return `${id.replace(/ [0-9a-f]{8}$/, '').slice(0, 60)} ${crypto.randomUUID().slice(0, 8)}`;
}
