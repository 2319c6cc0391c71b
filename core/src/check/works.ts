import { lapsesOf, type Anatomy, type Cavity } from '../instrument/index.js';
import { workKey, type Act, type OperationKind, type Placed, type Work, type WorkItem } from '../operation/index.js';
import { isCut, type Choice } from './choice.js';
import type { PlanState } from './place.js';
import type { CheckRows, ChoiceRow, Ground } from './row.js';
import { workPlace } from './work-place.js';

/** The row of a choice’s kind. Throws RangeError for a kind that nobody registered. */
export function choiceRow({ choiceKinds }: Pick<CheckRows, 'choiceKinds'>, { kind }: Choice): ChoiceRow {
  const row = choiceKinds[kind];
  if (!row) throw new RangeError(`no such kind of choice: ${kind}`);
  return row;
}

/** A choice with nothing done for it: its place and its part. */
export function bareChoice<C extends Choice>(rows: Pick<CheckRows, 'choiceKinds'>, choice: C): C {
  return choiceRow(rows, choice).bare(choice) as C;
}

/** Is the place of a choice still on the instrument? */
export function isThere(rows: Pick<CheckRows, 'choiceKinds'>, anatomy: Anatomy, choice: Choice): boolean {
  return choiceRow(rows, choice).isThere(anatomy, choice);
}

/**
 * The work that a choice comes to, in the order in which it changes the instrument; each operation owns what it does.
 * Nothing where all stays as it is. Throws RangeError when its place is not there.
 */
export function worksOf(rows: CheckRows, choice: Choice, state: Omit<Ground, 'rows'>): readonly Work[] {
  return unplacedWorks(rows, choice, state).map((work) => ({ ...work, ...placed(rows, choice, state, work) }));
}

/** The same without where it is done and what it asks of the bench: what is only counted, or looked up in the drawers. */
export function unplacedWorks(rows: CheckRows, choice: Choice, state: Omit<Ground, 'rows'>): readonly Omit<Work, keyof Placed>[] {
  const row = choiceRow(rows, choice);
  const subject = { aspect: 'anatomy' as const, id: row.places(choice, state.anatomy)[0] };
  return row.works({ ...state, rows }, choice).map(({ kind, does }) => ({ key: kind, kind, subject, does, lapses: does.flatMap(lapsesOf) }));
}

/** Where some work is done, and what it asks of the bench. */
export function placed(rows: CheckRows, choice: Choice, state: Omit<Ground, 'rows'>, work: Omit<Work, keyof Placed>): Placed {
  const ground = { ...state, rows };
  const at = workPlace(state.anatomy, choiceRow(rows, choice).places(choice, state.anatomy), work.does);
  return { at, bench: { needs: ground.rows.bench.flatMap((b) => b.needs({ ...work, at }, ground)), makes: [] } };
}

/** A choice as changes to the instrument it is for: what its work does, less what is done. */
export function choiceChanges(rows: CheckRows, choice: Choice, state: Omit<Ground, 'rows'>): readonly Act[] {
  return choiceRow(rows, choice)
    .works({ ...state, rows }, choice)
    .filter((w) => !state.done.has(workKey(choice.id, w.kind)))
    .flatMap((w) => w.does)
    .flatMap((act) => stillToDo(state.anatomy, act));
}

/** Work of a kind, where it is wanted. */
export const only = (kind: OperationKind, wanted: boolean, ...does: readonly Act[]): readonly WorkItem[] => (wanted ? [{ kind, does }] : []);

/** The cavity that the route of a choice is cut into; null where its kind has none. */
export function cavityOfRoute(rows: Pick<CheckRows, 'choiceKinds'>, anatomy: Anatomy, choice: Choice): Cavity | null {
  return choiceRow(rows, choice).cavity?.(anatomy, choice) ?? null;
}

/** The part that sits where a choice is for; null where nothing does. */
export function partFound(rows: Pick<CheckRows, 'choiceKinds'>, anatomy: Anatomy, choice: Choice): string | null {
  return choiceRow(rows, choice).found(anatomy, choice);
}

/** The part of a choice is in already, by work of its own. */
export function isFitted(rows: CheckRows, choice: Choice, { done }: Pick<PlanState, 'done'>): boolean {
  const { fits } = choiceRow(rows, choice);
  return fits !== null && done.has(workKey(choice.id, fits));
}

/** What of an act is still to do, where work on it has begun: of a cavity the levels that are not cut yet; nothing of a floor that is as deep as it was to be. */
export function stillToDo(anatomy: Anatomy, act: Act): readonly Act[] {
  switch (act.kind) {
    case 'addCavity': {
      const there = anatomy.cavities.find((c) => c.id === act.cavity.id);
      if (!there) return [act];
      const levels = act.cavity.levels.filter((p) => !there.levels.some((q) => q.id === p.id));
      return levels.length > 0 ? [{ kind: 'addLevels', cavity: there.id, levels }] : [];
    }
    case 'addLevels': {
      const into = anatomy.cavities.find((c) => c.id === act.cavity);
      return into ? [{ ...act, levels: act.levels.filter((p) => !isCut(into, p)) }] : [act];
    }
    case 'addHole':
      return anatomy.holes.some((h) => h.id === act.hole.id) ? [] : [act];
    case 'setDepth': {
      const cut = anatomy.cavities.find((c) => c.id === act.cavity)?.levels.find((p) => p.id === act.level)?.depth;
      return cut?.basis.kind === 'work' && cut.value >= act.depth.value - act.depth.limit ? [] : [act];
    }
    default:
      return [act];
  }
}
