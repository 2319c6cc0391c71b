import { PLANNED_SET, regionOf, type CutChoice } from '../check/index.js';
import { frameOfFace, toBody, type Anatomy, type Cavity, type Change, type Hole, type HoleKind } from '../instrument/index.js';
import type { Dimension } from '../measure/index.js';
import type { Settings } from '../operation/index.js';
import { bounds, grown, regionsOverlap, type Outline, type Point } from '../shape/index.js';
import { channelBetween } from './derive-route.js';

/** A cut that no part asks for, as a choice of the plan, or why there is none. */
export type PlannedCut = { readonly choice: CutChoice } | { readonly problem: CutProblem };
export type CutProblem = 'noLevel' | 'noEnds' | 'noPlate' | 'notDeeper' | 'otherFrame' | 'tooMany' | 'tooClose' | 'joined' | 'noOutline' | 'noThickness';

const base = (id: string, feature: string): Omit<CutChoice, 'work' | 'cut'> => ({
  kind: 'cut',
  id,
  place: { on: 'feature', feature },
  part: null,
  alternatives: [],
  count: 1,
});
const planned = { kind: 'planned' } as const;

/** A floor that is to be cut deeper: a neck pocket from 16 to 17.5. */
export function deepening(a: Anatomy, id: string, where: { readonly cavity: string; readonly level: string }, depth: number, s: Settings): PlannedCut {
  const level = a.cavities.find((c) => c.id === where.cavity)?.levels.find((p) => p.id === where.level);
  if (!level) return { problem: 'noLevel' };
  if (level.depth && depth <= level.depth.value) return { problem: 'notDeeper' };
  const to = { value: depth, limit: s.limitPlannedDepth, basis: planned };
  return {
    choice: {
      ...base(id, where.cavity),
      cut: 'deepen',
      work: [{ kind: 'deepenRoute', does: [{ kind: 'setDepth', cavity: where.cavity, level: where.level, depth: to }] }],
    },
  };
}

/** A channel for wires from one cavity to another of the same face, by the shortest way, joined on purpose. */
export function channelFor(
  a: Anatomy,
  id: string,
  ends: { readonly from: string; readonly to: string },
  size: { readonly width: number; readonly depth: number },
  s: Settings,
): PlannedCut {
  const [from, to] = [ends.from, ends.to].map((e) => a.cavities.find((c) => c.id === e));
  if (!from || !to || from === to || from.face !== to.face) return { problem: 'noEnds' };
  if (from.frame !== 'body') return { problem: 'otherFrame' };
  const region = (c: Cavity) => c.levels.map((p) => toBody(a, c.frame, p.outline.outline));
  const made = channelBetween(region(from), region(to), size.width);
  if ('problem' in made) return { problem: made.problem };
  const level = {
    id: `channel to ${to.id}`,
    set: 'planned',
    outline: { outline: made.outline, limit: s.limitTemplate, basis: planned, across: null, along: null },
    depth: { value: size.depth, limit: s.limitPlannedDepth, basis: planned },
    bored: false,
  };
  return {
    choice: {
      ...base(id, from.id),
      cut: 'channel',
      work: [{ kind: 'cutChannel', does: [{ kind: 'addLevels', cavity: from.id, levels: [level], joins: [to.id] }] }],
    },
  };
}

/** A relief to be planned: its id, the plate that sinks into it, the room around the plate, and how deep; null: as deep as the plate is thick; mm. */
export interface Relief {
  readonly id: string;
  readonly plate: string;
  readonly room: number;
  readonly depth: number | null;
}

/**
 * A relief that a plate sinks into until it lies flush, or by so much: its own edge with some room, joined on purpose with the cavities it lies over.
 * What hangs in the plate comes down with it. `depth` null: as deep as the plate is thick.
 */
export function relief(a: Anatomy, { id, plate, room, depth }: Relief, s: Settings): PlannedCut {
  const over = a.plates.find((p) => p.id === plate);
  if (!over) return { problem: 'noPlate' };
  const deep = depth ?? over.thickness?.value ?? null;
  if (deep === null) return { problem: 'noThickness' };
  const edge = [toBody(a, over.frame, over.outline.outline)];
  const [outline] = room > 0 ? grown(edge, room).outlines : edge;
  if (!outline) return { problem: 'noOutline' };
  const under = a.cavities.filter((c) => c.face === over.face && c.levels.length > 0 && regionsOverlap([outline], regionOf(a, c)));
  const sunk = (now: Dimension | undefined): Dimension => ({ value: (now?.value ?? 0) - deep, limit: s.limitPlannedDepth, basis: planned });
  const made = cavityFrom(id, { name: `Relief under ${over.name}`.slice(0, 120), kind: 'recess', face: over.face, outline, depth: deep }, s);
  return {
    choice: {
      ...base(id, plate),
      cut: 'relief',
      work: [
        {
          kind: 'cutCavity',
          does: [
            { kind: 'addCavity', cavity: under.length > 0 ? { ...made, joins: under.map((c) => c.id) } : made },
            ...a.positions.flatMap((p): Change[] => (p.plate === plate ? [{ kind: 'raisePickup', position: p.id, by: sunk(p.raised) }] : [])),
            ...under.flatMap((c): Change[] => (c.hiddenBy === plate ? [{ kind: 'raiseCover', cavity: c.id, by: sunk(c.raised) }] : [])),
          ],
        },
      ],
    },
  };
}

/** A cavity as it is drawn before there is one. */
export interface NewCavity {
  readonly name: string;
  readonly kind: Cavity['kind'];
  readonly face: Cavity['face'];
  /** In the body's frame. */
  readonly outline: Outline;
  readonly depth: number;
}

/** A cavity where none was, from a traced or typed outline. */
export function newCavity(id: string, drawn: NewCavity, s: Settings): PlannedCut {
  const b = bounds([drawn.outline]);
  const at = { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
  return {
    choice: {
      kind: 'cut',
      id,
      place: { on: 'face', face: drawn.face, at, hole: 'other' },
      part: null,
      alternatives: [],
      count: 1,
      cut: 'cavity',
      work: [{ kind: 'cutCavity', does: [{ kind: 'addCavity', cavity: cavityFrom(id, drawn, s) }] }],
    },
  };
}

function cavityFrom(id: string, { name, kind, face, outline, depth }: NewCavity, s: Settings): Cavity {
  const edge = { outline, limit: s.limitTemplate, basis: planned, across: null, along: null };
  const floor = { id: 'floor', set: PLANNED_SET, outline: edge, depth: { value: depth, limit: s.limitPlannedDepth, basis: planned }, bored: false };
  return { id: `${id} cavity`, name, kind, face, frame: frameOfFace(face), levels: [floor], hiddenBy: null, condition: 'sound' };
}

/** A row of holes: where the first goes, how far apart they are, and which way they run. */
export interface HoleRow {
  readonly kind: HoleKind;
  readonly face: 'top' | 'back';
  readonly first: Point;
  readonly pitch: number;
  readonly count: number;
  /** From the first one: across from bass to treble, or along towards the bridge. */
  readonly way: 'across' | 'along';
  readonly diameter: number;
  /** null: right through. */
  readonly depth: number | null;
}

/** More holes in one row are no row, and one is none. */
const MOST = 24;

/** Holes in a row, ferrules or strings: six of 7.9 at 10.4 from the first. They are drilled by one template and read from its first hole. */
export function holeRow(id: string, row: HoleRow, s: Settings): PlannedCut {
  if (row.count < 2 || row.count > MOST) return { problem: 'tooMany' };
  if (row.pitch <= row.diameter) return { problem: 'tooClose' };
  const holes = Array.from({ length: row.count }, (_, i): Hole => ({
    id: `${id} ${i + 1}`,
    name: `${row.kind} hole ${i + 1}`,
    kind: row.kind,
    face: row.face,
    frame: frameOfFace(row.face),
    at: row.way === 'across' ? { x: row.first.x + i * row.pitch, y: row.first.y } : { x: row.first.x, y: row.first.y + i * row.pitch },
    diameter: { value: row.diameter, limit: s.limitDrill, basis: planned },
    bare: null,
    through: row.depth === null,
    depth: row.depth === null ? null : { value: row.depth, limit: s.limitPlannedDepth, basis: planned },
    limit: s.limitTemplate,
    basis: planned,
    hiddenBy: null,
    condition: 'sound',
  }));
  return {
    choice: {
      kind: 'cut',
      id,
      place: { on: 'face', face: row.face, at: row.first, hole: row.kind },
      part: null,
      alternatives: [],
      count: row.count,
      cut: 'row',
      work: [{ kind: 'drillRow', does: holes.map((hole) => ({ kind: 'addHole', hole })) }],
    },
  };
}
