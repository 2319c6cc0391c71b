import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { startingAnatomy, STARTING_KINDS, type StartingKind } from '@rinnovo/core/instrument';
import { STARTING_WORDS } from '@rinnovo/words';
import { problemOf, problemText } from '../../api/problem-of';
import { Commands } from '../../state/commands';
import { people } from '../../state/resources';
import { drawAnatomy, drawLines, frameOfAnatomy, seenFrame } from '../../ui/drawing';
import { PlanView } from '../../ui/plan-view';

/** An instrument has just arrived: what it is nearest to gives a typical anatomy to measure against. */
@Component({
  selector: 'rn-start-page',
  imports: [MatButtonModule, MatButtonToggleModule, MatFormFieldModule, MatInputModule, MatSelectModule, PlanView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './start-page.html',
  styleUrl: './start-page.scss',
})
export class StartPage {
  private readonly commands = inject(Commands);
  private readonly router = inject(Router);
  private readonly people = inject(Store).selectSignal(people.select);

  protected readonly kinds = STARTING_KINDS.map((kind) => ({ kind, ...STARTING_WORDS[kind] }));
  protected readonly strings = [4, 5, 6, 7, 8, 9, 10, 11, 12] as const;
  protected readonly kind = signal<StartingKind>('bolt-on solid');
  protected readonly label = signal('');
  protected readonly maker = signal('');
  protected readonly serial = signal('');
  protected readonly owner = signal<string | null>(null);
  protected readonly newOwner = signal('');
  protected readonly handed = signal<'right' | 'left'>('right');
  protected readonly count = signal<number | null>(null);
  protected readonly tried = signal(false);
  protected readonly busy = signal(false);
  protected readonly refusal = signal<string | null>(null);
  protected readonly owners = computed(() => (this.people().data ?? []).filter((p) => p.role === 'owner'));
  protected readonly missing = computed(() => (this.label().trim() === '' ? 'Type a label: its name on the bench.' : null));

  protected readonly anatomy = computed(() => {
    const a = startingAnatomy(this.kind());
    return { ...a, handed: this.handed(), strings: { ...a.strings, count: this.count() ?? a.strings.count } };
  });
  protected readonly paths = computed(() => drawAnatomy(this.anatomy(), 'top'));
  protected readonly frame = computed(() => seenFrame(frameOfAnatomy(this.anatomy()), this.handed() === 'left'));
  protected readonly lines = computed(() => drawLines(this.anatomy(), this.frame()));

  protected value(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected async start(event: Event): Promise<void> {
    event.preventDefault();
    this.tried.set(true);
    if (this.missing() !== null) return;
    this.busy.set(true);
    this.refusal.set(null);
    const id = crypto.randomUUID();
    try {
      const owner = await this.ownerId();
      const one = { id, label: this.label().trim(), maker: this.maker().trim(), model: '', serial: this.serial().trim(), owner, notes: '' };
      await this.commands.startInstrument({ ...one, kind: this.kind(), identity: {}, archived: false }, this.anatomy());
      await this.router.navigate(['/i', id, 'anatomy']);
    } catch (error) {
      this.refusal.set(problemText(problemOf(error)));
    } finally {
      this.busy.set(false);
    }
  }

  private async ownerId(): Promise<string | null> {
    const name = this.newOwner().trim();
    if (name === '') return this.owner();
    const id = crypto.randomUUID();
    await this.commands.addPerson({ id, name, role: 'owner' });
    this.owner.set(id);
    this.newOwner.set('');
    return id;
  }
}
