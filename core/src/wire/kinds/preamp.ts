import { isPickup } from '../../part/index.js';
import type { PreampElement } from '../circuit.js';
import { either, needed } from '../element-field.js';
import { electricOf } from '../like-part.js';
import { PREAMP, PREAMP_OFF } from '../values.js';
import { nothing, type ElementRow } from './row.js';

/** A preamp as a buffer between its input and its output. */
export const preamp: ElementRow<PreampElement> = {
  kind: 'preamp',
  roles: ['preamp'],
  lugs: ({ charging }) => ['in', 'out', 'ground', 'plus', ...(charging ? ['charge'] : [])],
  joins: nothing,
  branches: ({ gain, inputOhms, sourceOhms }) => [{ kind: 'buffer', input: 'in', output: 'out', ground: 'ground', gain, inputOhms, sourceOhms }],
  begin: (of) => ({ ...of, kind: 'preamp', ...PREAMP }),
  fields: (e) => [
    needed('gain', 'times', PREAMP_OFF.value, e.gain, (gain) => ({ ...e, gain })),
    needed('sourceOhms', 'Ω', PREAMP_OFF.value, e.sourceOhms, (sourceOhms) => ({ ...e, sourceOhms })),
    needed('inputOhms', 'Ω', PREAMP_OFF.value, e.inputOhms, (inputOhms) => ({ ...e, inputOhms })),
    needed('supply', 'A', PREAMP_OFF.value, e.supply, (supply) => ({ ...e, supply })),
    either('charging', ['no port', 'port'], e.charging, (charging) => ({ ...e, charging })),
  ],
  parts: ['preamp'],
  like: (e, part) => ({
    ...e,
    part: part.id,
    gain: electricOf(part, 'gain', PREAMP_OFF.value) ?? e.gain,
    sourceOhms: electricOf(part, 'sourceOhms', PREAMP_OFF.value) ?? e.sourceOhms,
    inputOhms: electricOf(part, 'inputOhms', PREAMP_OFF.value) ?? e.inputOhms,
    supply: electricOf(part, 'supply', PREAMP_OFF.value) ?? e.supply,
    charging: isPickup(part) || part.traits.charging === undefined ? e.charging : part.traits.charging === 'port',
  }),
};
