import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { formOfTable, SWITCH_FORMS, type SwitchForm } from '@rinnovo/core/part';
import {
  BLEEDS,
  cancellingStays,
  LED_OUT,
  ledOutOf,
  likePart,
  withParts,
  withPull,
  withSplitResistor,
  type CircuitWish,
  type Effect,
  type Element,
  type LedOut,
  type PickupElement,
} from '@rinnovo/core/wire';
import { BLEED_WORDS, effectText, elementName, LED_OUT_WORDS, upperFirst } from '@rinnovo/words';
import { selectNames, selectPickups } from '../../state/selectors';

/** What there is to build with: how pickups are led out, the switches and pulls, and how volumes and tones are wired. */
@Component({
  selector: 'rn-wish-parts',
  imports: [MatButtonModule, MatCheckboxModule, MatFormFieldModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wish-parts.html',
  styles: `
    :host {
      display: grid;
      gap: 0.6rem;
    }
  `,
  styleUrl: './guided.scss',
})
export class WishParts {
  readonly wish = input.required<CircuitWish>();
  readonly changed = output<CircuitWish>();
  private readonly store = inject(Store);
  private readonly names = this.store.selectSignal(selectNames);
  protected readonly shelf = this.store.selectSignal(selectPickups);
  protected readonly forms = Object.keys(SWITCH_FORMS).map((form) => ({ form, word: upperFirst(form) }));
  protected readonly bleeds = BLEEDS.map((bleed) => ({ bleed, word: BLEED_WORDS[bleed] }));
  protected readonly leads = LED_OUT.map((of) => ({ of, word: LED_OUT_WORDS[of] }));

  protected readonly pickups = computed(() => {
    const { elements, ledOut } = this.wish();
    return elements
      .filter((e): e is PickupElement => e.kind === 'pickup')
      .map((p) => ({
        p,
        name: elementName(p, this.names()),
        ledOut: ledOut[p.id] ?? 'coils apart',
        cover: typeof p.cover === 'string' ? null : `${p.cover.coil} ${p.cover.end}`,
      }));
  });
  protected readonly switches = computed(() =>
    this.wish()
      .elements.filter((e) => e.kind === 'switch' && e.does !== 'kill')
      .map((e) => ({ e, name: elementName(e, this.names()), form: e.kind === 'switch' ? formOfTable(e.table) : null })),
  );
  protected readonly pots = computed(() =>
    this.wish()
      .elements.filter((e) => e.kind === 'pot')
      .map((e) => ({ e, name: elementName(e, this.names()), pulls: e.pull !== null })),
  );
  /** What a pull, or a small switch in its second position, can do everywhere. */
  protected readonly effects = computed(() => {
    const wish = this.wish();
    return effectsFor(this.pickups().map((x) => x.p)).map((effect, i) => ({ i, effect, word: effectText(wish, effect, this.names()) }));
  });
  protected readonly controls = computed(() => [
    ...this.pots().filter((p) => p.pulls),
    ...this.switches().filter((s) => s.e.kind === 'switch' && s.e.does === 'mode' && s.e.table.positions.length === 2),
  ]);
  /** Which coils are to stay so that two split pickups cancel hum. */
  protected readonly advice = computed(() => {
    const two = this.pickups().filter((x) => x.p.coils.length > 1);
    const [a, b] = [two[0], two.at(-1)];
    if (!a || !b || a === b) return null;
    const stays = cancellingStays(a.p, b.p);
    return stays
      ? `Split together they cancel hum when ${a.name} keeps its ${stays.a} coil and ${b.name} its ${stays.b} coil: opposite magnets.`
      : `${a.name} and ${b.name} have no coils of opposite magnets: split together they hum.`;
  });

  protected part(id: string, part: string): void {
    const found = this.shelf().find((p) => p.id === part);
    if (!found) return;
    const { ledOut, ...wish } = this.put(id, (e) => likePart(e, found));
    const is = wish.elements.find((e) => e.id === id);
    const names = is?.kind === 'pickup' ? is.coils.map((c) => c.name) : [];
    // coils that are called otherwise now are said anew: all of them, in series
    const rows = wish.rows.map((r) => ({
      ...r,
      voice: {
        ...r.voice,
        pickups: r.voice.pickups.map((v) =>
          v.pickup !== id || v.coils.every((c) => names.includes(c.coil))
            ? v
            : { ...v, joined: 'series' as const, partly: null, coils: names.map((coil) => ({ coil, turned: v.coils.every((c) => c.turned) })) },
        ),
      },
    }));
    this.changed.emit({ ...wish, rows, ledOut: { ...ledOut, [id]: ledOutOf(found) } });
  }

  protected lead(id: string, of: LedOut): void {
    this.changed.emit({ ...this.wish(), ledOut: { ...this.wish().ledOut, [id]: of } });
  }

  protected apart(id: string): void {
    this.changed.emit(this.put(id, (e) => (e.kind === 'pickup' ? { ...e, cover: 'own wire' } : e)));
  }

  protected form(id: string, form: SwitchForm): void {
    this.changed.emit(this.put(id, (e) => (e.kind === 'switch' ? { ...e, part: null, table: SWITCH_FORMS[form] } : e)));
  }

  protected pull(id: string, pulls: boolean): void {
    this.changed.emit(this.put(id, (e) => (e.kind === 'pot' ? { ...e, pull: pulls ? SWITCH_FORMS['push-pull'] : null } : e)));
  }

  protected does(control: string, i: number): void {
    const effect = this.effects()[i]?.effect;
    if (effect) this.changed.emit(withPull(effect.do === 'partly split' ? withSplitResistor(this.wish(), effect.pickup) : this.wish(), control, effect));
  }

  protected how(to: Partial<Pick<CircuitWish, 'independent' | 'toneAt' | 'bleed'>>): void {
    this.changed.emit({ ...this.wish(), ...to });
  }

  /** The wish with one part otherwise, and rows for what it can be set to. */
  private put(id: string, to: (e: Element) => Element): CircuitWish {
    return withParts(
      this.wish(),
      this.wish().elements.map((e) => (e.id === id ? to(e) : e)),
    );
  }
}

function effectsFor(pickups: readonly PickupElement[]): readonly Effect[] {
  const each = pickups.flatMap((p): readonly Effect[] => [
    ...(p.coils.length > 1
      ? [
          ...p.coils.map((c): Effect => ({ do: 'split', pickup: p.id, stays: c.name })),
          ...p.coils.map((c): Effect => ({ do: 'partly split', pickup: p.id, stays: c.name })),
          { do: 'coils in parallel' as const, pickup: p.id },
        ]
      : []),
    ...(pickups.length > 1
      ? ([
          { do: 'reverse', pickup: p.id },
          { do: 'add', pickup: p.id },
        ] as const)
      : []),
  ]);
  return [{ do: 'nothing' }, ...each, ...(pickups.length > 1 ? [{ do: 'all in series' as const }] : []), { do: 'direct' }, { do: 'kill' }];
}
