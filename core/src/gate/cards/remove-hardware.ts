import { actsOf } from '../../operation/index.js';
import { isOfPart } from '../../part/index.js';
import { isHardwareChoice } from '../../check/index.js';
import { plain, type CardContext, type CardRow } from '../card.js';
import { holdsNeck } from '../holds-neck.js';

/** What has wires is unsoldered first: the part that is there, not the one that comes. */
export const removeHardware: CardRow = {
  kind: 'removeHardware',
  cards: (c) => [
    ...(isWired(c) ? [plain('unsolder')] : []),
    {
      ...plain('takeHardwareOut'),
      ...(c.choice && isHardwareChoice(c.choice) && holdsNeck(c.state.anatomy, c.choice) ? { cautions: ['neckScrews'] as const } : {}),
    },
  ],
};

function isWired({ rows, operation, state: { anatomy, parts } }: CardContext): boolean {
  const feature = actsOf(operation.does, 'fitHardware')[0]?.feature;
  const there = [...anatomy.holes, ...anatomy.cavities].find((f) => f.id === feature)?.part ?? '';
  const part = parts[there];
  return part !== undefined && isOfPart(rows, part.kind, 'wired');
}
