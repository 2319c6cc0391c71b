import type { JackElement } from '../circuit.js';
import { nothing, type ElementRow } from './row.js';

const LUGS = { mono: ['tip', 'sleeve'], switched: ['tip', 'sleeve', 'break'], stereo: ['tip', 'ring', 'sleeve'] } as const;

/** A jack. A plug's barrel joins the ring of a stereo one to the sleeve; the break contact of a switched one lies on the tip until a plug lifts it. */
export const jack: ElementRow<JackElement> = {
  kind: 'jack',
  lugs: ({ form }) => LUGS[form],
  joins: ({ form }, { plugged }) => {
    if (form === 'stereo' && plugged) return [['ring', 'sleeve']];
    return form === 'switched' && !plugged ? [['tip', 'break']] : [];
  },
  branches: nothing,
};
