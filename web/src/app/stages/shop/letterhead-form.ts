import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, resource, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import type { KeptLetterhead } from '@rinnovo/contract';
import { firstValueFrom } from 'rxjs';
import { Api } from '../../api/api';
import { attempt } from '../../ui/attempt';

const FIELDS = ['name', 'address'] as const;

/** The workshop's name and address, as they stand at the head of every paper. */
@Component({
  selector: 'rn-letterhead-form',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="save($event)" novalidate>
      <h2>On the papers</h2>
      <div class="fields">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Name of the workshop</mat-label>
          <input matInput maxlength="120" autocomplete="organization" [value]="draft().name" (input)="set('name', $event)" />
        </mat-form-field>
        <mat-form-field class="wide" subscriptSizing="dynamic">
          <mat-label>Address</mat-label>
          <input matInput maxlength="300" autocomplete="street-address" [value]="draft().address" (input)="set('address', $event)" />
        </mat-form-field>
        <button matButton="filled" type="submit" [disabled]="busy() || !changed()">Save letterhead</button>
        <span class="soft" role="status">{{ said() }}</span>
      </div>
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
    </form>
  `,
  styles: `
    .fields {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.6rem 1rem;
    }
    .wide {
      flex: 1 1 18rem;
      max-inline-size: 34rem;
    }
  `,
})
export class LetterheadForm {
  private readonly api = inject(Api);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  private readonly held = resource({ loader: () => firstValueFrom(this.api.get<KeptLetterhead>('/shop/letterhead')).then((r) => r.body) });
  private readonly kept = computed((): KeptLetterhead => (this.held.hasValue() ? this.held.value() : { name: '', address: '', version: 0 }));
  protected readonly draft = linkedSignal(() => this.kept());
  protected readonly said = signal('');
  protected readonly changed = computed(() => FIELDS.some((k) => this.draft()[k].trim() !== this.kept()[k]));

  protected set(field: (typeof FIELDS)[number], event: Event): void {
    const { value } = event.target as HTMLInputElement;
    this.draft.update((d) => ({ ...d, [field]: value }));
    this.said.set('');
  }

  protected async save(event: Event): Promise<void> {
    event.preventDefault();
    const body = { name: this.draft().name.trim(), address: this.draft().address.trim() };
    const done = await this.attempt.run(async () => {
      const answer = await firstValueFrom(this.api.change<KeptLetterhead>('/shop/letterhead', this.kept().version, body));
      this.held.set(answer.body);
    });
    if (done) this.said.set('Saved.');
  }
}
