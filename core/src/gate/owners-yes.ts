/** Why a yes no longer covers what is about to be cut. */
export type YesLapse =
  | { readonly kind: 'withdrawn'; readonly at: string }
  /** The instrument was somebody else's when it was given. */
  | { readonly kind: 'owner'; readonly at: string }
  | { readonly kind: 'price'; readonly was: number; readonly now: number }
  /** Another part goes in, or other work is done. */
  | { readonly kind: 'choice' }
  | { readonly kind: 'number'; readonly verdict: string; readonly was: number | null; readonly now: number | null };

/** Whether the owner was asked: the instrument is the workshop's own, or a client's who agreed, or did not yet, or not to this. */
export type OwnersYes = { readonly is: 'own' | 'given' | 'needed' } | { readonly is: 'lapsed'; readonly why: readonly YesLapse[] };
