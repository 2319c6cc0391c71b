import type { ElementRef } from '@angular/core';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  linkedSignal,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { Placement, Point } from '@rinnovo/core/shape';
import { fixed } from '@rinnovo/words';
import { zoomIdentity, type ZoomTransform } from 'd3-zoom';
import { atEdge, seenWhole } from './at-edge';
import type { Span } from './close-up';
import type { DrawnPath, Frame, Mark } from './drawing';
import {
  clickOf,
  handlesWithRoom,
  hundredth,
  movedTo,
  onMoving,
  reachOf,
  through,
  type ClickedLine,
  type Grip,
  type Move,
  type PlanHandle,
  type Pull,
  type Snapper,
} from './hand';
import { steppedTo, turnOf, wayOf } from './key-moves';
import { placeLabels, type Label } from './labels';
import { drawnSpan, measuredBetween } from './lengths';
import { panZoom, windowOf, type PanZoom } from './pan-zoom';
import { signPath } from './signs';

/**
 * A plan to scale in mm: fixed paths, one layer that may be moved, marks. It knows no store and no instrument.
 * Wheel, two fingers, + and − zoom; dragging the paper or arrow keys pan, with Alt also while something can be moved; dragging the moving layer or arrow keys move that.
 */
@Component({
  selector: 'rn-plan-view',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plan-view.html',
  styleUrl: './plan-view.scss',
})
export class PlanView {
  protected readonly fixed = fixed;
  readonly label = input.required<string>();
  readonly paths = input.required<readonly DrawnPath[]>();
  /** Lines that lie over everything: centre line, strings. */
  readonly lines = input<readonly DrawnPath[]>([]);
  readonly moving = input<readonly DrawnPath[]>([]);
  readonly at = input<Placement>({ x: 0, y: 0, turn: 0 });
  readonly movable = input(false);
  /** Page Up and Page Down turn the moving layer. */
  readonly turnable = input(false);
  readonly marks = input<readonly Mark[]>([]);
  readonly selected = input<string | null>(null);
  /** Seen from the back: mirrored. */
  readonly mirrored = input(false);
  readonly frame = input.required<Frame>();
  readonly handles = input<readonly PlanHandle[]>([]);
  readonly snapper = input<Snapper | null>(null);
  readonly labels = input<readonly Label[]>([]);
  /** Lengths drawn with their ends and their number. */
  readonly spans = input<readonly Span[]>([]);

  readonly moved = output<Move>();
  readonly picked = output<string>();
  readonly chosen = output<ClickedLine>();
  readonly pulled = output<Pull>();

  protected readonly svg = viewChild.required<ElementRef<SVGSVGElement>>('svg');
  private readonly sheet = viewChild.required<ElementRef<SVGGElement>>('sheet');
  protected readonly viewBox = computed(() => {
    const f = this.frame();
    return `${f.x} ${f.y} ${f.width} ${f.height}`;
  });
  /** What the whole drawing is moved and scaled by; a new frame is seen whole. */
  private readonly seenBy = linkedSignal<Frame, ZoomTransform>({ source: this.frame, computation: () => zoomIdentity });
  protected readonly nearer = computed(() => this.seenBy().toString());
  private readonly window = computed(() => windowOf(this.frame(), this.seenBy()));
  protected readonly transform = computed(() => {
    const { x, y, turn } = this.pose();
    return `translate(${x} ${y}) rotate(${turn})`;
  });
  protected readonly markSize = computed(() => Math.max(this.window().width, this.window().height) / 60);
  /** Where the moving layer is drawn: ahead of `at` while keys or the hand are quicker than the owner of the value. */
  protected readonly pose = linkedSignal(() => this.at());
  protected readonly fixedLooks = computed(() => looksOf(this.paths(), this.selected()));
  protected readonly movingLooks = computed(() => looksOf(this.moving(), this.selected()));
  protected readonly signs = computed(() => this.marks().map((m) => signPath(m.kind, m, this.markSize())));
  /** The hand holds the layer: numbers beside the marks wait until it is let go, the verdicts' list goes on. */
  protected readonly inHand = signal(false);
  private readonly side = computed(() => (this.mirrored() ? -1 : 1));
  private readonly panning = signal<PanZoom | null>(null);
  private grip: Grip | null = null;
  private last: Placement | null = null;
  private lastPull: Point | null = null;

  protected readonly shownHandles = computed(() => handlesWithRoom(this.handles(), this.markSize()));
  protected readonly snapping = signal(true);
  /** The lines that the hand has met, over the whole window. */
  private readonly met = signal<{ readonly across: number | null; readonly along: number | null } | null>(null);
  protected readonly guides = computed(() => {
    const met = this.met();
    const f = this.window();
    return [
      ...(met?.across == null ? [] : [`M${this.side() * met.across} ${f.y - f.height}V${f.y + 2 * f.height}`]),
      ...(met?.along == null ? [] : [`M${f.x - f.width} ${met.along}H${f.x + 2 * f.width}`]),
    ];
  });
  protected readonly drawnSpans = computed(() => this.spans().map((s) => drawnSpan(s, this.markSize())));
  protected readonly placedLabels = computed(() => placeLabels(this.labels(), this.markSize() * 1.3));

  /** The sheet on the screen, px. */
  private readonly sheetSize = signal({ width: NaN, height: NaN });
  /** The worst mark while it is out of sight: at the edge, with the way to it. */
  protected readonly beyond = computed(() => {
    const worst = this.marks().find((m) => m.worst);
    if (!worst) return null;
    const { width, height } = this.sheetSize();
    const whole = seenWhole(this.window(), width / height);
    // not under the tools
    const shown = Number.isFinite(width) ? { ...whole, height: whole.height * Math.max(0.3, 1 - TOOLS_HIGH / height) } : whole;
    const [side, r] = [this.side(), this.markSize()];
    const edge = atEdge({ x: side * worst.x, y: worst.y }, shown, 2.2 * r);
    return edge && { mark: worst, ...edge, sign: signPath(worst.kind, edge, r), arrow: `M${1.3 * r} ${-0.7 * r}L${2 * r} 0L${1.3 * r} ${0.7 * r}Z` };
  });

  /** The measuring tool: two places clicked one after the other. */
  protected readonly measuring = signal(false);
  private readonly ends = signal<readonly Point[]>([]);
  protected readonly measured = computed(() => (this.measuring() ? measuredBetween(this.ends(), this.side()) : null));

  constructor() {
    afterNextRender(() => {
      const holds = (on: Element): boolean =>
        this.measuring() || on.closest('[data-handle], .mark, .beyond') !== null || (this.movable() && on.closest('[data-moving]') !== null);
      this.panning.set(
        panZoom(this.svg().nativeElement, holds, (by) => {
          this.seenBy.set(by);
        }),
      );
    });
    const resized = new ResizeObserver(([entry]) => {
      if (entry) this.sheetSize.set(entry.contentRect);
    });
    afterNextRender(() => {
      resized.observe(this.svg().nativeElement);
    });
    inject(DestroyRef).onDestroy(() => {
      resized.disconnect();
    });
    effect(() => {
      const frame = this.frame();
      const panning = this.panning();
      untracked(() => panning?.show(frame));
    });
  }

  protected measure(): void {
    this.measuring.set(!this.measuring());
    this.ends.set([]);
  }

  protected zoom(factor: number): void {
    this.panning()?.nearer(factor);
  }

  /** The worst mark comes into the middle of what is seen, and its verdict is open. */
  protected seek({ mark }: { readonly mark: Mark }): void {
    const w = this.window();
    this.panning()?.along({ x: this.side() * mark.x - (w.x + w.width / 2), y: mark.y - (w.y + w.height / 2) });
    this.picked.emit(mark.id);
  }

  protected showAll(): void {
    this.panning()?.show(this.frame());
  }

  protected down(event: PointerEvent): void {
    if (!event.isPrimary) {
      this.giveUp();
      return;
    }
    const toDrawing = this.sheet().nativeElement.getScreenCTM()?.inverse() ?? null;
    const start = through(toDrawing, event);
    if (this.measuring()) {
      this.ends.update((e) => (e.length === 1 ? [...e, start] : [start]));
      return;
    }
    this.svg().nativeElement.setPointerCapture(event.pointerId);
    const target = event.target as Element;
    const handle = target.getAttribute('data-handle');
    const moves = handle === null && this.movable() && onMoving(event);
    const screen = { x: event.clientX, y: event.clientY };
    this.grip = { start, at: this.pose(), moves, toDrawing, on: target.getAttribute('data-id'), handle, screen };
    this.inHand.set(moves || handle !== null);
  }

  protected drag(event: PointerEvent): void {
    const { grip } = this;
    if (!grip || !event.isPrimary || (!grip.moves && grip.handle === null)) return;
    const p = through(grip.toDrawing, event);
    const snapper = this.snapping() && !event.altKey ? this.snapper() : null;
    if (grip.handle !== null) {
      const to = { x: hundredth(this.side() * p.x), y: hundredth(p.y) };
      const snapped = snapper?.pull(grip.handle, to, reachOf(grip)) ?? null;
      this.met.set(snapped);
      this.lastPull = snapped?.to ?? to;
      this.pulled.emit({ id: grip.handle, to: this.lastPull, dropped: false });
      return;
    }
    const to = movedTo(grip, p, this.side());
    const snapped = snapper?.move(to, reachOf(grip)) ?? null;
    if (snapped || this.met()) this.met.set(snapped);
    this.last = snapped?.to ?? to;
    this.pose.set(this.last);
    this.moved.emit({ to: this.last, dropped: false });
  }

  protected up(event: PointerEvent): void {
    if (!event.isPrimary) return;
    const clicked = this.grip && clickOf(this.grip, { x: event.clientX, y: event.clientY }, this.side());
    if (clicked) this.chosen.emit(clicked);
    this.letGo();
  }

  /** A second finger came: what the first one held goes back to where it was. */
  private giveUp(): void {
    const { grip } = this;
    if (grip?.moves && this.last) {
      this.pose.set(grip.at);
      this.moved.emit({ to: grip.at, dropped: true });
    }
    if (grip?.handle) this.pulled.emit({ id: grip.handle, to: null, dropped: true });
    this.last = null;
    this.lastPull = null;
    this.letGo();
  }

  private letGo(): void {
    if (this.grip?.moves && this.last) this.moved.emit({ to: this.last, dropped: true });
    if (this.grip?.handle && this.lastPull) this.pulled.emit({ id: this.grip.handle, to: this.lastPull, dropped: true });
    this.grip = null;
    this.last = null;
    this.lastPull = null;
    this.met.set(null);
    this.inHand.set(false);
  }

  protected key(event: KeyboardEvent): void {
    if (event.key === '+' || event.key === '=') this.zoom(1.25);
    else if (event.key === '-') this.zoom(1 / 1.25);
    else if (event.key === '0') this.showAll();
    const turn = this.turnable() && this.movable() ? turnOf(event) : 0;
    const way = wayOf(event);
    if (turn === 0 && !way) return;
    event.preventDefault();
    const at = this.pose();
    if (turn !== 0) this.put({ ...at, turn: hundredth(at.turn + this.side() * turn) });
    else if (way && this.movable() && !event.altKey) this.put(steppedTo(at, way, event, this.side()));
    else if (way) {
      const by = this.window().width / (event.shiftKey ? 3 : 12);
      this.panning()?.along({ x: way.x * by, y: way.y * by });
    }
  }

  private put(to: Placement): void {
    this.pose.set(to);
    this.moved.emit({ to, dropped: true });
  }
}

/** How much of the sheet's foot the tools take, px. */
const TOOLS_HIGH = 58;

/** The classes of each line, in their order: worked out when lines change, not at every move of the hand. */
function looksOf(paths: readonly DrawnPath[], selected: string | null): readonly string[] {
  return paths.map((p) => `${p.kind}${p.loose ? ' loose' : ''}${p.chosen ? ' chosen' : ''}${p.now ? ' now' : ''}${p.id === selected ? ' selected' : ''}`);
}
