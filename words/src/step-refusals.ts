import type { StepFlaw } from '@rinnovo/core/job';
import type { LimitFlaw } from '@rinnovo/core/part';
import { fixed, withUnit } from './locale.js';

/** What is wrong with a reading's tool or limit. */
export function limitFlawText(flaw: LimitFlaw): string {
  switch (flaw.what) {
    case 'unknownTool':
      return 'choose a measuring tool of this workshop';
    case 'retiredTool':
      return 'this tool is retired. Choose another';
    case 'finerThanTool':
      return `is finer than this tool reads: ± ${fixed(flaw.than, 2)}`;
    case 'coarserWithoutReason':
      return 'type why the reading is coarser than the tool';
  }
}

/** What is wrong with what was typed of a step; of a number that is too large it follows on *It*. */
export function stepFlawText(flaw: StepFlaw): string {
  switch (flaw.what) {
    case 'mishapMissing':
      return 'choose the kind of mishap';
    case 'distanceMissing':
      return 'type the distance';
    case 'sideMissing':
      return 'choose the level and the direction';
    case 'depthMissing':
    case 'depthOfMishap':
      return 'type the depth';
    case 'gapMissing':
      return 'type the gap, 0 where it touches';
    case 'resistanceMissing':
      return 'type the resistance, OL where it is open';
    case 'deadCoil':
      return 'is a dead coil: open or shorted. Check the leads; if it is true, log a mishap';
    case 'noReadingAsked':
      return 'this step takes no reading';
    case 'deeperThanPlanned':
      return `is deeper than the ${withUnit(fixed(flaw.than, 1), 'mm')} planned. If it is true, log a mishap`;
    case 'farFromPlanned':
      return `falls far short of the ${withUnit(fixed(flaw.than, 1), 'mm')} planned. Cut on or read again; log a mishap if it stays so`;
    case 'unknownTool':
    case 'retiredTool':
    case 'finerThanTool':
    case 'coarserWithoutReason':
      return limitFlawText(flaw);
    case 'deeperThanBody':
      return `is more than the body thickness of ${withUnit(fixed(flaw.than, 1), 'mm')}`;
  }
}
