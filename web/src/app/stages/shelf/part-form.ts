import { partRow } from '@rinnovo/core/house/lists';
import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
  viewChildren,
} from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { part as partSchema } from '@rinnovo/contract';
import {
  COVER_GROUNDS,
  ELECTRIC,
  isPickup,
  partProblems,
  type Coil,
  type ContactTable,
  type CoverGround,
  type ElectricId,
  type ElectricValues,
  type Hardware,
  type Part,
  type PartShape,
  type Pickup,
  type Shelf,
  type ThreadId,
  type TraitId,
} from '@rinnovo/core/part';
import { usualContacts } from '@rinnovo/core/wire';
import { partKindWord, partProblemText, amountText, ELECTRIC_WORDS, TRAIT_WORDS, TRAIT_VALUE_WORDS } from '@rinnovo/words';
import { attempt } from '../../ui/attempt';
import { filledFrom, standing } from '../../ui/form-values';
import { askOutline } from '../../ui/outline/ask-outline';
import { same } from '../../ui/same';
import { Drafts } from '../../state/drafts';
import { viewFeature } from '../../state/view.feature';
import { ShelfCommands } from '../../state/shelf-commands';
import { ContactFields } from '../../ui/contact-fields';
import { ElectricField } from '../../ui/electric-field';
import { CoilFields } from './coil-fields';
import { WAYS, type Way } from './known-by';
import { fieldsOf, readLeads, readScrews, withGiven } from './part-fields';
import { draftOf, type TypedPart } from './typed-part';
import { SizeFields } from './size-fields';

/** Everything that is known of one part, typed once. Nothing is kept until it can be kept whole, and nothing typed is lost. */
@Component({
  selector: 'rn-part-form',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, ReactiveFormsModule, SizeFields, CoilFields, ContactFields, ElectricField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './part-form.html',
  styleUrl: './part-form.scss',
})
export class PartForm {
  protected readonly valueWords = TRAIT_VALUE_WORDS;
  /** As it stands on the shelf, or as it is begun. */
  readonly part = input.required<Part>();
  /** The version that was read; null for a part that is new. */
  readonly version = input.required<number | null>();
  readonly shelf = input.required<Shelf>();
  readonly kept = output<string>();
  readonly given = output();

  private readonly commands = inject(ShelfCommands);
  private readonly dialog = inject(MatDialog);
  private readonly sizes = viewChild.required(SizeFields);
  private readonly values = viewChildren(ElectricField);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly ways = WAYS;
  protected readonly grounds = COVER_GROUNDS;
  protected readonly said = signal('');

  /** What was typed before and not kept came back. */
  protected readonly restored = signal(false);
  private readonly drafts = inject(Drafts);
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);

  private readonly settled = computed(() => this.part(), { equal: same });
  protected readonly form = new FormGroup({
    name: text(),
    price: text(),
    leadDays: text(),
    replacedBy: new FormControl<string | null>(null),
    note: text(),
    traits: held<Hardware['traits']>({}),
    thread: new FormControl<ThreadId | null>(null),
    gauge: text(),
    kiloohms: text(),
    electric: held<ElectricValues>({}),
    contacts: new FormControl<ContactTable | null>(null),
    shape: new FormControl<PartShape | null>(null),
    screws: text(),
    leads: text(),
    strings: text(),
    colours: text(),
    coils: held<readonly Coil[]>([]),
    coverGround: new FormControl<CoverGround | null>(null),
    tiers: held<Pickup['tiers']>([]),
    way: held<Way>('calliper'),
  });
  protected readonly is = standing(this.form);

  protected readonly hardware = computed(() => {
    const p = this.settled();
    return isPickup(p) ? null : p;
  });
  protected readonly pickup = computed(() => {
    const p = this.settled();
    return isPickup(p) ? p : null;
  });
  protected readonly kindWord = computed(() => partKindWord(this.settled().kind));
  protected readonly fields = computed(() => fieldsOf(this.settled()), { equal: same });
  protected readonly row = computed(() => {
    const h = this.hardware();
    return h ? partRow(h.kind) : null;
  });
  protected readonly choices = computed(() =>
    (Object.entries(this.row()?.traits ?? {}) as [TraitId, readonly string[]][]).map(([id, words]) => ({ id, label: TRAIT_WORDS[id], words })),
  );
  protected readonly others = computed(() => Object.values(this.shelf()).filter((p) => p.id !== this.part().id && p.kind === this.part().kind));
  protected readonly levelIds = computed(() => this.is().tiers.map((l) => l.id));
  protected readonly electric = computed(() =>
    (this.row()?.electric ?? []).map((id) => ({ id, label: ELECTRIC_WORDS[id], known: this.is().electric[id] ?? null, ...ELECTRIC[id] })),
  );
  /** What its switch joins; null: it has none. As its kind usually does while nobody stated it. */
  protected readonly contacts = computed(() => {
    const row = this.row();
    return row?.switches ? (this.is().contacts ?? usualContacts(row.kind)) : null;
  });
  protected readonly isPot = computed(() => this.row()?.resists === true);

  protected state(id: ElectricId, value: number | null): void {
    const others = Object.entries(this.is().electric).filter(([key]) => key !== id);
    this.form.controls.electric.setValue(Object.fromEntries(value === null ? others : [...others, [id, value]]));
  }

  private readonly draft = computed(() => ({ fields: this.is(), sizes: this.sizes().typed() }), { equal: same });
  private readonly draftName = computed(() => draftOf(this.settled().id, this.version()));

  constructor() {
    filledFrom(
      this.form,
      () => statedOf(this.settled()),
      () => this.settled().id,
    );
    effect((onCleanup) => {
      const [what, part] = [this.draftName(), this.settled()];
      let here = true;
      onCleanup(() => (here = false));
      void this.drafts.of<TypedPart>(what).then((d) => {
        if (here && d?.kept.part.id === part.id) this.restore(d.kept);
      });
    });
    let clean: { readonly part: Part; readonly draft: unknown } | null = null;
    afterRenderEffect(() => {
      const [part, draft, unit] = [this.settled(), this.draft(), untracked(this.unit)];
      if (clean?.part !== part) clean = { part, draft };
      else if (!same(clean.draft, draft))
        void this.drafts.keep(this.draftName(), { version: this.version() ?? 0, kept: { part, ...draft, unit } satisfies TypedPart });
    });
  }

  private restore({ fields, sizes, unit }: TypedPart): void {
    this.form.patchValue(fields);
    this.sizes().restore(sizes, unit);
    this.restored.set(true);
  }

  /** Nothing of what was typed is wanted any more. */
  protected async forget(): Promise<void> {
    await this.drafts.drop(this.draftName());
    this.given.emit();
  }

  protected choose(id: TraitId, word: string | null): void {
    const rest = Object.fromEntries(Object.entries(this.is().traits).filter(([key]) => key !== id));
    this.form.controls.traits.setValue(word === null ? rest : { ...rest, [id]: word });
  }

  protected async draw(): Promise<void> {
    const drawn = await askOutline(this.dialog, { what: this.is().name, at: { x: 0, y: 0 }, side: 1 });
    if (drawn) this.form.controls.shape.setValue({ openings: [], screws: [], ...this.is().shape, outline: drawn });
  }

  protected async cutOut(): Promise<void> {
    const id = `opening ${(this.is().shape?.openings.length ?? 0) + 1}`;
    const drawn = await askOutline(this.dialog, { what: id, at: { x: 0, y: 0 }, side: 1 });
    if (drawn) this.reopen((openings) => [...openings, { id, shape: drawn }]);
  }

  protected closeUp(id: string): void {
    this.reopen((openings) => openings.filter((o) => o.id !== id));
  }

  private reopen(change: (openings: PartShape['openings']) => PartShape['openings']): void {
    const { shape } = this.is();
    if (shape) this.form.controls.shape.setValue({ ...shape, openings: change(shape.openings) });
  }

  /** The outline of a tier anew, from a tracing or from sizes. */
  protected async trace(id: string): Promise<void> {
    const drawn = await askOutline(this.dialog, { what: `${this.is().name}, ${id}`, at: { x: 0, y: 0 }, side: 1 });
    if (drawn) this.form.controls.tiers.setValue(this.is().tiers.map((l) => (l.id === id ? { ...l, shapes: [drawn] } : l)));
  }

  protected async keep(): Promise<void> {
    if (this.busy()) return;
    this.said.set('');
    this.problem.set(null);
    const next = this.read();
    if (next === null) return;
    const problems = partProblems(next, this.shelf());
    const invalid = partSchema.validate(next, { convert: false }).error;
    if (problems.length > 0 || invalid) {
      this.problem.set([...problems.map(partProblemText), ...(invalid ? [invalid.message] : [])].join(' '));
      return;
    }
    if (await this.attempt.run(() => this.commands.keep(next, this.version()))) {
      await this.drafts.drop(this.draftName());
      this.restored.set(false);
      this.said.set('Saved');
      this.kept.emit(next.id);
    }
  }

  /** The part as it is typed; null when something cannot be, which is then said. */
  private read(): Part | null {
    const is = this.is();
    const given = this.sizes().given(is.way);
    const refuse = (why: string): null => {
      this.problem.set(why);
      return null;
    };
    if (given === null) return refuse('A size cannot be read. It is marked above.');
    if (is.name.trim() === '') return refuse('A part needs a name.');
    const price = whole(is.price.replace(',', '.'), 1_000_000, 100);
    if (price === null) return refuse(`‘${is.price}’ is not a price.`);
    const days = is.leadDays.trim() === '' ? null : whole(is.leadDays, 1000);
    if (days === null && is.leadDays.trim() !== '') return refuse(`‘${is.leadDays}’ is not a number of days.`);
    const said = { name: is.name.trim(), price, leadDays: days, replacedBy: is.replacedBy, note: is.note.trim() };
    const h = this.hardware();
    const rest = h ? this.hardwareRead(h, refuse) : this.pickupRead(refuse);
    return rest && withGiven({ ...rest, ...said }, given);
  }

  private hardwareRead(h: Hardware, refuse: (why: string) => null): Hardware | null {
    const { traits, thread, shape, electric, contacts, ...typed } = this.is();
    const gauge = typed.gauge.trim() === '' ? null : whole(typed.gauge, 24);
    if (gauge === null && typed.gauge.trim() !== '') return refuse(`‘${typed.gauge}’ is not a screw gauge. Use 0 to 24.`);
    const kiloohms = typed.kiloohms.trim() === '' ? null : Number(typed.kiloohms.replace(',', '.'));
    if (kiloohms !== null && !(kiloohms > 0 && kiloohms <= 10_000)) return refuse(`‘${typed.kiloohms}’ kΩ is impossible.`);
    const screws = readScrews(typed.screws);
    if (!screws.ok) return refuse(`Screw places: ${screws.problem}.`);
    if (!shape && screws.rows.length > 0) return refuse('Add an outline before the screw places.');
    if (this.values().some((f) => f.refused() !== null)) return refuse('A value cannot be read. It is marked above.');
    const { format, id, kind, name, price, sizes } = h;
    const wired = { ...(Object.keys(electric).length > 0 ? { electric } : {}), ...(contacts ? { contacts } : {}) };
    return { format, id, kind, name, price, sizes, ...wired, traits, thread, gauge, kiloohms, shape: shape && { ...shape, screws: screws.rows } };
  }

  private pickupRead(refuse: (why: string) => null): Pickup | null {
    const p = this.pickup();
    if (!p) return null;
    const { tiers, coils, coverGround, ...typed } = this.is();
    const leads = whole(typed.leads, 20);
    if (leads === null) return refuse(`‘${typed.leads}’ is not a number of leads.`);
    const strings = typed.strings.trim() === '' ? null : whole(typed.strings, 12);
    if (typed.strings.trim() !== '' && (strings === null || strings === 0)) return refuse(`‘${typed.strings}’ strings are impossible.`);
    const colours = readLeads(typed.colours);
    if (!colours.ok) return refuse(`Colours of the leads: ${colours.problem}.`);
    const known: { strings?: number; coverGround?: CoverGround } = {};
    if (strings !== null) known.strings = strings;
    if (coverGround !== null) known.coverGround = coverGround;
    const { format, id, kind, name, price, screws, poles, sizes, leadsFound } = p;
    const rest = {
      format,
      id,
      kind,
      name,
      price,
      screws,
      poles,
      ...(sizes ? { sizes } : {}),
      ...(leadsFound ? { leadsFound } : {}),
      tiers,
      leads,
      colours: colours.rows,
      coils,
    };
    return { ...rest, ...known };
  }
}

const text = (): FormControl<string> => new FormControl('', { nonNullable: true });
/** A value that other hands change: an outline, coils, traits. */
const held = <T>(value: T): FormControl<T> => new FormControl(value, { nonNullable: true });

/** What a part says, as the fields show it. */
function statedOf(p: Part) {
  const said = { name: p.name, price: amountText(p.price), leadDays: String(p.leadDays ?? ''), replacedBy: p.replacedBy ?? null, note: p.note ?? '' };
  if (!isPickup(p)) {
    const { traits, thread, gauge, kiloohms, shape, electric = {}, contacts = null } = p;
    const screws = (shape?.screws ?? []).map((s) => `${s.x} ${s.y} ${s.gauge}`).join('\n');
    return { ...said, traits, thread, gauge: String(gauge ?? ''), kiloohms: String(kiloohms ?? ''), electric, contacts, shape, screws };
  }
  const colours = (p.colours ?? []).map((c) => `${c.colour}: ${c.is}`).join('\n');
  return {
    ...said,
    leads: String(p.leads),
    strings: String(p.strings ?? ''),
    colours,
    coils: p.coils ?? [],
    coverGround: p.coverGround ?? null,
    tiers: p.tiers,
  };
}

/** A whole number from 0 to a limit, of the text times a factor; null for anything else. */
function whole(text: string, most: number, factor = 1): number | null {
  const n = Math.round(Number(text) * factor * 1e6) / 1e6;
  return text.trim() !== '' && Number.isInteger(n) && n >= 0 && n <= most * factor ? n : null;
}
