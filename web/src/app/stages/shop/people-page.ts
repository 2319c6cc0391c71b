import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import { Store } from '@ngrx/store';
import type { Person } from '@rinnovo/contract';
import { Commands } from '../../state/commands';
import { people } from '../../state/resources';
import { attempt } from '../../ui/attempt';

/** Who works here and who owns what is worked on. */
@Component({
  selector: 'rn-people-page',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="add($event)" novalidate aria-label="Add person">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Name</mat-label>
        <input matInput autocomplete="off" maxlength="120" [value]="name()" (input)="name.set(text($event))" />
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Role</mat-label>
        <select matNativeControl (change)="role.set(text($event) === 'owner' ? 'owner' : 'technician')">
          <option value="technician">technician</option>
          <option value="owner">owner</option>
        </select>
      </mat-form-field>
      <button matButton="filled" type="submit" [disabled]="busy()">Add person</button>
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
    </form>
    <table>
      <thead>
        <tr>
          <th scope="col">Name</th>
          <th scope="col">Role</th>
        </tr>
      </thead>
      <tbody>
        @for (p of all(); track p.id) {
          <tr>
            <th scope="row">{{ p.name }}</th>
            <td>{{ p.role }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styleUrl: './shop-table.scss',
})
export class PeoplePage {
  private readonly commands = inject(Commands);
  private readonly held = inject(Store).selectSignal(people.select);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly name = signal('');
  protected readonly role = signal<Person['role']>('technician');
  protected readonly all = computed(() => this.held().data ?? []);

  protected text(event: Event): string {
    return (event.target as HTMLInputElement | HTMLSelectElement).value;
  }

  protected async add(event: Event): Promise<void> {
    event.preventDefault();
    const name = this.name().trim();
    if (name === '') {
      this.problem.set('Type a name.');
      return;
    }
    if (await this.attempt.run(() => this.commands.addPerson({ id: crypto.randomUUID(), name, role: this.role() }))) this.name.set('');
  }
}
