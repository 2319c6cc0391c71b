import { isPickup } from '../../part/index.js';
import type { JackElement } from '../circuit.js';
import { oneOf } from '../element-field.js';
import { nothing, type ElementRow } from './row.js';

const LUGS = { mono: ['tip', 'sleeve'], switched: ['tip', 'sleeve', 'break'], stereo: ['tip', 'ring', 'sleeve'] } as const;
const FORMS = ['mono', 'switched', 'stereo'] as const;

/** A jack. A plug's barrel joins the ring of a stereo one to the sleeve; the break contact of a switched one lies on the tip until a plug lifts it. */
export const jack: ElementRow<JackElement> = {
  kind: 'jack',
  roles: ['jack'],
  lugs: ({ form }) => LUGS[form],
  joins: ({ form }, { plugged }) => {
    if (form === 'stereo' && plugged) return [['ring', 'sleeve']];
    return form === 'switched' && !plugged ? [['tip', 'break']] : [];
  },
  branches: nothing,
  begin: (of) => ({ ...of, kind: 'jack', form: 'mono' }),
  fields: (e) => [oneOf('form', FORMS, e.form, (form) => ({ ...e, form }))],
  parts: ['jack', 'end-pin jack'],
  like: (e, part) => ({ ...e, part: part.id, form: FORMS.find((f) => !isPickup(part) && part.traits.wiring === f) ?? e.form }),
};
