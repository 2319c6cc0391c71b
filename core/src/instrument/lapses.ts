import type { QuantityId } from '../quantity/index.js';
import type { Change } from './change.js';

/** Readings that a change makes void: their target, or all those at a place where no part of it is named. */
export interface Lapsed {
  readonly quantity: QuantityId;
  readonly feature: string;
  readonly part?: string;
}

/** What no longer stands once something is done: what was read of a hole that is opened, of a floor that is cut deeper, of a plate that is another. */
export function lapsesOf(change: Change): readonly Lapsed[] {
  switch (change.kind) {
    case 'sizeHole':
      return [{ quantity: 'holeDiameter', feature: change.hole }];
    case 'closeHole':
      return [
        { quantity: 'holeDiameter', feature: change.hole },
        { quantity: 'holeDepth', feature: change.hole },
      ];
    case 'deepenHole':
      return [{ quantity: 'holeDepth', feature: change.hole }];
    case 'setDepth':
      return [{ quantity: 'levelDepth', feature: change.cavity, part: change.level }];
    case 'sizeLevel':
      return widths(change.cavity, change.level);
    case 'setPlate':
      return widths(change.plate.id);
    case 'sizePlate':
      return widths(change.plate);
    case 'sizeWindow':
      return widths(change.plate, change.window);
    default:
      return [];
  }
}

function widths(feature: string, part?: string): readonly Lapsed[] {
  return (['checkWidthAcross', 'checkWidthAlong'] as const).map((quantity) => (part === undefined ? { quantity, feature } : { quantity, feature, part }));
}
