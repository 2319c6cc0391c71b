import type { Lack } from '@rinnovo/core/part';
import { nameOf, type Names } from './names.js';

/** What is missing in the shop, as it stands in a list. */
export function lackText(l: Lack, names: Names): string {
  switch (l.kind) {
    case 'part':
      return nameOf(names, l.part);
    case 'offcut':
      return 'wood offcut';
    case 'dowel':
      return `dowel, at least ${l.atLeast.toFixed(1)} mm`;
    case 'drill':
      return `${l.diameter.toFixed(1)} mm drill`;
    case 'countersink':
      return 'countersink';
    case 'sleeve':
      return `sleeve ${l.outer.toFixed(1)} to ${l.inner.toFixed(1)} mm`;
  }
}
