import { LISTS, evaluatePlan } from '../house/index.js';
import { partsCsv, readReadingsCsv, readPartsCsv } from '../format/index.js';
import { isPickup, typicalPickup } from '../part/index.js';
import { roundedRectangle } from '../shape/index.js';
import { plainAnatomy, plainChoice, plainPlan, plainState } from '../testing/plan.js';
import { newId, newSettings, upgrade, upgradeAnatomy, upgradePart, upgradePlan, upgradeMeasured, upgradeTarget, upgradeValue } from './index.js';
import type { AnyTarget } from '../quantity/index.js';

/** A document as the program before wrote it: today's names turned round, by hand. */
function asBefore(document: object, format: number): unknown {
  const text = JSON.stringify({ ...document, format })
    .replaceAll('"levels":', '"pockets":')
    .replaceAll('"level":', '"pocket":')
    .replaceAll('"tiers":', '"levels":')
    .replaceAll('"leadsNeeded":', '"leadsWanted":')
    .replaceAll('"kind":"stated"', '"kind":"told"')
    .replaceAll('"kind":"addLevels"', '"kind":"addPockets"')
    .replaceAll('"quantity":"levelDepth"', '"quantity":"pocketDepth"');
  return JSON.parse(text);
}

describe('documents of an earlier format', () => {
  it('are the same under today’s names: an anatomy, a plan, a part', () => {
    expect(upgradeAnatomy(asBefore(plainAnatomy(), 1))).toEqual(plainAnatomy());
    const levels = [{ id: 'main', outline: roundedRectangle(80, 40, 5), depth: 18, bored: false }];
    const plan = plainPlan(plainChoice({ leadsNeeded: 4, route: { at: { x: 0, y: 110, turn: 0 }, levels } }));
    expect(JSON.stringify(asBefore(plan, 2))).toMatch(/pockets.*leadsWanted|leadsWanted.*pockets/);
    expect(upgradePlan(asBefore(plan, 2))).toEqual(plan);
    const part = typicalPickup('humbucker', '00000000-0000-4000-8000-000000000003', 'Two coils');
    expect(JSON.stringify(asBefore(part, 1))).not.toContain('tiers');
    expect(upgradePart(asBefore(part, 1))).toEqual(part);
  });

  it('are judged the same to the last digit', () => {
    const now = evaluatePlan(plainState(), plainPlan());
    const state = { ...plainState(), anatomy: upgradeAnatomy(asBefore(plainAnatomy(), 1)) };
    expect(evaluatePlan(state, plainPlan()).verdicts.map((v) => [v.id, v.clearance])).toEqual(now.verdicts.map((v) => [v.id, v.clearance]));
  });

  it('are asked for by their aspect; one that this program does not write is refused with its name', () => {
    expect(upgrade('anatomy', asBefore(plainAnatomy(), 1))).toEqual(plainAnatomy());
    expect(upgrade('circuit', { format: 1, elements: [], joints: [], bare: [] })).toEqual({ format: 1, elements: [], joints: [], bare: [] });
    expect(() => upgrade('circuit', { format: 2 })).toThrowError(RangeError, /circuit/);
    expect(() => upgrade('strung', { format: 1 })).toThrowError(RangeError, /strung/);
  });

  it('have resistances in Ω that were kept in kΩ; those that tell their unit, and every other value, are left alone', () => {
    const coil = { quantity: 'resistance', feature: 'p' };
    expect(upgradeValue({ target: coil, value: 7.4, limit: 0.104 })).toEqual({ target: coil as AnyTarget, value: 7400, limit: 104 });
    expect(upgradeValue({ target: coil, value: 7400, limit: 104, unit: 'Ω' }).value).toBe(7400);
    expect(upgradeValue({ target: { quantity: 'shieldResistance', feature: 'c' }, value: 0.02, limit: 0.001 }).value).toBe(20);
    expect(upgradeValue({ target: { quantity: 'groundResistance', feature: 'b' }, value: 0.4, limit: 0.3 }).value).toBe(0.4);
    expect(upgradeValue({ target: { quantity: 'pocketDepth', feature: 'c', part: 'p' }, value: 18, limit: 0.05 })).toEqual({
      target: { quantity: 'levelDepth', feature: 'c', part: 'p' },
      value: 18,
      limit: 0.05,
    });
  });

  it('name what was read in a step by its target, where a level alone or nothing was told', () => {
    const read = { value: 6.1, limit: 0.05, raw: '6.1', tool: 't' };
    expect(upgradeMeasured({ level: 'main', ...read })).toEqual({ target: { quantity: 'levelDepth', feature: '', part: 'main' }, unit: 'mm', ...read });
    expect(upgradeMeasured({ level: null, ...read })!.target).toEqual({ quantity: 'fitGap', feature: '' });
    const now = { target: { quantity: 'levelDepth' as const, feature: 'c', part: 'main' }, unit: 'mm' as const, ...read };
    expect(upgradeMeasured(now)).toBe(now);
    expect(upgradeMeasured(null)).toBeNull();
  });

  it('of now come back as the very same object; those of a later program are refused', () => {
    const a = plainAnatomy();
    expect(upgradeAnatomy(a)).toBe(a);
    expect(() => upgradeAnatomy({ ...a, format: 3 })).toThrowError(RangeError);
    expect(() => upgradePlan({ format: 1 })).toThrowError(RangeError);
    expect(() => upgradePart(null)).toThrowError(RangeError);
  });

  it('keep what a person typed, though it is a word that was renamed', () => {
    const a = asBefore({ ...plainAnatomy(), insisted: [{ doubt: 'hollowOutside/pocket', because: 'hollow' }] }, 1);
    expect(upgradeAnatomy(a).insisted).toEqual([{ doubt: 'cavityOutside/pocket', because: 'hollow' }]);
    expect(upgradeAnatomy(a).cavities.some((c) => c.id === 'pocket')).toBeTrue();
  });

  it('have ids, targets and the shop’s numbers by their new names', () => {
    expect(newId('widenHollow/00000000-0000-4000-8000-000000000031')).toBe('widenCavity/00000000-0000-4000-8000-000000000031');
    expect(newId('keep')).toBe('keep');
    expect(upgradeTarget({ quantity: 'pocketDepth', feature: 'hollow', part: 'pocket' })).toEqual({
      quantity: 'levelDepth',
      feature: 'hollow',
      part: 'pocket',
    });
    expect(newSettings({ wantedFloor: 6, minutesPass: 7 })).toEqual({ minFloor: 6, minutesPass: 7 });
  });

  it('in tables: the old name of a quantity, and a pickup’s outlines under their old name', () => {
    const { readings } = readReadingsCsv('quantity,feature,part,value\npocketDepth,route,old,18', () => true, [
      { id: 'c', kind: 'calliper', name: 'Calliper', limit: 0.05 },
    ]);
    expect(readings.map((r) => r.target.quantity)).toEqual(['levelDepth']);
    const part = typicalPickup('humbucker', '00000000-0000-4000-8000-000000000003', 'Two coils');
    const { parts } = readPartsCsv(LISTS, partsCsv([part]).replace('""tiers""', '""levels""'), () => 'x');
    expect(parts.map((p) => isPickup(p.part) && p.part.tiers.length)).toEqual([part.tiers.length]);
  });
});
