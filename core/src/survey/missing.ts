import { dimensionAt, targetsOf } from '../instrument/index.js';
import { isMeasured } from '../measure/index.js';
import { isState, secondReading, STATES, stillStanding, targetKey, type AnyTarget, type QuantityId, type Reading, type StateId } from '../quantity/index.js';
import { placesOf } from './places.js';
import type { StateOf } from './state-of.js';
import type { Skipped } from './survey.js';
import type { WorkKind } from './work-kinds.js';

/** One quantity that a kind of work rests on, at all of its places. */
interface Need {
  readonly of: StateId | QuantityId;
  /** Wood is cut by it: two independent readings. */
  readonly twice?: true;
  /** The largest limit of error that will do, in its unit [memory]. */
  readonly within?: number;
  /** Only at the places of pickups. */
  readonly atPickups?: true;
}

const of = (...ids: readonly Need['of'][]): readonly Need[] => ids.map((id) => ({ of: id }));
const twice = (id: Need['of'], within: number, more: Partial<Need> = {}): Need => ({ of: id, twice: true, within, ...more });

const NEEDS: Readonly<Record<WorkKind, readonly Need[]>> = {
  setUp: of('humidity', 'jointGap', 'relief', 'rodFeel', 'fretRock', 'nutGap', 'action', 'saddleTravel', 'pickupHeight', 'intonation'),
  nut: [...of('humidity', 'relief', 'fretRock', 'nutGap'), twice('spreadAtNut', 0.1), twice('nutWidth', 0.1)],
  neckAngle: [...of('humidity', 'jointGap', 'relief', 'action', 'saddleTravel'), twice('scaleLength', 0.5), twice('neckThickness', 0.3)],
  neckReset: [...of('humidity', 'relief', 'action', 'stringsOverTop', 'saddleShown', 'bridgeLift'), twice('planeOverBridge', 0.3), twice('scaleLength', 0.5)],
  fretEnds: of('humidity', 'temperature', 'fretEnds', 'boardEndWidth'),
  spotLevel: of('humidity', 'relief', 'looseFrets', 'fretRock', 'fretHeight'),
  fullLevel: of('humidity', 'jointGap', 'relief', 'reliefTreble', 'rodFeel', 'looseFrets', 'fretRock', 'fretHeight'),
  refret: [...of('humidity', 'relief', 'fretHeight', 'boardRadius', 'boardEndWidth'), twice('scaleLength', 0.5)],
  pickupSwap: [
    ...of('resistance', 'groundResistance'),
    { of: 'levelDepth', within: 0.3, atPickups: true },
    { of: 'plateThickness', within: 0.1, atPickups: true },
  ],
  reroute: [
    twice('bodyThickness', 0.3),
    twice('levelDepth', 0.3, { atPickups: true }),
    twice('checkWidthAcross', 0.3, { atPickups: true }),
    twice('checkWidthAlong', 0.3, { atPickups: true }),
    twice('plateThickness', 0.1, { atPickups: true }),
    ...of('spreadAtNut', 'spreadAtSaddles', 'scaleLength'),
  ],
  // of a circuit that is traced every line of its sheet up to the jack
  rewire: of('temperature', 'groundResistance', 'partResistance', 'jackResistance', 'supplyCurrent'),
  shielding: of('resistance', 'groundResistance'),
  bridgeGlue: [...of('humidity', 'temperature', 'bridgeLift'), twice('planeOverBridge', 0.3)],
};

/** Why a reading does not carry the work yet. */
export type Lack = 'absent' | 'disagree' | 'single' | 'uncertain' | 'old';

export interface Missing {
  readonly target: AnyTarget;
  readonly lack: Lack;
  /** The kinds of work that wait for it. */
  readonly holdsUp: readonly WorkKind[];
  /** Why it cannot be measured, where that was said. */
  readonly skipped: string | null;
}

/** A state moves with weather and use: after this it is read anew, days [memory]. */
const STATE_KEEPS = 60;
const DAY = 86_400_000;
const GRAVITY: readonly Lack[] = ['absent', 'disagree', 'single', 'uncertain', 'old'];

/** What still has to be measured for the work that is wanted, what holds up most of it first. `now`: ISO 8601. */
export function missingFor(
  work: readonly WorkKind[],
  state: StateOf,
  readings: readonly Reading[],
  skipped: readonly Skipped[],
  now: string,
): readonly Missing[] {
  const out = new Map<string, Missing>();
  const readOf = byTarget(readings);
  const said = new Map(skipped.map((s) => [targetKey(s.target), s.reason]));
  for (const kind of work)
    for (const need of NEEDS[kind])
      for (const target of placesFor(need, state)) {
        const lack = lackOf(need, target, state, readOf.get(targetKey(target)) ?? [], now);
        if (lack === null) continue;
        const key = targetKey(target);
        const known = out.get(key);
        out.set(key, {
          target,
          lack: known && GRAVITY.indexOf(known.lack) < GRAVITY.indexOf(lack) ? known.lack : lack,
          holdsUp: [...new Set([...(known?.holdsUp ?? []), kind])],
          skipped: said.get(key) ?? null,
        });
      }
  return [...out.values()].sort((a, b) => b.holdsUp.length - a.holdsUp.length || GRAVITY.indexOf(a.lack) - GRAVITY.indexOf(b.lack));
}

/** The readings that still stand, by what they are of. */
function byTarget(readings: readonly Reading[]): ReadonlyMap<string, readonly Reading[]> {
  const out = new Map<string, Reading[]>();
  for (const r of stillStanding(readings)) {
    const key = targetKey(r.target);
    const list = out.get(key);
    if (list) list.push(r);
    else out.set(key, [r]);
  }
  return out;
}

function placesFor(need: Need, { surveyed }: StateOf): readonly AnyTarget[] {
  if (need.of in STATES) return placesOf(need.of as StateId, surveyed);
  const { anatomy } = surveyed;
  const at = new Set(anatomy.positions.flatMap((p) => [p.cavity, p.plate, p.opening]));
  return targetsOf(anatomy).filter((t) => t.quantity === need.of && dimensionAt(anatomy, t).exists && (!need.atPickups || at.has(t.feature)));
}

function lackOf(need: Need, target: AnyTarget, state: StateOf, ofIt: readonly Reading[], now: string): Lack | null {
  const second = secondReading(target, ofIt).state;
  const known = isState(target) ? knownState(target, state) : knownDimension(target, state);
  if (!known) return 'absent';
  if (second === 'disagree') return 'disagree';
  if (need.twice && second !== 'agree') return 'single';
  if ((need.within !== undefined && known.limit > need.within) || known.atEdge) return 'uncertain';
  return known.at !== null && Date.parse(now) - Date.parse(known.at) > STATE_KEEPS * DAY ? 'old' : null;
}

interface Known {
  readonly limit: number;
  readonly atEdge: boolean;
  readonly at: string | null;
}

function knownState(target: AnyTarget, state: StateOf): Known | null {
  const read = isState(target) ? state.at(target.quantity, target.feature, target.part) : null;
  return read ? { limit: read.reading.limit, atEdge: read.standing === 'atEdge', at: read.reading.at } : null;
}

function knownDimension(target: AnyTarget, { surveyed }: StateOf): Known | null {
  if (isState(target)) return null;
  const found = dimensionAt(surveyed.anatomy, target);
  return found.exists && found.dimension && isMeasured(found.dimension) ? { limit: found.dimension.limit, atEdge: false, at: null } : null;
}
