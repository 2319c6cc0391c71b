import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { FormControl, FormGroup, FormRecord, ReactiveFormsModule, type ValidatorFn } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import { DEFAULT_SETTINGS, SETTING_KEYS, type SettingKey, type SettingRow } from '@rinnovo/core/operation';
import { SETTING_WORDS, SOURCE_WORDS } from '@rinnovo/words';
import { ShopCommands } from '../../state/shop-commands';
import { shop } from '../../state/resources';
import { viewFeature } from '../../state/view.feature';
import { attempt } from '../../ui/attempt';
import { filledFrom, standing, type Lengths } from '../../ui/form-values';
import { LengthField } from '../../ui/length-field';
import { fieldText } from '../../ui/number-fields';
import { LetterheadForm } from './letterhead-form';
import { LocaleForm } from './locale-form';
import { same } from '../../ui/same';

/** The shop's settings: each with what can be, where it comes from, and what it is here. */
@Component({
  selector: 'rn-settings-page',
  imports: [LengthField, LetterheadForm, LocaleForm, MatButtonModule, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <rn-letterhead-form />
    <rn-locale-form />
    <form class="all" [formGroup]="form" (ngSubmit)="keep()" novalidate>
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
                    [formControl]="lengths.controls[r.key]!"
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
                    [formControl]="numbers.controls[r.key]!"
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
  private readonly kept = computed(() => this.held().data?.settings ?? null);
  protected readonly lengths: Lengths = new FormRecord<FormControl<number | null>>(
    Object.fromEntries(LENGTHS.map((k) => [k, new FormControl<number | null>(null)])),
  );
  protected readonly numbers = new FormRecord<FormControl<string>>(
    Object.fromEntries(NUMBERS.map((k) => [k, new FormControl('', { nonNullable: true, validators: within(DEFAULT_SETTINGS[k]) })])),
  );
  protected readonly form = new FormGroup({ lengths: this.lengths, numbers: this.numbers });
  private readonly is = standing(this.form);
  protected readonly said = linkedSignal({ source: computed(() => this.is(), { equal: same }), computation: () => '' });
  /** What is typed as a number for each setting; null while it cannot be. */
  private readonly typed = computed((): Readonly<Record<string, number | null>> => {
    const { lengths, numbers } = this.is();
    return { ...lengths, ...Object.fromEntries(NUMBERS.map((k) => [k, numberIn(numbers[k] ?? '', DEFAULT_SETTINGS[k])])) };
  });
  protected readonly changed = computed(() => SETTING_KEYS.some((k) => this.typed()[k] !== this.kept()?.[k]));
  protected readonly own = computed(() => Object.keys(this.held().data?.own ?? {}).length);
  protected readonly wrong = computed(() => new Set<SettingKey>(SETTING_KEYS.filter((k) => this.typed()[k] == null)));

  constructor() {
    const settings = (keys: readonly SettingKey[], as: (n: number) => unknown) => {
      const kept = this.kept();
      return kept ? Object.fromEntries(keys.map((k) => [k, as(kept[k])])) : {};
    };
    filledFrom(this.lengths, () => settings(LENGTHS, (mm) => mm) as Record<string, number>);
    filledFrom(this.numbers, () => settings(NUMBERS, String) as Record<string, string>);
  }

  protected shownOf(row: SettingRow, value: number): string {
    return row.unit === 'mm' ? fieldText(value, this.unit()) : String(value);
  }

  protected async keep(): Promise<void> {
    const version = this.held().data?.version;
    if (this.wrong().size > 0 || version === undefined) {
      this.problem.set('Some values are out of range. They are marked.');
      return;
    }
    const typed = this.typed();
    const own = Object.fromEntries(SETTING_KEYS.flatMap((k) => (typed[k] === DEFAULT_SETTINGS[k].value ? [] : [[k, typed[k]]])));
    if (await this.attempt.run(() => this.commands.keepSettings(own, version))) this.said.set('Saved');
  }
}

const isLength = (key: SettingKey): boolean => (DEFAULT_SETTINGS[key] as SettingRow).unit === 'mm';
const LENGTHS = SETTING_KEYS.filter(isLength);
const NUMBERS = SETTING_KEYS.filter((k) => !isLength(k));

/** A number within a setting's range; null for anything else. */
function numberIn(text: string, { min, max }: SettingRow): number | null {
  const t = text.trim().replace(',', '.');
  const n = Number(t);
  return t !== '' && Number.isFinite(n) && n >= min && n <= max ? n : null;
}

const within =
  (row: SettingRow): ValidatorFn =>
  ({ value }) =>
    numberIn(String(value), row) === null ? { range: true } : null;
