import type { Built, CircuitWish, WhyNot } from '@rinnovo/core/wire';

/** What a builder tells while it goes on, and in the end. */
export type BuildAnswer =
  | { readonly kind: 'tries'; readonly tries: number; readonly asking: 'circuit' | 'why not' }
  | { readonly kind: 'built'; readonly built: Built }
  | { readonly kind: 'impossible'; readonly built: Built; readonly why: WhyNot }
  | { readonly kind: 'broken' };

export type BuildRequest = CircuitWish;
