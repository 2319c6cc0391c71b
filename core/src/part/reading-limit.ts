import { isState, quantityOf, usualLimit, type AnyTarget } from '../quantity/index.js';
import { isMeasuring, type Tool } from './tool.js';

/** What was read, with what, and how sure whoever typed it is of it: coarser than the tool only with a reason. */
export interface TypedReading {
  readonly value: number;
  /** In the unit of what was read. */
  readonly limit: number;
  readonly tool: string;
  readonly why?: string;
}

/** What is wrong with a reading's tool or limit. */
export type LimitFlaw = { readonly what: 'unknownTool' | 'retiredTool' | 'coarserWithoutReason' } | { readonly what: 'finerThanTool'; readonly than: number };

/** Two limits are the same within, mm or the unit. */
const SAME = 1e-9;

/**
 * The limit of error of what is read with a tool: of a dimension the tool's, of a state that of what reads it; null where the shop has no such tool in use.
 * 18.0 with a depth gauge of ±0.05: 0.05.
 */
export function limitOf(tools: readonly Tool[], target: AnyTarget, value: number, tool: string): number | null {
  if (isState(target) && (quantityOf(target).by === tool || (quantityOf(target).by === 'meter' && tool === 'simulated meter')))
    return usualLimit(target.quantity, value);
  const mine = tools.filter(isMeasuring).find((t) => t.id === tool);
  if (!mine || mine.retired) return null;
  return isState(target) ? Math.max(mine.limit, usualLimit(target.quantity, value)) : mine.limit;
}

/** A reading's limit belongs to its tool, not to whoever types it: never finer; coarser with a reason. */
export function limitFlaw(tools: readonly Tool[], target: AnyTarget, { value, limit, tool, why = '' }: TypedReading): LimitFlaw | null {
  const least = limitOf(tools, target, value, tool);
  if (least === null) return { what: tools.some((t) => t.id === tool && isMeasuring(t)) ? 'retiredTool' : 'unknownTool' };
  if (limit < least - SAME) return { what: 'finerThanTool', than: least };
  return limit > least + SAME && why.trim() === '' ? { what: 'coarserWithoutReason' } : null;
}
