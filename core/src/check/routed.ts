import type { Cavity } from '../instrument/index.js';
import type { Act, WorkItem } from '../operation/index.js';
import { boresIn } from './bores.js';
import { FOUND_SET, joinsOf, routeLevels, type Choice } from './choice.js';
import type { Ground } from './row.js';
import { only } from './works.js';

/** What is filled for a choice before anything is cut: what was found in its cavity. */
export function filled({ fill }: Choice, cavity: string): readonly WorkItem[] {
  return only('fillRoute', fill === true, { kind: 'fillLevels', cavity, set: FOUND_SET });
}

/** What is routed for a choice: template, bulk, passes and bored places, each as far as the route has it; nothing where none is planned. */
export function routed({ anatomy, settings }: Pick<Ground, 'anatomy' | 'settings'>, { id, route = null }: Choice, cavity: string): readonly WorkItem[] {
  if (!route) return [];
  const levels = routeLevels(route, settings);
  const bores = boresIn(
    id,
    anatomy.cavities.find((c: Cavity) => c.id === cavity),
  );
  const cut = (bored: boolean): Act => ({
    kind: 'addLevels',
    cavity,
    levels: levels.filter((p) => p.bored === bored),
    ...joinsOf(route),
    ...(bored || bores.length === 0 ? {} : { replaces: bores }),
  });
  return [
    ...only('tracePlate', true),
    ...only('fixTemplate', true),
    ...only('boreBulk', true),
    ...only(
      'routePasses',
      levels.some((p) => !p.bored),
      cut(false),
    ),
    ...only(
      'boreWells',
      levels.some((p) => p.bored),
      cut(true),
    ),
  ];
}
