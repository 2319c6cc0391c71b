import { coilsOfPart } from '../../wire/index.js';
import { asPickup, plain, type CardContext, type CardRow, type Draft } from '../card.js';

/** Each coil of a new pickup is read by itself: a dead one costs a whole re-wire when nobody puts a meter on it. */
export const meterPart: CardRow = {
  kind: 'meterPart',
  cards: (c) => {
    const coils = coilsOfPart(c.state.parts, asPickup(c.choice)?.part ?? null);
    return coils.length === 0 ? [plain('meter', { part: c.partName })] : coils.map((coil): Draft => asked(c, coil, coils.length > 1));
  },
};

function asked(c: CardContext, { coil, expected, limit }: ReturnType<typeof coilsOfPart>[number], several: boolean): Draft {
  const target = { quantity: 'partResistance' as const, feature: c.operation.at.features[0] ?? '', part: coil };
  return { ...plain('meter', { part: c.partName, ...(several ? { coil } : {}) }), asks: { what: 'resistance', role: 'proves', target, expected, limit } };
}
