import type { ImportNote, ImportRefusal } from '@rinnovo/core/format';
import type { LengthUnit } from '@rinnovo/core/measure';
import { lengthText } from './length.js';

const REFUSALS: Readonly<Record<ImportRefusal['kind'], (detail: string) => string>> = {
  empty: () => 'The file is empty.',
  tooLarge: () => 'The file is over 20 MB. Save only the outline, without pictures.',
  broken: (d) => `The file is damaged${d === '' ? '' : `: ${d}`}.`,
  unread: (d) => `The file uses something that is not read: ${d}. Flatten it, or save it as plain paths.`,
  tooLong: () => 'The file takes too long to read. Save only the outline, with fewer points.',
  notThisKind: (d) => `This file is not a readable drawing${d === '' ? '' : ` (it begins with ${d})`}. Use SVG or DXF.`,
  nothingInIt: (d) => `The file has no lines${d === '' ? '' : `, only: ${d}`}. Convert text and pictures to outlines first.`,
};

export function refusalText(r: ImportRefusal): string {
  return REFUSALS[r.kind](r.detail);
}

/** What was met while a drawing was read. */
export function importNoteText(n: ImportNote, unit: LengthUnit): string {
  switch (n.kind) {
    case 'open':
      return `${n.of}: skipped, open by ${lengthText(n.gap, unit)}.`;
    case 'crossing':
      return `${n.of}: skipped, it crosses itself at ${lengthText(n.at.x, unit)}, ${lengthText(n.at.y, unit)}.`;
    case 'flat':
      return `${n.of}: skipped, it has no area.`;
    case 'tooFine':
      return `${n.of}: skipped, it has ${n.count} corners. Smooth it first.`;
    case 'joined':
      return `${n.count} loose ends joined, the widest gap ${lengthText(n.gap, unit)}.`;
    case 'simplified':
      return `${n.from} points reduced to ${n.to}, within ${lengthText(n.tolerance, unit, 3)}.`;
    case 'more':
      return `And ${n.count} more that were skipped.`;
    case 'ignored':
      return `${n.what}: not read (${n.count}).`;
  }
}
