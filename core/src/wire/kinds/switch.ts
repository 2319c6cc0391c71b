import { isPickup, SWITCH_FORMS, type ContactTable } from '../../part/index.js';
import type { SwitchElement } from '../circuit.js';
import { positionOf } from '../setting.js';
import { nothing, type ElementRow } from './row.js';

/** What a kind of switch usually joins: where one begins. */
const USUAL_TABLE: Readonly<Record<string, ContactTable>> = {
  'lever switch': SWITCH_FORMS['lever, three positions'],
  'toggle switch': SWITCH_FORMS['toggle, three positions'],
  'mini toggle': SWITCH_FORMS['mini toggle, on-on'],
  'rotary switch': SWITCH_FORMS['rotary, four poles, five positions'],
  'slide switch': SWITCH_FORMS['mini toggle, on-on'],
  'kill switch': SWITCH_FORMS['kill, momentary, shorting'],
};

/** The contacts that a kind of part usually has; null: it switches nothing. */
export const usualContacts = (kind: string): ContactTable | null => (kind === 'push-pull pot' ? SWITCH_FORMS['push-pull'] : (USUAL_TABLE[kind] ?? null));

/** A switch is its contact table. A position that it does not have joins nothing. */
export const switchKind: ElementRow<SwitchElement> = {
  kind: 'switch',
  roles: ['selector', 'mode', 'kill'],
  lugs: ({ table }) => [...table.lugs, 'frame'],
  joins: ({ id, table }, setting) => table.positions[positionOf(setting, id)]?.joins ?? [],
  branches: nothing,
  begin: (of) => ({
    ...of,
    kind: 'switch',
    table: USUAL_TABLE[of.does === 'kill' ? 'kill switch' : 'toggle switch'] ?? SWITCH_FORMS['toggle, three positions'],
  }),
  fields: nothing,
  parts: Object.keys(USUAL_TABLE),
  like: (e, part) => ({ ...e, part: part.id, table: (isPickup(part) ? null : part.contacts) ?? USUAL_TABLE[part.kind] ?? e.table }),
};
