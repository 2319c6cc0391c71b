import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatMenuModule } from '@angular/material/menu';
import { MatSlideToggleModule } from '@angular/material/slide-toggle';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { plainInstrument, type FoundInstrument, type Page } from '@rinnovo/contract';
import { problemOf, problemText } from '../../api/problem-of';
import { Commands } from '../../state/commands';
import { instruments, people, shop, WORKSHOP } from '../../state/resources';
import { StarterKit } from '../shop/starter-kit';
import { FirstPerson } from './first-person';
import { dateText, dayOf, MENTION_WORDS, progressText, STARTING_WORDS } from '@rinnovo/words';
import { TrueDrawing } from './true-drawing';

/** How long typing must rest before the server is asked, ms. */
const REST = 120;

/** Every instrument of the workshop: find, open, begin a new one, copy, put away. */
@Component({
  selector: 'rn-instruments-page',
  imports: [RouterLink, MatButtonModule, MatFormFieldModule, MatInputModule, MatMenuModule, MatSlideToggleModule, FirstPerson, StarterKit, TrueDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './instruments-page.html',
  styleUrl: './instruments-page.scss',
})
export class InstrumentsPage {
  protected readonly kinds = STARTING_WORDS;
  protected readonly places = MENTION_WORDS;
  private readonly store = inject(Store);
  private readonly commands = inject(Commands);
  private readonly router = inject(Router);
  private readonly toast = inject(MatSnackBar);
  protected readonly held = this.store.selectSignal(instruments.select);
  protected readonly people = this.store.selectSignal(people.select);
  private readonly shop = this.store.selectSignal(shop.select);
  /** The workshop has no tool yet. */
  protected readonly bare = computed(() => this.shop().data?.tools.length === 0);
  protected readonly find = signal('');
  protected readonly archived = signal(false);
  private readonly settled = signal('');
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly query = computed(() => new URLSearchParams({ limit: '60', find: this.settled().trim(), archived: String(this.archived()) }).toString());

  protected readonly failure = computed(() => {
    const p = this.held().problem;
    return p ? problemText(p) : '';
  });
  /** The newest answer; it stays while the next one is on its way. */
  protected readonly page = linkedSignal<Page<FoundInstrument> | null, Page<FoundInstrument> | null>({
    source: () => this.held().data,
    computation: (now, before) => now ?? before?.value ?? null,
  });

  protected readonly dueText = dateText;
  protected readonly items = computed(() => {
    const today = dayOf(new Date().toISOString());
    return (this.page()?.items ?? []).map((i) => ({ ...i, far: progressText(i.progress), late: i.due !== null && i.due < today }));
  });

  constructor() {
    this.store.dispatch(shop.load({ of: WORKSHOP }));
    effect(() => this.store.dispatch(instruments.load({ of: this.query() })));
  }

  protected load(): void {
    this.store.dispatch(instruments.load({ of: this.query() }));
  }

  protected search(event: Event): void {
    this.find.set((event.target as HTMLInputElement).value);
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.settled.set(this.find()), REST);
  }

  protected async duplicate(i: FoundInstrument): Promise<void> {
    const id = crypto.randomUUID();
    await this.attempt(async () => {
      await this.commands.duplicateInstrument(plainInstrument(i), { id, label: `${i.label}, copy` });
      await this.router.navigate(['/i', id, 'about']);
    });
  }

  protected async archive(i: FoundInstrument, archived: boolean): Promise<void> {
    await this.attempt(async () => {
      await this.commands.archive(i.id, archived);
      this.load();
      const said = this.toast.open(archived ? `${i.label} archived` : `${i.label} restored`, 'Undo', { duration: 8000 });
      said.onAction().subscribe(() => void this.attempt(() => this.commands.archive(i.id, !archived).then(() => this.load())));
    });
  }

  private async attempt(act: () => Promise<unknown>): Promise<void> {
    try {
      await act();
    } catch (error) {
      this.toast.open(problemText(problemOf(error)), 'Close');
    }
  }
}
