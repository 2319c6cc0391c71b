import type { NotTakenBack } from '@rinnovo/core/job';

/** Why a step stays logged, and what to do instead. */
export function notTakenBackText(why: NotTakenBack): string {
  switch (why) {
    case 'unknown':
      return 'No step has that id.';
    case 'takenBack':
      return 'This step is undone already.';
    case 'wentWrong':
      return 'A mishap stays in the record.';
    case 'cut':
      return 'A cut cannot be undone. If its depth is wrong, measure it again.';
    case 'laterStep':
      return 'Later steps build on this one.';
    case 'dropped':
      return 'The work of this step was dropped since.';
    case 'drawingMoved':
      return 'The drawing changed after this step. Correct it in Anatomy.';
    case 'reasonMissing':
      return 'type the reason';
  }
}
