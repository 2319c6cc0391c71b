import type { GateInput } from '../gate/index.js';

/** The gate of the workshop's own instrument, with nothing read, accepted, asked or needed but what a spec says. */
export function gateOf(given: Partial<GateInput> & Pick<GateInput, 'evaluation' | 'found'>): GateInput {
  return {
    readings: [],
    own: new Set(),
    accepted: new Set(),
    consent: { is: 'own' },
    asked: [],
    technicians: 1,
    print: null,
    before: [],
    needs: [],
    tired: null,
    ...given,
  };
}
