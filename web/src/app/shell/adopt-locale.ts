import type { KeptLocale } from '@rinnovo/contract';
import { useLocale } from '@rinnovo/words';

/** How long the page waits for the workshop's form of numbers before it begins with the browser's, ms. */
const PATIENCE = 3000;

/** Takes over the workshop's form of numbers, dates and money before anything is shown; the browser's own where the server does not answer. */
export async function adoptLocale(): Promise<void> {
  const { locale, timeZone } = Intl.DateTimeFormat().resolvedOptions();
  try {
    const answer = await fetch('/api/shop/locale', { signal: AbortSignal.timeout(PATIENCE) });
    useLocale(answer.ok ? ((await answer.json()) as KeptLocale) : { locale, timeZone, currency: '' });
  } catch {
    useLocale({ locale, timeZone, currency: '' });
  }
}
