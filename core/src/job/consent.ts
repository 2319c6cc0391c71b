import type { OwnersYes } from '../gate/index.js';

/** How an owner was asked. */
export const CONSENT_WAYS = ['in person', 'by phone', 'in writing'] as const;

/** What the owner agreed to: the options and prices as they stood. */
export interface Consent {
  readonly id: string;
  readonly job: string;
  readonly decision: string;
  readonly how: (typeof CONSENT_WAYS)[number];
  readonly said: string;
  /** Parts and work together, in the smallest coin. */
  readonly price: number;
  readonly options: readonly { readonly id: string; readonly kind: string; readonly price: number }[];
  readonly person: string;
  readonly at: string;
}

/** Was the owner asked about a decision? Nobody is where the instrument is the workshop's own. */
export function consentTo(decision: string, consents: readonly Consent[], clients: boolean): OwnersYes {
  if (!clients) return 'own';
  return consents.some((c) => c.decision === decision) ? 'given' : 'needed';
}
