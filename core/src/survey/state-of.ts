import { isState, STATES, stillStanding, targetKey, type Reading, type StateId, type StateTarget } from '../quantity/index.js';
import { aimFor, standing, type Aim, type Standing } from './aims.js';
import { type Surveyed } from './surveyed.js';
import { placesOf } from './places.js';

/** A state with its newest reading and how it stands. */
export interface StateReading {
  readonly target: StateTarget;
  readonly reading: Reading;
  readonly aim: Aim | null;
  readonly standing: Standing;
}

/** What the readings say of an instrument now: the newest of each place. */
export interface StateOf {
  readonly surveyed: Surveyed;
  readonly readings: readonly StateReading[];
  readonly of: (id: StateId) => readonly StateReading[];
  readonly at: (id: StateId, feature: string, part?: string) => StateReading | null;
}

/** The newest reading of every state; an older one at the same place no longer counts, nor one that was corrected, and one at a place that is not there never did. */
export function stateOf(surveyed: Surveyed, readings: readonly Reading[]): StateOf {
  const newest = new Map<string, Reading>();
  for (const r of stillStanding(readings)) {
    if (!isState(r.target)) continue;
    const key = targetKey(r.target);
    const old = newest.get(key);
    if (!old || old.at < r.at || (old.at === r.at && old.id < r.id)) newest.set(key, r);
  }
  const shown = (Object.keys(STATES) as StateId[])
    .flatMap((id) => placesOf(id, surveyed))
    .flatMap((target): readonly StateReading[] => {
      const reading = newest.get(targetKey(target));
      if (!reading) return [];
      const aim = aimFor(target, surveyed);
      return [{ target, reading, aim, standing: aim ? standing(reading.value, reading.limit, aim) : 'within' }];
    });
  const byId = new Map<StateId, StateReading[]>();
  for (const t of shown) byId.set(t.target.quantity, [...(byId.get(t.target.quantity) ?? []), t]);
  const of = (id: StateId): readonly StateReading[] => byId.get(id) ?? [];
  return { surveyed, readings: shown, of, at: (id, feature, part) => of(id).find((t) => t.target.feature === feature && t.target.part === part) ?? null };
}
