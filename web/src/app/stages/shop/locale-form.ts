import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, resource, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import type { KeptLocale } from '@rinnovo/contract';
import { dateTimeText, fixed, moneyText, useLocale } from '@rinnovo/words';
import { firstValueFrom } from 'rxjs';
import { Api } from '../../api/api';
import { attempt } from '../../ui/attempt';

/** Whose form of numbers and dates can be taken; the interface itself is in English. */
const LOCALES = [
  'en-GB',
  'en-US',
  'en-AU',
  'en-CA',
  'en-IE',
  'da-DK',
  'de-AT',
  'de-CH',
  'de-DE',
  'es-ES',
  'fi-FI',
  'fr-FR',
  'it-IT',
  'ja-JP',
  'nl-NL',
  'nb-NO',
  'pl-PL',
  'pt-BR',
  'pt-PT',
  'sv-SE',
];

/** How the workshop writes numbers, dates and money, with a sample of it. */
@Component({
  selector: 'rn-locale-form',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="save($event)" novalidate>
      <h2>Numbers, dates and money</h2>
      <div class="fields">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Number and date format</mat-label>
          <select matNativeControl name="locale" (change)="set('locale', $event)">
            @for (l of locales(); track l) {
              <option [value]="l" [selected]="l === draft().locale">{{ nameOf(l) }}</option>
            }
          </select>
        </mat-form-field>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Time zone</mat-label>
          <select matNativeControl name="timeZone" (change)="set('timeZone', $event)">
            @for (z of zones(); track z) {
              <option [value]="z" [selected]="z === draft().timeZone">{{ z }}</option>
            }
          </select>
        </mat-form-field>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Currency</mat-label>
          <select matNativeControl name="currency" (change)="set('currency', $event)">
            <option value="" [selected]="draft().currency === ''">none</option>
            @for (c of currencies; track c) {
              <option [value]="c" [selected]="c === draft().currency">{{ c }}</option>
            }
          </select>
        </mat-form-field>
        <button matButton="filled" type="submit" [disabled]="busy() || !changed()">Save formats</button>
      </div>
      <p class="soft" role="status">{{ said() }} {{ sample() }}</p>
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
    mat-form-field {
      inline-size: 18rem;
    }
  `,
})
export class LocaleForm {
  private readonly api = inject(Api);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  private readonly held = resource({ loader: () => firstValueFrom(this.api.get<KeptLocale>('/shop/locale')).then((r) => r.body) });
  private readonly kept = computed((): KeptLocale =>
    this.held.hasValue() ? this.held.value() : { locale: 'en-GB', timeZone: 'UTC', currency: '', version: 0 },
  );
  protected readonly draft = linkedSignal(() => this.kept());
  protected readonly said = signal('');
  protected readonly changed = computed(() => (['locale', 'timeZone', 'currency'] as const).some((k) => this.draft()[k] !== this.kept()[k]));
  protected readonly locales = computed(() => [...new Set([this.kept().locale, ...LOCALES])]);
  protected readonly zones = computed(() => [...new Set([this.kept().timeZone, 'UTC', ...Intl.supportedValuesOf('timeZone')])]);
  protected readonly currencies = Intl.supportedValuesOf('currency');
  /** How it is written now, as it was saved. */
  protected readonly sample = computed(() => {
    this.kept();
    return `Sample: ${fixed(1234.5, 2)} · ${moneyText(123_456)} · ${dateTimeText(new Date().toISOString())}`;
  });
  private readonly languages = new Intl.DisplayNames('en', { type: 'language' });

  protected nameOf(locale: string): string {
    return this.languages.of(locale) ?? locale;
  }

  protected set(field: 'locale' | 'timeZone' | 'currency', event: Event): void {
    const { value } = event.target as HTMLSelectElement;
    this.draft.update((d) => ({ ...d, [field]: value }));
    this.said.set('');
  }

  protected async save(event: Event): Promise<void> {
    event.preventDefault();
    const { locale, timeZone, currency } = this.draft();
    await this.attempt.run(async () => {
      const { body } = await firstValueFrom(this.api.change<KeptLocale>('/shop/locale', this.kept().version, { locale, timeZone, currency }));
      useLocale(body);
      this.held.set(body);
      this.said.set('Saved.');
    });
  }
}
