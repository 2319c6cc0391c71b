import { agree, isMeasured, type Dimension } from '../measure/index.js';
import { bounds } from '../shape/index.js';
import type { Reading, Target } from '../quantity/index.js';
import { isState, targetKey } from '../quantity/index.js';
import type { Anatomy, FeatureOutline } from './anatomy.js';
import { dimensionAt, outlineAt, widthMismatch, withDimension, withOutline } from './dimension-at.js';

/**
 * The anatomy after a reading is accepted. A reading that agrees with those it rests on adds its id: the value becomes
 * the mean and the limit the larger. One that disagrees replaces the value; both rows stay.
 * 41.50 ± 0.05 and 41.54 ± 0.05 give 41.52 ± 0.05. A state is no dimension and changes none.
 * A correction speaks of the reading that it corrects: where the value rests on newer readings or on work done since, that stands.
 * Throws RangeError for a place that is not there.
 */
export function acceptReading(anatomy: Anatomy, reading: Reading, earlier: readonly Reading[]): Anatomy {
  const { target } = reading;
  if (isState(target)) return anatomy;
  const now = dimensionAt(anatomy, target);
  if (!now.exists) throw new RangeError('no such place on this instrument');
  const key = targetKey(target);
  const basis = now.dimension?.basis;
  const ids = basis?.kind === 'readings' ? basis.ids : [];
  if (reading.corrects !== null && !ids.includes(reading.corrects)) return anatomy;
  const restsOn = earlier.filter((r) => r.id !== reading.corrects && ids.includes(r.id) && targetKey(r.target) === key);
  const agreeing = restsOn.length > 0 && restsOn.every((r) => agree(r, reading)) ? [...restsOn, reading] : [reading];
  const dimension: Dimension = {
    value: agreeing.reduce((s, r) => s + r.value, 0) / agreeing.length,
    limit: Math.max(...agreeing.map((r) => r.limit)),
    basis: { kind: 'readings', ids: agreeing.map((r) => r.id) },
  };
  return vouch(withDimension(anatomy, target, dimension), target);
}

/**
 * Is a dimension what its readings say? Of one that rests on readings they must be there, of this target and standing, and give its value and limit: the mean, and the
 * larger limit. What work left is not read yet.
 */
export function isFounded({ value, limit, basis }: Dimension, target: Target, readings: readonly Reading[]): boolean {
  if (basis.kind !== 'readings') return basis.kind === 'work';
  const key = targetKey(target);
  const of = basis.ids.flatMap((id) => readings.find((r) => r.id === id && targetKey(r.target) === key) ?? []);
  if (of.length === 0 || of.length !== basis.ids.length) return false;
  const mean = of.reduce((sum, r) => sum + r.value, 0) / of.length;
  return Math.abs(mean - value) <= SAME && Math.abs(Math.max(...of.map((r) => r.limit)) - limit) <= SAME;
}

/** What is worked out twice alike, mm. */
const SAME = 1e-6;

/**
 * Two check widths that bear an outline out vouch for it, where it was only stated: it is then as sure as the readings, and as it is drawn like them. Drawn 70 and read
 * 70.3 ± 0.05: ± 0.35; where that is no surer than it is anyway it stays as it is.
 */
export function vouch(anatomy: Anatomy, t: Target): Anatomy {
  if (t.quantity !== 'checkWidthAcross' && t.quantity !== 'checkWidthAlong') return anatomy;
  const o = outlineAt(anatomy, t.feature, t.part);
  if (!o?.across || !o.along || isMeasured(o) || widthMismatch(o, 'across') || widthMismatch(o, 'along')) return anatomy;
  const b = bounds([o.outline]);
  const off = (drawn: number, read: Dimension): number => read.limit + beyond(Math.abs(drawn - read.value), read.limit);
  const limit = Math.max(off(b.maxX - b.minX, o.across), off(b.maxY - b.minY, o.along));
  if (limit > o.limit) return anatomy;
  const ids = [o.across, o.along].flatMap((d) => (d.basis.kind === 'readings' ? d.basis.ids : []));
  const surer: FeatureOutline = { ...o, limit, basis: { kind: 'readings', ids } };
  return withOutline(anatomy, t, surer);
}

/** What a reading's own limit explains is no difference. */
const beyond = (difference: number, limit: number): number => (difference <= limit + SAME ? 0 : difference);
