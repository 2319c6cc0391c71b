import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import { parseLength } from '@rinnovo/core/measure';
import { DEFAULT_SETTINGS, SETTING_KEYS, type SettingKey, type SettingRow } from '@rinnovo/core/operation';
import { SETTING_WORDS, SOURCE_WORDS } from '@rinnovo/words';
import { ShopCommands } from '../../state/shop-commands';
import { shop } from '../../state/resources';
import { viewFeature } from '../../state/view.feature';
import { attempt } from '../../ui/attempt';
import { LengthField } from '../../ui/length-field';
import { fieldText } from '../../ui/number-fields';
import { LetterheadForm } from './letterhead-form';
import { LocaleForm } from './locale-form';
import { same } from '../../ui/same';

/** The shop's settings: each with what can be, where it comes from, and what it is here. */
@Component({
  selector: 'rn-settings-page',
  imports: [LengthField, LetterheadForm, LocaleForm, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <rn-letterhead-form />
    <rn-locale-form />
    <form class="all" (submit)="keep($event)" novalidate>
      <div class="head">
        <h2>{{ own() === 0 ? 'All at their defaults' : own() + ' changed' }}</h2>
        <span>
          <span role="status">{{ said() }}</span>
          <button matButton="filled" type="submit" [disabled]="busy() || !changed()">Save settings</button>
        </span>
      </div>
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
      <table>
        <thead>
          <tr>
            <th scope="col">Setting</th>
            <th scope="col">Value</th>
            <th scope="col">Default</th>
            <th scope="col">Allowed range</th>
            <th scope="col">Source</th>
          </tr>
        </thead>
        <tbody>
          @for (r of rows; track r.key) {
            <tr>
              <th scope="row">{{ r.word }}</th>
              <td>
                @if (r.row.unit === 'mm') {
                  <rn-length-field
                    [compact]="true"
                    [label]="r.word"
                    [text]="texts()[r.key] ?? ''"
                    (textChange)="set(r.key, $event)"
                    [min]="r.row.min"
                    [max]="r.row.max"
                    [refusal]="wrong().has(r.key) ? 'Type a length' : null"
                    [attr.data-setting]="r.key"
                  />
                } @else {
                  <input
                    class="short"
                    inputmode="decimal"
                    autocomplete="off"
                    [attr.aria-label]="r.word"
                    [attr.aria-invalid]="wrong().has(r.key)"
                    [value]="texts()[r.key]"
                    (input)="type(r.key, $event)"
                  />
                  @if (wrong().has(r.key)) {
                    <span class="problem" role="alert">{{ r.row.min }} to {{ r.row.max }}</span>
                  }
                }
              </td>
              <td class="number">{{ shownOf(r.row, r.row.value) }}</td>
              <td class="number soft">{{ shownOf(r.row, r.row.min) }} to {{ shownOf(r.row, r.row.max) }}</td>
              <td class="soft">{{ r.source }}: {{ r.row.ref }}</td>
            </tr>
          }
        </tbody>
      </table>
    </form>
  `,
  styleUrl: './shop-table.scss',
  styles: `
    .all {
      display: block;
    }
    td input {
      margin-inline-end: 0.4rem;
    }
  `,
})
export class SettingsPage {
  private readonly commands = inject(ShopCommands);
  private readonly held = inject(Store).selectSignal(shop.select);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly rows = SETTING_KEYS.map((key) => {
    const row: SettingRow = DEFAULT_SETTINGS[key];
    return { key, row, word: SETTING_WORDS[key].replace(/ \(mm\)$/, ''), source: SOURCE_WORDS[row.source] };
  });
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  private readonly shown = computed(() => Object.fromEntries(SETTING_KEYS.map((k) => [k, this.textOf(k)])), { equal: same });
  protected readonly texts = linkedSignal<Readonly<Record<string, string>>>(() => this.shown());
  protected readonly said = linkedSignal({ source: () => this.texts(), computation: () => '' });
  protected readonly changed = computed(() => !same(this.texts(), this.shown()));
  protected readonly own = computed(() => Object.keys(this.held().data?.own ?? {}).length);
  protected readonly wrong = computed(() => new Set(SETTING_KEYS.filter((k) => this.numberOf(k) === null)));

  protected type(key: SettingKey, event: Event): void {
    this.set(key, (event.target as HTMLInputElement).value);
  }

  protected shownOf(row: SettingRow, value: number): string {
    return row.unit === 'mm' ? fieldText(value, this.unit()) : String(value);
  }

  private textOf(key: SettingKey): string {
    const value = this.held().data?.settings[key];
    return value === undefined ? '' : this.shownOf(DEFAULT_SETTINGS[key], value);
  }

  protected set(key: SettingKey, text: string): void {
    this.texts.update((t) => ({ ...t, [key]: text }));
  }

  protected async keep(event: Event): Promise<void> {
    event.preventDefault();
    const version = this.held().data?.version;
    if (this.wrong().size > 0 || version === undefined) {
      this.problem.set('Some values are out of range. They are marked.');
      return;
    }
    const own = Object.fromEntries(SETTING_KEYS.flatMap((k) => (this.numberOf(k) === DEFAULT_SETTINGS[k].value ? [] : [[k, this.numberOf(k)]])));
    if (await this.attempt.run(() => this.commands.keepSettings(own, version))) this.said.set('Saved');
  }

  /** The number that is typed; null while it cannot be. */
  private numberOf(key: SettingKey): number | null {
    const typed = (this.texts()[key] ?? '').trim();
    const { min, max, unit }: SettingRow = DEFAULT_SETTINGS[key];
    // what was not touched stays what it is, however it is rounded to be shown
    if (typed !== '' && typed === this.shown()[key]) return this.held().data?.settings[key] ?? null;
    const length = unit === 'mm' ? parseLength(typed, this.unit()) : null;
    const text = typed.replace(',', '.');
    const n = length ? (length.ok ? length.mm : NaN) : Number(text);
    return text !== '' && Number.isFinite(n) && n >= min && n <= max ? n : null;
  }
}
