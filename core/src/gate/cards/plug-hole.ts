import { newHoleSteps } from '../../cut/index.js';
import { actsOf } from '../../operation/index.js';
import { dowelFor } from '../../work/index.js';
import { diameter, plain, told, type CardContext, type CardRow, type Draft } from '../card.js';

/** Bored clean for the dowel that is taken, glued, cured, levelled. */
export const plugHole: CardRow = {
  kind: 'plugHole',
  cards: (c) => [...actsOf(c.operation.does, 'closeHole').flatMap((w) => bored(c, w.hole)), plain('waitForGlue'), plain('levelPlug')],
};

function bored({ state }: CardContext, id: string): readonly Draft[] {
  const now = state.anatomy.holes.find((h) => h.id === id)?.diameter?.value ?? null;
  const dowel = now === null ? null : dowelFor(state, now);
  const bore = dowel?.diameter ?? now;
  if (bore === null) return [plain('gluePlug', { dowel: '' })];
  const bit = newHoleSteps(bore, state.tools).drills.at(-1)?.name ?? '';
  const name = dowel ? `${dowel.wood} dowel` : '';
  return [told('boreForPlug', [diameter(bore)], { bit }), told('gluePlug', [{ ...diameter(bore), label: 'dowelDiameter' }], { dowel: name })];
}
