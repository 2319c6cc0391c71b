import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, FormGroup, FormRecord, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { choiceOf } from '@rinnovo/core/check';
import { channelFor, deepening, fenceAt, holeRow, newCavity, relief, slantedBore, surfacing, type PlannedCut } from '@rinnovo/core/cut';
import { seenSide, type HoleKind } from '@rinnovo/core/instrument';
import { valueOf, type Working } from '@rinnovo/core/measure';
import { bounds, mirrorOutline, moveOutline } from '@rinnovo/core/shape';
import { cutProblemText, lengthText, nameOf, fixed } from '@rinnovo/words';
import { planActions } from '../../state/plan.actions';
import { anatomy } from '../../state/resources';
import { selectAnatomy, selectNames, selectPlan, selectSettings } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { standing, type Lengths } from '../../ui/form-values';
import type { NumberField } from '../../ui/number-fields';
import { LengthField } from '../../ui/length-field';
import { askOutline } from '../../ui/outline/ask-outline';
import type { DrawnOutline } from '../../ui/outline/outline-dialog';
import { WorkingView } from '../../ui/working-view';

/** What can be planned here, and what is only reckoned. */
const KINDS = [
  { id: 'deepen', word: 'Deepen a level (neck pocket, any cavity)' },
  { id: 'channel', word: 'Wire channel' },
  { id: 'row', word: 'Row of holes' },
  { id: 'relief', word: 'Relief for a plate' },
  { id: 'cavity', word: 'New cavity, traced or typed' },
  { id: 'fence', word: 'Fence cut (numbers only)' },
  { id: 'surface', word: 'Surfacing on rails (numbers only)' },
  { id: 'bore', word: 'Slanted ground bore (numbers only)' },
] as const;
type Kind = (typeof KINDS)[number]['id'];

/** The lengths that each kind asks for, with what they begin at, mm. */
const FIELDS: Readonly<Record<Kind, readonly NumberField[]>> = {
  deepen: [{ key: 'depth', label: 'Target depth', value: 17, min: 0.5, max: 200 }],
  channel: [
    { key: 'width', label: 'Width', value: 8, min: 2, max: 80 },
    { key: 'depth', label: 'Depth', value: 12, min: 1, max: 60 },
  ],
  row: [
    { key: 'diameter', label: 'Ø', value: 7.9, min: 0.5, max: 60 },
    { key: 'pitch', label: 'Spacing, centre to centre', value: 10.4, min: 1, max: 200 },
    { key: 'x', label: 'First hole, offset across', value: -26, min: -300, max: 300 },
    { key: 'y', label: 'First hole, offset along', value: 250, min: -300, max: 600 },
    { key: 'depth', label: 'Depth (0 for a through hole)', value: 0, min: 0, max: 200 },
  ],
  relief: [
    { key: 'room', label: 'Clearance around the plate', value: 0.2, min: 0, max: 5 },
    { key: 'depth', label: 'Depth (0 for the thickness of the plate)', value: 0, min: 0, max: 60 },
  ],
  cavity: [{ key: 'depth', label: 'Depth', value: 20, min: 0.5, max: 200 }],
  fence: [
    { key: 'base', label: 'Edge of the base to the centre of the bit', value: 75, min: 10, max: 300 },
    { key: 'bit', label: 'Bit’s Ø', value: 9.5, min: 1, max: 60 },
  ],
  surface: [
    { key: 'from', label: 'Current height', value: 8, min: 0.1, max: 200 },
    { key: 'to', label: 'Target height', value: 6, min: 0, max: 200 },
    { key: 'step', label: 'Maximum cut in one round', value: 0.8, min: 0.1, max: 6 },
    { key: 'rails', label: 'Height of the rails', value: 40, min: 1, max: 300 },
    { key: 'base', label: 'Sled’s base', value: 6, min: 1, max: 60 },
  ],
  bore: [
    { key: 'x', label: 'Entry, offset across', value: 60, min: -300, max: 300 },
    { key: 'y', label: 'Entry, offset along', value: 250, min: -300, max: 600 },
    { key: 'depth', label: 'Entry, depth below the face', value: 20, min: 0, max: 100 },
    { key: 'x2', label: 'Exit, offset across', value: 0, min: -300, max: 300 },
    { key: 'y2', label: 'Exit, offset along', value: 240, min: -300, max: 600 },
  ],
};

const HOLES: readonly { readonly id: HoleKind; readonly word: string }[] = [
  { id: 'string', word: 'string ferrules' },
  { id: 'screw', word: 'screws' },
  { id: 'stud', word: 'studs' },
  { id: 'other', word: 'other' },
];

/** Cuts that no part asks for: planned as choices of their own, judged and decided like any other; and sums for work that leaves no trace in the drawing. */
@Component({
  selector: 'rn-other-cuts',
  imports: [LengthField, WorkingView, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './other-cuts.html',
  styles: `
    :host {
      display: block;
      padding: 0.6rem 0.75rem;
      max-width: 34rem;
    }
    form {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 0.25rem 0.5rem;
      align-items: start;
    }
    .whole {
      grid-column: 1 / -1;
    }
    mat-form-field {
      width: 100%;
      margin-block-end: 0.4rem;
    }
  `,
})
export class OtherCuts {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly dialogs = inject(MatDialog);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly plan = this.store.selectSignal(selectPlan);
  private readonly settings = this.store.selectSignal(selectSettings);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly held = this.store.selectSignal(anatomy.select);
  private readonly instrument = computed(() => this.held().of ?? '');

  protected readonly kinds = KINDS;
  protected readonly holes = HOLES;
  /** The lengths by kind and key: they stay when another kind is looked at. */
  protected readonly lengths: Lengths = new FormRecord<FormControl<number | null>>(
    Object.fromEntries(KINDS.flatMap((k) => FIELDS[k.id].map((f) => [`${k.id} ${f.key}`, new FormControl<number | null>(f.value)]))),
  );
  protected readonly form = new FormGroup({
    kind: new FormControl<Kind>('deepen', { nonNullable: true }),
    floor: new FormControl<string | null>(null),
    from: new FormControl<string | null>(null),
    to: new FormControl<string | null>(null),
    plate: new FormControl<string | null>(null),
    face: new FormControl<'top' | 'back'>('top', { nonNullable: true }),
    name: new FormControl('New cavity', { nonNullable: true }),
    hole: new FormControl<HoleKind>('string', { nonNullable: true }),
    way: new FormControl<'across' | 'along'>('across', { nonNullable: true }),
    count: new FormControl('6', { nonNullable: true }),
    lengths: this.lengths,
  });
  private readonly is = standing(this.form);
  protected readonly kind = computed(() => this.is().kind);
  protected readonly fields = computed(() => FIELDS[this.kind()]);
  /** It was sent with a length missing. */
  protected readonly tried = signal(false);
  protected readonly floors = computed(() =>
    (this.anatomy()?.cavities ?? []).flatMap((c) =>
      c.levels.map((p) => ({
        id: `${c.id}/${p.id}`,
        cavity: c.id,
        level: p.id,
        word: `${nameOf(this.names(), c.id)}${c.levels.length > 1 ? `, ${p.id.replace(/ [0-9a-f]{8}$/, '')}` : ''}: ${p.depth ? lengthText(p.depth.value, this.unit(), 1) : 'not measured'}`,
      })),
    ),
  );
  protected readonly cavities = computed(() => (this.anatomy()?.cavities ?? []).map((c) => ({ id: c.id, word: nameOf(this.names(), c.id) })));
  protected readonly plates = computed(() => (this.anatomy()?.plates ?? []).map((p) => ({ id: p.id, word: nameOf(this.names(), p.id) })));
  /** The outline of a new cavity, as it was traced or typed. */
  protected readonly drawn = signal<Readonly<Record<'top' | 'back', DrawnOutline>> | null>(null);
  protected readonly drawnSize = computed(() => {
    const d = this.drawn()?.[this.is().face];
    if (!d) return null;
    const b = bounds([d.outline]);
    return `${lengthText(b.maxX - b.minX, this.unit(), 1)} × ${lengthText(b.maxY - b.minY, this.unit(), 1)}`;
  });
  protected readonly fence = computed(() => {
    const { base, bit } = this.values();
    return this.kind() === 'fence' && base != null && bit != null ? fenceAt(base, bit) : null;
  });
  protected readonly mm = (w: Working): string => lengthText(valueOf(w), this.unit());
  protected readonly problem = signal<string | null>(null);

  private readonly values = computed(() =>
    Object.fromEntries(this.fields().map((f): [string, number | null] => [f.key, this.is().lengths[`${this.kind()} ${f.key}`] ?? null])),
  );
  /** Rounds and projections, as far as what is typed is whole. */
  protected readonly rounds = computed(() => {
    const { from, to, step, rails, base } = this.values();
    if (this.kind() !== 'surface' || from == null || to == null || step == null || rails == null || base == null) return null;
    const s = surfacing(from, to, step, rails, base);
    return s.heights.map((h, i) => ({
      height: lengthText(h, this.unit(), 1),
      projection: lengthText(s.projections[i] ? valueOf(s.projections[i]) : 0, this.unit(), 1),
    }));
  });
  protected readonly bore = computed(() => {
    const { x, y, depth, x2, y2 } = this.values();
    if (this.kind() !== 'bore' || x == null || y == null || depth == null || x2 == null || y2 == null) return null;
    const b = slantedBore({ x, y }, depth, { x: x2, y: y2 });
    return b && { length: lengthText(b.length, this.unit(), 1), angle: fixed(b.angle, 1), heading: fixed(b.heading, 1) };
  });

  protected add(): void {
    this.problem.set(null);
    this.tried.set(Object.values(this.values()).some((v) => v === null));
    const made = this.made();
    if (!made) return;
    if ('problem' in made) {
      this.problem.set(cutProblemText(made.problem));
      return;
    }
    // Cut looks at the pickup that it cuts for: the new choice comes to view where it is judged
    void this.router.navigate(['/i', this.instrument(), 'fit']).then(() => {
      this.store.dispatch(planActions.choiceEdited({ choice: made.choice }));
    });
  }

  /** The cut as it is typed; null while a field says what is wrong with it. */
  private made(): PlannedCut | null {
    const a = this.anatomy();
    const s = this.settings();
    const v = this.values();
    const is = this.form.getRawValue();
    if (!a || this.fields().some((f) => v[f.key] == null)) return null;
    const n = (key: string): number => v[key] ?? 0;
    switch (this.kind()) {
      case 'deepen': {
        const at = this.floors().find((f) => f.id === is.floor);
        return at ? deepening(a, this.free('deeper'), at, n('depth'), s) : { problem: 'noLevel' };
      }
      case 'relief':
        return relief(a, { id: this.free('relief'), plate: is.plate ?? '', room: n('room'), depth: n('depth') === 0 ? null : n('depth') }, s);
      case 'cavity': {
        const outline = this.drawn()?.[is.face].outline;
        const name = is.name.trim();
        return outline && name !== ''
          ? newCavity(this.free('cavity'), { name, kind: 'other', face: is.face, outline, depth: n('depth') }, s)
          : { problem: 'noOutline' };
      }
      case 'channel':
        return channelFor(a, this.free('channel'), { from: is.from ?? '', to: is.to ?? '' }, { width: n('width'), depth: n('depth') }, s);
      case 'row': {
        const count = Number(is.count);
        const depth = n('depth') === 0 ? null : n('depth');
        const row = {
          kind: is.hole,
          face: 'top' as const,
          first: { x: n('x'), y: n('y') },
          pitch: n('pitch'),
          count,
          way: is.way,
          diameter: n('diameter'),
          depth,
        };
        return Number.isInteger(count) ? holeRow(this.free('row'), row, s) : { problem: 'tooMany' };
      }
      default:
        return null;
    }
  }

  /** A traced drawing, typed sizes, or something out of the drawer. */
  protected async draw(): Promise<void> {
    const body = this.anatomy()?.body.outline?.outline;
    const b = body ? bounds([body]) : { minX: 0, maxX: 0, minY: 0, maxY: 0 };
    const at = { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
    const handed = this.anatomy()?.handed ?? 'right';
    const side = seenSide({ handed, face: this.is().face, mirrored: false });
    const drawn = await askOutline(this.dialogs, { what: 'the new cavity', at, side });
    if (!drawn) return;
    // the same drawing is looked at from the other side when the face is changed
    const turned = { ...drawn, outline: moveOutline(mirrorOutline(drawn.outline), 2 * at.x, 0) };
    this.drawn.set(this.is().face === 'top' ? { top: drawn, back: turned } : { top: turned, back: drawn });
  }

  /** An id that no other choice of the plan has. */
  private free(name: string): string {
    const plan = this.plan();
    const taken = (id: string): boolean => plan !== null && choiceOf(plan, id) !== null;
    let id = name;
    for (let i = 2; taken(id); i++) id = `${name} ${i}`;
    return id;
  }
}
