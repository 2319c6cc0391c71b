import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { newPickupChoice, type Choice } from '@rinnovo/core/check';
import { Commands } from '../../state/commands';
import { anatomy } from '../../state/resources';
import { selectAnatomy, selectJob, selectPickups, selectRevisions } from '../../state/selectors';
import { attempt } from '../../ui/attempt';

/** No plan yet: which pickup is to go where, or what is missing before that can be asked. */
@Component({
  selector: 'rn-begin-plan',
  imports: [MatButtonModule, MatFormFieldModule, MatSelectModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>No plan yet</h2>
    @if (!job()) {
      <p>Open a job first. It says what to do and what not to touch.</p>
      <p><a matButton="filled" [routerLink]="['/i', instrument(), 'about']">Open job</a></p>
    } @else if (positions().length === 0) {
      <p>This instrument has no place for a pickup. Set the route and its plate in Anatomy, or start with another part.</p>
      <p class="acts">
        <a matButton="filled" [routerLink]="['/i', instrument(), 'anatomy']">Open Anatomy</a>
        <button matButton="outlined" type="button" [disabled]="busy()" (click)="keep([])">Start with another part</button>
      </p>
    } @else {
      <form (submit)="begin($event)">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Place</mat-label>
          <mat-select [value]="position()" (valueChange)="position.set($event)">
            @for (p of positions(); track p.id) {
              <mat-option [value]="p.id">{{ p.name }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Part to fit</mat-label>
          <mat-select [value]="part()" (valueChange)="part.set($event)">
            @for (p of parts(); track p.id) {
              <mat-option [value]="p.id">{{ p.name }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <button matButton="filled" type="submit" [disabled]="busy() || part() === null">Check the fit</button>
      </form>
      @if (problem(); as text) {
        <p class="problem" role="alert">{{ text }}</p>
      }
    }
  `,
  styles: `
    :host {
      grid-column: 1 / -1;
      display: grid;
      gap: 0.75rem;
      align-content: start;
      max-width: 40rem;
      padding: 2rem;
    }
    form {
      display: grid;
      gap: 0.75rem;
      justify-items: start;
    }
    mat-form-field {
      width: 24rem;
    }
    .acts {
      display: flex;
      gap: 0.5rem;
    }
  `,
})
export class BeginPlan {
  private readonly commands = inject(Commands);
  private readonly store = inject(Store);
  private readonly held = this.store.selectSignal(anatomy.select);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly shelf = this.store.selectSignal(selectPickups);
  protected readonly job = this.store.selectSignal(selectJob);
  private readonly revisions = this.store.selectSignal(selectRevisions);
  protected readonly instrument = computed(() => this.held().of ?? '');
  protected readonly positions = computed(() => this.anatomy()?.positions ?? []);
  protected readonly parts = this.shelf;
  protected readonly position = linkedSignal(() => this.positions()[0]?.id ?? '');
  protected readonly part = signal<string | null>(null);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;

  protected async begin(event: Event): Promise<void> {
    event.preventDefault();
    if (this.part() !== null) await this.keep([newPickupChoice(this.position(), this.part())]);
  }

  protected async keep(choices: readonly Choice[]): Promise<void> {
    const job = this.job();
    const revisions = this.revisions();
    if (job && revisions) await this.attempt.run(() => this.commands.beginPlan(job, revisions, { format: 5, choices }));
  }
}
