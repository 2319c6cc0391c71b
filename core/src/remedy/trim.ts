import type { HardwareChoice } from '../check/index.js';
import { constant } from '../measure/index.js';
import { partRow } from '../part/index.js';
import { priceOf, toBuy, trouble, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.1, 'memory', 'Risk of a remedy');
/** How sure a cut by saw and file is, mm [memory]; lengths go down by half millimetres. */
const SURE = 0.3;
const STEP = 0.5;
/** What says that a screw or a stud is too long; what is pressed in is not ground. */
const TOO_LONG = ['screwPoint', 'depthOfHole', 'collarProud'];

/** A screw that would come through, or is longer than its pilot, and a stud that stands off are cut shorter: they cannot be returned. */
export function trim(g: HardwareGround): readonly Proposal<HardwareChoice>[] {
  const { site, state, choice } = g;
  const over = TOO_LONG.map((check) => trouble(g, check)).filter((v) => v !== null);
  const length = site?.part.sizes.length;
  if (!site || over.length === 0 || !length || partRow(g.rows, site.part.kind).press) return [];
  const least = Math.max(...over.map((v) => v.minimum - (v.clearance ?? 0) + (v.worst ?? 0)));
  const by = Math.ceil((least + SURE) / STEP - 1e-9) * STEP;
  const holds = g.verdicts.find((v) => v.check === 'screwHolds');
  // never below the thread that is wanted: that needs another screw, not a saw
  if (by <= 0 || by >= length.value || (holds?.clearance ?? Infinity) - by < (holds?.minimum ?? 0)) return [];
  return [
    {
      id: `trim/${choice.part ?? ''}`,
      kind: 'trim',
      sets: { trim: by },
      risk: RISK.value,
      price: priceOf(state, choice.part) + (state.parts[choice.part ?? '']?.price ?? 0),
      lacks: toBuy(state, choice.part),
      by,
    },
  ];
}
