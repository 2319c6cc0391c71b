import type { ImportNote, ImportRefusal } from '@rinnovo/core/format';
import type { LengthUnit } from '@rinnovo/core/measure';
import { lengthText } from './length.js';

const REFUSALS: Readonly<Record<ImportRefusal['kind'], (detail: string) => string>> = {
  empty: () => 'The file is empty.',
  tooLarge: () => 'The file is larger than 20 MB: save only the outline, without pictures.',
  broken: (d) => `The file is broken${d === '' ? '' : `: ${d}`}.`,
  notThisKind: (d) => `That is no drawing that can be read here${d === '' ? '' : ` (it begins with ${d})`}. SVG and DXF can.`,
  nothingInIt: (d) => `There is no line in it${d === '' ? '' : `, only: ${d}`}. Convert text and pictures to outlines first.`,
};

export function refusalText(r: ImportRefusal): string {
  return REFUSALS[r.kind](r.detail);
}

/** What was met while a drawing was read. */
export function importNoteText(n: ImportNote, unit: LengthUnit): string {
  switch (n.kind) {
    case 'open':
      return `${n.of}: left out, it is open by ${lengthText(n.gap, unit)}.`;
    case 'crossing':
      return `${n.of}: left out, it crosses itself at ${lengthText(n.at.x, unit)}, ${lengthText(n.at.y, unit)}.`;
    case 'flat':
      return `${n.of}: left out, it has no area.`;
    case 'joined':
      return `${n.count} loose ends joined, the widest gap ${lengthText(n.gap, unit)}.`;
    case 'simplified':
      return `${n.from} points made ${n.to}, none off by more than ${lengthText(n.tolerance, unit, 3)}.`;
    case 'ignored':
      return `${n.what}: not read (${n.count}).`;
  }
}
