import { targetKey, type AnyTarget } from '@rinnovo/core/quantity';

type Json = unknown;

/**
 * What is answered of an instrument while some of its values are read again blind: without what was worked out from them. Clearances are not told, nor depths that a
 * verdict is named by; numbers of cards are left out, and a depth that was read at the bench is not told where it is one of them.
 */
export function withheld<T>(body: T, hidden: readonly AnyTarget[]): T {
  if (hidden.length === 0) return body;
  return scrubbed(body, new Set(hidden.map(targetKey))) as T;
}

function scrubbed(x: Json, hidden: ReadonlySet<string>): Json {
  if (Array.isArray(x)) return x.map((y: Json) => scrubbed(y, hidden));
  if (typeof x !== 'object' || x === null) return x;
  return Object.fromEntries(Object.entries(x).map(([key, value]) => [key, told(key, value as Json, hidden)]));
}

function told(key: string, value: Json, hidden: ReadonlySet<string>): Json {
  if (key === 'clearance' || key === 'worst' || key === 'rss') return null;
  if ((key === 'id' || key === 'verdict') && typeof value === 'string') return value.replace(/\/\d+\.\d{3}(?=\/|$)/g, '/…');
  if (key === 'numbers' && !Array.isArray(value)) return {};
  if (key === 'measured' && isMeasured(value) && hidden.has(targetKey(value.target))) return null;
  return scrubbed(value, hidden);
}

const isMeasured = (x: Json): x is { readonly target: AnyTarget } => typeof x === 'object' && x !== null && 'target' in x;
