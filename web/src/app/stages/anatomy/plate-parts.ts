import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import { addOpening, openingShape, removeOpening, type Anatomy } from '@rinnovo/core/instrument';
import { lengthText } from '@rinnovo/words';
import { viewFeature } from '../../state/view.feature';
import { OpeningForm } from './opening-form';
import { ScrewPlaces } from './screw-places';

/** What is in a plate: its openings, each open to its sizes, and where its screws are. */
@Component({
  selector: 'rn-plate-parts',
  imports: [MatButtonModule, OpeningForm, ScrewPlaces],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>Openings</h3>
    <ul class="rows">
      @for (o of openings(); track o.id) {
        <li>
          <button type="button" class="plain-row" [attr.aria-expanded]="open() === o.id" [attr.data-opening]="o.id" (click)="toggle(o.id)">
            <span class="what">{{ o.name }}</span>
            <span class="number">{{ o.size }}</span>
          </button>
          @if (open() === o.id) {
            <rn-opening-form [anatomy]="anatomy()" [plate]="plate()" [opening]="o.id" (changed)="changed.emit($event)" (removed)="remove(o.id)" />
          }
        </li>
      } @empty {
        <li class="soft">No openings: the plate covers everything under it.</li>
      }
    </ul>
    <p><button matButton="outlined" type="button" (click)="add()">Add an opening</button></p>
    @if (refusal(); as text) {
      <p class="problem" role="alert">{{ text }}</p>
    }
    <h3>Screw places</h3>
    <rn-screw-places [anatomy]="anatomy()" [plate]="plate()" (changed)="changed.emit($event)" />
  `,
  styles: `
    :host {
      display: block;
      padding: 0 0.75rem 0.75rem;
    }
    .what {
      flex: 1;
    }
    h3 {
      margin-block: 0.4rem 0.2rem;
      font-size: 1rem;
    }
  `,
})
export class PlateParts {
  readonly anatomy = input.required<Anatomy>();
  readonly plate = input.required<string>();
  readonly changed = output<Anatomy>();
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  protected readonly open = signal<string | null>(null);
  protected readonly refusal = signal<string | null>(null);
  private readonly of = computed(() => this.anatomy().plates.find((p) => p.id === this.plate()));
  protected readonly openings = computed(() =>
    (this.of()?.openings ?? []).map((o) => {
      const s = openingShape(this.anatomy(), this.plate(), o.id);
      const sizes = s.kind === 'circle' ? [s.width] : [s.width, s.height];
      return { id: o.id, name: o.name, size: sizes.map((mm) => lengthText(mm, this.unit(), 1)).join(' × ') };
    }),
  );

  protected toggle(id: string): void {
    this.refusal.set(null);
    this.open.set(this.open() === id ? null : id);
  }

  protected add(): void {
    const names = new Set(this.openings().map((o) => o.name));
    let n = 1;
    while (names.has(n === 1 ? 'Opening' : `Opening ${n}`)) n += 1;
    const id = `opening ${crypto.randomUUID().slice(0, 8)}`;
    this.changed.emit(addOpening(this.anatomy(), this.plate(), { id, name: n === 1 ? 'Opening' : `Opening ${n}` }));
    this.open.set(id);
  }

  protected remove(id: string): void {
    if (this.anatomy().positions.some((p) => p.plate === this.plate() && p.opening === id)) {
      this.refusal.set('A pickup is planned in this opening. Remove that place first.');
      return;
    }
    this.changed.emit(removeOpening(this.anatomy(), this.plate(), id));
    this.open.set(null);
  }
}
