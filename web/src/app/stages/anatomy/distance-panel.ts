import { ChangeDetectionStrategy, Component, computed, effect, inject, input, model, output, signal, untracked, viewChild } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { DATUMS, edgeAt, featuresOf, placeMeasured, solvePositions, type Anatomy, type Distance, type Edge } from '@rinnovo/core/instrument';
import { inUse } from '@rinnovo/core/part';
import { DATUM_WORDS, distanceText, lengthText, namesOf, sideText, fixed, upperFirst } from '@rinnovo/words';
import { shop } from '../../state/resources';
import { viewFeature } from '../../state/view.feature';
import { filledFrom, standing } from '../../ui/form-values';
import { LengthField } from '../../ui/length-field';
import { same } from '../../ui/same';

/** Where things are as it was measured: edge to edge, solved together; a chain that does not close says so. */
@Component({
  selector: 'rn-distance-panel',
  imports: [MatButtonModule, MatButtonToggleModule, MatFormFieldModule, MatSelectModule, LengthField, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './distance-panel.html',
  styleUrl: './distance-panel.scss',
})
export class DistancePanel {
  readonly anatomy = input.required<Anatomy>();
  readonly changed = output<Anatomy>();
  private readonly store = inject(Store);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly shop = this.store.selectSignal(shop.select);
  private readonly field = viewChild(LengthField);

  readonly axis = model<Distance['axis']>('along');
  readonly from = model<Edge>({ of: 'pocket mouth', side: 'middle' });
  readonly to = model<Edge>({ of: '', side: 'middle' });
  protected readonly ends = [
    { which: 'from', label: 'From' },
    { which: 'to', label: 'To' },
  ] as const;
  protected readonly form = new FormGroup({
    from: edgeControls(),
    to: edgeControls(),
    value: new FormControl<number | null>(null),
    towards: new FormControl<1 | -1>(1, { nonNullable: true }),
    tool: new FormControl<string | null>(null),
  });
  private readonly is = standing(this.form);
  protected readonly refusal = signal<string | null>(null);
  protected readonly tools = computed(() => inUse(this.shop().data?.tools ?? []));
  private readonly usual = computed(() => this.tools().find((t) => t.kind === 'rule') ?? this.tools()[0] ?? null);
  protected readonly sides = computed(() => (['low', 'middle', 'high'] as const).map((side) => ({ side, word: sideText(side, this.axis()) })));
  protected readonly data = computed(() =>
    DATUMS.filter((d) => (d === 'centre line') === (this.axis() === 'across')).map((d) => ({ id: d as string, name: DATUM_WORDS[d] })),
  );
  protected readonly features = computed(() => featuresOf(this.anatomy()).map((f) => ({ id: f.id, name: f.of.name })));
  protected readonly ways = computed(() =>
    this.axis() === 'along' ? (['towards the bridge', 'towards the nut'] as const) : (['to the treble side', 'to the bass side'] as const),
  );
  private readonly names = computed(() => namesOf(this.anatomy(), {}));

  private readonly solved = computed(() => solvePositions(this.anatomy()));
  protected readonly rows = computed(() => {
    const { residuals, suspects } = this.solved();
    return this.anatomy().distances.map((d) => {
      const r = residuals.find((x) => x.distance === d.id);
      return {
        id: d.id,
        text: distanceText(d, this.names()),
        value: `${lengthText(d.value, this.unit())} ± ${fixed(d.limit, 2)}`,
        off: r && Math.abs(r.residual) > 0.005 ? `off by ${lengthText(r.residual, this.unit())}` : 'met',
        worst: suspects.some((s) => s.distance === d.id),
      };
    });
  });
  protected readonly worst = computed(() => {
    const { suspects } = this.solved();
    const [worst] = suspects;
    if (!worst) return null;
    const said = suspects.flatMap((s) =>
      this.anatomy()
        .distances.filter((d) => d.id === s.distance)
        .map((d) => distanceText(d, this.names())),
    );
    if (suspects.length > 1)
      return `A chain of distances does not close, and nothing tells which of them is wrong. Measure any of these again: ${said.join('; ')}.`;
    return `A chain of distances does not close. ${upperFirst(said.join(''))} explains it best: off by ${lengthText(worst.residual, this.unit())} at ± ${fixed(worst.allowed, 2)}. Measure it again.`;
  });
  protected readonly loose = computed(() => {
    const { undetermined } = this.solved();
    const names = this.names();
    const list = (ids: readonly string[]): string => ids.map((id) => names[id] ?? id).join(', ');
    return [
      undetermined.along.length > 0 ? `No distance along fixes: ${list(undetermined.along)}.` : '',
      undetermined.across.length > 0 ? `No distance across fixes: ${list(undetermined.across)}.` : '',
    ].filter(Boolean);
  });

  constructor() {
    filledFrom(this.form, () => ({ from: this.from(), to: this.to(), tool: this.usual()?.id ?? null }));
    // an edge chosen in the form is chosen on the map too
    effect(() => {
      const is = this.is();
      untracked(() => {
        for (const which of ['from', 'to'] as const) if (!same(is[which], this[which]())) this[which].set(is[which]);
      });
    });
    // a line of the other direction cannot be measured from
    effect(() => {
      const lines = this.data();
      untracked(() => {
        for (const end of [this.from, this.to]) {
          const { of } = end();
          if (DATUMS.some((d) => d === of) && lines.every((d) => d.id !== of)) end.set({ of: lines[0]?.id ?? '', side: 'middle' });
        }
      });
    });
    // the direction in which the two edges lie as drawn is the one that is probably measured
    effect(() => {
      const [from, to, axis] = [this.from(), this.to(), this.axis()];
      untracked(() => {
        this.form.controls.towards.setValue(drawnDirection(this.anatomy(), from, to, axis));
      });
    });
  }

  protected turn(axis: Distance['axis']): void {
    this.axis.set(axis);
  }

  protected add(): void {
    const { value, towards, from, to, tool: chosen } = this.form.getRawValue();
    const tool = this.tools().find((t) => t.id === chosen);
    const field = this.field();
    if (to.of === '' || from.of === to.of) {
      this.refusal.set('Choose two different edges');
      return;
    }
    if (value === null) {
      this.refusal.set('Type the reading');
      return;
    }
    if (value < 0) {
      this.refusal.set('Type the distance without a sign. Choose the direction beside it');
      return;
    }
    this.refusal.set(null);
    const distance: Distance = {
      id: crypto.randomUUID(),
      axis: this.axis(),
      from,
      to,
      value: towards * value,
      limit: tool?.limit ?? RULE_LIMIT,
      raw: field?.text().trim() ?? '',
    };
    const a = this.anatomy();
    try {
      this.changed.emit(placeMeasured({ ...a, distances: [...a.distances, distance] }));
      this.form.controls.value.setValue(null);
    } catch (error) {
      this.refusal.set(error instanceof RangeError ? error.message : String(error));
    }
  }

  protected remove(id: string): void {
    const a = this.anatomy();
    this.changed.emit(placeMeasured({ ...a, distances: a.distances.filter((d) => d.id !== id) }));
  }
}

function edgeControls() {
  return new FormGroup({
    of: new FormControl('', { nonNullable: true }),
    side: new FormControl<Edge['side']>('middle', { nonNullable: true }),
  });
}

function drawnDirection(a: Anatomy, from: Edge, to: Edge, axis: Distance['axis']): 1 | -1 {
  try {
    return edgeAt(a, to, axis) < edgeAt(a, from, axis) ? -1 : 1;
  } catch {
    return 1;
  }
}

/** Without a tool chosen: a steel rule's limit, mm [trade: docs/trade/part.md, tools]. */
const RULE_LIMIT = 0.25;
