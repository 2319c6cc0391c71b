import { bareChoice, kindsFor, placesOf } from '@rinnovo/core/house/lists';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatMenuModule } from '@angular/material/menu';
import { MatSelectModule } from '@angular/material/select';
import { MatSlideToggleModule } from '@angular/material/slide-toggle';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { isPickupChoice, isPlaced, type Choice, type PickupChoice } from '@rinnovo/core/check';
import { isHardware, isPickup, stockOf, type Part } from '@rinnovo/core/part';
import { nameOf } from '@rinnovo/words';
import { planActions } from '../../state/plan.actions';
import { parts } from '../../state/resources';
import { selectAnatomy, selectNames, selectStock } from '../../state/selectors';

/** What is chosen for the place that is looked at: the part, others thought of there, and what a pickup needs to be stated. */
@Component({
  selector: 'rn-choice-bar',
  imports: [MatButtonModule, MatFormFieldModule, MatMenuModule, MatSelectModule, MatSlideToggleModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-form-field class="part" subscriptSizing="dynamic">
      <mat-label>Part to fit</mat-label>
      <mat-select [value]="choice().part" (valueChange)="take($event)" [disabled]="decided()">
        <mat-option [value]="null">none</mat-option>
        @for (p of shelf(); track p.id) {
          <mat-option [value]="p.id">{{ p.name }}</mat-option>
        }
      </mat-select>
    </mat-form-field>
    @if (shelf().length === 0) {
      <a routerLink="/shelf">No part on the shelf fits here: open the part shelf</a>
    }
    <div class="others" role="group" aria-label="Alternative parts">
      @for (o of others(); track o.id) {
        <button type="button" class="toggle" [disabled]="decided()" (click)="take(o.id)" [attr.aria-label]="'Select ' + o.name + ' instead'">
          ⇄ {{ o.name }}
        </button>
      }
      <button matButton type="button" [matMenuTriggerFor]="more" [disabled]="decided() || offered().length === 0">Add alternative part</button>
      <mat-menu #more="matMenu">
        @for (p of offered(); track p.id) {
          <button mat-menu-item type="button" (click)="think(p.id)">{{ p.name }}</button>
        }
      </mat-menu>
    </div>
    @if (pickup(); as p) {
      @if (insert(); as i) {
        <mat-slide-toggle [checked]="p.insertFitted" [disabled]="decided()" (change)="edit({ insertFitted: $event.checked })"
          >{{ i.name }} fitted</mat-slide-toggle
        >
      }
      <mat-form-field subscriptSizing="dynamic" class="leads">
        <mat-label>Leads</mat-label>
        <mat-select [value]="p.leadsNeeded" (valueChange)="edit({ leadsNeeded: $event })" [disabled]="decided()">
          @for (n of [2, 3, 4, 5]; track n) {
            <mat-option [value]="n">{{ n }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <mat-slide-toggle [checked]="p.coverApart ?? false" [disabled]="decided()" (change)="edit({ coverApart: $event.checked })"
        >Reverse phase or series wiring</mat-slide-toggle
      >
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.4rem 0.9rem;
      padding: 0.5rem 0.75rem;
    }
    .part {
      flex: 1 1 16rem;
    }
    .others {
      display: flex;
      flex-wrap: wrap;
      gap: 0.3rem;
    }
    .leads {
      width: 6.5rem;
    }
  `,
})
export class ChoiceBar {
  readonly choice = input.required<Choice>();
  readonly decided = input.required<boolean>();
  private readonly store = inject(Store);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly stock = this.store.selectSignal(selectStock);
  private readonly kept = this.store.selectSignal(parts.select);
  protected readonly pickup = computed((): PickupChoice | null => {
    const c = this.choice();
    return isPickupChoice(c) ? c : null;
  });
  private readonly goes = computed((): ((p: Part) => boolean) => {
    const c = this.choice();
    if (isPickupChoice(c)) return isPickup;
    const a = this.anatomy();
    const found = a ? placesOf(a).find((p) => p.id === c.id) : undefined;
    const kinds: readonly string[] = found?.kind === 'hardware' ? found.kinds : isPlaced(c) && c.place.on === 'face' ? kindsFor('holes', c.place.hole) : [];
    return (p) => isHardware(p) && kinds.includes(p.kind);
  });
  /** What of the shelf goes there, each with what matters of it before it is chosen. */
  protected readonly shelf = computed(() =>
    Object.values(this.kept().data ?? {})
      .filter((k) => (!k.archived && this.goes()(k.part)) || k.part.id === this.choice().part)
      .map(({ part }) => {
        const leads = isPickup(part) ? ` · ${part.leads} leads` : '';
        return { id: part.id, name: `${part.name}${leads}${stockOf(this.stock(), part.id) > 0 ? '' : ' · not in stock'}` };
      }),
  );
  protected readonly others = computed(() => this.choice().alternatives.map((id) => ({ id, name: nameOf(this.names(), id) })));
  protected readonly offered = computed(() => this.shelf().filter((p) => p.id !== this.choice().part && !this.choice().alternatives.includes(p.id)));
  protected readonly insert = computed(() => {
    const position = this.anatomy()?.positions.find((p) => p.id === this.pickup()?.position);
    const plate = this.anatomy()?.plates.find((p) => p.id === position?.plate);
    return plate?.openings.find((o) => o.id === position?.opening)?.insert ?? null;
  });

  protected edit(change: Partial<PickupChoice>): void {
    const c = this.pickup();
    if (c) this.store.dispatch(planActions.choiceEdited({ choice: { ...c, ...change } }));
  }

  /** Another part takes the place; the one before it stays among those thought of. */
  protected take(part: string | null): void {
    const c = this.choice();
    const alternatives = [...c.alternatives.filter((id) => id !== part), ...(c.part === null || c.part === part ? [] : [c.part])].slice(-20);
    const choice: Choice = { ...bareChoice(c), part, alternatives };
    this.store.dispatch(planActions.choiceEdited({ choice }));
  }

  protected think(part: string): void {
    const c = this.choice();
    this.store.dispatch(planActions.choiceEdited({ choice: { ...c, alternatives: [...c.alternatives, part] } }));
  }
}
