import { isPickup, PICKUP_KINDS } from '../../part/index.js';
import type { CoverJoined, PickupElement, WiredCoil } from '../circuit.js';
import { oneOf, possible, type ElementField } from '../element-field.js';
import { coilsOf, coverOfPart, SHEET_OFF, typicalCoils } from '../values.js';
import { coilLug } from './coil-lug.js';
import { nothing, type ElementRow } from './row.js';

/** A pickup: the start and finish of each coil, and a wire of its own for the cover where it has one. */
export const pickup: ElementRow<PickupElement> = {
  kind: 'pickup',
  roles: ['pickup'],
  lugs: ({ coils, cover }) => [...coils.flatMap((c) => [coilLug(c.name, 'start'), coilLug(c.name, 'finish')]), ...(cover === 'own wire' ? ['shield'] : [])],
  joins: nothing,
  branches: ({ coils }) =>
    coils.map((c) => ({
      kind: 'coil',
      name: c.name,
      start: coilLug(c.name, 'start'),
      finish: coilLug(c.name, 'finish'),
      ohms: c.ohms,
      henry: c.henry,
      farad: c.farad,
      loss: c.loss,
      winding: c.winding,
      magnet: c.magnet,
      broken: c.broken ?? false,
    })),
  begin: (of) => ({ ...of, kind: 'pickup', coils: typicalCoils('single-coil'), cover: 'none' }),
  fields: (e) => [...e.coils.flatMap((c) => coilFields(e, c)), coverField(e)],
  parts: PICKUP_KINDS,
  like: (e, part) => (isPickup(part) ? { ...e, part: part.id, coils: coilsOf(part), cover: coverOfPart(part) } : e),
};

function coilFields(e: PickupElement, c: WiredCoil): readonly ElementField[] {
  const of = e.coils.length > 1 ? { of: c.name } : {};
  const put = (to: Partial<WiredCoil>): PickupElement => ({ ...e, coils: e.coils.map((x) => (x.name === c.name ? { ...x, ...to } : x)) });
  const value = (key: 'ohms' | 'henry' | 'farad' | 'loss', unit: 'Ω' | 'H' | 'F', likely: `coil ${'resistance' | 'inductance' | 'capacitance' | 'loss'}`) =>
    possible(key, unit, SHEET_OFF.value, c[key], (d) => put({ [key]: d }), { ...of, likely });
  const colour = (key: 'startColour' | 'finishColour'): ElementField => ({
    kind: 'text',
    key,
    of: of.of ?? null,
    now: c[key],
    to: (text) => put({ [key]: text }),
  });
  return [
    value('ohms', 'Ω', 'coil resistance'),
    value('henry', 'H', 'coil inductance'),
    value('farad', 'F', 'coil capacitance'),
    value('loss', 'Ω', 'coil loss'),
    oneOf(
      'winding',
      ['clockwise', 'anticlockwise'],
      c.winding === 1 ? 'clockwise' : 'anticlockwise',
      (o) => put({ winding: o === 'clockwise' ? 1 : -1 }),
      of.of,
    ),
    oneOf('magnet', ['north', 'south'], c.magnet === 1 ? 'north' : 'south', (o) => put({ magnet: o === 'north' ? 1 : -1 }), of.of),
    colour('startColour'),
    colour('finishColour'),
  ];
}

/** Ground of the cover: none, a wire of its own, or one of the leads. */
function coverField(e: PickupElement): ElementField {
  const leads = e.coils.flatMap((c) => (['start', 'finish'] as const).map((end) => ({ word: coilLug(c.name, end), joined: { coil: c.name, end } })));
  const now = typeof e.cover === 'string' ? e.cover : coilLug(e.cover.coil, e.cover.end);
  const to = (o: string): CoverJoined => leads.find((l) => l.word === o)?.joined ?? (o === 'own wire' ? 'own wire' : 'none');
  return oneOf('cover', ['none', 'own wire', ...leads.map((l) => l.word)], now, (o) => ({ ...e, cover: to(o) }));
}
