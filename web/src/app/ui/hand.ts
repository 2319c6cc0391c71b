import type { Placement, Point } from '@rinnovo/core/shape';

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

/** What a hand came down on. */
export interface Grip {
  readonly start: Point;
  /** Where the moving layer was. */
  readonly at: Placement;
  readonly moves: boolean;
  /** The line that was gripped, and where on the screen: let go at once it is chosen. */
  readonly on: string | null;
  readonly handle: string | null;
  readonly screen: Point;
  /** From the screen to the drawing as it lay when it was gripped: asked once, so that a drag never waits for layout. */
  readonly toDrawing: DOMMatrix | null;
}

/** Nearer than this on the screen the hand meets a line, px. */
const SNAP_REACH = 7;
/** A hand that moved less than this on the screen clicked, px. */
const CLICK = 4;

/** Things smaller than this, in sizes of a mark, have no handles: nearer they have. */
const LEAST_ROOM = 2.2;

/** Handles where there is room for them and for a hand between them, with how far each reaches, mm. */
export function handlesWithRoom(handles: readonly PlanHandle[], mark: number): readonly (PlanHandle & { readonly reach: number })[] {
  return handles.filter((h) => h.room >= LEAST_ROOM * mark).map((h) => ({ ...h, reach: Math.min(1.6 * mark, 0.3 * h.room) }));
}

/** How far the hand reaches for a line, mm on the drawing. */
export function reachOf(grip: Grip): number {
  return SNAP_REACH * (grip.toDrawing?.a ?? 0);
}

/** Where the layer is when the hand that moves it is at `p`; `side` is −1 on a drawing seen mirrored. */
export function movedTo(grip: Grip, p: Point, side: 1 | -1): Placement {
  return { ...grip.at, x: hundredth(grip.at.x + side * (p.x - grip.start.x)), y: hundredth(grip.at.y + p.y - grip.start.y) };
}

/** The line that a hand clicked which came down and is let go; null after a drag. */
export function clickOf(grip: Grip, up: Point, side: 1 | -1): ClickedLine | null {
  if (grip.on === null || Math.hypot(up.x - grip.screen.x, up.y - grip.screen.y) >= CLICK) return null;
  return { id: grip.on, at: { x: side * grip.start.x, y: grip.start.y } };
}

/** Where an event on the screen is on the drawing. */
export function through(matrix: DOMMatrix | null, event: MouseEvent): Point {
  if (!matrix) return { x: 0, y: 0 };
  const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
  return { x: p.x, y: p.y };
}

/** Positions are kept to 0.01 mm: a hundredth is finer than any template. */
export function hundredth(mm: number): number {
  return Math.round(mm * 100) / 100;
}

/** Is the hand on what can be moved? A mark that lies on it does not take it out of the hand. */
export function onMoving(event: MouseEvent): boolean {
  const target = event.target as Element;
  if (target.closest('[data-moving]')) return true;
  return target.closest('.mark') !== null && document.elementsFromPoint(event.clientX, event.clientY).some((e) => e.closest('[data-moving]'));
}
