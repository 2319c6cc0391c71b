/**
 * What was said now, with every piece that equals its counterpart of before replaced by that one: sums are remembered by the identity of what they were made from,
 * and a message brings copies of all of it. Plain data only.
 */
export function sameAgain<T>(before: unknown, now: T): T {
  if (before === now || typeof before !== 'object' || before === null || typeof now !== 'object' || now === null) return now;
  if (Array.isArray(before) !== Array.isArray(now)) return now;
  const old = before as Readonly<Record<string, unknown>>;
  const keys = Object.keys(now) as (keyof T & string)[];
  let all = keys.length === Object.keys(old).length;
  const out = (Array.isArray(now) ? [] : {}) as T;
  for (const key of keys) {
    out[key] = sameAgain(old[key], now[key]);
    all &&= key in old && out[key] === old[key];
  }
  return all ? (before as T) : out;
}
