import type { Loose } from './loose.js';
import type { Dimension } from '@rinnovo/core/measure';
import { ROLES, TAPERS, type Circuit, type Element, type Joint, type Lug, type Track, type WiredCoil } from '@rinnovo/core/wire';
import Joi from 'joi';
import { contactTable as table } from './contacts.js';
import { localId, text } from './scalars.js';
import { basis } from './shapes.js';
import { oneOf } from './targets.js';

/** A value of a circuit in its unit: from a picofarad to gigaohms. */
const value = Joi.number().min(0).max(1e12).required();
const electric = Joi.object<Loose<Dimension>, true>({ value, limit: value, basis: basis.required() });
const lug = Joi.object<Loose<Lug>, true>({ element: localId.required(), lug: localId.required() });
const sign = Joi.number().valid(1, -1).required();
const colour = text.max(40).allow(null).required();

const coil = Joi.object<Loose<WiredCoil>, true>({
  name: localId.required(),
  ohms: electric.allow(null).required(),
  henry: electric.allow(null).required(),
  farad: electric.allow(null).required(),
  loss: electric.allow(null).required(),
  winding: sign,
  magnet: sign,
  startColour: colour,
  finishColour: colour,
  broken: Joi.boolean().valid(true),
});

const track = Joi.object<Loose<Track>, true>({ ohms: electric.required(), taper: oneOf(TAPERS).required() });

const cover = Joi.alternatives().try(oneOf(['none', 'own wire']), Joi.object({ coil: localId.required(), end: oneOf(['start', 'finish']).required() }));

/** What is particular of each kind of element. */
const PARTICULAR: Readonly<Record<Element['kind'], object>> = {
  pickup: { coils: Joi.array().items(coil).min(1).max(8).required(), cover: cover.required() },
  pot: {
    tracks: Joi.array().items(track).min(1).max(2).required(),
    reverse: Joi.boolean().required(),
    noLoad: Joi.boolean().required(),
    pull: table.allow(null).required(),
  },
  switch: { table: table.required() },
  capacitor: { farad: electric.required(), leak: electric.allow(null).required() },
  resistor: { ohms: electric.required() },
  jack: { form: oneOf(['mono', 'switched', 'stereo']).required() },
  cell: { volt: electric.required() },
  preamp: {
    gain: electric.required(),
    sourceOhms: electric.required(),
    inputOhms: electric.required(),
    supply: electric.required(),
    charging: Joi.boolean().required(),
  },
  piezo: { farad: electric.required() },
  block: { rows: Joi.number().integer().min(1).max(24).required(), plugs: Joi.boolean().required() },
  metal: {},
};

const element = Joi.alternatives<Element>().try(
  ...Object.entries(PARTICULAR).map(([kind, of]) =>
    Joi.object({
      kind: Joi.string().valid(kind).required(),
      id: localId.required(),
      name: text.max(80).allow(null).required(),
      does: oneOf(ROLES).required(),
      place: localId.allow(null).required(),
      part: localId.allow(null).required(),
      ...of,
    }),
  ),
);

export const circuit = Joi.object<Loose<Circuit>, true>({
  format: Joi.number().valid(1).required(),
  elements: Joi.array().items(element).max(80).required(),
  joints: Joi.array()
    .items(Joi.object<Loose<Joint>, true>({ a: lug.required(), b: lug.required() }))
    .max(400)
    .required(),
  bare: Joi.array().items(lug).max(600).required(),
});

/** A whole circuit to be kept as the next revision. */
export interface ReviseCircuit {
  readonly document: Circuit;
}

export const reviseCircuit = Joi.object<Loose<ReviseCircuit>, true>({ document: circuit.required() });
