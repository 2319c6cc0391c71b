import { BODY_FRAME, type Level } from '../instrument/index.js';
import type { Choice } from './choice.js';
import type { PlanState } from './place.js';
import type { CheckRows } from './row.js';
import { isThere, worksOf } from './works.js';

/** What a choice cuts, cavity by cavity: its route, levels that are added, floors that are cut deeper; in the body's frame. Nothing where its place is gone. */
export function levelsCut(rows: CheckRows, state: PlanState, choice: Choice): readonly { readonly cavity: string; readonly level: Level }[] {
  if (!isThere(rows, state.anatomy, choice)) return [];
  return worksOf(rows, choice, state).flatMap(({ does }) =>
    does.flatMap((w) => {
      if (w.kind === 'addLevels') return w.levels.map((level) => ({ cavity: w.cavity, level }));
      if (w.kind === 'addCavity') return w.cavity.levels.map((level) => ({ cavity: w.cavity.id, level }));
      const cavity = w.kind === 'setDepth' ? state.anatomy.cavities.find((c) => c.id === w.cavity && c.frame === BODY_FRAME) : undefined;
      return (cavity?.levels ?? []).flatMap((level) => (w.kind === 'setDepth' && level.id === w.level ? [{ cavity: w.cavity, level }] : []));
    }),
  );
}
