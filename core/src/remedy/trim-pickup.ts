import { constant } from '../measure/index.js';
import { pickupIn, type Pickup } from '../part/index.js';
import { circle, gapInside, type Region } from '../shape/index.js';
import { priceOfPickup, short, troubles, type PickupGround } from './pickup-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.1, 'memory', 'Risk of a remedy');
/** A cut by saw and file is as sure as 0.3; a tenth more, so that it clears, mm [memory]. */
const SURE = 0.4;
/** Ears are filed by tenths, screws cut by half millimetres [memory]. */
const FILE = 0.1;
const SAW = 0.5;
/** Metal that stays round the hole of a height screw, and thread that stays below the ears, mm [memory]. */
const ROUND_HOLE = 1;
const BELOW_EARS = 3;

/** Ears that are too wide are filed back, height screws that are too long cut shorter: it cannot be returned then. */
export function trimPickup(g: PickupGround): readonly Proposal[] {
  const part = pickupIn(g.state.parts, g.bare.part);
  if (!part) return [];
  const wide = troubles(g.verdicts, 'partInRoute').find((v) => v.subject.item === 'ears' && v.class !== 'thin');
  const long = troubles(g.verdicts, 'depthUnderScrews')[0];
  const ears = wide ? up((wide.worst ?? 0) - (wide.clearance ?? 0) + SURE, FILE) : 0;
  const screws = long ? up(short(long) + SURE, SAW) : 0;
  if (ears === 0 && screws === 0) return [];
  if ((ears > 0 && ears > metalRoundHoles(part)) || (screws > 0 && screws > threadToSpare(part))) return [];
  return [
    {
      id: `trim/${part.id}`,
      kind: 'trim',
      sets: { work: [{ kind: 'trimPart', does: [{ kind: 'trimPickup', position: g.bare.position, trimmed: { ears, screws } }] }] },
      risk: RISK.value,
      price: priceOfPickup(g),
      lacks: [],
      trimmed: { ears, screws },
    },
  ];
}

function up(mm: number, step: number): number {
  return Math.round(Math.ceil(mm / step - 1e-9) * step * 1e6) / 1e6;
}

/** How far the ears can be filed back before their holes tear out, mm. */
function metalRoundHoles(part: Pickup): number {
  const ears: Region = part.tiers.flatMap((l) => (l.id === 'ears' ? l.shapes.map((s) => s.outline) : []));
  if (ears.length === 0) return 0;
  const left = part.screws.at.map((at) => gapInside([circle(part.screws.diameter, at)], ears).clearance - ROUND_HOLE);
  return Math.max(0, ...(left.length > 0 ? [Math.min(...left)] : []));
}

/** How much of the height screws can go and still hold what hangs on them, mm. */
function threadToSpare(part: Pickup): number {
  const ears = part.tiers.find((l) => l.id === 'ears') ?? part.tiers.find((l) => l.id === 'base');
  return part.screws.lowest.value - (ears?.lowest.value ?? 0) - BELOW_EARS;
}
