import type { Anatomy, Difference } from '@rinnovo/core/instrument';
import type { LengthUnit } from '@rinnovo/core/measure';
import { lengthText } from './length.js';
import { nameOf, upperFirst, type Names } from './names.js';
import { targetText } from './verdicts.js';

/** What work has changed, a line each: levels of a cavity together, the rest in its order. `now`: the instrument as left. */
export function changeTexts(changes: readonly Difference[], now: Anatomy, names: Names, unit: LengthUnit): readonly string[] {
  const cavities = [...new Set(changes.flatMap((d) => (d.kind === 'levelAdded' ? [d.cavity] : [])))];
  const cut = cavities.map((c) => `New in the ${nameOf(names, c)}: ${levelsAdded(changes, c, now, unit)}`);
  const rest = changes.filter((d): d is Exclude<Difference, { kind: 'levelAdded' }> => d.kind !== 'levelAdded');
  return [...cut, ...rest.map((d) => changeText(d, names, unit))];
}

/** The new levels of a cavity with their depths as left: equal ones are counted. */
function levelsAdded(changes: readonly Difference[], cavity: string, now: Anatomy, unit: LengthUnit): string {
  const added = new Set(changes.flatMap((d) => (d.kind === 'levelAdded' && d.cavity === cavity ? [d.level] : [])));
  const said = (now.cavities.find((c) => c.id === cavity)?.levels ?? [])
    .filter((p) => added.has(p.id))
    .map((p) =>
      [p.bored || p.id.startsWith('bore ') ? 'bore' : p.id.replace(/ [0-9a-f]{8}$/, ''), p.depth ? lengthText(p.depth.value, unit, 1) : ''].join(' ').trim(),
    );
  return [...new Set(said)]
    .map((text) => {
      const n = said.filter((t) => t === text).length;
      return n > 1 ? `${n} ${text.replace(/^bore/, 'bores')}` : text;
    })
    .join(', ');
}

function changeText(d: Exclude<Difference, { kind: 'levelAdded' }>, names: Names, unit: LengthUnit): string {
  const mm = (x: number | null): string => (x === null ? 'not measured' : lengthText(x, unit));
  const part = (id: string | null): string => (id === null ? 'none' : nameOf(names, id));
  switch (d.kind) {
    case 'levelGone':
      return `Filled in the ${nameOf(names, d.cavity)}`;
    case 'partChanged':
      return `${upperFirst(nameOf(names, d.place))}: ${part(d.before)} → ${part(d.after)}`;
    case 'holeAdded':
      return `New: ${nameOf(names, d.hole)}`;
    case 'holeMoved':
      return `Plugged and re-drilled beside: ${nameOf(names, d.hole)}`;
    case 'holePlugged':
      return `Plugged: ${nameOf(names, d.hole)}`;
    case 'levelOpened':
      return `${upperFirst(nameOf(names, d.cavity))}: opened wider`;
    case 'raised':
      return `${upperFirst(nameOf(names, d.place))}: ${d.by > 0 ? 'set higher' : 'set lower'} by ${lengthText(Math.abs(d.by), unit, 1)}`;
    case 'partTrimmed':
      return `${upperFirst(nameOf(names, d.part ?? undefined))} was trimmed`;
    case 'plateMade':
      return `${upperFirst(nameOf(names, d.plate))}: remade`;
    case 'windowFiled':
      return `${upperFirst(nameOf(names, d.opening))}: filed wider`;
    case 'insertChanged':
      return `${upperFirst(nameOf(names, d.opening))}: insert ${d.fitted ? 'fitted' : 'removed'}`;
    case 'resized':
      return `${upperFirst(targetText(d.target, names))}: ${mm(d.before)} → ${mm(d.after)}`;
  }
}
