import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal, viewChildren } from '@angular/core';
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
import { fieldText } from '../../ui/number-fields';
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
const FIELDS: Readonly<
  Record<Kind, readonly { readonly key: string; readonly label: string; readonly value: number; readonly min: number; readonly max: number }[]>
> = {
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
  imports: [LengthField, WorkingView, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule],
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
  private readonly inputs = viewChildren(LengthField);

  protected readonly kinds = KINDS;
  protected readonly holes = HOLES;
  protected readonly kind = signal<Kind>('deepen');
  protected readonly fields = computed(() => FIELDS[this.kind()]);
  /** What stands in the fields, by kind and key; it stays when another kind is looked at. */
  protected readonly texts = linkedSignal(() =>
    Object.fromEntries(KINDS.flatMap((k) => FIELDS[k.id].map((f): [string, string] => [`${k.id} ${f.key}`, fieldText(f.value, this.unit())]))),
  );
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
  protected readonly floor = signal<string | null>(null);
  protected readonly from = signal<string | null>(null);
  protected readonly to = signal<string | null>(null);
  protected readonly plates = computed(() => (this.anatomy()?.plates ?? []).map((p) => ({ id: p.id, word: nameOf(this.names(), p.id) })));
  protected readonly plate = signal<string | null>(null);
  protected readonly face = signal<'top' | 'back'>('top');
  protected readonly name = signal('New cavity');
  /** The outline of a new cavity, as it was traced or typed. */
  protected readonly drawn = signal<Readonly<Record<'top' | 'back', DrawnOutline>> | null>(null);
  protected readonly drawnSize = computed(() => {
    const d = this.drawn()?.[this.face()];
    if (!d) return null;
    const b = bounds([d.outline]);
    return `${lengthText(b.maxX - b.minX, this.unit(), 1)} × ${lengthText(b.maxY - b.minY, this.unit(), 1)}`;
  });
  protected readonly fence = computed(() => {
    const { base, bit } = this.values();
    return this.kind() === 'fence' && base != null && bit != null ? fenceAt(base, bit) : null;
  });
  protected readonly mm = (w: Working): string => lengthText(valueOf(w), this.unit());
  protected readonly hole = signal<HoleKind>('string');
  protected readonly way = signal<'across' | 'along'>('across');
  protected readonly count = signal('6');
  protected readonly problem = signal<string | null>(null);

  private readonly values = computed(() =>
    Object.fromEntries(this.fields().map((f, i): [string, number | null] => [f.key, this.inputs()[i]?.value() ?? null])),
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

  protected type(key: string, text: string): void {
    this.texts.update((t) => ({ ...t, [`${this.kind()} ${key}`]: text }));
  }

  protected text(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected add(event: Event): void {
    event.preventDefault();
    this.problem.set(null);
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
    if (!a || this.fields().some((f) => v[f.key] == null)) return null;
    const n = (key: string): number => v[key] ?? 0;
    switch (this.kind()) {
      case 'deepen': {
        const at = this.floors().find((f) => f.id === this.floor());
        return at ? deepening(a, this.free('deeper'), at, n('depth'), s) : { problem: 'notThere' };
      }
      case 'relief':
        return relief(a, { id: this.free('relief'), plate: this.plate() ?? '', room: n('room'), depth: n('depth') === 0 ? null : n('depth') }, s);
      case 'cavity': {
        const outline = this.drawn()?.[this.face()].outline;
        const name = this.name().trim();
        return outline && name !== ''
          ? newCavity(this.free('cavity'), { name, kind: 'other', face: this.face(), outline, depth: n('depth') }, s)
          : { problem: 'noOutline' };
      }
      case 'channel':
        return channelFor(a, this.free('channel'), { from: this.from() ?? '', to: this.to() ?? '' }, { width: n('width'), depth: n('depth') }, s);
      case 'row': {
        const count = Number(this.count());
        const depth = n('depth') === 0 ? null : n('depth');
        const row = {
          kind: this.hole(),
          face: 'top' as const,
          first: { x: n('x'), y: n('y') },
          pitch: n('pitch'),
          count,
          way: this.way(),
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
    const side = seenSide({ handed, face: this.face(), mirrored: false });
    const drawn = await askOutline(this.dialogs, { what: 'the new cavity', at, side });
    if (!drawn) return;
    // the same drawing is looked at from the other side when the face is changed
    const turned = { ...drawn, outline: moveOutline(mirrorOutline(drawn.outline), 2 * at.x, 0) };
    this.drawn.set(this.face() === 'top' ? { top: drawn, back: turned } : { top: turned, back: drawn });
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
