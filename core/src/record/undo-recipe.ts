import type { Difference } from '../instrument/index.js';
import type { UndoStep } from '../job/index.js';

/** What can be undone and how, from the differences of two revisions. */
export function undoRecipe(differences: readonly Difference[]): readonly UndoStep[] {
  const steps = differences.map((d): UndoStep => {
    switch (d.kind) {
      case 'levelAdded':
      case 'levelGone':
      case 'levelOpened':
        return { kind: 'cannotPutWoodBack', subject: d.cavity, part: null, possible: false };
      case 'partChanged':
        return { kind: 'refitPart', subject: d.place, part: d.before, possible: true };
      case 'raised':
        return { kind: 'takeSpacerOut', subject: d.place, part: null, possible: true };
      case 'partTrimmed':
        return { kind: 'cannotReturnPart', subject: d.place, part: d.part, possible: false };
      case 'plateMade':
        return { kind: 'refitPlate', subject: d.plate, part: null, possible: true };
      case 'windowFiled':
        return { kind: 'cannotUnfileWindow', subject: d.opening, part: null, possible: false };
      case 'insertChanged':
        return { kind: 'putInsertBack', subject: d.opening, part: null, possible: true };
      case 'holeAdded':
      case 'holeMoved':
        return { kind: 'cannotUnmakeHole', subject: d.hole, part: null, possible: false };
      case 'holePlugged':
        return { kind: 'drillAgain', subject: d.hole, part: null, possible: true };
      case 'resized':
        if (d.beyond && d.target.quantity === 'holeDiameter' && (d.after ?? 0) > (d.before ?? 0))
          return { kind: 'cannotNarrowHole', subject: d.target.feature, part: null, possible: false };
        if (d.beyond && (d.target.quantity === 'levelDepth' || d.target.quantity === 'holeDepth') && (d.after ?? 0) > (d.before ?? 0))
          return { kind: 'cannotPutWoodBack', subject: d.target.feature, part: null, possible: false };
        return { kind: 'readAgain', subject: d.target.feature, part: null, possible: true };
    }
  });
  return steps.filter((s, i) => steps.findIndex((t) => t.kind === s.kind && t.subject === s.subject) === i && s.kind !== 'readAgain');
}
