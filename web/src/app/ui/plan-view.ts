import type { ElementRef } from '@angular/core';
import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output, signal, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { Placement, Point } from '@rinnovo/core/shape';
import type { DrawnPath, Frame, Mark } from './drawing';
import type { Span } from './close-up';
import { placeLabels, type Label } from './labels';
import { fingers, zoomed } from './pinch';
import { signPath } from './signs';
import { fixed } from '@rinnovo/words';

/** What the arrow keys and the hand do to the moving layer. */
export interface Move {
  readonly to: Placement;
  /** The hand or the key was let go. */
  readonly dropped: boolean;
}

/** A place where the hand can pull the layer's size. */
export interface PlanHandle extends Point {
  readonly id: string;
  readonly title: string;
  /** The shorter side of what is pulled, mm: a small thing has small handles, so that it can still be moved. */
  readonly room: number;
}

/** What a hand does to a handle; `to` is null when the hand gave up. */
export interface Pull {
  readonly id: string;
  readonly to: Point | null;
  readonly dropped: boolean;
}

/** Where a hand comes to rest near a line, and the lines that it met. */
export interface SnappedTo<T> {
  readonly to: T;
  readonly across: number | null;
  readonly along: number | null;
}

/** Brings what the hand holds onto lines within a reach, mm. */
export interface Snapper {
  readonly move: (to: Placement, reach: number) => SnappedTo<Placement>;
  readonly pull: (handle: string, to: Point, reach: number) => SnappedTo<Point>;
}

/** A line of the drawing that was clicked, and where. */
export interface ClickedLine {
  readonly id: string;
  readonly at: Point;
}

interface Grip {
  readonly kind: 'move' | 'pan' | 'pull';
  readonly start: Point;
  readonly at: Placement;
  readonly frame: Frame;
  /** The line that was gripped, and where on the screen: let go at once it is chosen. */
  readonly on: string | null;
  readonly handle: string | null;
  readonly screen: Point;
  /** From the screen to the drawing as it lay when it was gripped: asked once, so that a drag never waits for layout. */
  readonly toDrawing: DOMMatrix | null;
}

/** Two fingers on the drawing, and what lay between them. */
interface Pinch {
  readonly apart: number;
  readonly middle: Point;
  readonly frame: Frame;
  readonly toDrawing: DOMMatrix | null;
}

/** Things smaller than this, in sizes of a mark, have no handles: nearer they have. */
const LEAST_ROOM = 2.2;
/** Nearer than this on the screen the hand meets a line, px. */
const SNAP_REACH = 7;
/** A hand that moved less than this on the screen clicked, px. */
const CLICK = 4;
/** What an arrow key moves by, mm: alone, with Shift, with Ctrl. */
const STEPS = { fine: 0.1, coarse: 1, far: 5 } as const;
/** What Page Up and Page Down turn by, degrees: alone, with Shift. */
const TURNS = { fine: 0.1, coarse: 1 } as const;

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
  protected readonly window = linkedSignal(() => this.frame());
  protected readonly viewBox = computed(() => {
    const f = this.window();
    return `${f.x} ${f.y} ${f.width} ${f.height}`;
  });
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
  private grip: Grip | null = null;
  private last: Placement | null = null;
  private lastPull: Point | null = null;
  private pinch: Pinch | null = null;
  private readonly touching = new Map<number, Point>();

  /** Handles where there is room for them and for a hand between them. */
  protected readonly shownHandles = computed(() => {
    const mark = this.markSize();
    return this.handles()
      .filter((h) => h.room >= LEAST_ROOM * mark)
      .map((h) => ({ ...h, reach: Math.min(1.6 * mark, 0.3 * h.room) }));
  });
  protected readonly snapping = signal(true);
  /** The lines that the hand has met, over the whole window. */
  private readonly met = signal<{ readonly across: number | null; readonly along: number | null } | null>(null);
  protected readonly guides = computed(() => {
    const met = this.met();
    const f = this.window();
    const side = this.mirrored() ? -1 : 1;
    return [
      ...(met?.across == null ? [] : [`M${side * met.across} ${f.y - f.height}V${f.y + 2 * f.height}`]),
      ...(met?.along == null ? [] : [`M${f.x - f.width} ${met.along}H${f.x + 2 * f.width}`]),
    ];
  });
  protected readonly drawnSpans = computed(() => {
    const size = this.markSize();
    return this.spans().map((s) => {
      const far = Math.hypot(s.to.x - s.from.x, s.to.y - s.from.y) || 1;
      // the ends stand square to the length
      const [nx, ny] = [(-(s.to.y - s.from.y) / far) * size * 0.7, ((s.to.x - s.from.x) / far) * size * 0.7];
      const end = (p: Point): string => `M${p.x - nx} ${p.y - ny}L${p.x + nx} ${p.y + ny}`;
      return {
        d: `${end(s.from)}M${s.from.x} ${s.from.y}L${s.to.x} ${s.to.y}${end(s.to)}`,
        x: (s.from.x + s.to.x) / 2,
        y: (s.from.y + s.to.y) / 2,
        text: fixed(s.mm, 2),
      };
    });
  });
  protected readonly placedLabels = computed(() => placeLabels(this.labels(), this.markSize() * 1.3));

  /** The measuring tool: two places clicked one after the other. */
  protected readonly measuring = signal(false);
  private readonly ends = signal<readonly Point[]>([]);
  protected readonly measured = computed(() => {
    const [from, to] = this.ends();
    if (!this.measuring() || !from || !to) return null;
    const side = this.mirrored() ? -1 : 1;
    const [across, along] = [side * (to.x - from.x), to.y - from.y];
    return { from, to, length: Math.hypot(across, along), across, along };
  });

  protected measure(): void {
    this.measuring.set(!this.measuring());
    this.ends.set([]);
  }

  protected zoom(factor: number, about?: Point): void {
    const f = this.window();
    this.window.set(zoomed(f, factor, about ?? { x: f.x + f.width / 2, y: f.y + f.height / 2 }));
  }

  protected showAll(): void {
    this.window.set(this.frame());
  }

  protected wheel(event: WheelEvent): void {
    event.preventDefault();
    this.zoom(event.deltaY > 0 ? 1.15 : 1 / 1.15, through(this.toDrawing(), event));
  }

  protected down(event: PointerEvent): void {
    if (this.measuring()) {
      const p = through(this.toDrawing(), event);
      this.ends.update((e) => (e.length === 1 ? [...e, p] : [p]));
      return;
    }
    const screen = { x: event.clientX, y: event.clientY };
    const toDrawing = this.toDrawing();
    this.touching.set(event.pointerId, screen);
    this.svg().nativeElement.setPointerCapture(event.pointerId);
    if (this.touching.size === 2) {
      this.giveUp();
      const [a = screen, b = screen] = [...this.touching.values()];
      this.pinch = { ...fingers(a, b), frame: this.window(), toDrawing };
      return;
    }
    const handle = (event.target as Element).getAttribute('data-handle');
    const onLayer = this.movable() && onMoving(event);
    this.grip = {
      kind: handle !== null ? 'pull' : onLayer ? 'move' : 'pan',
      start: through(toDrawing, event),
      at: this.pose(),
      frame: this.window(),
      toDrawing,
      on: (event.target as Element).getAttribute('data-id'),
      handle,
      screen,
    };
    this.inHand.set(onLayer || handle !== null);
  }

  protected drag(event: PointerEvent): void {
    if (this.touching.has(event.pointerId)) this.touching.set(event.pointerId, { x: event.clientX, y: event.clientY });
    if (this.pinch) {
      this.spread(this.pinch);
      return;
    }
    if (!this.grip) return;
    const { start, at, kind, frame, toDrawing, handle } = this.grip;
    const p = through(toDrawing, event);
    if (kind === 'pan') {
      this.window.set({ ...frame, x: frame.x - (p.x - start.x), y: frame.y - (p.y - start.y) });
      return;
    }
    const side = this.mirrored() ? -1 : 1;
    const snapper = this.snapping() && !event.altKey ? this.snapper() : null;
    const reach = SNAP_REACH * (toDrawing?.a ?? 0);
    if (handle !== null) {
      const to = { x: hundredth(side * p.x), y: hundredth(p.y) };
      const snapped = snapper?.pull(handle, to, reach) ?? null;
      this.met.set(snapped);
      this.lastPull = snapped?.to ?? to;
      this.pulled.emit({ id: handle, to: this.lastPull, dropped: false });
      return;
    }
    const to = { ...at, x: hundredth(at.x + side * (p.x - start.x)), y: hundredth(at.y + p.y - start.y) };
    const snapped = snapper?.move(to, reach) ?? null;
    if (snapped || this.met()) this.met.set(snapped);
    this.last = snapped?.to ?? to;
    this.pose.set(this.last);
    this.moved.emit({ to: this.last, dropped: false });
  }

  /** The drawing follows two fingers: nearer, further, along. */
  private spread({ apart, middle, frame, toDrawing }: Pinch): void {
    const [a, b] = [...this.touching.values()];
    if (!a || !b) return;
    const now = fingers(a, b);
    this.window.set(zoomed(frame, apart / now.apart, throughPoint(toDrawing, middle), throughPoint(toDrawing, now.middle)));
  }

  protected up(event: PointerEvent): void {
    this.touching.delete(event.pointerId);
    if (this.pinch) {
      if (this.touching.size < 2) this.pinch = null;
      return;
    }
    const { grip } = this;
    if (grip?.on && Math.hypot(event.clientX - grip.screen.x, event.clientY - grip.screen.y) < CLICK) {
      const side = this.mirrored() ? -1 : 1;
      this.chosen.emit({ id: grip.on, at: { x: side * grip.start.x, y: grip.start.y } });
    }
    this.letGo();
  }

  /** A second finger came: what the first one held goes back to where it was. */
  private giveUp(): void {
    const { grip } = this;
    if (grip?.kind === 'move' && this.last) {
      this.pose.set(grip.at);
      this.moved.emit({ to: grip.at, dropped: true });
    }
    if (grip?.handle) this.pulled.emit({ id: grip.handle, to: null, dropped: true });
    this.last = null;
    this.lastPull = null;
    this.letGo();
  }

  private letGo(): void {
    if (this.grip?.kind === 'move' && this.last) this.moved.emit({ to: this.last, dropped: true });
    if (this.grip?.handle && this.lastPull) this.pulled.emit({ id: this.grip.handle, to: this.lastPull, dropped: true });
    this.grip = null;
    this.last = null;
    this.lastPull = null;
    this.met.set(null);
    this.inHand.set(false);
  }

  protected key(event: KeyboardEvent): void {
    const step = event.ctrlKey || event.metaKey ? STEPS.far : event.shiftKey ? STEPS.coarse : STEPS.fine;
    const ways: Record<string, Point> = {
      ArrowLeft: { x: -step, y: 0 },
      ArrowRight: { x: step, y: 0 },
      ArrowUp: { x: 0, y: -step },
      ArrowDown: { x: 0, y: step },
    };
    const way = ways[event.key];
    if (event.key === '+' || event.key === '=') this.zoom(1 / 1.25);
    else if (event.key === '-') this.zoom(1.25);
    else if (event.key === '0') this.showAll();
    else if (this.turnable() && this.movable() && (event.key === 'PageUp' || event.key === 'PageDown')) {
      event.preventDefault();
      this.turn((event.key === 'PageUp' ? -1 : 1) * (event.shiftKey ? TURNS.coarse : TURNS.fine));
    }
    if (!way) return;
    event.preventDefault();
    if (!this.movable() || event.altKey) {
      const f = this.window();
      const side = f.width / (event.shiftKey ? 3 : 12);
      this.window.set({ ...f, x: f.x + Math.sign(way.x) * side, y: f.y + Math.sign(way.y) * side });
      return;
    }
    const at = this.pose();
    const side = this.mirrored() ? -1 : 1;
    const to = { ...at, x: hundredth(at.x + side * way.x), y: hundredth(at.y + way.y) };
    this.pose.set(to);
    this.moved.emit({ to, dropped: true });
  }

  private turn(by: number): void {
    const at = this.pose();
    const to = { ...at, turn: hundredth(at.turn + (this.mirrored() ? -by : by)) };
    this.pose.set(to);
    this.moved.emit({ to, dropped: true });
  }

  private toDrawing(): DOMMatrix | null {
    return this.svg().nativeElement.getScreenCTM()?.inverse() ?? null;
  }
}

/** The classes of each line, in their order: worked out when lines change, not at every move of the hand. */
function looksOf(paths: readonly DrawnPath[], selected: string | null): readonly string[] {
  return paths.map((p) => `${p.kind}${p.loose ? ' loose' : ''}${p.chosen ? ' chosen' : ''}${p.id === selected ? ' selected' : ''}`);
}

function through(matrix: DOMMatrix | null, event: MouseEvent): Point {
  return throughPoint(matrix, { x: event.clientX, y: event.clientY });
}

function throughPoint(matrix: DOMMatrix | null, screen: Point): Point {
  if (!matrix) return { x: 0, y: 0 };
  const p = new DOMPoint(screen.x, screen.y).matrixTransform(matrix);
  return { x: p.x, y: p.y };
}

/** Positions are kept to 0.01 mm: a hundredth is finer than any template. */
function hundredth(mm: number): number {
  return Math.round(mm * 100) / 100;
}

/** Is the hand on what can be moved? A mark that lies on it does not take it out of the hand. */
function onMoving(event: PointerEvent): boolean {
  const target = event.target as Element;
  if (target.closest('[data-moving]')) return true;
  return target.closest('.mark') !== null && document.elementsFromPoint(event.clientX, event.clientY).some((e) => e.closest('[data-moving]'));
}
