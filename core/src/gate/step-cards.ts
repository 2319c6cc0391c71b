import { PLANNED_SET, type PlannedRoute } from '../check/index.js';
import type { CuttingPlan } from '../cut/index.js';
import { setting, type Working } from '../measure/index.js';
import type { TrimmedPickup } from '../instrument/index.js';
import { OPERATIONS, type CautionId, type Operation, type OperationKind, type StepKind } from '../operation/index.js';
import type { DrillSize } from '../part/index.js';
import type { Rule, StepRule } from '../order/index.js';
import type { Target } from '../quantity/index.js';

/** A number on a card, large, with its sum behind it. */
export interface CardNumber {
  readonly label: string;
  readonly working: Working;
}

/** A depth to read before the step can be done, mm. */
export interface AskedDepth {
  readonly what: 'depth';
  readonly expected: number;
  readonly limit: number;
  /** The level whose depth it is, once the operation is done. */
  readonly target: Target;
}

/** The least gap between the real part and the wood, read when it is tried, mm; null: nobody can say what it should be. */
export interface AskedGap {
  readonly what: 'gap';
  readonly expected: number | null;
  readonly limit: number;
}

/** What a step asks to be read before it is done. */
export type Asked = AskedDepth | AskedGap;

/** One step on the bench. */
export interface StepCard {
  /** Stable within its operation: kind and number. */
  readonly key: string;
  readonly kind: StepKind;
  readonly cautions: readonly CautionId[];
  readonly numbers: readonly CardNumber[];
  /** What the sentence needs: the bit, the part, the pass. */
  readonly names: Readonly<Record<string, string | number>>;
  readonly asks: Asked | null;
  /** The rule that put the step here; null for the operation's own. */
  readonly rule: string | null;
}

export interface CardContext {
  /** What is cut; null where nothing is. */
  readonly route: PlannedRoute | null;
  readonly cutting: CuttingPlan | null;
  /** The drills that lead to a hole's new size, smallest first, and the size in the end, mm. */
  readonly steps: readonly DrillSize[];
  readonly final: number | null;
  /** Floors that are cut deeper, and to what depth, mm. */
  readonly deeper: readonly { readonly cavity: string; readonly level: string; readonly depth: number }[];
  /** Of holes in a row: how many, how far apart, which way. */
  readonly row: Readonly<Record<string, string | number>>;
  /** What is cut off a pickup; null where nothing is. */
  readonly trimmed: TrimmedPickup | null;
  readonly cavity: string;
  readonly partName: string;
  /** Limit of a depth read between passes, mm. */
  readonly depthLimit: number;
  /** The depth read last in this operation, mm; the rest is worked out from it. */
  readonly measured: number | null;
  /** The least room that the part should have in its route, mm; null where nothing says. */
  readonly gap: { readonly expected: number; readonly limit: number } | null;
}

type Draft = Omit<StepCard, 'key' | 'cautions' | 'rule'>;

const plain = (kind: StepKind, names: Draft['names'] = {}): Draft => ({ kind, numbers: [], names, asks: null });

const DRAFTS: Readonly<Record<OperationKind, (c: CardContext) => readonly Draft[]>> = {
  meterPart: (c) => [plain('meter', { part: c.partName })],
  removePart: () => [plain('slackenStrings'), plain('unsolder'), plain('takeOut')],
  takeOffInsert: () => [plain('takePlateOff')],
  tracePlate: () => [plain('mountPlate'), plain('traceOutline'), plain('takePlateOff')],
  fixTemplate: (c) => [
    {
      kind: 'layTemplate',
      numbers: c.route
        ? [
            { label: 'templateX', working: setting('templateX', c.route.at.x, 'plan') },
            { label: 'templateY', working: setting('templateY', c.route.at.y, 'plan') },
          ]
        : [],
      names: {},
      asks: null,
    },
  ],
  boreBulk: (c) => {
    const { boring, clearing } = c.cutting ?? {};
    if (!boring) return [];
    const bore: Draft = {
      kind: 'bore',
      numbers: [{ label: 'rimDepth', working: boring.rimDepth }],
      names: { bit: boring.bit.name, holes: boring.holes.length },
      asks: null,
    };
    if (!clearing) return [bore];
    const names = { bit: clearing.bit.name, leave: clearing.leave, passes: clearing.passes.length };
    return [bore, plain('changeBit', names), { kind: 'clearBulk', numbers: [{ label: 'rimDepth', working: clearing.to }], names, asks: null }];
  },
  routePasses: passesOf,
  boreWells: (c) =>
    (c.cutting?.wells ?? []).flatMap((w): Draft[] => {
      const tip = c.route?.levels.find((p) => p.id === w.level)?.depth ?? 0;
      const numbers = w.rimDepth ? [{ label: 'rimDepth', working: w.rimDepth }] : [];
      return [{ kind: 'bore', numbers, names: { bit: w.bit?.name ?? '', holes: 1 }, asks: asked(c, w.level, tip) }];
    }),
  testFit: (c) => [{ ...plain('tryPart', { part: c.partName }), asks: { what: 'gap', expected: c.gap?.expected ?? null, limit: c.gap?.limit ?? 0 } }],
  fitPart: (c) => [plain('fit', { part: c.partName }), plain('solder', { part: c.partName })],
  removeHardware: () => [plain('takeHardwareOut')],
  openHole: (c) => [
    plain('scratchFinish'),
    plain('backBoard'),
    ...c.steps.map((s): Draft => ({ kind: 'openTo', numbers: [diameter(s.diameter)], names: { bit: s.name }, asks: null })),
    plain('tryPart', { part: c.partName }),
  ],
  plugHole: (c) => [
    ...c.steps.map((s): Draft => ({ kind: 'boreForPlug', numbers: [diameter(s.diameter)], names: { bit: s.name }, asks: null })),
    plain('gluePlug'),
    plain('waitForGlue'),
    plain('levelPlug'),
  ],
  drillHole: (c) => [
    plain('backBoard'),
    { kind: 'drillNew', numbers: c.final === null ? [] : [diameter(c.final)], names: { bit: '' }, asks: null },
    plain('tryPart', { part: c.partName }),
  ],
  fitSleeve: (c) => [plain('pressSleeve', { part: c.partName })],
  deepenRoute: (c) => [plain('unplug'), ...c.deeper.map((d) => deepenTo(c, d))],
  fitSpacer: () => [plain('setSpacer')],
  trimPart: (c) => [plain('cutDown', { part: c.partName, ...c.trimmed })],
  fillRoute: () => [plain('fillIn'), plain('waitForGlue'), plain('levelPlug')],
  makePlate: (c) => [plain('cutPlate', { part: c.partName })],
  openWindow: (c) => [plain('fileWindow', { part: c.partName }), plain('tryPart', { part: c.partName })],
  widenCavity: (c) => [plain('unplug'), plain('widenTo', { part: c.partName }), plain('tryPart', { part: c.partName })],
  openSlot: (c) => [plain('openSlotTo', { part: c.partName }), plain('tryPart', { part: c.partName })],
  deepenBore: (c) => [
    {
      kind: 'boreDeeper',
      numbers: c.final === null ? [] : [{ label: 'targetDepth', working: setting('targetDepth', c.final, 'plan') }],
      names: {},
      asks: null,
    },
    plain('tryPart', { part: c.partName }),
  ],
  fitHardware: (c) => [plain('fitHardware', { part: c.partName })],
  putInsertBack: () => [plain('putInsert')],
  takeSpacerOut: () => [plain('takeSpacer')],
  refitPlate: () => [plain('putPlateBack')],
  takeSleeveOut: () => [plain('pullSleeve')],
  cutChannel: (c) => [plain('markOut'), plain('unplug'), ...c.deeper.map((d) => deepenTo(c, d))],
  cutCavity: (c) => [plain('layOutline'), plain('unplug'), ...c.deeper.map((d) => deepenTo(c, d)), plain('tryPart', { part: '' })],
  drillRow: (c) => [
    plain('markOut', c.row),
    plain('backBoard'),
    ...c.steps.map((s): Draft => ({ kind: 'drillRowTo', numbers: [diameter(s.diameter)], names: { bit: s.name, ...c.row }, asks: null })),
  ],
};

function deepenTo(c: CardContext, d: CardContext['deeper'][number]): Draft {
  return {
    kind: 'deepenTo',
    numbers: [{ label: 'targetDepth', working: setting('targetDepth', d.depth, 'plan') }],
    names: c.deeper.length > 1 ? { level: d.level } : {},
    asks: { what: 'depth', expected: d.depth, limit: c.depthLimit, target: { quantity: 'levelDepth', feature: d.cavity, part: d.level } },
  };
}

const diameter = (mm: number): CardNumber => ({ label: 'drillDiameter', working: setting('drillDiameter', mm, 'plan') });

function passesOf(c: CardContext): readonly Draft[] {
  const { passes, templateOffAfter } = c.cutting?.passes ?? { passes: [], templateOffAfter: null };
  const bit = c.cutting?.bit?.bit.name ?? '';
  return passes.flatMap((p, i): Draft[] => {
    const first = i === 0 ? [plain('changeBit', { bit })] : [];
    const off = templateOffAfter !== null && p.from === templateOffAfter ? [plain('templateOff', { depth: p.from })] : [];
    const names = { bit, pass: i + 1, of: passes.length, depth: p.to, guide: p.guide };
    const setUps = [
      { label: 'projection', working: p.setUps.projection },
      { label: 'overStraightEdge', working: p.setUps.overStraightEdge },
      { label: 'finishedDepth', working: p.setUps.finished },
      ...(c.measured !== null && c.measured < p.to ? [{ label: 'remainingDepth', working: remainingDepth(p.to, c.measured) }] : []),
    ];
    const floors = (c.route?.levels ?? []).filter((q) => !q.bored && Math.abs(q.depth - p.to) < 1e-6).map((q) => q.id);
    const read = floors.length > 0 ? floors : p.levels.slice(0, 1);
    return [
      ...first,
      ...off,
      { kind: 'setDepth', numbers: setUps, names, asks: null },
      { kind: 'cut', numbers: [{ label: 'projection', working: p.setUps.projection }], names, asks: null },
      ...read.map((level): Draft => ({ kind: 'measureDepth', numbers: [], names: { ...names, level }, asks: asked(c, level, p.to) })),
    ];
  });
}

function asked(c: CardContext, level: string, expected: number): Asked {
  return { what: 'depth', expected, limit: c.depthLimit, target: { quantity: 'levelDepth', feature: c.cavity, part: level } };
}

/** The cards of an operation in their fixed order, with the steps that step rules put in. */
export function stepCards(operation: Operation, context: CardContext, rules: readonly Rule[]): readonly StepCard[] {
  const stepRules = rules.filter((r): r is StepRule => r.type === 'step' && r.kinds.includes(operation.kind));
  const cautions = OPERATIONS[operation.kind].cautions;
  const drafts = DRAFTS[operation.kind](context).flatMap((d) => {
    const rule = stepRules.find((r) => r.before.includes(d.kind));
    const own = { ...d, rule: null as string | null };
    return rule ? [{ ...plain(rule.insert), rule: rule.id }, own] : [own];
  });
  return dedupe(drafts).map((d, i) => ({
    ...d,
    key: `${i + 1} ${d.kind}`,
    cautions: i === 0 || d.kind === 'cut' || d.kind === 'bore' || d.kind === 'clearBulk' ? cautions : [],
  }));
}

/** The same inserted step twice running is once. */
function dedupe<T extends { readonly kind: StepKind; readonly rule: string | null }>(drafts: readonly T[]): readonly T[] {
  return drafts.filter((d, i) => {
    if (d.rule === null) return true;
    const before = drafts[i - 1];
    const beforeThat = drafts[i - 2];
    const same = (x: T | undefined): boolean => x?.kind === d.kind && x.rule === d.rule;
    return !same(before) && !(same(beforeThat) && before?.kind === 'changeBit');
  });
}

/** The wood still to take after a depth was read, mm: target − measured. */
export function remainingDepth(target: number, measured: number): Working {
  return {
    op: 'sum',
    label: 'remainingDepth',
    terms: [
      { sign: 1, of: setting('targetDepth', target, 'plan') },
      { sign: -1, of: setting('depthMeasured', measured, 'reading') },
    ],
  };
}

/** The set that planned levels get once they are cut. */
export function cutSetOf(decision: string): string {
  return `${PLANNED_SET} ${decision}`;
}
