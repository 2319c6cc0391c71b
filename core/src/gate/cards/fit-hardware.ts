import { isHardwareChoice } from '../../check/index.js';
import { isHardware } from '../../part/index.js';
import { plain, type CardContext, type CardRow } from '../card.js';
import { holdsNeck } from '../holds-neck.js';

/** What has wires is soldered; a knob goes on last; a screw that holds the neck is driven without tension. */
export const fitHardware: CardRow = {
  kind: 'fitHardware',
  cards: (c) => [
    {
      ...plain('fitHardware', { part: c.partName }),
      ...(c.choice && isHardwareChoice(c.choice) && holdsNeck(c.state.anatomy, c.choice) ? { cautions: ['neckScrews'] as const } : {}),
    },
    ...(c.wired ? [plain('solder', { part: c.partName })] : []),
    ...(hasKnob(c) ? [plain('putKnobOn')] : []),
  ],
};

function hasKnob({ state, choice }: CardContext): boolean {
  const part = state.parts[choice?.part ?? ''];
  return part !== undefined && isHardware(part) && part.sizes.shaft !== undefined;
}
