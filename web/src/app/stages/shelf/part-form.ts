import { partRow } from '@rinnovo/core/house/lists';
import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  output,
  signal,
  untracked,
  viewChild,
  type WritableSignal,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { part as partSchema } from '@rinnovo/contract';
import {
  COVER_GROUNDS,
  isPickup,
  partProblems,
  type Coil,
  type CoverGround,
  type Hardware,
  type Part,
  type PartShape,
  type Pickup,
  type Shelf,
  type ThreadId,
  type TraitId,
} from '@rinnovo/core/part';
import { partKindWord, partProblemText, amountText, TRAIT_WORDS, TRAIT_VALUE_WORDS } from '@rinnovo/words';
import { attempt } from '../../ui/attempt';
import { askOutline } from '../../ui/outline/ask-outline';
import { same } from '../../ui/same';
import { Drafts } from '../../state/drafts';
import { viewFeature } from '../../state/view.feature';
import { ShelfCommands } from '../../state/shelf-commands';
import { CoilFields } from './coil-fields';
import { WAYS, type Way } from './known-by';
import { fieldsOf, readLeads, readScrews, withGiven } from './part-fields';
import { draftOf, type TypedPart } from './typed-part';
import { SizeFields } from './size-fields';

/** Everything that is known of one part, typed once. Nothing is kept until it can be kept whole, and nothing typed is lost. */
@Component({
  selector: 'rn-part-form',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, SizeFields, CoilFields],
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
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly ways = WAYS;
  protected readonly grounds = COVER_GROUNDS;
  protected readonly way = signal<Way>('calliper');
  protected readonly said = signal('');

  /** What was typed before and not kept came back. */
  protected readonly restored = signal(false);
  private readonly drafts = inject(Drafts);
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);

  private readonly settled = computed(() => this.part(), { equal: same });
  protected readonly name = linkedSignal(() => this.settled().name);
  protected readonly price = linkedSignal(() => amountText(this.settled().price));
  protected readonly leadDays = linkedSignal(() => String(this.settled().leadDays ?? ''));
  protected readonly replacedBy = linkedSignal(() => this.settled().replacedBy ?? null);
  protected readonly note = linkedSignal(() => this.settled().note ?? '');
  protected readonly traits = linkedSignal<Hardware['traits']>(() => this.hardware()?.traits ?? {});
  protected readonly thread = linkedSignal<ThreadId | null>(() => this.hardware()?.thread ?? null);
  protected readonly gauge = linkedSignal(() => String(this.hardware()?.gauge ?? ''));
  protected readonly kiloohms = linkedSignal(() => String(this.hardware()?.kiloohms ?? ''));
  protected readonly shape = linkedSignal<PartShape | null>(() => this.hardware()?.shape ?? null);
  protected readonly screws = linkedSignal(() => (this.hardware()?.shape?.screws ?? []).map((s) => `${s.x} ${s.y} ${s.gauge}`).join('\n'));
  protected readonly leads = linkedSignal(() => String(this.pickup()?.leads ?? ''));
  protected readonly strings = linkedSignal(() => String(this.pickup()?.strings ?? ''));
  protected readonly colours = linkedSignal(() => (this.pickup()?.colours ?? []).map((c) => `${c.colour}: ${c.is}`).join('\n'));
  protected readonly coils = linkedSignal<readonly Coil[]>(() => this.pickup()?.coils ?? []);
  protected readonly coverGround = linkedSignal<CoverGround | null>(() => this.pickup()?.coverGround ?? null);
  private readonly tiers = linkedSignal(() => this.pickup()?.tiers ?? []);

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
  protected readonly levelIds = computed(() => this.tiers().map((l) => l.id));
  protected readonly isPot = computed(() => this.row()?.resists === true);

  /** Every field that is typed, for the draft. */
  private readonly typed: Readonly<Record<string, WritableSignal<unknown>>> = {
    name: this.name,
    price: this.price,
    leadDays: this.leadDays,
    replacedBy: this.replacedBy,
    note: this.note,
    traits: this.traits,
    thread: this.thread,
    gauge: this.gauge,
    kiloohms: this.kiloohms,
    shape: this.shape,
    screws: this.screws,
    leads: this.leads,
    strings: this.strings,
    colours: this.colours,
    coils: this.coils,
    coverGround: this.coverGround,
    tiers: this.tiers,
    way: this.way,
  };
  private readonly draft = computed(() => ({ fields: Object.fromEntries(Object.entries(this.typed).map(([k, s]) => [k, s()])), sizes: this.sizes().typed() }), {
    equal: same,
  });
  private readonly draftName = computed(() => draftOf(this.settled().id, this.version()));

  constructor() {
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
    for (const [key, value] of Object.entries(fields)) this.typed[key]?.set(value);
    this.sizes().restore(sizes, unit);
    this.restored.set(true);
  }

  /** Nothing of what was typed is wanted any more. */
  protected async forget(): Promise<void> {
    await this.drafts.drop(this.draftName());
    this.given.emit();
  }

  protected text(event: Event): string {
    return (event.target as HTMLInputElement | HTMLTextAreaElement).value;
  }

  protected choose(id: TraitId, word: string | null): void {
    this.traits.update((t) => {
      const rest = Object.fromEntries(Object.entries(t).filter(([key]) => key !== id));
      return word === null ? rest : { ...rest, [id]: word };
    });
  }

  protected async draw(): Promise<void> {
    const drawn = await askOutline(this.dialog, { what: this.name(), at: { x: 0, y: 0 }, side: 1 });
    if (drawn) this.shape.update((s) => ({ openings: [], screws: [], ...s, outline: drawn }));
  }

  protected async cutOut(): Promise<void> {
    const id = `opening ${(this.shape()?.openings.length ?? 0) + 1}`;
    const drawn = await askOutline(this.dialog, { what: id, at: { x: 0, y: 0 }, side: 1 });
    if (drawn) this.shape.update((s) => s && { ...s, openings: [...s.openings, { id, shape: drawn }] });
  }

  protected closeUp(id: string): void {
    this.shape.update((s) => s && { ...s, openings: s.openings.filter((o) => o.id !== id) });
  }

  /** The outline of a tier anew, from a tracing or from sizes. */
  protected async trace(id: string): Promise<void> {
    const drawn = await askOutline(this.dialog, { what: `${this.name()}, ${id}`, at: { x: 0, y: 0 }, side: 1 });
    if (drawn) this.tiers.update((all) => all.map((l) => (l.id === id ? { ...l, shapes: [drawn] } : l)));
  }

  protected async keep(event: Event): Promise<void> {
    event.preventDefault();
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
    const given = this.sizes().given(this.way());
    const refuse = (why: string): null => {
      this.problem.set(why);
      return null;
    };
    if (given === null) return refuse('A size cannot be read. It is marked above.');
    if (this.name().trim() === '') return refuse('A part needs a name.');
    const price = whole(this.price().replace(',', '.'), 1_000_000, 100);
    if (price === null) return refuse(`‘${this.price()}’ is not a price.`);
    const days = this.leadDays().trim() === '' ? null : whole(this.leadDays(), 1000);
    if (days === null && this.leadDays().trim() !== '') return refuse(`‘${this.leadDays()}’ is not a number of days.`);
    const said = { name: this.name().trim(), price, leadDays: days, replacedBy: this.replacedBy(), note: this.note().trim() };
    const h = this.hardware();
    const rest = h ? this.hardwareRead(h, refuse) : this.pickupRead(refuse);
    return rest && withGiven({ ...rest, ...said }, given);
  }

  private hardwareRead(h: Hardware, refuse: (why: string) => null): Hardware | null {
    const gauge = this.gauge().trim() === '' ? null : whole(this.gauge(), 24);
    if (gauge === null && this.gauge().trim() !== '') return refuse(`‘${this.gauge()}’ is not a screw gauge. Use 0 to 24.`);
    const kiloohms = this.kiloohms().trim() === '' ? null : Number(this.kiloohms().replace(',', '.'));
    if (kiloohms !== null && !(kiloohms > 0 && kiloohms <= 10_000)) return refuse(`‘${this.kiloohms()}’ kΩ is impossible.`);
    const screws = readScrews(this.screws());
    if (!screws.ok) return refuse(`Screw places: ${screws.problem}.`);
    const shape = this.shape();
    if (!shape && screws.rows.length > 0) return refuse('Add an outline before the screw places.');
    return { ...h, traits: this.traits(), thread: this.thread(), gauge, kiloohms, shape: shape && { ...shape, screws: screws.rows } };
  }

  private pickupRead(refuse: (why: string) => null): Pickup | null {
    const p = this.pickup();
    if (!p) return null;
    const leads = whole(this.leads(), 20);
    if (leads === null) return refuse(`‘${this.leads()}’ is not a number of leads.`);
    const strings = this.strings().trim() === '' ? null : whole(this.strings(), 12);
    if (this.strings().trim() !== '' && (strings === null || strings === 0)) return refuse(`‘${this.strings()}’ strings are impossible.`);
    const colours = readLeads(this.colours());
    if (!colours.ok) return refuse(`Colours of the leads: ${colours.problem}.`);
    const known: { strings?: number; coverGround?: CoverGround } = {};
    if (strings !== null) known.strings = strings;
    const ground = this.coverGround();
    if (ground !== null) known.coverGround = ground;
    const { format, id, kind, name, price, screws, poles, sizes } = p;
    const rest = {
      format,
      id,
      kind,
      name,
      price,
      screws,
      poles,
      ...(sizes ? { sizes } : {}),
      tiers: this.tiers(),
      leads,
      colours: colours.rows,
      coils: this.coils(),
    };
    return { ...rest, ...known };
  }
}

/** A whole number from 0 to a limit, of the text times a factor; null for anything else. */
function whole(text: string, most: number, factor = 1): number | null {
  const n = Math.round(Number(text) * factor * 1e6) / 1e6;
  return text.trim() !== '' && Number.isInteger(n) && n >= 0 && n <= most * factor ? n : null;
}
