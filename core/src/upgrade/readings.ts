import { quantityOf, type AnyTarget, type Target, type Unit } from '../quantity/index.js';
import { upgradeTarget } from './documents.js';

/** What a value was when it was written: its target, and the unit of those written since units are. */
export interface WrittenValue {
  readonly target: unknown;
  readonly value: number;
  readonly limit: number;
  readonly unit?: string | null;
}

/** A value of a reading or a profile under today's names and in today's unit: of resistances that were kept in kΩ a thousand times as many Ω. */
export function upgradeValue({ target, value, limit, unit = null }: WrittenValue): {
  readonly target: AnyTarget;
  readonly value: number;
  readonly limit: number;
} {
  const now = upgradeTarget(target);
  const times = unit === null && WERE_KILOHMS.has(now.quantity) && quantityOf(now).unit === 'Ω' ? 1000 : 1;
  return { target: now, value: rounded(value * times), limit: rounded(limit * times) };
}

const WERE_KILOHMS: ReadonlySet<string> = new Set(['resistance', 'shieldResistance']);

/** 7.4 × 1000 is 7400, not 7400.000000000001. */
const rounded = (v: number): number => Number(v.toPrecision(12));

/** What was read while a step was done, as it was written while a level alone was told of it: no level was the gap when the part was tried. */
interface MeasuredOf3 {
  readonly level: string | null;
  readonly value: number;
  readonly limit: number;
  readonly raw: string;
  readonly tool: string;
}

/** The same as it is today; which cavity it was is not known of an old one. */
export function upgradeMeasured(measured: unknown): (Omit<MeasuredOf3, 'level'> & { readonly target: Target; readonly unit: Unit }) | null {
  if (measured === null || typeof measured !== 'object') return null;
  if ('target' in measured) return measured as ReturnType<typeof upgradeMeasured>;
  const { level, ...read } = measured as MeasuredOf3;
  const target: Target = level === null ? { quantity: 'fitGap', feature: '' } : { quantity: 'levelDepth', feature: '', part: level };
  return { ...read, target, unit: 'mm' };
}
