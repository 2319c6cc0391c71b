import type { Cavity, HoleFace, HoleKind, Level } from '../instrument/index.js';
import type { Act, Settings, WorkItem } from '../operation/index.js';
import { placeOutline, type Outline, type Placement, type Point } from '../shape/index.js';

/** One level of a route that is planned; its outline is in the route's own frame. */
export interface PlannedLevel {
  readonly id: string;
  readonly outline: Outline;
  /** mm below the face; of a bored place: the spur's tip. */
  readonly depth: number;
  readonly bored: boolean;
}

/** A route that is planned: where it lies in the body's frame, and its levels. Moving it changes only `at`. */
export interface PlannedRoute {
  readonly at: Placement;
  readonly levels: readonly PlannedLevel[];
  /** Cavities that it runs into on purpose, by their ids: no wall is asked for between them. */
  readonly joins?: readonly string[];
}

/** Anything that is wanted. What every choice has: the part for its place, and what else is thought of there. */
export interface Choice {
  readonly kind: string;
  /** Stable in its plan. */
  readonly id: string;
  /** null: nothing goes there; what is there comes out. */
  readonly part: string | null;
  readonly alternatives: readonly string[];
  /** What was there before goes in again: it lies on the bench and is not bought. */
  readonly returns?: true;
  /** What is routed for it. */
  readonly route?: PlannedRoute | null;
  /** What was found is filled before the new route is cut. */
  readonly fill?: boolean;
  /** How many go there; 1 of most. */
  readonly count?: number;
  /** What is done so that it goes in: to the wood, a plate, or the part itself. */
  readonly work?: readonly WorkItem[];
}

/** A pickup for one pickup place, and what is done so that it goes in. */
export interface PickupChoice extends Choice {
  readonly kind: 'pickup';
  readonly position: string;
  /** Is the window's insert to be in its place? */
  readonly insertFitted: boolean;
  readonly leadsNeeded: number;
  /** Its leads are to be turned round, or it is to be the upper one in series: its cover must have a ground of its own. */
  readonly coverApart?: boolean;
  readonly route: PlannedRoute | null;
}

/** Where a part that is no pickup goes: a feature of the instrument (of a plate also one of its screw places), or a new hole on a face. */
export type PlaceRef =
  | { readonly on: 'feature'; readonly feature: string; readonly screw?: number }
  | { readonly on: 'face'; readonly face: HoleFace; readonly at: Point; readonly hole: HoleKind };

/** Cuts that no part asks for by itself: a floor deeper, a channel from cavity to cavity, holes in a row, a relief that a plate sinks into, a cavity where none was. */
export const CUT_KINDS = ['deepen', 'channel', 'row', 'relief', 'cavity'] as const;
export type CutKind = (typeof CUT_KINDS)[number];

/** Any other part for its place. */
export interface HardwareChoice extends Choice {
  readonly kind: 'hardware';
  readonly place: PlaceRef;
  readonly count: number;
  /** By how much the part is cut shorter, mm. */
  readonly trim?: number;
  readonly work: readonly WorkItem[];
}

/** A cut by itself, with no part: its work is what was planned, and stays. */
export interface CutChoice extends Choice {
  readonly kind: 'cut';
  readonly cut: CutKind;
  readonly place: PlaceRef;
  readonly count: number;
  readonly work: readonly WorkItem[];
}

/** A job's plan: which part is to go to which place. */
export interface Plan {
  readonly format: 5;
  readonly choices: readonly Choice[];
}

/** The plan with one choice in the place of that of its id, or added to it. */
export function withChoice(plan: Plan, choice: Choice): Plan {
  const there = plan.choices.some((c) => c.id === choice.id);
  return { ...plan, choices: there ? plan.choices.map((c) => (c.id === choice.id ? choice : c)) : [...plan.choices, choice] };
}

/** The choice of that id; null where there is none. */
export function choiceOf(plan: Plan, id: string | null): Choice | null {
  return plan.choices.find((c) => c.id === id) ?? null;
}

export function isHardwareChoice(c: Choice): c is HardwareChoice {
  return c.kind === 'hardware';
}

export function isPickupChoice(c: Choice): c is PickupChoice {
  return c.kind === 'pickup';
}

export function isCutChoice(c: Choice): c is CutChoice {
  return c.kind === 'cut';
}

/** A choice that has a place of its own, on a feature or on a face. */
export type PlacedChoice = HardwareChoice | CutChoice;

export function isPlaced(c: Choice): c is PlacedChoice {
  return isHardwareChoice(c) || isCutChoice(c);
}

/** All that the work of a choice does, one act after the other. */
export function actsOfChoice(choice: { readonly work?: readonly WorkItem[] }): readonly Act[] {
  return (choice.work ?? []).flatMap((w) => w.does);
}

/** What a route runs into, as a change carries it. */
export function joinsOf({ joins }: PlannedRoute): { readonly joins?: readonly string[] } {
  return joins ? { joins } : {};
}

/** The set of the levels that an instrument came with. */
export const FOUND_SET = 'found';

/** The set of levels that a plan adds, until it is cut. */
export const PLANNED_SET = 'planned';

/** The levels of a planned route in the body's frame, with the limits of planned work. */
export function routeLevels(route: PlannedRoute, settings: Settings): readonly Level[] {
  return route.levels.map((p) => ({
    id: p.id,
    set: PLANNED_SET,
    outline: { outline: placeOutline(p.outline, route.at), limit: settings.limitTemplate, basis: { kind: 'planned' }, across: null, along: null },
    depth: { value: p.depth, limit: settings.limitPlannedDepth, basis: { kind: 'planned' } },
    bored: p.bored,
  }));
}

/** Is a planned level in the wood already? A cut level keeps its planned name, then a mark, and its very outline. */
export function isCut(cavity: Cavity, planned: Level): boolean {
  return cavity.levels.some(
    (p) => p.set.startsWith(`${PLANNED_SET} `) && p.id.startsWith(`${planned.id} `) && sameOutline(p.outline.outline, planned.outline.outline),
  );
}

function sameOutline(a: Outline, b: Outline): boolean {
  return (
    a.vertices.length === b.vertices.length &&
    a.vertices.every((v, i) => Math.hypot(v.x - (b.vertices[i]?.x ?? Infinity), v.y - (b.vertices[i]?.y ?? Infinity)) < 1e-6)
  );
}

/** Are two choices the same data, in whatever order their fields stand? */
export function sameChoice(a: Choice, b: Choice): boolean {
  return sameData(a, b);
}

/** Are two places the same, in whatever order their fields stand? */
export function samePlace(a: PlaceRef, b: PlaceRef): boolean {
  return sameData(a, b);
}

function sameData(a: unknown, b: unknown): boolean {
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return a === b;
  const keys = Object.keys(a);
  const of = (x: object, key: string): unknown => (x as Readonly<Record<string, unknown>>)[key];
  return keys.length === Object.keys(b).length && keys.every((k) => k in b && sameData(of(a, k), of(b, k)));
}
