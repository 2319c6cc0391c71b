import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { attempt } from '../../ui/attempt';
import { Who } from '../../api/who';
import { Commands } from '../../state/commands';

/** An empty workshop first asks who works in it: every write has a person. */
@Component({
  selector: 'rn-first-person',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="panel" aria-label="Who works here">
      <h2>Who works here?</h2>
      <p>Every reading and every step is saved with a name. Type yours to start.</p>
      <form (submit)="add($event)">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Name</mat-label>
          <input matInput required maxlength="120" autocomplete="name" [value]="name()" (input)="type($event)" />
        </mat-form-field>
        <button matButton="filled" type="submit" [disabled]="name().trim() === ''">Start</button>
      </form>
      @if (problem(); as text) {
        <p class="problem" role="alert">{{ text }}</p>
      }
    </section>
  `,
  styles: `
    section {
      padding: 1rem;
      margin-block-end: 1rem;
    }
    form {
      display: flex;
      gap: 1rem;
      align-items: center;
      margin-block-start: 0.5rem;
    }
  `,
})
export class FirstPerson {
  private readonly commands = inject(Commands);
  private readonly who = inject(Who);
  protected readonly name = signal('');
  private readonly attempt = attempt();
  protected readonly problem = this.attempt.problem;

  protected type(event: Event): void {
    this.name.set((event.target as HTMLInputElement).value);
  }

  protected async add(event: Event): Promise<void> {
    event.preventDefault();
    const id = crypto.randomUUID();
    this.who.choose(id);
    await this.attempt.run(async () => {
      await this.commands.addPerson({ id, name: this.name().trim(), role: 'technician' });
    });
  }
}
