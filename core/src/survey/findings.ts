import { STATES, type PlaceKind, type StateId } from '../quantity/index.js';
import type { Look } from './condition.js';
import { chainOf, waitsFor } from './inspection.js';
import { placesOf } from './places.js';
import type { RuleId, Severity } from './rule-ids.js';
import { RULES, type Rule } from './rules.js';
import type { StateOf, StateReading } from './state-of.js';

/** A judgement from readings. */
export interface Finding {
  readonly rule: RuleId;
  readonly severity: Severity;
  readonly evidence: readonly StateReading[];
  /** The finding that this one comes from, the furthest upstream; null where it stands by itself, or where it may come from several. */
  readonly cause: RuleId | null;
  /** What it may come from, where nothing that was read settles it: two or more are a tie. */
  readonly may: readonly RuleId[];
  /** What is read to tell them apart, first things first. */
  readonly separate: readonly StateId[];
  /** What comes from this one, in the order of the rules. */
  readonly explains: readonly RuleId[];
  /** What must be put right before this can be judged. */
  readonly waitsFor: StateReading | null;
}

/** A rule that holds, with what speaks for it. */
interface Held {
  readonly rule: Rule;
  readonly evidence: readonly StateReading[];
}

const WEIGHT: Readonly<Record<Severity, number>> = { stop: 0, 'put right': 1, watch: 2, leave: 3 };
const ROWS: ReadonlyMap<RuleId, Rule> = new Map(RULES.map((r) => [r.id, r]));

/**
 * Everything that the readings say is outside, first causes before what they explain, the gravest first.
 * Relief of 0.60 with action 2.4 and a buzz from the 12th up is one cause with two consequences.
 */
export function findingsOf(state: StateOf): readonly Finding[] {
  const held = RULES.flatMap((rule): readonly Held[] => {
    const evidence = rule.when.holds(state);
    return evidence.length > 0 ? [{ rule, evidence }] : [];
  });
  const found = new Map(held.map((h) => [h.rule.id, h]));
  const settled = new Map(held.map((h) => [h.rule.id, settle(h, found, state)]));
  const findings = held.map(({ rule, evidence }): Finding => {
    const { cause = null, may = [], separate = [] } = settled.get(rule.id) ?? {};
    const waits = rule.quantity ? waitsFor(rule.quantity, state) : null;
    return {
      rule: rule.id,
      severity: rule.severity,
      evidence,
      cause,
      may,
      separate,
      explains: held.flatMap((h) => (settled.get(h.rule.id)?.cause === rule.id ? [h.rule.id] : [])),
      waitsFor: waits && !evidence.includes(waits) ? waits : null,
    };
  });
  return [...findings].sort((a, b) => Number(a.cause !== null) - Number(b.cause !== null) || WEIGHT[a.severity] - WEIGHT[b.severity]);
}

type Settled = Pick<Finding, 'cause' | 'may' | 'separate'>;

/** What a finding comes from: the first cause that holds; of causes that hold and of which none is upstream of the other, all; where none holds, those that nobody ruled out. */
function settle(h: Held, found: ReadonlyMap<RuleId, Held>, state: StateOf): Settled {
  const holding = rootsOf(h, found, new Set([h.rule.id]));
  if (holding.length > 0) {
    const furthest = Math.min(...holding.map(rankOf));
    const rivals = holding.filter((x) => rankOf(x) === furthest || rankOf(x) === Infinity);
    const [only, another] = rivals;
    if (only && !another) return { cause: only.rule.id, may: [], separate: [] };
    return { cause: null, may: rivals.map((x) => x.rule.id), separate: numbersFirst(rivals.flatMap((x) => quantitiesOf(x.rule.when.looks))) };
  }
  const open = h.rule.causes.flatMap((id) => {
    const row = ROWS.get(id);
    const unread = row && canHold(row, state) ? row.when.looks.filter((look) => !isRead(look, h.evidence, state)) : [];
    const asked = unread.length > 0 && !unread.some((look) => STATES[look.quantity].note);
    return asked ? [{ id, unread }] : [];
  });
  return { cause: null, may: open.map((o) => o.id), separate: [...new Set(open.flatMap((o) => quantitiesOf(o.unread)))] };
}

/** The furthest upstream of what a finding comes from: each cause that holds at its places, followed as far as it goes. */
function rootsOf(h: Held, found: ReadonlyMap<RuleId, Held>, seen: ReadonlySet<RuleId>): readonly Held[] {
  const roots = h.rule.causes.flatMap((id) => {
    const cause = found.get(id);
    if (!cause || seen.has(id) || !coversPlaces(cause.evidence, h.evidence)) return [];
    const further = rootsOf(cause, found, new Set([...seen, id]));
    return further.length > 0 ? further : [cause];
  });
  return [...new Set(roots)];
}

/** What is alike of all places of one kind: a slot of string 3 explains nothing on strings 1 and 2. */
const OF_PLACES: readonly PlaceKind[] = ['string', 'pickup', 'pickup side'];

function placesIn(evidence: readonly StateReading[], kind: PlaceKind): readonly string[] {
  const alike = kind === 'pickup side' ? 'pickup' : kind;
  return evidence.flatMap(({ target }) => {
    const { of } = STATES[target.quantity];
    return (of === 'pickup side' ? 'pickup' : of) === alike ? [target.feature] : [];
  });
}

function coversPlaces(cause: readonly StateReading[], of: readonly StateReading[]): boolean {
  return OF_PLACES.every((kind) => {
    const [has, wants] = [placesIn(cause, kind), placesIn(of, kind)];
    return has.length === 0 || wants.every((place) => has.includes(place));
  });
}

/** Where in the order of judging a finding stands; what has no place in it is beside all of it. */
function rankOf({ rule }: Held): number {
  return rule.quantity === null ? Infinity : chainOf(rule.quantity);
}

/** Can it be on this instrument at all: has it the places that are looked at? */
function canHold({ when }: Rule, state: StateOf): boolean {
  return when.looks.every((look) => placesLooked(look, state).length > 0) && (when.on?.(state) ?? true);
}

const placesLooked = ({ quantity, feature }: Look, { surveyed }: StateOf) =>
  placesOf(quantity, surveyed).filter((p) => feature === undefined || p.feature === feature);

/** Was it read where it matters: at each of the strings or pickups that it would have to explain, else anywhere? */
function isRead(look: Look, evidence: readonly StateReading[], state: StateOf): boolean {
  const places = placesLooked(look, state);
  const wanted = placesIn(evidence, STATES[look.quantity].of);
  const here = places.filter((p) => wanted.includes(p.feature));
  const read = (p: (typeof places)[number]): boolean => state.at(p.quantity, p.feature, p.part) !== null;
  return here.length > 0 ? here.every(read) : places.some(read);
}

const quantitiesOf = (looks: readonly Look[]): readonly StateId[] => [...new Set(looks.map((l) => l.quantity))];

/** What has a number tells more than what is heard. */
function numbersFirst(list: readonly StateId[]): readonly StateId[] {
  const counts = (id: StateId): boolean => STATES[id].unit !== 'choice';
  return [...new Set([...list.filter(counts), ...list])];
}
