import type { Anatomy } from './anatomy.js';

/** The same anatomy as hearsay: what was read or done on one instrument is only stated of its copy, and check widths are not its own. */
export function restated(a: Anatomy): Anatomy {
  return renamed(a) as Anatomy;
}

function renamed(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(renamed);
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value as Record<string, unknown>);
  const isOutline = 'outline' in value && 'across' in value;
  return Object.fromEntries(
    entries.map(([key, v]) => {
      if (key === 'basis') return [key, statedBasis(v)];
      if (isOutline && (key === 'across' || key === 'along')) return [key, null];
      return [key, renamed(v)];
    }),
  );
}

function statedBasis(basis: unknown): unknown {
  const { kind } = basis as { kind: string };
  return kind === 'default' ? basis : { kind: 'stated' };
}
