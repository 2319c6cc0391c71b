import { actsOfChoice, type Evaluation, type Choice, type Plan, type PlanState, type Verdict } from '../check/index.js';
import type { Act } from '../operation/index.js';
import { placementOf, type Anatomy, type Hole } from '../instrument/index.js';
import { setting, sum, type Working } from '../measure/index.js';
import { drillPoint, type DrillSize, type Lack } from '../part/index.js';
import { circle, gapInside, placePoint, type Point } from '../shape/index.js';
import { holeSteps, newHoleSteps } from './hole-steps.js';

/** What is to be heeded at a hole. */
export type WatchFor = 'scratchFinish' | 'backBoard' | 'nearEdge' | 'inSight' | 'curePlug';

/** One hole of the job: where it is, how large it gets and by which drills, and where the stop goes, mm. */
export interface HoleLine {
  readonly hole: string;
  readonly name: string;
  readonly face: Hole['face'];
  readonly choice: string;
  readonly at: Point;
  readonly work: 'new' | 'open' | 'plugAndDrill' | 'moved' | 'close' | 'deepen';
  /** As it is now; null where none is. */
  readonly now: number | null;
  readonly finished: number | null;
  /** In bare wood, where a finish is still to come: the film closes it by twice its thickness. */
  readonly bare: Working | null;
  readonly through: boolean;
  readonly depth: number | null;
  /** Where the flag on the drill goes, from its tip: the depth and the point that is ahead of it. */
  readonly stop: Working | null;
  readonly drills: readonly DrillSize[];
  readonly lacks: readonly Lack[];
  readonly watchFor: readonly WatchFor[];
}

/** Nearer to the edge than this a hole wants a block clamped beside it, mm [memory]. */
const NEAR_EDGE = 10;

/** Every hole that a plan, evaluated, makes, opens, plugs, moves or deepens, in the order of its choices. */
export function holeTable(state: PlanState, plan: Plan, { anatomy: after, verdicts }: Evaluation): readonly HoleLine[] {
  return plan.choices.flatMap((choice) => linesOf(state, after, verdicts, choice));
}

function linesOf(state: PlanState, after: Anatomy, verdicts: readonly Verdict[], choice: Choice): readonly HoleLine[] {
  const { anatomy } = state;
  const touched = new Set<string>();
  for (const w of actsOfChoice(choice)) {
    if ((w.kind === 'sizeHole' && w.by === 'drill') || w.kind === 'moveHole' || w.kind === 'closeHole' || w.kind === 'deepenHole') touched.add(w.hole);
    if (w.kind === 'addHole') touched.add(w.hole.id);
  }
  return [...touched].flatMap((id) => {
    const hole = after.holes.find((h) => h.id === id);
    return hole ? [lineOf(state, hole, anatomy.holes.find((h) => h.id === id) ?? null, choice, verdicts)] : [];
  });
}

function lineOf(state: PlanState, hole: Hole, was: Hole | null, choice: Choice, verdicts: readonly Verdict[]): HoleLine {
  const { settings, tools, anatomy } = state;
  const did = (f: (w: Act) => boolean): boolean => actsOfChoice(choice).some((w) => 'hole' in w && w.hole === hole.id && f(w));
  const plugged = did((w) => w.kind === 'closeHole') && hole.condition !== 'plugged';
  const work: HoleLine['work'] =
    was === null
      ? 'new'
      : hole.condition === 'plugged'
        ? 'close'
        : did((w) => w.kind === 'moveHole')
          ? 'moved'
          : plugged
            ? 'plugAndDrill'
            : did((w) => w.kind === 'deepenHole')
              ? 'deepen'
              : 'open';
  const finished = hole.diameter?.value ?? null;
  const fresh = work === 'new' || work === 'moved' || work === 'plugAndDrill';
  const steps =
    finished === null || work === 'close' || work === 'deepen'
      ? null
      : fresh
        ? newHoleSteps(finished, tools)
        : holeSteps(was?.diameter?.value ?? 0, finished, tools);
  const at = placePoint(hole.at, placementOf(anatomy, hole.frame));
  const depth = hole.through ? null : (hole.depth?.value ?? null);
  const { outline } = anatomy.body;
  const onFace = hole.face === 'top' || hole.face === 'back';
  const edge = outline && onFace && finished !== null ? gapInside([circle(finished, at)], [outline.outline]).clearance : Infinity;
  const seen = verdicts.some((v) => v.choice === choice.id && v.check === 'hidesHole' && (v.class === 'clashes' || v.class === 'tooClose'));
  const watchFor: WatchFor[] = [
    ...(work === 'open' && onFace ? (['scratchFinish'] as const) : []),
    ...(plugged || work === 'moved' ? (['curePlug'] as const) : []),
    ...(hole.through && work !== 'close' ? (['backBoard'] as const) : []),
    ...(edge < NEAR_EDGE ? (['nearEdge'] as const) : []),
    ...(seen || (onFace && work === 'close' && hole.hiddenBy === null) ? (['inSight'] as const) : []),
  ];
  return {
    hole: hole.id,
    name: hole.name,
    face: hole.face,
    choice: choice.id,
    at,
    work,
    now: was?.condition === 'plugged' ? null : (was?.diameter?.value ?? null),
    finished,
    bare:
      finished === null
        ? null
        : sum('bareDiameter', [1, setting('finished', finished, 'plan')], [1, setting('film', 2 * settings.filmThickness, 'filmThickness')]),
    through: hole.through,
    depth,
    stop:
      depth === null || finished === null
        ? null
        : sum('stopFromTip', [1, setting('targetDepth', depth, 'plan')], [1, setting('drillPoint', drillPoint(finished), 'tool')]),
    drills: steps?.drills ?? [],
    lacks: steps?.lacks ?? [],
    watchFor,
  };
}
