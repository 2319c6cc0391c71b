import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal, viewChild, viewChildren } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { FOUND_SET, regionOf, type PickupChoice, type PlannedRoute } from '@rinnovo/core/check';
import { alongPart, depthForAll, mirroredRoute, outlinedRoute, routeForPart, takingIn, withChannel, type DerivedRoute } from '@rinnovo/core/cut';
import { levelsOfSet, seenSide } from '@rinnovo/core/instrument';
import { pickupIn, smallestCutter, USUAL_CUTTER } from '@rinnovo/core/part';
import { nameOf, routeProblemText, fixed } from '@rinnovo/words';
import { selectAnatomy, selectNames, selectParts, selectSettings, selectTools } from '../../state/selectors';
import { fieldText } from '../../ui/number-fields';
import { askOutline } from '../../ui/outline/ask-outline';
import { LengthField } from '../../ui/length-field';
import { viewFeature } from '../../state/view.feature';

/** What the route is made of, level by level, and what it can be made from: the part, a traced outline, the old cavity, another cavity, its own mirror image. Every step can be undone. */
@Component({
  selector: 'rn-route-outline',
  imports: [LengthField, MatButtonModule, MatFormFieldModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './route-outline.html',
  styles: `
    :host {
      display: block;
      padding: 0.6rem 0.75rem;
    }
    form,
    .row {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 0.25rem 0.5rem;
      align-items: start;
      margin-block-end: 0.5rem;
    }
    .whole {
      grid-column: 1 / -1;
    }
    mat-form-field {
      width: 100%;
    }
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
      margin-block: 0.25rem 0.75rem;
    }
  `,
})
export class RouteOutline {
  protected readonly fixed = fixed;
  readonly choice = input.required<PickupChoice>();
  readonly locked = input(false);
  readonly changed = output<PlannedRoute>();
  private readonly dialogs = inject(MatDialog);
  private readonly store = inject(Store);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly parts = this.store.selectSignal(selectParts);
  private readonly tools = this.store.selectSignal(selectTools);
  private readonly settings = this.store.selectSignal(selectSettings);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly depthFields = viewChildren<LengthField>('depth');
  private readonly clearanceField = viewChild<LengthField>('clearanceField');
  private readonly widthField = viewChild<LengthField>('widthField');
  private readonly channelDepthField = viewChild<LengthField>('channelDepthField');

  private readonly route = computed(() => this.choice().route);
  private readonly part = computed(() => pickupIn(this.parts(), this.choice().part));
  private readonly cavity = computed(() => {
    const a = this.anatomy();
    const position = a?.positions.find((p) => p.id === this.choice().position);
    return a?.cavities.find((c) => c.id === position?.cavity) ?? null;
  });
  /** The smallest template bit of the shop: what corners are left by. */
  protected readonly cutter = computed(() => smallestCutter(this.tools()));
  protected readonly corner = computed(() => this.cutter() ?? USUAL_CUTTER);
  protected readonly levels = computed(() =>
    (this.route()?.levels ?? []).map((p) => ({ id: p.id, text: fieldText(p.depth, this.unit()), label: `${p.id}, depth${p.bored ? ' of the tip' : ''}` })),
  );
  protected readonly others = computed(() =>
    (this.anatomy()?.cavities ?? [])
      .filter((c) => c.id !== this.cavity()?.id && c.face === this.cavity()?.face && c.levels.length > 0)
      .map((c) => ({ id: c.id, name: nameOf(this.names(), c.id) })),
  );
  protected readonly partName = computed(() => this.part()?.name ?? null);
  /** The part and its alternatives. */
  protected readonly candidates = computed(() => [this.choice().part, ...this.choice().alternatives].flatMap((id) => pickupIn(this.parts(), id) ?? []));
  protected readonly typed = signal<Readonly<Record<string, string>>>({});
  protected readonly clearance = linkedSignal(() => fieldText(this.settings().routeSide, this.unit()));
  protected readonly to = signal<string | null>(null);
  protected readonly width = linkedSignal(() => fieldText(12, this.unit()));
  protected readonly channelDepth = linkedSignal(() => fieldText(15, this.unit()));
  private readonly before = signal<readonly PlannedRoute[]>([]);
  protected readonly undoable = computed(() => this.before().length > 0);
  /** What stands against the last act, and beside which it is stated. */
  protected readonly problem = signal<{ readonly at: string; readonly text: string } | null>(null);

  protected along(): void {
    const part = this.part();
    const route = this.route();
    const by = this.clearanceField()?.value() ?? null;
    if (by === null || !route) return;
    if (!part) return this.refuse('part', 'Choose the part in Fit first.');
    this.take('part', alongPart(part, route.at, by, this.corner(), this.settings()));
  }

  protected asked(): void {
    const part = this.part();
    const route = this.route();
    if (!route) return;
    if (!part) return this.refuse('part', 'Choose the part in Fit first.');
    const levels = routeForPart(part, this.corner(), this.settings());
    this.take('part', levels.length > 0 ? { route: { at: route.at, levels } } : { problem: 'noOutline' });
  }

  /** How a drawing of the route's face lies against the anatomy. */
  private side(): 1 | -1 {
    return seenSide({ handed: this.anatomy()?.handed ?? 'right', face: this.cavity()?.face ?? 'top', mirrored: false });
  }

  /** A traced drawing, typed sizes or something out of the drawer takes the place of the floor; wells go with the part, not with it. */
  protected async another(): Promise<void> {
    const now = this.route();
    if (!now) return;
    const drawn = await askOutline(this.dialogs, { what: 'the new route', at: now.at, side: this.side() });
    const route = this.route();
    if (drawn && route) this.take('part', { route: outlinedRoute(route, drawn.outline) });
  }

  protected takeOldIn(): void {
    const a = this.anatomy();
    const cavity = this.cavity();
    const route = this.route();
    if (!a || !cavity || !route) return;
    this.take('old', takingIn(route, regionOf(a, cavity, levelsOfSet(cavity, FOUND_SET)), this.corner()));
  }

  protected mirror(): void {
    const route = this.route();
    if (route) this.take('old', { route: mirroredRoute(route) });
  }

  protected channel(): void {
    const a = this.anatomy();
    const route = this.route();
    const other = a?.cavities.find((c) => c.id === this.to());
    const [width, depth] = [this.widthField()?.value() ?? null, this.channelDepthField()?.value() ?? null];
    if (!a || !route || width === null || depth === null) return;
    if (!other) return this.refuse('channel', 'Choose the cavity to join.');
    this.take('channel', withChannel(route, { id: other.id, region: regionOf(a, other) }, width, depth, this.corner()));
  }

  protected setDepths(event: Event): void {
    event.preventDefault();
    const route = this.route();
    const depths = this.depthFields().map((f) => f.value());
    if (!route || depths.some((d) => d === null)) return;
    this.take('levels', { route: { ...route, levels: route.levels.map((p, i) => ({ ...p, depth: depths[i] ?? p.depth })) } });
  }

  /** One floor for the part and everything that may take its place. */
  protected deepEnough(): void {
    const route = this.route();
    const parts = this.candidates();
    const depth = depthForAll(parts, this.settings());
    if (!route || depth === null) return this.refuse('part', 'Choose a part with a known base first.');
    const main = route.levels.find((p) => !p.bored);
    this.take('part', { route: { ...route, levels: route.levels.map((p) => (p === main ? { ...p, depth } : p)) } });
  }

  protected remove(id: string): void {
    const route = this.route();
    if (!route) return;
    if (route.levels.filter((p) => !p.bored && p.id !== id).length === 0)
      return this.refuse('levels', 'A route needs one level. To drop the route, undo it in Fit.');
    this.take('levels', { route: { ...route, levels: route.levels.filter((p) => p.id !== id) } });
  }

  protected undo(): void {
    const last = this.before().at(-1);
    if (!last || this.locked()) return;
    this.before.update((b) => b.slice(0, -1));
    this.settle(last);
  }

  protected depthText(id: string, text: string): string {
    return this.typed()[id] ?? text;
  }

  protected typeDepth(id: string, text: string): void {
    this.typed.update((t) => ({ ...t, [id]: text }));
  }

  private take(at: string, made: DerivedRoute): void {
    const now = this.route();
    if (this.locked() || !now) return;
    if ('problem' in made) return this.refuse(at, routeProblemText(made.problem));
    this.before.update((b) => [...b, now]);
    this.settle(made.route);
  }

  private settle(route: PlannedRoute): void {
    this.problem.set(null);
    this.typed.set({});
    this.changed.emit(route);
  }

  private refuse(at: string, text: string): void {
    this.problem.set({ at, text });
  }
}
