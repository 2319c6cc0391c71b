import { isPickupChoice, type Choice, type PickupChoice, type PlanState, type PlannedRoute } from '../check/index.js';
import type { OrderRows } from '../order/index.js';
import type { WorkRows } from '../work/index.js';
import type { CuttingPlan } from '../cut/index.js';
import { setting, type Working } from '../measure/index.js';
import type { Act, CautionId, Operation, OperationKind, StepKind, Work } from '../operation/index.js';
import type { StateTarget, Target } from '../quantity/index.js';

/** A number on a card, large, with its sum behind it. */
export interface CardNumber {
  readonly label: string;
  readonly working: Working;
}

/** A depth to read before the step can be done, mm. */
export interface AskedDepth {
  readonly what: 'depth';
  /** What is read takes the place of what was planned. */
  readonly role: 'replaces';
  readonly expected: number;
  readonly limit: number;
  /** The level whose depth it is, once the operation is done. */
  readonly target: Target;
}

/** The least gap between the real part and the wood, read when it is tried, mm; null: nobody can say what it should be. */
export interface AskedGap {
  readonly what: 'gap';
  /** It stands beside what was planned. */
  readonly role: 'proves';
  /** The place that the part is tried in. */
  readonly target: Target;
  readonly expected: number | null;
  readonly limit: number;
}

/** The resistance of one coil of a new pickup, read before it is soldered, Ω; null: nobody can say what it should be. */
export interface AskedResistance {
  readonly what: 'resistance';
  /** It stands beside what its sheet says. */
  readonly role: 'proves';
  /** The place that the pickup goes to, and the coil. */
  readonly target: StateTarget;
  readonly expected: number | null;
  readonly limit: number;
}

/** What a step asks to be read before it is done. */
export type Asked = AskedDepth | AskedGap | AskedResistance;

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

/** A step as its operation writes it down. */
export type Draft = Omit<StepCard, 'key' | 'cautions' | 'rule'> & { readonly cautions?: readonly CautionId[] };

/** What is registered of gate and bench. */
export interface GateRows extends WorkRows, OrderRows {
  readonly cards: Readonly<Record<OperationKind, CardRow>>;
}

/** What the cards of an operation are written from. */
export interface CardContext {
  readonly rows: GateRows;
  readonly operation: Pick<Work, 'kind' | 'does' | 'at'> & Pick<Operation, 'own'>;
  readonly choice: Choice | null;
  /** The instrument as it is now, the shelf, the tools, the drawers. */
  readonly state: PlanState;
  /** The cavity that a pickup's route goes into. */
  readonly cavity: string;
  /** What is cut; null where nothing is routed. */
  readonly route: PlannedRoute | null;
  readonly cutting: CuttingPlan | null;
  readonly partName: string;
  /** The part has wires: they are soldered. */
  readonly wired: boolean;
  /** Limit of a depth read between passes, mm. */
  readonly depthLimit: number;
  /** The depth read last in this operation, mm; the rest is worked out from it. */
  readonly measured: number | null;
}

/** The cards of a kind of operation, in their fixed order; none: there is nothing to do. */
export interface CardRow {
  readonly kind: OperationKind;
  readonly cards: (c: CardContext) => readonly Draft[];
}

export const plain = (kind: StepKind, names: Draft['names'] = {}): Draft => ({ kind, numbers: [], names, asks: null });

/** A step with numbers. */
export const told = (kind: StepKind, numbers: readonly CardNumber[], names: Draft['names'] = {}): Draft => ({ kind, numbers, names, asks: null });

export const diameter = (mm: number): CardNumber => ({ label: 'drillDiameter', working: setting('drillDiameter', mm, 'plan') });

/** The real part is tried in its place. */
export const tried = (c: CardContext): Draft => plain('tryPart', { part: c.partName });

/** A depth that is to be read of a level. */
export function asksDepth(c: CardContext, cavity: string, level: string, expected: number): Asked {
  return { what: 'depth', role: 'replaces', expected, limit: c.depthLimit, target: { quantity: 'levelDepth', feature: cavity, part: level } };
}

/** Floors to be cut to a depth, each with the depth that is read of it. */
export function floorsTo(c: CardContext, acts: readonly Act[]): readonly Draft[] {
  const floors = acts.flatMap((act) => {
    if (act.kind === 'setDepth') return [{ cavity: act.cavity, level: act.level, depth: act.depth.value }];
    if (act.kind === 'addCavity') return act.cavity.levels.map((p) => ({ cavity: act.cavity.id, level: p.id, depth: p.depth?.value ?? 0 }));
    return act.kind === 'addLevels' ? act.levels.map((p) => ({ cavity: act.cavity, level: p.id, depth: p.depth?.value ?? 0 })) : [];
  });
  return floors.map((f): Draft => ({
    kind: 'deepenTo',
    numbers: [{ label: 'targetDepth', working: setting('targetDepth', f.depth, 'plan') }],
    names: floors.length > 1 ? { level: f.level } : {},
    asks: asksDepth(c, f.cavity, f.level, f.depth),
  }));
}

/** The choice as a pickup's; null where it is none. */
export function asPickup(choice: Choice | null): PickupChoice | null {
  return choice && isPickupChoice(choice) ? choice : null;
}
