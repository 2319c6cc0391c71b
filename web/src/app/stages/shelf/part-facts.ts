import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Store } from '@ngrx/store';
import { isMeasured } from '@rinnovo/core/measure';
import { ELECTRIC, isPickup, type ElectricId, type Part, type TraitId } from '@rinnovo/core/part';
import {
  lengthText,
  limitText,
  otherLengthText,
  partBasisText,
  moneyText,
  contactsText,
  electricText,
  ELECTRIC_WORDS,
  leadsFoundText,
  TRAIT_WORDS,
  TRAIT_VALUE_WORDS,
} from '@rinnovo/words';
import { personsName } from '../../state/persons-name';
import { viewFeature } from '../../state/view.feature';
import { fieldsOf } from './part-fields';

/** What is known of a part: each size in both units with its limit and how it is known. */
@Component({
  selector: 'rn-part-facts',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table>
      <caption class="visually-hidden">
        Sizes
      </caption>
      <tbody>
        @for (s of sizes(); track s.key) {
          <tr [class.typical]="s.typical">
            <th scope="row">{{ s.label }}</th>
            @if (s.value; as v) {
              <td class="number">{{ v }}</td>
              <td class="number soft">{{ s.other }}</td>
              <td class="number soft">{{ s.limit }}</td>
              <td class="soft">{{ s.by }}</td>
            } @else {
              <td colspan="4" class="soft">unknown</td>
            }
          </tr>
        }
        @for (f of facts(); track f.label) {
          <tr>
            <th scope="row">{{ f.label }}</th>
            <td colspan="4">{{ f.value }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    th {
      font-weight: 400;
      white-space: nowrap;
      text-align: start;
    }
    th,
    td {
      padding: 0.2rem 0.75rem 0.2rem 0;
      border-block-end: 1px solid var(--rn-line);
    }
    .typical td:nth-child(2)::after {
      content: ' △';
    }
  `,
})
export class PartFacts {
  readonly part = input.required<Part>();
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);

  private readonly personOf = personsName();
  protected readonly sizes = computed(() =>
    fieldsOf(this.part()).map(({ key, label, known }) => ({
      key,
      label,
      typical: known !== null && !isMeasured(known),
      value: known && lengthText(known.value, this.unit()),
      other: known && otherLengthText(known.value, this.unit()),
      limit: known && `±${limitText(known.limit, this.unit())}`,
      by: known && partBasisText(known.basis, this.personOf()),
    })),
  );

  protected readonly facts = computed(() => {
    const p = this.part();
    const fact = (label: string, value: string | number | null | undefined): readonly { readonly label: string; readonly value: string }[] =>
      value === null || value === undefined || value === '' ? [] : [{ label, value: String(value) }];
    const days = p.leadDays ?? null;
    const both = [...fact('Price', moneyText(p.price)), ...fact('Delivery time in days', days), ...fact('Note', p.note)];
    if (!isPickup(p)) {
      const traits = (Object.entries(p.traits) as [TraitId, string][]).flatMap(([id, word]) => fact(TRAIT_WORDS[id], TRAIT_VALUE_WORDS[word] ?? word));
      const electric = (Object.entries(p.electric ?? {}) as [ElectricId, number][]).flatMap(([id, value]) =>
        fact(ELECTRIC_WORDS[id], electricText(value, ELECTRIC[id].unit)),
      );
      const contacts = fact('Contacts', p.contacts && contactsText(p.contacts));
      return [
        ...fact('Thread', p.thread),
        ...fact('Screw gauge', p.gauge === null ? null : `#${p.gauge}`),
        ...fact('kΩ', p.kiloohms),
        ...electric,
        ...contacts,
        ...traits,
        ...both,
      ];
    }
    const coils = (p.coils ?? []).flatMap((c) =>
      fact(
        `Coil, ${c.name}`,
        [
          c.ohms === null ? null : `${c.ohms} Ω`,
          c.henry === null ? null : `${c.henry} H`,
          c.picofarad === null ? null : `${c.picofarad} pF`,
          c.loss == null ? null : `loss ${electricText(c.loss, 'Ω')}`,
          c.wireGauge === null ? null : `gauge ${c.wireGauge}`,
          c.winding,
          c.magnet && `${c.magnet} facing the strings`,
        ]
          .filter(Boolean)
          .join(', '),
      ),
    );
    return [
      ...fact('Leads', p.leads),
      ...fact('Strings', p.strings),
      ...fact('Colours', (p.colours ?? []).map((c) => `${c.colour}: ${c.is}`).join('; ')),
      ...coils,
      ...fact('Leads found', p.leadsFound && leadsFoundText(p.leadsFound)),
      ...fact('Cover and base', p.coverGround),
      ...both,
    ];
  });
}
