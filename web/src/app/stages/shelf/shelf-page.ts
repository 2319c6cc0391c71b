import { typicalHardware, LISTS, partRow } from '@rinnovo/core/house/lists';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatMenuModule } from '@angular/material/menu';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { KeptPart } from '@rinnovo/contract';
import { partsCsv } from '@rinnovo/core/format';
import { isMeasured } from '@rinnovo/core/measure';
import { isPickup, PICKUP_KINDS, stockOf, typicalPickup, type Part, type PartGroup } from '@rinnovo/core/part';
import { GROUP_WORDS, partKindWord } from '@rinnovo/words';
import { problemOf, problemText } from '../../api/problem-of';
import { Drafts } from '../../state/drafts';
import { ShelfCommands } from '../../state/shelf-commands';
import { parts, stock, WORKSHOP } from '../../state/resources';
import { selectParts, selectStock } from '../../state/selectors';
import { PartDrawing } from '../../ui/part-drawing';
import { saveFile } from '../../ui/save-file';
import { UsedInList } from '../../ui/used-in';
import { PartFacts } from './part-facts';
import { PartForm } from './part-form';
import { BEGUN, type TypedPart } from './typed-part';
import { StockLine } from './stock-line';

const GROUPS = Object.keys(GROUP_WORDS) as readonly PartGroup[];

function groupOf(part: Part): PartGroup {
  return isPickup(part) ? 'pickups' : partRow(part.kind).group;
}

/** The part shelf: every part's spec, typed once; what it looks like to scale, how its sizes are known, how many are there. */
@Component({
  selector: 'rn-shelf-page',
  imports: [RouterLink, MatButtonModule, MatMenuModule, PartDrawing, PartFacts, PartForm, StockLine, UsedInList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shelf-page.html',
  styleUrl: './shelf-page.scss',
})
export class ShelfPage {
  /** The part of the address. */
  readonly part = input<string>();
  private readonly store = inject(Store);
  private readonly commands = inject(ShelfCommands);
  private readonly router = inject(Router);
  private readonly dialog = inject(MatDialog);
  private readonly toast = inject(MatSnackBar);
  protected readonly held = this.store.selectSignal(parts.select);
  protected readonly shelf = this.store.selectSignal(selectParts);
  private readonly stock = this.store.selectSignal(selectStock);
  protected readonly find = signal('');
  protected readonly group = signal<PartGroup | null>(null);
  protected readonly archived = signal(false);
  protected readonly groups = GROUPS.map((id) => ({ id, word: GROUP_WORDS[id] }));
  protected readonly kinds = [...PICKUP_KINDS, ...Object.keys(LISTS.partKinds)].map((kind) => ({
    kind,
    word: partKindWord(kind),
    group: (PICKUP_KINDS as readonly string[]).includes(kind) ? ('pickups' as const) : partRow(kind).group,
  }));
  /** A part that is begun and not on the shelf yet. */
  protected readonly draft = signal<Part | null>(null);
  private readonly all = computed(() => Object.values(this.held().data ?? {}).filter((k) => k.archived === this.archived()));
  protected readonly rows = computed(() => {
    const words = this.find().toLowerCase().split(/\s+/).filter(Boolean);
    return this.all()
      .filter((k) => (this.group() === null || groupOf(k.part) === this.group()) && words.every((w) => textOf(k.part).includes(w)))
      .map((k) => ({
        id: k.part.id,
        name: k.part.name,
        kind: partKindWord(k.part.kind),
        there: stockOf(this.stock(), k.part.id),
        typical: isTypical(k.part),
      }))
      .sort((a, b) => a.name.localeCompare(b.name));
  });
  protected readonly counts = computed(() => {
    const out: Partial<Record<PartGroup, number>> = {};
    for (const k of this.all()) out[groupOf(k.part)] = (out[groupOf(k.part)] ?? 0) + 1;
    return out;
  });
  protected readonly chosen = computed((): KeptPart | null => {
    const id = this.part();
    return id === undefined ? null : (this.held().data?.[id] ?? null);
  });
  protected readonly shown = computed(() => this.draft() ?? this.chosen()?.part ?? null);
  protected readonly kindWord = computed(() => {
    const p = this.shown();
    return p ? partKindWord(p.kind) : '';
  });
  /** Whether the chosen part is being typed; not any more when another one is chosen. */
  protected readonly typing = linkedSignal<string | undefined, boolean>({ source: () => this.part(), computation: () => false });
  protected readonly typical = computed(() => {
    const p = this.shown();
    return p ? isTypical(p) : false;
  });
  protected readonly replacement = computed(() => {
    const by = this.shown()?.replacedBy ?? null;
    return by === null ? null : (this.shelf()[by] ?? null);
  });
  protected readonly failure = computed(() => {
    const p = this.held().problem;
    return p ? problemText(p) : '';
  });

  private readonly drafts = inject(Drafts);
  /** A part that was begun once and never put on the shelf. */
  protected readonly begun = signal<TypedPart | null>(null);
  protected readonly begunName = computed(() => {
    const name = this.begun()?.fields['name'];
    return typeof name === 'string' ? name : '';
  });

  constructor() {
    effect(() => this.load());
    effect(() => {
      // asked anew whenever the new part on the screen is put down
      if (this.draft() === null) void this.drafts.of<TypedPart>(BEGUN).then((d) => this.begun.set(d?.kept ?? null));
    });
    effect(() => {
      this.part();
      this.draft.set(null);
    });
  }

  protected load(): void {
    this.store.dispatch(parts.load({ of: WORKSHOP }));
    this.store.dispatch(stock.load({ of: WORKSHOP }));
  }

  protected search(event: Event): void {
    this.find.set((event.target as HTMLInputElement).value);
  }

  protected kindsOf(group: PartGroup): readonly { readonly kind: Part['kind']; readonly word: string }[] {
    return this.kinds.filter((k) => k.group === group);
  }

  protected goOn(): void {
    this.draft.set(this.begun()?.part ?? null);
  }

  protected async forgetBegun(): Promise<void> {
    await this.drafts.drop(BEGUN);
    this.begun.set(null);
  }

  begin(kind: Part['kind']): void {
    const id = crypto.randomUUID();
    const name = partKindWord(kind);
    this.draft.set(isPickup({ kind }) ? typicalPickup(kind as (typeof PICKUP_KINDS)[number], id, name) : typicalHardware(kind, id, name));
  }

  /** The same part once more, to be altered; what was measured on the first is only stated of the second. */
  protected copy(part: Part): void {
    this.draft.set({ ...part, id: crypto.randomUUID(), name: `${part.name}, altered`, replacedBy: null });
  }

  protected async kept(id: string): Promise<void> {
    this.draft.set(null);
    this.typing.set(false);
    await this.router.navigate(['/shelf', id]);
  }

  protected async archive(kept: KeptPart, archived: boolean): Promise<void> {
    const now = await this.attempt(() => this.commands.archive(kept, archived));
    if (!now) return;
    const said = this.toast.open(archived ? `${kept.part.name} archived` : `${kept.part.name} restored`, 'Undo', { duration: 8000 });
    said.onAction().subscribe(() => void this.attempt(() => this.commands.archive(now, !archived)));
  }

  protected saveCsv(): void {
    saveFile(partsCsv(this.all().map((k) => k.part)), 'parts.csv', 'text/csv');
  }

  protected async importCsv(): Promise<void> {
    const { ImportParts } = await import('./import-parts');
    this.dialog.open(ImportParts, { width: '760px' });
  }

  private async attempt<T>(act: () => Promise<T>): Promise<T | null> {
    try {
      return await act();
    } catch (error) {
      this.toast.open(problemText(problemOf(error)), 'Close');
      return null;
    }
  }
}

function textOf(part: Part): string {
  return `${part.name} ${partKindWord(part.kind)} ${part.note ?? ''} ${isPickup(part) ? '' : (part.thread ?? '')}`.toLowerCase();
}

/** Does anything of it rest on what such parts usually are, or on a listing? */
function isTypical(part: Part): boolean {
  if (isPickup(part)) return [...part.tiers.flatMap((l) => [l.lowest, ...l.shapes]), part.poles.spacing].some((d) => !isMeasured(d));
  return Object.values(part.sizes).some((d) => !isMeasured(d));
}
