import { bounds, regionContains, gapInside, circle } from '../shape/index.js';
import { leaf, sum, valueOf, worstCase, type Dimension, type Working } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import type { Anatomy } from './anatomy.js';
import { fretDistance } from './frets.js';
import { toBody } from './frame.js';
import type { NeckJoint } from './neck-joint.js';
import { scaleWays } from './scale-ways.js';
import { solvePositions } from './solve-positions.js';

export type DoubtId =
  | 'boardBeyondBridge'
  | 'fretsShortOfBody'
  | 'stringsOffNut'
  | 'stringsOffBridge'
  | 'deeperThanBody'
  | 'pocketAgainstHeel'
  | 'holeAtEdge'
  | 'cavityOutside'
  | 'chainOpen'
  | 'bareSmaller'
  | 'angleTooSteep'
  | 'angleForward'
  | 'angleForJoint'
  | 'scaleWays';

/** Two facts that cannot both be true, or hardly. `by` says how far they are apart, mm: below 0 they contradict one another. */
export interface Doubt {
  readonly id: DoubtId;
  /** Stable: the rule and what it is about. */
  readonly key: string;
  readonly features: readonly string[];
  readonly by: Working;
  /** The technician looked at it and said that it is so. */
  readonly insisted: boolean;
}

type Rule = (a: Anatomy, joint: NeckJoint | null) => readonly Omit<Doubt, 'insisted'>[];

const SCALE: Target = { quantity: 'scaleLength', feature: 'neck' };
const MOUTH: Target = { quantity: 'nutToMouth', feature: 'neck' };
const plain = (value: number): Dimension => ({ value, limit: 0, basis: { kind: 'default' } });

/** A rule that holds while a sum is not below 0 by more than its limits. */
function unless(id: DoubtId, features: readonly string[], by: Working, slack = 0): readonly Omit<Doubt, 'insisted'>[] {
  return valueOf(by) < -slack ? [{ id, key: [id, ...features].join('/'), features, by }] : [];
}

/** The last fret lies before the bridge, and beyond the body's edge unless the joint is far up the neck. */
const boardAgainstScale: Rule = ({ neck }) => {
  if (!neck.scale || !neck.nutToMouth) return [];
  const last = { ...plain(fretDistance(neck.scale.value, neck.frets)), limit: neck.scale.limit };
  const pastMouth = sum(
    'fretPastMouth',
    [1, leaf('lastFret', last)],
    [-1, leaf('nutToMouth', neck.nutToMouth, MOUTH)],
    [1, leaf('boardPlay', plain(BOARD_PLAY))],
  );
  const scaleLeft = sum('scaleLeft', [1, leaf('scaleLength', neck.scale, SCALE)], [-1, leaf('nutToMouth', neck.nutToMouth, MOUTH)]);
  return [...unless('fretsShortOfBody', ['neck'], pastMouth), ...unless('boardBeyondBridge', ['neck'], scaleLeft)];
};

/** How far short of the neck joint a board may end: some joints lie under the first frets past the body [memory], mm. */
const BOARD_PLAY = 60;

/** Outer strings lie on the nut, and within the bridge. */
const stringsAgainstWidths: Rule = (a) => {
  const { spreadAtNut, spreadAtSaddles } = a.strings;
  const nut =
    spreadAtNut && a.neck.nutWidth
      ? unless(
          'stringsOffNut',
          ['neck'],
          sum(
            'nutLeft',
            [1, leaf('nutWidth', a.neck.nutWidth, { quantity: 'nutWidth', feature: 'neck' })],
            [-1, leaf('spreadAtNut', spreadAtNut, { quantity: 'spreadAtNut', feature: 'strings' })],
          ),
        )
      : [];
  const bridge = a.plates
    .filter((p) => p.kind === 'bridge')
    .flatMap((p) => {
      if (!spreadAtSaddles) return [];
      const b = bounds([toBody(a, p.frame, p.outline.outline)]);
      const width = { ...plain(b.maxX - b.minX), limit: 2 * p.outline.limit };
      return unless(
        'stringsOffBridge',
        [p.id],
        sum(
          'bridgeLeft',
          [1, leaf('outlineWidth', width)],
          [-1, leaf('spreadAtSaddles', spreadAtSaddles, { quantity: 'spreadAtSaddles', feature: 'strings' })],
        ),
      );
    });
  return [...nut, ...bridge];
};

const depthAgainstBody: Rule = (a) => {
  const t = a.body.thickness;
  if (!t) return [];
  return a.cavities.flatMap((c) =>
    c.levels.flatMap((p) =>
      p.depth
        ? unless(
            'deeperThanBody',
            [c.id, p.id],
            sum(
              'woodLeft',
              [1, leaf('bodyThickness', t, { quantity: 'bodyThickness', feature: 'body' })],
              [-1, leaf('levelDepth', p.depth, { quantity: 'levelDepth', feature: c.id, part: p.id })],
            ),
          )
        : [],
    ),
  );
};

/** A board and its pocket are near one another in width; a set neck's tenon is narrower, so only a pocket far wider is doubted [memory]. */
const LEVEL_WIDER = 4;

const pocketAgainstHeel: Rule = (a) => {
  const end = a.neck.endWidth;
  if (!end) return [];
  return a.cavities
    .filter((c) => c.kind === 'neck pocket')
    .flatMap((c) => {
      const b = bounds(c.levels.map((p) => toBody(a, c.frame, p.outline.outline)));
      const width = { ...plain(b.maxX - b.minX), limit: 2 * Math.max(...c.levels.map((p) => p.outline.limit)) };
      return unless(
        'pocketAgainstHeel',
        [c.id],
        sum(
          'heelPlay',
          [1, leaf('boardEndWidth', end, { quantity: 'boardEndWidth', feature: 'neck' })],
          [-1, leaf('outlineWidth', width)],
          [1, leaf('pocketPlay', plain(LEVEL_WIDER))],
        ),
      );
    });
};

/** A hole of the body lies in its wood, its rim too. */
const holesInWood: Rule = (a) => {
  const body = a.body.outline;
  if (!body) return [];
  return a.holes
    .filter((h) => (h.face === 'top' || h.face === 'back') && h.diameter)
    .flatMap((h) => {
      const rim = toBody(a, h.frame, circle(h.diameter?.value ?? 0, h.at));
      const gap = gapInside([rim], [body.outline]).clearance;
      return unless('holeAtEdge', [h.id], leaf('edgeLeft', { value: gap, limit: body.limit + h.limit, basis: body.basis }));
    });
};

/** A cavity begins in the wood: one whose middle is beside the body was placed wrong. A neck pocket is open at its mouth. */
const cavitysInWood: Rule = (a) => {
  const body = a.body.outline;
  if (!body) return [];
  return a.cavities.flatMap((c) => {
    const b = bounds(c.levels.map((p) => toBody(a, c.frame, p.outline.outline)));
    const middle = { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
    if (regionContains([body.outline], middle)) return [];
    const out = bounds([body.outline]);
    const off = Math.max(out.minX - middle.x, middle.x - out.maxX, out.minY - middle.y, middle.y - out.maxY, 0.01);
    return unless('cavityOutside', [c.id], leaf('edgeLeft', { value: -off, limit: body.limit, basis: body.basis }));
  });
};

/** A film makes a hole narrower, never wider. */
const filmInHole: Rule = (a) =>
  a.holes.flatMap((h) =>
    h.bare && h.diameter
      ? unless(
          'bareSmaller',
          [h.id],
          sum(
            'filmLeft',
            [1, leaf('bareDiameter', h.bare, { quantity: 'bareDiameter', feature: h.id })],
            [-1, leaf('holeDiameter', h.diameter, { quantity: 'holeDiameter', feature: h.id })],
          ),
          h.bare.limit + h.diameter.limit,
        )
      : [],
  );

/** How high strings stand over a body's top at the bridge at most, and how far a board's plane may sink below it there [memory], mm. */
const MOST_RISE = 32;
const MOST_SINK = 8;

/** Steeper than this a neck of such a joint hardly is, degrees [trade]. */
const STEEPEST: Readonly<Record<NeckJoint, number>> = { bolted: 3, set: 6 };
/** A scale and a joint that nobody measured, mm [memory]. */
const USUAL_SCALE = { value: 640, limit: 15, basis: { kind: 'default' } } as const;
const USUAL_MOUTH = { value: 390, limit: 20, basis: { kind: 'default' } } as const;

/** The board's plane rises towards the bridge by the neck's angle: Δh = D·tan θ [law]. 5° over 240 mm is 21.0. By its joint it is steep sooner: what it rises too much. */
const angleAgainstRise: Rule = ({ neck }, joint) => {
  const { angle } = neck;
  if (!angle || (joint === null && (!neck.scale || !neck.nutToMouth))) return [];
  const [scale, nutToMouth] = [neck.scale ?? USUAL_SCALE, neck.nutToMouth ?? USUAL_MOUTH];
  const beyond = scale.value - nutToMouth.value;
  const tan = Math.tan((angle.value * Math.PI) / 180);
  const limit = Math.abs(tan) * (scale.limit + nutToMouth.limit) + (beyond * (1 + tan * tan) * angle.limit * Math.PI) / 180;
  const rise = leaf('angleRise', { value: beyond * tan, limit, basis: angle.basis });
  if (joint && angle.value > STEEPEST[joint]) {
    const most = beyond * Math.tan((STEEPEST[joint] * Math.PI) / 180);
    return unless('angleForJoint', ['neck'], sum('riseLeft', [1, leaf('riseForJoint', plain(most))], [-1, rise]));
  }
  return [
    ...unless('angleTooSteep', ['neck'], sum('riseLeft', [1, leaf('mostRise', plain(MOST_RISE))], [-1, rise])),
    ...unless('angleForward', ['neck'], sum('sinkLeft', [1, rise], [1, leaf('mostSink', plain(MOST_SINK))])),
  ];
};

/** Two ways to the scale, or one and what is stated, that do not agree within what each may be off. */
const scaleByAllWays: Rule = ({ neck }) => {
  const stated = neck.scale ? [{ way: 'stated' as const, working: leaf('scaleLength', neck.scale, SCALE) }] : [];
  const ways = [...stated, ...scaleWays(neck)];
  return ways.flatMap((a, i) =>
    ways.slice(i + 1).flatMap((b) => {
      const apart: Working = { op: 'abs', label: 'scalesApart', of: sum('scaleDifference', [1, a.working], [-1, b.working]) };
      const most = plain(worstCase(a.working) + worstCase(b.working));
      return unless('scaleWays', ['neck', a.way, b.way], sum('scalesAgree', [1, leaf('scaleAllowed', most)], [-1, apart]));
    }),
  );
};

/** A chain of measured distances that does not close beyond its limits. */
const chainsClose: Rule = (a) => {
  const [worst] = solvePositions(a).suspects;
  if (!worst) return [];
  const d = a.distances.find((x) => x.id === worst.distance);
  const off = { value: worst.allowed - Math.abs(worst.residual), limit: 0, basis: { kind: 'stated' as const } };
  return d ? unless('chainOpen', [d.id], leaf('chainLeft', off)) : [];
};

const RULES: readonly Rule[] = [
  boardAgainstScale,
  stringsAgainstWidths,
  depthAgainstBody,
  pocketAgainstHeel,
  holesInWood,
  cavitysInWood,
  filmInHole,
  angleAgainstRise,
  scaleByAllWays,
  chainsClose,
];

/** Every doubt about an anatomy whose neck is joined so (null: nobody knows), each with its sum; what was insisted on is marked, not left out. */
export function doubtsOf(a: Anatomy, joint: NeckJoint | null = null): readonly Doubt[] {
  const insisted = new Set(a.insisted.map((i) => i.doubt));
  return RULES.flatMap((rule) => [...rule(a, joint)]).map((d) => ({ ...d, insisted: insisted.has(d.key) }));
}
