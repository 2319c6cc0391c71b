import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, FormGroup, FormRecord, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { IDENTITY_KEYS, type IdentityFact, type IdentityKey, type Instrument } from '@rinnovo/contract';
import { IDENTITY_WORDS, FACT_BASIS_WORDS } from '@rinnovo/words';
import { Commands } from '../../state/commands';
import { instrument, people } from '../../state/resources';
import { Claims } from '../../ui/claims';
import { attempt } from '../../ui/attempt';
import { filledFrom, standing } from '../../ui/form-values';
import { same } from '../../ui/same';
import { NOT_BLANK } from '../../ui/validators';

const TEXTS = ['label', 'maker', 'model', 'serial', 'notes'] as const;
const BASES = ['seen', 'stated', 'guessed'] as const;
const text = (): FormControl<string> => new FormControl('', { nonNullable: true });
const NO_FACT: IdentityFact = { value: '', basis: 'seen', why: '' };

/** Who it belongs to and what is known of it: each fact seen, stated or guessed, and why. */
@Component({
  selector: 'rn-identity-form',
  imports: [Claims, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form [formGroup]="form" (ngSubmit)="save()" novalidate>
      <h2>The instrument</h2>
      <div class="grid">
        @for (t of texts; track t.key) {
          <mat-form-field subscriptSizing="dynamic" [class.wide]="t.key === 'notes'">
            <mat-label>{{ t.label }}</mat-label>
            @if (t.key === 'notes') {
              <textarea matInput rows="3" maxlength="4000" formControlName="notes"></textarea>
            } @else {
              <input matInput maxlength="500" [formControlName]="t.key" />
            }
            @if (t.key === 'label') {
              <mat-error role="alert">An instrument needs a label</mat-error>
            }
          </mat-form-field>
        }
        <rn-claims class="wide" [text]="is().notes" />
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Owner</mat-label>
          <mat-select formControlName="owner">
            <mat-option [value]="null">the workshop</mat-option>
            @for (o of owners(); track o.id) {
              <mat-option [value]="o.id">{{ o.name }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
      </div>
      <h2>Details</h2>
      <p class="soft">Leave unknown details empty.</p>
      <ng-container formGroupName="facts">
        @for (k of keys; track k.key) {
          <div class="fact" [formGroupName]="k.key">
            <mat-form-field subscriptSizing="dynamic">
              <mat-label>{{ k.label }}</mat-label>
              <input matInput maxlength="200" formControlName="value" />
            </mat-form-field>
            @if (is().facts[k.key]?.value) {
              <mat-form-field subscriptSizing="dynamic" class="basis">
                <mat-label>{{ k.label }}, basis</mat-label>
                <mat-select formControlName="basis">
                  @for (b of bases; track b) {
                    <mat-option [value]="b">{{ basisWords[b] }}</mat-option>
                  }
                </mat-select>
              </mat-form-field>
              <mat-form-field subscriptSizing="dynamic">
                <mat-label>Reason</mat-label>
                <input matInput maxlength="200" formControlName="why" />
              </mat-form-field>
            }
          </div>
        }
      </ng-container>
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
  protected readonly form = new FormGroup({
    label: new FormControl('', { nonNullable: true, validators: NOT_BLANK }),
    maker: text(),
    model: text(),
    serial: text(),
    notes: text(),
    owner: new FormControl<string | null>(null),
    facts: new FormRecord(
      Object.fromEntries(
        IDENTITY_KEYS.map((key) => [
          key,
          new FormGroup({ value: text(), basis: new FormControl<IdentityFact['basis']>('seen', { nonNullable: true }), why: text() }),
        ]),
      ),
    ),
  });
  protected readonly is = standing(this.form);
  private readonly attempt = attempt();
  protected readonly problem = this.attempt.problem;
  protected readonly busy = this.attempt.busy;
  protected readonly said = signal('');
  private readonly next = computed((): Instrument | null => {
    const i = this.held().data;
    if (!i) return null;
    const { facts, owner, ...texts } = this.is();
    const trimmed = Object.fromEntries(TEXTS.map((k) => [k, texts[k].trim()])) as Record<(typeof TEXTS)[number], string>;
    // as it is held, in its own order: what says the same is no change
    const keys = new Set([...Object.keys(i.identity), ...IDENTITY_KEYS]) as ReadonlySet<IdentityKey>;
    const identity = Object.fromEntries(
      [...keys].flatMap((key) => {
        const fact = facts[key];
        return fact && fact.value.trim() !== '' ? [[key, { ...i.identity[key], ...fact }]] : [];
      }),
    );
    return { ...i, ...trimmed, owner, identity };
  });
  protected readonly changed = computed(() => !same(this.next(), this.held().data));

  constructor() {
    filledFrom(
      this.form,
      () => {
        const i = this.known();
        if (!i) return {};
        const { label, maker, model, serial, notes, owner } = i;
        return { label, maker, model, serial, notes, owner, facts: Object.fromEntries(IDENTITY_KEYS.map((key) => [key, i.identity[key] ?? NO_FACT])) };
      },
      () => this.held().of ?? '',
    );
  }

  protected async save(): Promise<void> {
    this.form.markAllAsTouched();
    const one = this.next();
    const { version } = this.held();
    if (!one || version === null || this.form.invalid) return;
    if (await this.attempt.run(() => this.commands.changeInstrument(one, version), STALE)) this.said.set('saved');
  }
}

const STALE = 'Someone else changed this instrument. Your text is still here. Open the page in another tab, compare, and save again.';
