import { elementIn, type Circuit, type CircuitDifference, type ElementField, type ElementKind, type FieldId, type Role } from '@rinnovo/core/wire';
import { elementName, lugName, ROLE_WORDS } from './circuit.js';
import { TRAIT_VALUE_WORDS } from './choices.js';
import { ELECTRIC_WORDS, electricText } from './electric.js';
import { upperFirst, type Names } from './names.js';

const ELEMENT_KIND_WORDS: Readonly<Record<ElementKind, string>> = {
  pickup: 'pickup',
  piezo: 'piezo',
  pot: 'pot',
  switch: 'switch',
  capacitor: 'capacitor',
  resistor: 'resistor',
  jack: 'jack',
  preamp: 'preamp',
  cell: 'battery',
  block: 'terminal block',
  metal: 'metal part',
};

/** What can be added to a circuit: `Pot, volume`, `Jack`. */
export function partToAddWord(kind: ElementKind, does: Role): string {
  const [of, as] = [ELEMENT_KIND_WORDS[kind], ROLE_WORDS[does]];
  return upperFirst(of === as ? of : `${of}, ${as}`);
}

const FIELD_WORDS: Readonly<Record<FieldId, string>> = {
  ...ELECTRIC_WORDS,
  henry: 'Inductance',
  loss: 'Loss across the coil',
  leak: 'Leakage',
  taper: 'Taper',
  direction: 'Turns up',
  fullUp: 'Full up',
  pull: 'Pull switch',
  form: 'Form',
  winding: 'Winding direction',
  magnet: 'Pole facing the strings',
  startColour: 'Colour of the start',
  finishColour: 'Colour of the finish',
  cover: 'Ground of cover and base',
  charging: 'Charging port',
  plugs: 'Joined by',
};

/** A field of an element: `Resistance`, `North, inductance`, `Track 2, taper`. */
export function fieldWord({ key, of }: Pick<ElementField, 'key' | 'of'>): string {
  const word = FIELD_WORDS[key];
  if (of === null) return word;
  return `${/^\d+$/.test(of) ? `Track ${of}` : upperFirst(of)}, ${word.toLowerCase()}`;
}

/** How well a value is known. */
export function fieldNote(f: ElementField): string {
  if (f.kind !== 'value' || f.unit === 'count') return '';
  if (f.known === null) return 'unknown';
  const by = f.known.basis.kind === 'measured' ? 'metered' : f.known.basis.kind === 'sheet' ? 'part’s sheet' : 'marked or typical';
  return `±${electricText(f.known.limit, f.unit)}, ${by}`;
}

/** One of a few, as it is chosen. */
export const optionWord = (option: string): string => TRAIT_VALUE_WORDS[option] ?? option;

/** What is otherwise in a circuit than in another, in a sentence: parts are named as the one that has them names them. */
export function differenceText(before: Circuit, now: Circuit, d: CircuitDifference, names: Names): string {
  const named = (id: string): string => {
    const e = elementIn(now, id) ?? elementIn(before, id);
    return e ? elementName(e, names) : id;
  };
  switch (d.kind) {
    case 'added':
      return `${named(d.element)} is new.`;
    case 'removed':
      return `${named(d.element)} is gone.`;
    case 'contacts':
      return `${named(d.element)} joins other contacts.`;
    case 'joined':
      return `${lugName(now, d.joint.a, names)} is joined to ${lugName(now, d.joint.b, names)}.`;
    case 'parted':
      return `${lugName(before, d.joint.a, names)} is no longer joined to ${lugName(before, d.joint.b, names)}.`;
    case 'field': {
      const shown = (v: string | number | null): string =>
        v === null ? 'unknown' : typeof v === 'string' ? optionWord(v) : d.unit === null ? String(v) : electricText(v, d.unit);
      return `${named(d.element)}, ${fieldWord(d).toLowerCase()}: ${shown(d.from)} before, ${shown(d.to)} now.`;
    }
  }
}
