import { kindsFor, placesOf } from '@rinnovo/core/house/lists';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, output, signal, viewChildren } from '@angular/core';
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
import { viewFeature } from '../../state/view.feature';
import { LengthField } from '../../ui/length-field';
import { asTyped, FACE_WORDS, HOLE_KIND_WORDS } from '@rinnovo/words';

/** A new hole is no place of the instrument yet; nothing at all can go to a place, too. */
const NEW = 'new hole';
const NOTHING = 'nothing';

/** A place of the instrument, or a new hole on a face, and the part that is to go there. */
@Component({
  selector: 'rn-add-choice',
  imports: [MatButtonModule, MatFormFieldModule, MatSelectModule, RouterLink, LengthField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>New place</h2>
    <form (submit)="add($event)" novalidate>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Place</mat-label>
        <mat-select [value]="where()" (valueChange)="where.set($event)">
          @for (g of groups(); track g.id) {
            <mat-option [value]="g.id">{{ g.name }}</mat-option>
          }
          @for (p of places(); track p.id) {
            <mat-option [value]="p.id">{{ p.name }}</mat-option>
          }
          <mat-option [value]="fresh">new hole …</mat-option>
        </mat-select>
      </mat-form-field>
      @if (where() === fresh) {
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Kind of hole</mat-label>
          <mat-select [value]="hole()" (valueChange)="hole.set($event)">
            @for (h of holes; track h) {
              <mat-option [value]="h">{{ holeWords[h] }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Face</mat-label>
          <mat-select [value]="face()" (valueChange)="face.set($event)">
            @for (f of faces; track f) {
              <mat-option [value]="f">{{ faceWords[f] }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <p class="soft">You can move it on the map afterwards.</p>
        <rn-length-field label="Centre, offset across" [(text)]="x" [min]="-400" [max]="400" [refusal]="refusals().x" />
        <rn-length-field label="Centre, offset along" [(text)]="y" [min]="-1200" [max]="1200" [refusal]="refusals().y" />
      }
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Part to fit</mat-label>
        <mat-select [value]="part()" (valueChange)="part.set($event)">
          @if (where() !== fresh) {
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
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly fields = viewChildren(LengthField);
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
  protected readonly where = linkedSignal(() => this.places()[0]?.id ?? NEW);
  protected readonly hole = signal<HoleKind>('pot');
  protected readonly face = signal<HoleFace>('top');
  /** It begins where such a hole usually goes; the hand moves it on the map afterwards. */
  private readonly spot = computed(() => {
    const a = this.anatomy();
    return a ? spotForHole(a, this.face()) : null;
  });
  protected readonly x = linkedSignal(() => this.typed(this.spot()?.x));
  protected readonly y = linkedSignal(() => this.typed(this.spot()?.y));
  protected readonly refusals = signal<{ readonly x: string | null; readonly y: string | null }>({ x: null, y: null });
  private readonly chosen = computed((): readonly Placeable[] => {
    const where = this.where();
    return this.groups().find((g) => g.id === where)?.places ?? this.places().filter((p) => p.id === where);
  });
  private readonly place = computed(() => this.chosen()[0] ?? null);
  /** What of the shelf goes there. */
  protected readonly shelf = computed(() => {
    const place = this.place();
    const kinds: readonly string[] = place?.kind === 'hardware' ? place.kinds : kindsFor('holes', this.hole());
    return Object.values(this.kept().data ?? {})
      .flatMap((k) => (k.archived ? [] : [k.part]))
      .filter((p) => (place?.kind === 'pickup' ? isPickup(p) : isHardware(p) && kinds.includes(p.kind)))
      .sort((a, b) => a.name.localeCompare(b.name));
  });
  protected readonly part = linkedSignal<readonly { readonly id: string }[], string | null>({
    source: this.shelf,
    // the only part that fits is taken
    computation: (list, before) =>
      before?.value === NOTHING || list.some((p) => p.id === before?.value) ? (before?.value ?? null) : list.length === 1 ? (list[0]?.id ?? null) : null,
  });
  protected readonly problem = signal<string | null>(null);

  private typed(mm: number | undefined): string {
    return mm === undefined ? '' : asTyped(mm, this.unit());
  }

  protected add(event: Event): void {
    event.preventDefault();
    const part = this.part();
    const place = this.place();
    this.refusals.set({ x: null, y: null });
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
    const [x, y] = this.fields().map((f) => f.value());
    if (x == null || y == null) {
      this.refusals.set({ x: x == null ? 'Type the position of the centre' : null, y: y == null ? 'Type the position of the centre' : null });
      return;
    }
    const id = `new ${this.hole()} ${crypto.randomUUID().slice(0, 8)}`;
    this.store.dispatch(planActions.choiceEdited({ choice: newHardwareChoice(id, { on: 'face', face: this.face(), at: { x, y }, hole: this.hole() }, part) }));
    this.closed.emit();
  }
}
