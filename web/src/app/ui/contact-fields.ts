import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { formOfTable, SWITCH_FORMS, wrongContacts, type ContactTable, type SwitchForm } from '@rinnovo/core/part';
import { contactProblemText, upperFirst } from '@rinnovo/words';

/** Most lugs and positions of a switch. */
const MOST_LUGS = 60;
const MOST_POSITIONS = 24;

/** The contacts of a switch by hand: from one of the usual forms, or lug by lug; in each position what is joined. */
@Component({
  selector: 'rn-contact-fields',
  imports: [MatButtonModule, MatCheckboxModule, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fields">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Form</mat-label>
        <mat-select [value]="form()" (valueChange)="choose($event)">
          <mat-option value="own">Own contacts</mat-option>
          @for (f of forms; track f) {
            <mat-option [value]="f">{{ title(f) }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Lugs, with commas</mat-label>
        <input matInput autocomplete="off" [value]="lugsText()" (change)="nameLugs($event)" />
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Positions</mat-label>
        <input matInput inputmode="numeric" autocomplete="off" [value]="table().positions.length" (change)="count($event)" />
      </mat-form-field>
      <mat-checkbox [checked]="table().momentary === true" (change)="momentary($event.checked)">Momentary</mat-checkbox>
    </div>
    @if (refused() ?? problem(); as p) {
      <p class="problem" role="alert">{{ p }}</p>
    }
    <table>
      <caption class="visually-hidden">
        Contacts by position
      </caption>
      <tbody>
        @for (p of table().positions; track $index; let at = $index) {
          <tr>
            <th scope="row">{{ at + 1 }}</th>
            <td>
              @for (j of p.joins; track j[0] + '|' + j[1]) {
                <button matButton type="button" [attr.aria-label]="'Position ' + (at + 1) + ': remove ' + j[0] + ' – ' + j[1]" (click)="part(at, $index)">
                  {{ j[0] }} – {{ j[1] }} ✕
                </button>
              } @empty {
                <span class="soft">nothing joined</span>
              }
            </td>
            <td class="add">
              <select [attr.aria-label]="'Position ' + (at + 1) + ': from'" (change)="from(at, $event)">
                <option value="">from …</option>
                @for (l of table().lugs; track l) {
                  <option [value]="l" [selected]="starts()[at] === l">{{ l }}</option>
                }
              </select>
              <select [attr.aria-label]="'Position ' + (at + 1) + ': to'" [disabled]="!starts()[at]" (change)="to(at, $event)">
                <option value="">to …</option>
                @for (l of table().lugs; track l) {
                  @if (l !== starts()[at]) {
                    <option [value]="l">{{ l }}</option>
                  }
                }
              </select>
            </td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    :host {
      display: block;
      overflow-x: auto;
    }
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr));
      gap: 0.4rem 0.75rem;
      align-items: center;
    }
    th,
    td {
      padding: 0.1rem 0.75rem 0.1rem 0;
      text-align: start;
      border-block-end: 1px solid var(--rn-line);
    }
    .add {
      white-space: nowrap;
    }
    select {
      min-height: 44px;
      min-width: 5.5rem;
    }
  `,
})
export class ContactFields {
  readonly table = input.required<ContactTable>();
  /** As it is then; only tables that can be. */
  readonly changed = output<ContactTable>();
  protected readonly forms = Object.keys(SWITCH_FORMS) as SwitchForm[];
  protected readonly title = upperFirst;
  protected readonly refused = signal<string | null>(null);
  /** The lug that the next joint of a position begins at. */
  protected readonly starts = linkedSignal<ContactTable, Readonly<Record<number, string>>>({ source: this.table, computation: () => ({}) });

  protected readonly form = computed(() => formOfTable(this.table()) ?? 'own');
  protected readonly lugsText = computed(() => this.table().lugs.join(', '));
  protected readonly problem = computed(() => {
    const [first] = wrongContacts(this.table());
    return first ? `${upperFirst(contactProblemText(first))}.` : null;
  });

  protected choose(form: SwitchForm | 'own'): void {
    if (form !== 'own') this.give(SWITCH_FORMS[form]);
  }

  protected nameLugs(event: Event): void {
    const lugs = textOf(event)
      .split(',')
      .map((l) => l.trim())
      .filter((l) => l !== '');
    if (new Set(lugs).size !== lugs.length || lugs.length < 2 || lugs.length > MOST_LUGS || lugs.some((l) => l.length > 40)) {
      this.refused.set(`Two to ${MOST_LUGS} lugs, each with a name of its own of at most 40 characters.`);
      return;
    }
    const { positions, ...rest } = this.table();
    this.give({ ...rest, lugs, positions: positions.map(({ joins }) => ({ joins: joins.filter((j) => j.every((l) => lugs.includes(l))) })) });
  }

  protected count(event: Event): void {
    const count = Number(textOf(event));
    if (!Number.isInteger(count) || count < 1 || count > MOST_POSITIONS) {
      this.refused.set(`1 to ${MOST_POSITIONS} positions.`);
      return;
    }
    const { positions } = this.table();
    this.give({ ...this.table(), positions: Array.from({ length: count }, (_, i) => positions[i] ?? { joins: [] }) });
  }

  protected momentary(is: boolean): void {
    const { lugs, positions } = this.table();
    this.give(is ? { lugs, positions, momentary: true } : { lugs, positions });
  }

  protected from(at: number, event: Event): void {
    const lug = textOf(event);
    this.starts.update((s) => ({ ...s, [at]: lug }));
  }

  protected to(at: number, event: Event): void {
    const [a, b] = [this.starts()[at], textOf(event)];
    if (a === undefined || a === '' || b === '') return;
    this.put(at, (joins) => (joins.some((j) => j.includes(a) && j.includes(b)) ? joins : [...joins, [a, b]]));
  }

  protected part(at: number, index: number): void {
    this.put(at, (joins) => joins.filter((_, i) => i !== index));
  }

  private put(at: number, how: (joins: ContactTable['positions'][0]['joins']) => ContactTable['positions'][0]['joins']): void {
    this.give({ ...this.table(), positions: this.table().positions.map((p, i) => (i === at ? { joins: how(p.joins) } : p)) });
  }

  private give(table: ContactTable): void {
    this.refused.set(null);
    this.changed.emit(table);
  }
}

const textOf = (event: Event): string => (event.target as HTMLInputElement | HTMLSelectElement).value.trim();
