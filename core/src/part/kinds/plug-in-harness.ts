import type { PartRow } from '../part-row.js';

/** Controls that are soldered already, with a plug and its socket. */
export const plugInHarness: PartRow = {
  kind: 'plug-in harness',
  group: 'electronics',
  sizes: { length: null },
  electric: ['rows'],
  goes: {},
  wired: true,
};
