import { isHardware } from '../../part/index.js';
import { plain, type CardContext, type CardRow } from '../card.js';

/** What has wires is soldered; a knob goes on last. */
export const fitHardware: CardRow = {
  kind: 'fitHardware',
  cards: (c) => [
    plain('fitHardware', { part: c.partName }),
    ...(c.wired ? [plain('solder', { part: c.partName })] : []),
    ...(hasKnob(c) ? [plain('putKnobOn')] : []),
  ],
};

function hasKnob({ state, choice }: CardContext): boolean {
  const part = state.parts[choice?.part ?? ''];
  return part !== undefined && isHardware(part) && part.sizes.shaft !== undefined;
}
