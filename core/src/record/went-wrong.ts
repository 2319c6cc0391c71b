import { evaluateChoice, isAbout, type CheckRows, type Choice, type Evaluation, type PlanState, type Verdict } from '../check/index.js';
import type { WayOnId } from '../job/index.js';
import type { Act } from '../operation/index.js';
import { beyondLine, type Beyond } from './beyond-line.js';

/** What went wrong, with the number that goes with it, mm. */
export type Mishap =
  | { readonly kind: 'tooDeep'; readonly level: string; readonly depth: number }
  /** The template or the bit slipped, or wood tore out: wood is gone beyond the line. */
  | ({ readonly kind: 'slipped' | 'tornOut' } & Beyond)
  /** Finish is off or lifted beyond the edge, or a hole came out beside its place, by so much. */
  | { readonly kind: 'chipped' | 'wandered' | 'finishLifted'; readonly by: number }
  | { readonly kind: 'screwSnapped' | 'partBroke' | 'wrongPart' | 'other' };

/** What can be done now. */
export interface WayOn {
  readonly id: WayOnId;
  readonly possible: boolean;
}

/** What a mishap comes to: the choice as it made it, judged again, and the ways on. */
export interface Consequence {
  readonly choice: Choice;
  readonly evaluation: Evaluation;
  /** What is worse by it, gravest first. */
  readonly trouble: readonly Verdict[];
  readonly waysOn: readonly WayOn[];
}

/**
 * A level too deep, or wood gone beyond the line, is judged as it now is in the wood; a chip or a hole beside its place by whether what covers it still does.
 * What was thin or did not clear before is not held against the mishap.
 */
export function consequenceOf(rows: CheckRows, state: PlanState, choice: Choice, mishap: Mishap): Consequence {
  const changed = afterMishap(rows, state, choice, mishap);
  const evaluation = evaluateChoice(rows, state, changed);
  const before = evaluateChoice(rows, state, choice).verdicts;
  const trouble = evaluation.verdicts.filter((v) => isAbout(v, 'mishap') && TROUBLE.has(v.class) && !before.some((b) => sameTrouble(b, v)));
  const broken = trouble.filter((v) => v.class !== 'thin');
  return { choice: changed, evaluation, trouble, waysOn: waysOn(mishap, broken, trouble.length > broken.length, coveredBy(before)) };
}

const TROUBLE: ReadonlySet<Verdict['class']> = new Set<Verdict['class']>(['clashes', 'tooClose', 'thin']);

/** It was no better before: the same place with no less wood, or another depth with the same. */
function sameTrouble(before: Verdict, now: Verdict): boolean {
  if (before.check !== now.check || before.class !== now.class) return false;
  const [was, is] = [before.clearance ?? -Infinity, now.clearance ?? -Infinity];
  return was === is || (before.id === now.id && is > was);
}

/** By how much what covers the cut, or the hole's rim, reaches beyond it; null where nothing covers it or nobody knows. */
function coveredBy(verdicts: readonly Verdict[]): number | null {
  const covers = verdicts.filter((v) => v.check === 'hiddenEdge' || v.check === 'hidesHole');
  return covers.length === 0 || covers.some((v) => v.worst === null) ? null : Math.min(...covers.map((v) => (v.clearance ?? 0) - (v.worst ?? 0)));
}

function waysOn(mishap: Mishap, broken: readonly Verdict[], thin: boolean, covered: number | null): readonly WayOn[] {
  const clear = broken.length === 0;
  switch (mishap.kind) {
    case 'tooDeep':
      return [
        { id: 'carryOn', possible: clear && !thin },
        { id: 'acceptThin', possible: clear && thin },
        { id: 'shimUnderPart', possible: clear },
        { id: 'stopAndFill', possible: true },
      ];
    case 'slipped':
    case 'tornOut':
      return [
        { id: 'carryOn', possible: clear && !thin },
        { id: 'acceptThin', possible: clear && thin },
        { id: 'glueBack', possible: mishap.kind === 'tornOut' },
        { id: 'fillFlaw', possible: true },
        { id: 'widerCover', possible: broken.some((v) => v.check === 'hiddenEdge') },
        { id: 'stopAndFill', possible: true },
      ];
    case 'chipped':
      return [
        { id: 'leaveHidden', possible: covered !== null && covered >= mishap.by },
        { id: 'glueBack', possible: true },
        { id: 'dropFill', possible: covered === null || covered < mishap.by },
      ];
    case 'finishLifted':
      return [
        { id: 'leaveHidden', possible: covered !== null && covered >= mishap.by },
        { id: 'layDown', possible: true },
        { id: 'dropFill', possible: covered === null || covered < mishap.by },
      ];
    // turned out where it stands proud; a new hole hides under the same washer
    case 'screwSnapped':
      return (['turnOut', 'extract', 'newBeside'] as const).map((id) => ({ id, possible: true }));
    case 'partBroke':
      return (['mendPart', 'anotherOne'] as const).map((id) => ({ id, possible: true }));
    case 'wrongPart':
      return [{ id: 'rightOne', possible: true }];
    case 'wandered':
      return [
        { id: 'leaveHidden', possible: covered !== null && covered >= mishap.by },
        { id: 'plugAgain', possible: true },
      ];
    case 'other':
      return [{ id: 'stopAndFill', possible: true }];
  }
}

function afterMishap(rows: CheckRows, state: PlanState, choice: Choice, mishap: Mishap): Choice {
  if (mishap.kind === 'tooDeep') return asDeepAs(choice, mishap.level, mishap.depth);
  if (mishap.kind !== 'slipped' && mishap.kind !== 'tornOut') return choice;
  const gone = beyondLine(rows, state, choice, mishap);
  if (!gone) return choice;
  return { ...choice, work: [...(choice.work ?? []), { kind: 'widenCavity', does: [{ kind: 'addLevels', cavity: gone.cavity, levels: [gone.level] }] }] };
}

/** The choice with a level as deep as it came out: of its route, or of a floor that was only to be cut deeper. */
function asDeepAs(choice: Choice, level: string, depth: number): Choice {
  const deepened = (act: Act): Act => (act.kind === 'setDepth' && act.level === level ? { ...act, depth: { ...act.depth, value: depth } } : act);
  const work = choice.work?.map((w) => ({ ...w, does: w.does.map(deepened) }));
  const { route } = choice;
  return {
    ...choice,
    ...(route ? { route: { ...route, levels: route.levels.map((p) => (p.id === level ? { ...p, depth } : p)) } } : {}),
    ...(work ? { work } : {}),
  };
}
