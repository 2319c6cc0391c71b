import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
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
  describeHole,
  dimensionAt,
  featureOf,
  HOLE_FACES,
  HOLE_KINDS,
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
  type HoleKind,
  seenSide,
} from '@rinnovo/core/instrument';
import { isMeasured, type Dimension } from '@rinnovo/core/measure';
import { QUANTITIES, type Target } from '@rinnovo/core/quantity';
import { recognise } from '@rinnovo/core/shape';
import { CONDITION_WORDS, lengthText, nameOf, FACE_WORDS, HOLE_KIND_WORDS } from '@rinnovo/words';
import { selectNames } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { filledFrom, lengthsOf, standing, type Lengths } from '../../ui/form-values';
import { LengthField } from '../../ui/length-field';
import { askOutline } from '../../ui/outline/ask-outline';
import { placeFields, resized, sizeFields, type NumberField } from '../../ui/number-fields';
import { PickupPlace, platesOn } from './pickup-place';
import { PlateParts } from './plate-parts';
import { RepeatRow, type Row } from './repeat-row';
import { STATED_LIMIT } from '../../ui/stated-limit';
import { NOT_BLANK } from '../../ui/validators';

/** One feature: its name, state, place and sizes by number; copies, mirror, row, away with it. */
@Component({
  selector: 'rn-feature-form',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, LengthField, PickupPlace, PlateParts, ReactiveFormsModule, RepeatRow],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './feature-form.html',
  styleUrl: './feature-form.scss',
})
export class FeatureForm {
  protected readonly faceWords = FACE_WORDS;
  protected readonly holeWords = HOLE_KIND_WORDS;
  protected readonly holeKinds = HOLE_KINDS;
  readonly anatomy = input.required<Anatomy>();
  readonly id = input.required<string>();
  readonly changed = output<Anatomy>();
  readonly chosen = output<string>();

  private readonly store = inject(Store);
  private readonly dialog = inject(MatDialog);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly names = this.store.selectSignal(selectNames);
  protected readonly conditions = Object.entries(CONDITION_WORDS).map(([id, word]) => ({ id: id as Condition, word }));
  protected readonly feature = computed(() => featureOf(this.anatomy(), this.id()));
  protected readonly refusal = signal<string | null>(null);
  /** What is at its one size. */
  private readonly target = computed((): Target | null => {
    const f = this.feature();
    if (f?.kind === 'hole') return { quantity: 'holeDiameter', feature: f.id };
    const level = f?.kind === 'cavity' ? f.of.levels[0] : undefined;
    return f && level ? { quantity: 'levelDepth', feature: f.id, part: level.id } : null;
  });
  private readonly size = computed(() => this.at(this.target()));
  private readonly depth = computed(() => this.at({ quantity: 'holeDepth', feature: this.id() }));
  protected readonly read = computed(() => isRead(this.size()) || isRead(this.depth()));
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

  /** The lengths that a tool did not read: those are changed by a reading only. */
  protected readonly fields = computed((): readonly NumberField[] => {
    const f = this.feature();
    if (!f) return [];
    const b = boundsOf(this.anatomy(), f);
    const o = outlineOf(f);
    const blind = f.kind === 'hole' && !this.through();
    return [
      ...placeFields({ x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 }),
      ...(o ? sizeFields(recognise(o.outline)) : []),
      ...this.sized('size', f.kind === 'hole' ? 'Diameter' : 'Depth', this.target()),
      ...(blind ? this.sized('depth', 'Depth', { quantity: 'holeDepth', feature: f.id }) : []),
      ...this.sized('fall', 'Fall of the floor', this.fallen(), 0),
    ];
  });

  protected readonly lengths: Lengths;
  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: NOT_BLANK }),
    condition: new FormControl<Condition>('sound', { nonNullable: true }),
    purpose: new FormControl<HoleKind>('other', { nonNullable: true }),
    through: new FormControl(true, { nonNullable: true }),
  });
  private readonly is = standing(this.form);
  private readonly through = computed(() => this.is().through);
  /** Fields that it was applied without. */
  protected readonly missing = signal<readonly string[]>([]);

  constructor() {
    filledFrom(this.form, () => {
      const f = this.feature();
      const words = { name: f?.of.name ?? '', condition: f?.of.condition ?? 'sound' };
      return f?.kind === 'hole' ? { ...words, purpose: f.of.kind, through: f.of.through } : words;
    });
    this.lengths = lengthsOf(this.fields);
  }

  private at(t: Target | null): Dimension | null {
    const found = t ? dimensionAt(this.anatomy(), t) : null;
    return found?.exists ? found.dimension : null;
  }

  private sized(key: string, label: string, t: Target | null, otherwise = NaN): readonly NumberField[] {
    const d = this.at(t);
    if (!t || isRead(d)) return [];
    return [{ key, label, value: d?.value ?? otherwise, min: QUANTITIES[t.quantity].min, max: QUANTITIES[t.quantity].max }];
  }

  protected apply(): void {
    const f = this.feature();
    const fields = this.fields();
    const typed = this.lengths.getRawValue();
    // a size that nobody knows may stay so; a place and an outline may not
    this.missing.set(fields.flatMap(({ key, value }) => (typed[key] === null && Number.isFinite(value) ? [key] : [])));
    this.form.markAllAsTouched();
    if (!f || this.form.invalid || this.lengths.invalid || this.missing().length > 0) return;
    const changed = (key: string): number | null => {
      const value = typed[key] ?? null;
      return value === fields.find((x) => x.key === key)?.value ? null : value;
    };
    const { name, condition, purpose, through } = this.form.getRawValue();
    let a = describeFeature(this.anatomy(), f.id, { name: name.trim(), condition });
    if (f.kind === 'hole') a = describeHole(a, f.id, { kind: purpose, through });
    const o = outlineOf(f);
    const sizes = new Map(Object.entries(typed).flatMap(([key, mm]) => (mm === null ? [] : [[key, mm] as const])));
    if (o && ['width', 'height', 'corner'].some((key) => changed(key) !== null)) a = reshapeFeature(a, f.id, resized(recognise(o.outline), sizes));
    const now = boundsOf(a, featureOf(a, f.id) ?? f);
    a = moveFeature(a, f.id, (typed['x'] ?? 0) - (now.minX + now.maxX) / 2, (typed['y'] ?? 0) - (now.minY + now.maxY) / 2);
    const put = (key: string, t: Target | null): void => {
      const mm = changed(key);
      if (t && mm !== null) a = withDimension(a, t, key === 'fall' && mm === 0 ? null : { value: mm, limit: STATED_LIMIT, basis: { kind: 'stated' } });
    };
    put('size', this.target());
    put('depth', { quantity: 'holeDepth', feature: f.id });
    put('fall', this.fallen());
    this.changed.emit(a);
  }

  protected copy(): void {
    this.added((as, a) => copyFeature(a, this.id(), as, 10, 10), 'copy');
  }

  protected mirror(): void {
    this.added((as, a) => mirrorFeature(a, this.id(), as), 'mirrored');
  }

  protected readonly faces = HOLE_FACES;
  protected readonly hole = computed(() => {
    const f = this.feature();
    return f?.kind === 'hole' ? f.of : null;
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
    return platesOn(a, f.of.face);
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
  protected repeat({ count, step, along }: Row): void {
    const name = this.feature()?.of.name ?? '';
    const as = Array.from({ length: count }, (_, i) => ({ id: fresh(this.id()), name: `${name} ${i + 2}` }));
    this.changed.emit(repeatFeature(this.anatomy(), this.id(), as, along ? 0 : step, along ? step : 0));
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

function isRead(d: Dimension | null): boolean {
  return d !== null && isMeasured(d) && d.basis.kind === 'readings';
}

function fresh(id: string): string {
  return `${id.replace(/ [0-9a-f]{8}$/, '').slice(0, 60)} ${crypto.randomUUID().slice(0, 8)}`;
}
