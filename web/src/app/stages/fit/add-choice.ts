import { kindsFor, placesOf } from '@rinnovo/core/house/lists';
import { ChangeDetectionStrategy, Component, computed, effect, inject, output, signal, untracked } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { newHardwareChoice, newPickupChoice, spotForHole, type Placeable } from '@rinnovo/core/check';
import { HOLE_FACES, type HoleFace, type HoleKind, HOLE_KINDS } from '@rinnovo/core/instrument';
import { isHardware, isPickup } from '@rinnovo/core/part';
import { planActions } from '../../state/plan.actions';
import { parts } from '../../state/resources';
import { selectAnatomy, selectPlan } from '../../state/selectors';
import { filledFrom, standing } from '../../ui/form-values';
import { LengthField } from '../../ui/length-field';
import { FACE_WORDS, HOLE_KIND_WORDS } from '@rinnovo/words';

/** A new hole is no place of the instrument yet; nothing at all can go to a place, too. */
const NEW = 'new hole';
const NOTHING = 'nothing';

/** A place of the instrument, or a new hole on a face, and the part that is to go there. */
@Component({
  selector: 'rn-add-choice',
  imports: [MatButtonModule, MatFormFieldModule, MatSelectModule, ReactiveFormsModule, RouterLink, LengthField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>New place</h2>
    <form [formGroup]="form" (ngSubmit)="add()" novalidate>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Place</mat-label>
        <mat-select formControlName="where">
          @for (g of groups(); track g.id) {
            <mat-option [value]="g.id">{{ g.name }}</mat-option>
          }
          @for (p of places(); track p.id) {
            <mat-option [value]="p.id">{{ p.name }}</mat-option>
          }
          <mat-option [value]="fresh">new hole …</mat-option>
        </mat-select>
      </mat-form-field>
      @if (is().where === fresh) {
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Kind of hole</mat-label>
          <mat-select formControlName="hole">
            @for (h of holes; track h) {
              <mat-option [value]="h">{{ holeWords[h] }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Face</mat-label>
          <mat-select formControlName="face">
            @for (f of faces; track f) {
              <mat-option [value]="f">{{ faceWords[f] }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <p class="soft">You can move it on the map afterwards.</p>
        <rn-length-field label="Centre, offset across" formControlName="x" [min]="-400" [max]="400" [refusal]="tried() ? noSpot : null" />
        <rn-length-field label="Centre, offset along" formControlName="y" [min]="-1200" [max]="1200" [refusal]="tried() ? noSpot : null" />
      }
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Part to fit</mat-label>
        <mat-select formControlName="part">
          @if (is().where !== fresh) {
            <mat-option [value]="nothing">none: keep or close the hole</mat-option>
          }
          @for (p of shelf(); track p.id) {
            <mat-option [value]="p.id">{{ p.name }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      @if (shelf().length === 0) {
        <p>No part on the shelf fits this kind of place. <a routerLink="/shelf">Open the part shelf</a></p>
      }
      @if (problem(); as text) {
        <p class="problem" role="alert">{{ text }}</p>
      }
      <p class="acts">
        <button matButton="filled" type="submit">Check the fit</button>
        <button matButton type="button" (click)="closed.emit()">Cancel</button>
      </p>
    </form>
  `,
  styles: `
    :host {
      display: block;
      padding: 0.75rem;
      overflow: auto;
    }
    form {
      display: grid;
      gap: 0.6rem;
      max-width: 26rem;
    }
    .acts {
      display: flex;
      gap: 0.5rem;
    }
  `,
})
export class AddChoice {
  protected readonly faceWords = FACE_WORDS;
  protected readonly holeWords = HOLE_KIND_WORDS;
  readonly closed = output();
  private readonly store = inject(Store);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly plan = this.store.selectSignal(selectPlan);
  private readonly kept = this.store.selectSignal(parts.select);
  protected readonly fresh = NEW;
  protected readonly nothing = NOTHING;
  protected readonly faces = HOLE_FACES;
  protected readonly holes = HOLE_KINDS;
  protected readonly places = computed((): readonly Placeable[] => {
    const a = this.anatomy();
    const taken = new Set(this.plan()?.choices.map((c) => c.id));
    return a ? placesOf(a).filter((p) => !taken.has(p.id)) : [];
  });
  /** Places of one kind that the same part can go to at once. */
  protected readonly groups = computed(() => {
    const free = new Map(this.places().map((p) => [p.id, p]));
    const holes = this.anatomy()?.holes ?? [];
    return HOLE_KINDS.flatMap((kind) => {
      const places = holes.flatMap((h) => (h.kind === kind ? (free.get(h.id) ?? []) : []));
      return places.length < 2 || (places[0]?.kind === 'hardware' && places[0].kinds.length === 0)
        ? []
        : [{ id: `all ${kind}`, name: `all ${places.length} ${HOLE_KIND_WORDS[kind]} holes`, places }];
    });
  });
  protected readonly form = new FormGroup({
    where: new FormControl(NEW, { nonNullable: true }),
    hole: new FormControl<HoleKind>('pot', { nonNullable: true }),
    face: new FormControl<HoleFace>('top', { nonNullable: true }),
    x: new FormControl<number | null>(null, Validators.required),
    y: new FormControl<number | null>(null, Validators.required),
    part: new FormControl<string | null>(null),
  });
  protected readonly is = standing(this.form);
  /** It begins where such a hole usually goes; the hand moves it on the map afterwards. */
  private readonly spot = computed(() => {
    const a = this.anatomy();
    return a ? spotForHole(a, this.is().face) : null;
  });
  protected readonly noSpot = 'Type the position of the centre';
  /** It was sent without a position. */
  protected readonly tried = signal(false);
  private readonly chosen = computed((): readonly Placeable[] => {
    const { where } = this.is();
    return this.groups().find((g) => g.id === where)?.places ?? this.places().filter((p) => p.id === where);
  });
  private readonly place = computed(() => this.chosen()[0] ?? null);
  /** What of the shelf goes there. */
  protected readonly shelf = computed(() => {
    const place = this.place();
    const kinds: readonly string[] = place?.kind === 'hardware' ? place.kinds : kindsFor('holes', this.is().hole);
    return Object.values(this.kept().data ?? {})
      .flatMap((k) => (k.archived ? [] : [k.part]))
      .filter((p) => (place?.kind === 'pickup' ? isPickup(p) : isHardware(p) && kinds.includes(p.kind)))
      .sort((a, b) => a.name.localeCompare(b.name));
  });
  protected readonly problem = signal<string | null>(null);

  constructor() {
    // a place that is free is looked at: the first, until another is chosen
    effect(() => {
      const free = [...this.groups(), ...this.places()].map((p) => p.id);
      const { where } = this.form.controls;
      const first = this.places()[0]?.id ?? NEW;
      untracked(() => {
        if (!this.form.dirty || (where.value !== NEW && !free.includes(where.value))) where.setValue(first);
      });
    });
    filledFrom(this.form, () => ({ x: this.spot()?.x ?? null, y: this.spot()?.y ?? null }));
    // the only part that fits is taken; one that goes there no more is not
    effect(() => {
      const list = this.shelf();
      const { part } = this.form.controls;
      untracked(() => {
        const only = list.length === 1 ? (list[0]?.id ?? null) : null;
        const next = part.value === NOTHING || list.some((p) => p.id === part.value) ? part.value : only;
        if (next !== part.value) part.setValue(next);
      });
    });
  }

  protected add(): void {
    const { part, x, y, hole, face } = this.form.getRawValue();
    const place = this.place();
    this.tried.set(false);
    if (part === null) {
      this.problem.set('Choose the part to fit.');
      return;
    }
    this.problem.set(null);
    if (place) {
      const goes = part === NOTHING ? null : part;
      for (const p of this.chosen()) {
        const choice = p.kind === 'pickup' ? newPickupChoice(p.position, goes) : newHardwareChoice(p.id, p.place, goes);
        this.store.dispatch(planActions.choiceEdited({ choice }));
      }
      this.store.dispatch(planActions.lookAt({ choice: place.id }));
      this.closed.emit();
      return;
    }
    if (x === null || y === null) {
      this.tried.set(true);
      return;
    }
    const id = `new ${hole} ${crypto.randomUUID().slice(0, 8)}`;
    this.store.dispatch(planActions.choiceEdited({ choice: newHardwareChoice(id, { on: 'face', face, at: { x, y }, hole }, part) }));
    this.closed.emit();
  }
}
