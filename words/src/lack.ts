import type { Lack } from '@rinnovo/core/part';
import { nameOf, type Names } from './names.js';
import { fixed, withUnit } from './locale.js';

/** What is missing in the shop, as it stands in a list. */
export function lackText(l: Lack, names: Names): string {
  switch (l.kind) {
    case 'part':
      return nameOf(names, l.part);
    case 'cover':
      return `pickup cover, holes ${withUnit(fixed(l.spacing, 1), 'mm')} apart`;
    case 'offcut':
      return 'wood offcut';
    case 'dowel':
      return `dowel, at least ${withUnit(fixed(l.atLeast, 1), 'mm')}`;
    case 'drill':
      return `${withUnit(fixed(l.diameter, 1), 'mm')} drill`;
    case 'countersink':
      return 'countersink';
    case 'templateBit':
      return 'template bit';
    case 'sleeve':
      return `sleeve ${fixed(l.outer, 1)} to ${withUnit(fixed(l.inner, 1), 'mm')}`;
  }
}
