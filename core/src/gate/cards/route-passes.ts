import { setting, type Working } from '../../measure/index.js';
import { asksDepth, floorsTo, plain, type CardContext, type CardRow, type Draft } from '../card.js';

/**
 * Pass by pass: the set-up, the cut, the depth that is read; the template comes off where the bearing has wood to run on. Where no bit of the shop will do,
 * whoever cuts without one has the depth of each floor.
 */
export const routePasses: CardRow = { kind: 'routePasses', cards: passesOf };

function passesOf(c: CardContext): readonly Draft[] {
  const { passes, templateOffAfter } = c.cutting?.passes ?? { passes: [], templateOffAfter: null };
  const bit = c.cutting?.bit?.bit.name ?? '';
  if (passes.length === 0) return [plain('unplug'), ...floorsTo(c, c.operation.does)];
  return passes.flatMap((p, i): Draft[] => {
    const first = i === 0 ? [plain('changeBit', { bit })] : [];
    const off = templateOffAfter !== null && p.from === templateOffAfter ? [plain('templateOff', { depth: p.from })] : [];
    const names = { bit, pass: i + 1, of: passes.length, depth: p.to, guide: p.guide };
    const setUps = [
      { label: 'projection', working: p.setUps.projection },
      { label: 'overStraightEdge', working: p.setUps.overStraightEdge },
      { label: 'finishedDepth', working: p.setUps.finished },
      ...(c.measured !== null && c.measured < p.to ? [{ label: 'remainingDepth', working: remainingDepth(p.to, c.measured) }] : []),
    ];
    const floors = (c.route?.levels ?? []).filter((q) => !q.bored && Math.abs(q.depth - p.to) < 1e-6).map((q) => q.id);
    const read = floors.length > 0 ? floors : p.levels.slice(0, 1);
    return [
      ...first,
      ...off,
      { kind: 'setDepth', numbers: setUps, names, asks: null },
      { kind: 'cut', numbers: [{ label: 'projection', working: p.setUps.projection }], names, asks: null },
      ...read.map((level): Draft => ({ kind: 'measureDepth', numbers: [], names: { ...names, level }, asks: asksDepth(c, c.cavity, level, p.to) })),
    ];
  });
}

/** The wood still to take after a depth was read, mm: target − measured. */
export function remainingDepth(target: number, measured: number): Working {
  return {
    op: 'sum',
    label: 'remainingDepth',
    terms: [
      { sign: 1, of: setting('targetDepth', target, 'plan') },
      { sign: -1, of: setting('depthMeasured', measured, 'reading') },
    ],
  };
}
