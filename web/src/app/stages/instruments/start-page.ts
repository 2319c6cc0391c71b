import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, FormRecord, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatAutocompleteModule } from '@angular/material/autocomplete';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { newPickupChoice } from '@rinnovo/core/check';
import {
  arrivedAnatomy,
  ROUTE_COVERS,
  sizeAt,
  sizeProblems,
  startingAnatomy,
  STARTING_KINDS,
  targetOfSize,
  type Arrival,
  type RouteCover,
  type SizeKey,
  type SizesAtHand,
  type StartingKind,
} from '@rinnovo/core/instrument';
import { inUse, type MeasuringTool } from '@rinnovo/core/part';
import { usualWeights } from '@rinnovo/core/remedy';
import { ADDED_WORDS, asTyped, STARTING_WORDS } from '@rinnovo/words';
import { map } from 'rxjs';
import { ArrivalCommands, type ReadAtTheDoor } from '../../state/arrival-commands';
import { parts, people, shop, WORKSHOP } from '../../state/resources';
import { selectPickups } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { attempt } from '../../ui/attempt';
import { drawAnatomy, drawLines, frameOfAnatomy, seenFrame } from '../../ui/drawing';
import { LengthField } from '../../ui/length-field';
import { PlanView } from '../../ui/plan-view';
import { SmallDrawing } from '../../ui/small-drawing';
import { ALL_FIELDS, FIRST_SIZES, MORE_SIZES, sizeProblemText } from './size-fields';

const text = (): FormControl<string> => new FormControl('', { nonNullable: true });

/** The one door: an instrument has just arrived. What it is, whose, what is wanted, and the sizes at hand; then what to do next. */
@Component({
  selector: 'rn-start-page',
  imports: [
    LengthField,
    NgTemplateOutlet,
    MatAutocompleteModule,
    MatButtonModule,
    MatButtonToggleModule,
    MatCheckboxModule,
    MatFormFieldModule,
    MatInputModule,
    MatSelectModule,
    PlanView,
    ReactiveFormsModule,
    RouterLink,
    SmallDrawing,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './start-page.html',
  styleUrl: './start-page.scss',
})
export class StartPage {
  private readonly store = inject(Store);
  private readonly commands = inject(ArrivalCommands);
  private readonly people = this.store.selectSignal(people.select);
  private readonly shop = this.store.selectSignal(shop.select);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);

  protected readonly kinds = STARTING_KINDS.map((kind) => ({ kind, ...STARTING_WORDS[kind], anatomy: startingAnatomy(kind) }));
  protected readonly strings = [4, 5, 6, 7, 8, 9, 10, 11, 12] as const;
  protected readonly covers = ROUTE_COVERS.map((cover) => ({ cover, name: ADDED_WORDS[cover] }));
  protected readonly first = FIRST_SIZES;
  protected readonly more = MORE_SIZES;
  protected readonly form = new FormGroup({
    kind: new FormControl<StartingKind>('bolt-on solid', { nonNullable: true }),
    handed: new FormControl<'right' | 'left'>('right', { nonNullable: true }),
    strings: new FormControl<number | null>(null),
    label: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.pattern(/\S/)] }),
    owner: text(),
    title: text(),
    ownerSays: text(),
    cover: new FormControl<RouteCover | null>(null),
    part: new FormControl<string | null>(null),
    fitted: new FormControl<string | null>(null),
    measured: new FormControl(true, { nonNullable: true }),
    sizes: new FormRecord<FormControl<number | null>>(Object.fromEntries(ALL_FIELDS.map((f) => [f.key, new FormControl<number | null>(null)]))),
  });
  private readonly is = toSignal(this.form.valueChanges.pipe(map(() => this.form.getRawValue())), { initialValue: this.form.getRawValue() });
  protected readonly tried = signal(false);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly refusal = this.attempt.problem;
  /** What was added just now. */
  protected readonly begun = signal<{ readonly id: string; readonly label: string; readonly planned: boolean } | null>(null);

  protected readonly shelf = this.store.selectSignal(selectPickups);
  protected readonly owners = computed(() => {
    const typed = this.is().owner.trim().toLowerCase();
    return (this.people().data ?? []).filter((p) => p.role === 'owner' && p.name.toLowerCase().includes(typed));
  });
  private readonly owner = computed(() => {
    const typed = this.is().owner.trim();
    if (typed === '') return null;
    const known = (this.people().data ?? []).find((p) => p.role === 'owner' && p.name.toLowerCase() === typed.toLowerCase());
    return known ?? { id: null, name: typed };
  });
  protected readonly newOwner = computed(() => this.owner()?.id === null);
  private readonly tools = computed(() => inUse(this.shop().data?.tools ?? []));
  protected readonly calliper = computed(() => this.tools().find((t) => t.kind === 'calliper') ?? null);
  protected readonly gauge = computed(() => this.tools().find((t) => t.kind === 'depth gauge') ?? this.calliper());
  protected readonly sized = computed(() => Object.keys(this.sizes()).length > 0);

  private readonly sizes = computed((): SizesAtHand =>
    Object.fromEntries(Object.entries(this.is().sizes).flatMap(([key, mm]) => (mm === null ? [] : [[key, mm]]))),
  );
  private readonly arrival = computed((): Arrival => {
    const { kind, handed, strings, cover, fitted } = this.is();
    return { kind, handed, strings, cover, sizes: this.sizes(), fitted };
  });
  protected readonly problems = computed((): Readonly<Record<string, string>> =>
    Object.fromEntries(sizeProblems(this.arrival()).map((p) => [p.key, sizeProblemText(p)])),
  );
  protected readonly anatomy = computed(() => arrivedAnatomy(this.arrival()));
  /** What stands in the fields while nothing is typed. */
  protected readonly typical = computed((): Readonly<Record<string, string>> => {
    const a = arrivedAnatomy({ ...this.arrival(), sizes: {} });
    return Object.fromEntries(
      ALL_FIELDS.map(({ key }) => {
        const mm = sizeAt(a, key);
        return [key, mm === null ? '' : asTyped(mm, this.unit())];
      }),
    );
  });
  protected readonly count = computed(() => this.is().strings ?? this.anatomy().strings.count);
  protected readonly paths = computed(() => drawAnatomy(this.anatomy(), 'top'));
  /** The paper keeps its place while sizes are typed. */
  protected readonly frame = linkedSignal(() => seenFrame(frameOfAnatomy(startingAnatomy(this.is().kind)), this.is().handed === 'left'));
  protected readonly lines = computed(() => drawLines(this.anatomy(), this.frame()));

  protected readonly noLabel = computed(() => this.is().label.trim() === '');
  protected readonly noCover = computed(() => this.is().part !== null && this.is().cover === null);
  private readonly wrong = toSignal(this.form.statusChanges.pipe(map(() => this.form.controls.sizes.invalid)), { initialValue: false });
  protected readonly missing = computed(() =>
    [
      this.noLabel() ? 'Type a label.' : '',
      this.noCover() ? 'Choose what covers the route.' : '',
      this.wrong() || Object.keys(this.problems()).length > 0 ? 'Some sizes are impossible. They are marked.' : '',
    ]
      .filter(Boolean)
      .join(' '),
  );

  constructor() {
    this.store.dispatch(parts.load({ of: WORKSHOP }));
    this.store.dispatch(shop.load({ of: WORKSHOP }));
  }

  protected choose(kind: StartingKind): void {
    this.form.patchValue({ kind, strings: null });
  }

  protected async start(): Promise<void> {
    this.tried.set(true);
    if (this.missing() !== '') return;
    const id = crypto.randomUUID();
    const { label, kind } = this.is();
    const done = await this.attempt.run(async () => {
      const one = { id, label: label.trim(), maker: '', model: '', serial: '', owner: null, notes: '', kind, identity: {}, archived: false };
      await this.commands.arrive({ instrument: one, owner: this.owner(), anatomy: this.anatomy(), readings: this.readings(), ...this.wanted(id) });
    });
    if (done) this.begun.set({ id, label: label.trim(), planned: this.is().part !== null });
  }

  /** The job and the plan, as far as something is wanted. */
  private wanted(instrument: string) {
    const { title, ownerSays, part, cover } = this.is();
    const chosen = this.shelf().find((p) => p.id === part);
    const position = cover === null ? undefined : this.anatomy().positions[0];
    const plan = chosen && position ? { format: 5 as const, choices: [newPickupChoice(position.id, chosen.id)] } : null;
    if (title.trim() === '' && ownerSays.trim() === '' && plan === null) return { job: null, plan };
    const job = {
      id: crypto.randomUUID(),
      instrument,
      title: title.trim() || (chosen ? `Fit ${chosen.name}` : ownerSays.trim().slice(0, 200)),
      request: { kind: chosen?.kind ?? null, reversibleOnly: false, doNotTouch: [], weights: usualWeights(this.owner() === null) },
      ownerSays: ownerSays.trim(),
      look: '',
      limits: { budget: null, due: null },
      worth: null,
      active: true,
    };
    return { job, plan };
  }

  /** What was typed as read, each with the tool that such a size is read with. */
  private readings(): readonly ReadAtTheDoor[] {
    const [calliper, gauge] = [this.calliper(), this.gauge()];
    if (!this.is().measured || !calliper || !gauge) return [];
    return (Object.entries(this.sizes()) as [SizeKey, number][]).flatMap(([key, value]) => {
      const target = targetOfSize(this.anatomy(), key);
      const tool: MeasuringTool = target?.quantity === 'levelDepth' ? gauge : calliper;
      return target ? [{ target, value, raw: asTyped(value, this.unit()), tool }] : [];
    });
  }
}
