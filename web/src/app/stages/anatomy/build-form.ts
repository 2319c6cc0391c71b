import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { MatSlideToggleModule } from '@angular/material/slide-toggle';
import { Store } from '@ngrx/store';
import { describeStrings, dimensionAt, withDimension, type Anatomy, type FeatureOutline, seenSide, type Strings } from '@rinnovo/core/instrument';
import { isMeasured } from '@rinnovo/core/measure';
import { QUANTITIES, type Target } from '@rinnovo/core/quantity';
import { recognise } from '@rinnovo/core/shape';
import { targetText, upperFirst } from '@rinnovo/words';
import { anatomy as anatomyOf } from '../../state/resources';
import { filledFrom, lengthsOf, standing } from '../../ui/form-values';
import { LengthField } from '../../ui/length-field';
import { askOutline } from '../../ui/outline/ask-outline';
import { STATED_LIMIT } from '../../ui/stated-limit';
import { ScaleWays } from './scale-ways';
import { typedAngle } from './typed-angle';

/** Limit of an angle that was only stated, and the steepest that is taken as one, degrees [memory]. */
const ANGLE_LIMIT = 0.25;
const STEEPEST = 30;

const TARGETS: readonly Target[] = [
  { quantity: 'scaleLength', feature: 'neck' },
  { quantity: 'scaleLengthBass', feature: 'neck' },
  { quantity: 'firstToThirteenth', feature: 'neck' },
  { quantity: 'nutToTwelfth', feature: 'neck' },
  { quantity: 'nutToSaddle', feature: 'neck' },
  { quantity: 'nutToMouth', feature: 'neck' },
  { quantity: 'jointHeight', feature: 'neck' },
  { quantity: 'heelThickness', feature: 'neck' },
  { quantity: 'shimThickness', feature: 'neck' },
  { quantity: 'nutWidth', feature: 'neck' },
  { quantity: 'boardEndWidth', feature: 'neck' },
  { quantity: 'boardRadius', feature: 'neck' },
  { quantity: 'neckThickness', feature: 'neck', part: 'first' },
  { quantity: 'neckThickness', feature: 'neck', part: 'twelfth' },
  { quantity: 'spreadAtNut', feature: 'strings' },
  { quantity: 'spreadAtSaddles', feature: 'strings' },
  { quantity: 'courseApart', feature: 'strings' },
  { quantity: 'bodyThickness', feature: 'body' },
  { quantity: 'carveHeight', feature: 'body' },
  { quantity: 'headstockThickness', feature: 'headstock' },
];

/** So many strings can lie in pairs. */
const canPair = (count: number): boolean => count >= 8 && count % 2 === 0;

function inCourses({ courses, ...strings }: Strings, on: boolean): Strings {
  return on ? { ...strings, courses: courses ?? { apart: null } } : strings;
}

/** Body, neck and strings: what an instrument has one of. What a tool read is changed by another reading only. */
@Component({
  selector: 'rn-build-form',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, MatSlideToggleModule, LengthField, ReactiveFormsModule, ScaleWays],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './build-form.html',
  styles: `
    form {
      display: grid;
      gap: 0.6rem;
      padding: 0.6rem 0.75rem;
    }
    .grid {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 0.4rem 0.75rem;
    }
  `,
})
export class BuildForm {
  readonly anatomy = input.required<Anatomy>();
  readonly changed = output<Anatomy>();
  private readonly dialog = inject(MatDialog);
  protected readonly counts = [4, 5, 6, 7, 8, 9, 10, 11, 12] as const;
  protected readonly fretCounts = Array.from({ length: 19 }, (_, i) => i + 12);
  protected readonly squares = Array.from({ length: 25 }, (_, i) => i);

  protected readonly fields = computed(() =>
    TARGETS.flatMap((target) => {
      if (target.quantity === 'courseApart' && !this.anatomy().strings.courses) return [];
      const found = dimensionAt(this.anatomy(), target);
      const d = found.exists ? found.dimension : null;
      if (d && isMeasured(d) && d.basis.kind === 'readings') return [];
      const { min, max } = QUANTITIES[target.quantity];
      return [
        {
          key: `${target.quantity} ${target.part ?? ''}`.trim(),
          target,
          label: upperFirst(targetText(target, {})),
          value: d?.value ?? NaN,
          typical: d?.basis.kind === 'default',
          min,
          max,
        },
      ];
    }),
  );
  private readonly held = inject(Store).selectSignal(anatomyOf.select);
  private readonly whose = computed(() => this.held().of ?? '');
  protected readonly lengths = lengthsOf(this.fields, this.whose);
  protected readonly form = new FormGroup({ angle: new FormControl('', { nonNullable: true }), lengths: this.lengths });
  private readonly angleHeld = computed(() => {
    const a = this.anatomy().neck.angle;
    return a ? String(Math.round(a.value * 100) / 100) : '';
  });
  private readonly is = standing(this.form.controls.angle);
  private readonly angleTyped = computed(() => typedAngle(this.is(), STEEPEST));
  protected readonly angleProblem = computed(() => this.angleTyped().problem);

  constructor() {
    filledFrom(this.form, () => ({ angle: this.angleHeld() }), this.whose);
  }

  protected apply(): void {
    if (this.lengths.invalid || this.angleProblem() !== null) return;
    let a = this.anatomy();
    const typed = this.lengths.getRawValue();
    for (const { key, target, value: was } of this.fields()) {
      const value = typed[key] ?? null;
      if (value === (Number.isFinite(was) ? was : null)) continue;
      a = withDimension(a, target, value === null ? null : { value, limit: STATED_LIMIT, basis: { kind: 'stated' } });
    }
    const angle = this.angleTyped().value;
    if (this.is() !== this.angleHeld())
      a = { ...a, neck: { ...a.neck, angle: angle === null ? null : { value: angle, limit: ANGLE_LIMIT, basis: { kind: 'stated' } } } };
    this.changed.emit(a);
  }

  protected alter(change: Partial<Anatomy>): void {
    this.changed.emit({ ...this.anatomy(), ...change });
  }

  protected strings(count: number): void {
    const { strings } = this.anatomy();
    this.stringed(inCourses({ ...strings, count }, strings.courses !== undefined && canPair(count)));
  }

  protected readonly paired = computed(() => canPair(this.anatomy().strings.count));

  protected courses(on: boolean): void {
    this.stringed(inCourses(this.anatomy().strings, on));
  }

  private stringed(strings: Strings): void {
    this.changed.emit(describeStrings(this.anatomy(), strings));
  }

  protected neck(change: Partial<Anatomy['neck']>): void {
    this.alter({ neck: { ...this.anatomy().neck, ...change } });
  }

  protected carve(kind: Anatomy['body']['carve']['kind']): void {
    const { body } = this.anatomy();
    this.alter({ body: { ...body, carve: { kind, height: kind === 'flat' ? null : body.carve.height } } });
  }

  protected async outline(of: 'body' | 'headstock'): Promise<void> {
    const a = this.anatomy();
    const old = a[of].outline;
    const at = old ? recognise(old.outline).at : { x: 0, y: of === 'body' ? 160 : -90 };
    const drawn = await askOutline(this.dialog, { what: of, at, side: seenSide({ handed: a.handed, face: 'top', mirrored: false }) });
    if (!drawn) return;
    const outline: FeatureOutline = { ...drawn, across: null, along: null };
    this.alter(of === 'body' ? { body: { ...a.body, outline } } : { headstock: { ...a.headstock, outline } });
  }
}
