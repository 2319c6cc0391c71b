import { afterRenderEffect, ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, linkedSignal, model, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { ADDED_KINDS, addFeature, boundsOf, featuresOf, firstFeature, placeHoleOn, type AddedKind, type Anatomy, type Face } from '@rinnovo/core/instrument';
import { bounds } from '@rinnovo/core/shape';
import { ADDED_WORDS, CONDITION_WORDS, lengthText } from '@rinnovo/words';
import { viewFeature } from '../../state/view.feature';
import { FeatureForm } from './feature-form';

const GROUPS = { plate: 'Plates and hardware', cavity: 'Cavities', hole: 'Holes' } as const;

/** Every feature with its place; one opens to its sizes; new ones are added by kind. */
@Component({
  selector: 'rn-feature-panel',
  imports: [MatButtonModule, MatFormFieldModule, MatSelectModule, FeatureForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="add">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Kind of feature</mat-label>
        <mat-select [value]="kind()" (valueChange)="kind.set($event)">
          @for (k of kinds(); track k.kind) {
            <mat-option [value]="k.kind">{{ k.word }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <button matButton="filled" type="button" (click)="add()">Add feature</button>
    </div>
    @for (g of groups(); track g.title) {
      <h2>{{ g.title }}</h2>
      <ul class="rows">
        @for (r of g.rows; track r.id) {
          <li>
            <button type="button" class="plain-row" [attr.aria-expanded]="selected() === r.id" [attr.data-feature]="r.id" (click)="toggle(r.id)">
              <span class="what"
                >{{ r.name }} <span class="soft">{{ r.said }}</span></span
              >
              <span class="number">{{ r.place }}</span>
            </button>
            @if (selected() === r.id) {
              <rn-feature-form [anatomy]="anatomy()" [id]="r.id" (changed)="changed.emit($event)" (chosen)="selected.set($event)" />
            }
          </li>
        }
      </ul>
    } @empty {
      <p class="empty">No features yet. Add the first cavity, hole or plate. It appears in the middle of the body at a typical size.</p>
    }
  `,
  styles: `
    .add {
      display: flex;
      gap: 0.75rem;
      align-items: center;
      padding: 0.6rem 0.75rem;
    }
    .add mat-form-field {
      flex: 1;
    }
    h2 {
      padding: 0.5rem 0.75rem 0.25rem;
    }
    li {
      border-block-end: 1px solid var(--rn-line);
    }
    .what {
      flex: 1;
    }
    .empty {
      padding: 1rem;
    }
  `,
})
export class FeaturePanel {
  readonly anatomy = input.required<Anatomy>();
  readonly face = input.required<Face | 'side'>();
  readonly selected = model<string | null>(null);
  readonly changed = output<Anatomy>();
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  /** The side has holes only. */
  protected readonly kinds = computed(() => (this.face() === 'side' ? (['hole'] as const) : ADDED_KINDS).map((kind) => ({ kind, word: ADDED_WORDS[kind] })));
  protected readonly kind = linkedSignal((): AddedKind => (this.face() === 'side' ? 'hole' : 'pickup route'));

  protected readonly groups = computed(() => {
    const a = this.anatomy();
    const rows = featuresOf(a).map((f) => {
      const b = boundsOf(a, f);
      const said = [f.kind === 'hole' ? f.of.face : f.of.face === 'back' ? 'back' : '', f.of.condition === 'sound' ? '' : CONDITION_WORDS[f.of.condition]];
      return {
        kind: f.kind,
        id: f.id,
        name: f.of.name,
        said: said.filter(Boolean).join(', '),
        place: `${lengthText((b.minX + b.maxX) / 2, this.unit(), 1)}, ${lengthText((b.minY + b.maxY) / 2, this.unit(), 1)}`,
      };
    });
    return (['plate', 'cavity', 'hole'] as const)
      .map((kind) => ({ title: GROUPS[kind], rows: rows.filter((r) => r.kind === kind) }))
      .filter((g) => g.rows.length > 0);
  });

  protected toggle(id: string): void {
    this.selected.set(this.selected() === id ? null : id);
  }

  protected add(): void {
    const a = this.anatomy();
    const word = ADDED_WORDS[this.kind()];
    const names = new Set(featuresOf(a).map((f) => f.of.name));
    let n = 1;
    while (names.has(n === 1 ? word : `${word} ${n}`)) n += 1;
    const name = n === 1 ? word : `${word} ${n}`;
    const id = `${this.kind()} ${crypto.randomUUID().slice(0, 8)}`;
    const b = a.body.outline ? bounds([a.body.outline.outline]) : { minX: 0, maxX: 0, minY: 0, maxY: 200 };
    const middle = { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
    const face = this.face();
    const added = addFeature(a, firstFeature(this.kind(), id, name, face === 'side' ? 'top' : face, middle));
    this.changed.emit(face === 'side' ? placeHoleOn(added, id, 'side') : added);
    this.selected.set(id);
    this.fresh = id;
  }

  /** What was added just now comes into view with its form. */
  private fresh: string | null = null;

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterRenderEffect(() => {
      this.groups();
      const row = this.fresh === null ? null : host.querySelector(`[data-feature="${CSS.escape(this.fresh)}"]`);
      if (!row) return;
      this.fresh = null;
      row.scrollIntoView({ block: 'start' });
    });
  }
}
