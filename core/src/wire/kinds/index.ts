import type { Branch } from '../branch.js';
import type { Element } from '../circuit.js';
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

export { coilLug } from './pickup.js';
export { trackLug } from './pot.js';
