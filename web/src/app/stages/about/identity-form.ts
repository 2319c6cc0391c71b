import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { IDENTITY_KEYS, type IdentityFact, type IdentityKey, type Instrument } from '@rinnovo/contract';
import { IDENTITY_WORDS, FACT_BASIS_WORDS } from '@rinnovo/words';
import { problemOf, problemText } from '../../api/problem-of';
import { Commands } from '../../state/commands';
import { instrument, people } from '../../state/resources';
import { Claims } from '../../ui/claims';
import { same } from '../../ui/same';

const TEXTS = ['label', 'maker', 'model', 'serial', 'notes'] as const;
const BASES = ['seen', 'stated', 'guessed'] as const;
type Facts = Readonly<Partial<Record<IdentityKey, IdentityFact>>>;

/** Who it belongs to and what is known of it: each fact seen, stated or guessed, and why. */
@Component({
  selector: 'rn-identity-form',
  imports: [Claims, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="save($event)" novalidate>
      <h2>The instrument</h2>
      <div class="grid">
        @for (t of texts; track t.key) {
          <mat-form-field subscriptSizing="dynamic" [class.wide]="t.key === 'notes'">
            <mat-label>{{ t.label }}</mat-label>
            @if (t.key === 'notes') {
              <textarea matInput rows="3" maxlength="4000" [value]="plain()[t.key] ?? ''" (input)="setText(t.key, $event)"></textarea>
            } @else {
              <input matInput maxlength="500" [value]="plain()[t.key] ?? ''" (input)="setText(t.key, $event)" />
            }
            @if (t.key === 'label' && (plain()['label'] ?? '').trim() === '') {
              <mat-hint class="problem" role="alert">An instrument needs a label</mat-hint>
            }
          </mat-form-field>
        }
        <rn-claims class="wide" [text]="plain()['notes'] ?? ''" />
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Owner</mat-label>
          <mat-select [value]="owner() ?? ''" (valueChange)="owner.set($event || null)">
            <mat-option value="">the workshop</mat-option>
            @for (o of owners(); track o.id) {
              <mat-option [value]="o.id">{{ o.name }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
      </div>
      <h2>Details</h2>
      <p class="soft">Leave unknown details empty.</p>
      @for (k of keys; track k.key) {
        <div class="fact">
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>{{ k.label }}</mat-label>
            <input matInput maxlength="200" [value]="facts()[k.key]?.value ?? ''" (input)="setFact(k.key, { value: text($event) })" />
          </mat-form-field>
          @if (facts()[k.key]; as f) {
            <mat-form-field subscriptSizing="dynamic" class="basis">
              <mat-label>{{ k.label }}, basis</mat-label>
              <mat-select [value]="f.basis" (valueChange)="setFact(k.key, { basis: $event })">
                @for (b of bases; track b) {
                  <mat-option [value]="b">{{ basisWords[b] }}</mat-option>
                }
              </mat-select>
            </mat-form-field>
            <mat-form-field subscriptSizing="dynamic">
              <mat-label>Reason</mat-label>
              <input matInput maxlength="200" [value]="f.why" (input)="setFact(k.key, { why: text($event) })" />
            </mat-form-field>
          }
        </div>
      }
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
      <p>
        <button matButton="filled" type="submit" [disabled]="busy() || !changed()">Save instrument</button>
        <span class="soft" role="status">{{ said() }}</span>
      </p>
    </form>
  `,
  styles: `
    form {
      display: grid;
      gap: 0.6rem;
    }
    .grid {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 0.6rem 0.75rem;
    }
    .wide {
      grid-column: 1 / -1;
    }
    .fact {
      display: grid;
      grid-template-columns: 1.3fr 7.5rem 1.3fr;
      gap: 0.6rem;
    }
  `,
})
export class IdentityForm {
  protected readonly basisWords = FACT_BASIS_WORDS;
  private readonly commands = inject(Commands);
  private readonly store = inject(Store);
  private readonly held = this.store.selectSignal(instrument.select);
  private readonly known = computed(() => this.held().data, { equal: same });
  private readonly people = this.store.selectSignal(people.select);
  protected readonly texts = TEXTS.map((key) => ({
    key,
    label: { label: 'Label', maker: 'Maker, as marked', model: 'Model', serial: 'Serial', notes: 'Notes' }[key],
  }));
  protected readonly keys = IDENTITY_KEYS.map((key) => ({ key, label: IDENTITY_WORDS[key] }));
  protected readonly bases = BASES;
  protected readonly owners = computed(() => (this.people().data ?? []).filter((p) => p.role === 'owner'));
  protected readonly plain = linkedSignal<Readonly<Record<string, string>>>(() => {
    const i = this.known();
    return i ? Object.fromEntries(TEXTS.map((k) => [k, i[k]])) : {};
  });
  protected readonly owner = linkedSignal(() => this.known()?.owner ?? null);
  protected readonly facts = linkedSignal<Facts>(() => this.known()?.identity ?? {});
  protected readonly problem = signal<string | null>(null);
  protected readonly busy = signal(false);
  protected readonly said = signal('');
  private readonly next = computed((): Instrument | null => {
    const i = this.held().data;
    if (!i) return null;
    const trimmed = Object.fromEntries(TEXTS.map((k) => [k, (this.plain()[k] ?? '').trim()])) as Record<(typeof TEXTS)[number], string>;
    const identity = Object.fromEntries(Object.entries(this.facts()).filter(([, f]) => f.value.trim() !== ''));
    return { ...i, ...trimmed, owner: this.owner(), identity };
  });
  protected readonly changed = computed(() => !same(this.next(), this.held().data));

  protected text(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected setText(key: string, event: Event): void {
    this.plain.update((t) => ({ ...t, [key]: this.text(event) }));
  }

  protected setFact(key: IdentityKey, change: Partial<IdentityFact>): void {
    this.facts.update((f) => ({ ...f, [key]: { ...(f[key] ?? { value: '', basis: 'seen', why: '' }), ...change } }));
  }

  protected async save(event: Event): Promise<void> {
    event.preventDefault();
    const one = this.next();
    const { version } = this.held();
    if (!one || version === null || one.label === '') return;
    this.busy.set(true);
    this.problem.set(null);
    try {
      await this.commands.changeInstrument(one, version);
      this.said.set('saved');
    } catch (error) {
      const p = problemOf(error);
      this.problem.set(
        p.status === 412
          ? 'Someone else changed this instrument. Your text is still here. Open the page in another tab, compare, and save again.'
          : problemText(p),
      );
    } finally {
      this.busy.set(false);
    }
  }
}
