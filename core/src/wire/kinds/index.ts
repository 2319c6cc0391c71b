import type { Branch } from '../branch.js';
import type { Part } from '../../part/index.js';
import type { Element, ElementKind, Role } from '../circuit.js';
import type { ElementField } from '../element-field.js';
import type { Setting } from '../setting.js';
import { block } from './block.js';
import { capacitor } from './capacitor.js';
import { cell } from './cell.js';
import { jack } from './jack.js';
import { metal } from './metal.js';
import { pickup } from './pickup.js';
import { piezo } from './piezo.js';
import { pot } from './pot.js';
import { preamp } from './preamp.js';
import { resistor } from './resistor.js';
import type { ElementRow, ElementRows } from './row.js';
import { switchKind } from './switch.js';

/** Every kind of element, in the order in which they are offered. */
export const ELEMENT_ROWS: ElementRows = { pickup, piezo, pot, switch: switchKind, capacitor, resistor, jack, preamp, cell, block, metal };

/** The row of an element's kind: rows and elements are of one kind each, which the compiler cannot see of the pair. */
const rowOf = (e: Element): ElementRow<Element> => ELEMENT_ROWS[e.kind] as unknown as ElementRow<Element>;

/** The terminals of an element, by name. */
export const lugsOf = (e: Element): readonly string[] => rowOf(e).lugs(e);
/** What of an element's lugs is joined at a setting. */
export const joinsOf = (e: Element, setting: Setting): readonly (readonly [string, string])[] => rowOf(e).joins(e, setting);
/** What lies between an element's lugs. */
export const branchesOf = (e: Element): readonly Branch<string>[] => rowOf(e).branches(e);

/** What of an element can be stated, as it stands. */
export const fieldsOf = (e: Element): readonly ElementField[] => rowOf(e).fields(e);
/** The kinds of parts on the shelf that an element can be. */
export const partKindsOf = (e: Element): readonly string[] => rowOf(e).parts;
/** An element as a part of the shelf says; a part that it cannot be changes nothing. */
export const likePart = (e: Element, part: Part): Element => (rowOf(e).parts.includes(part.kind) ? rowOf(e).like(e, part) : e);
/** A new element as it usually is. */
export const beginElement = (kind: ElementKind, does: Role, id: string): Element => ELEMENT_ROWS[kind].begin({ id, name: null, does, place: null, part: null });
/** What an element of a kind can be in a circuit, the usual first. */
export const rolesOf = (kind: ElementKind): readonly Role[] => ELEMENT_ROWS[kind].roles;

export { coilLug } from './coil-lug.js';
export { trackLug } from './pot.js';
export { usualContacts } from './switch.js';
