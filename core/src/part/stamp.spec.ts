import { partOf } from '../testing/hardware.js';
import { boxPickup } from '../testing/plan.js';
import { stamped, type Hardware, type Pickup } from './index.js';

const by = { person: 'ada', at: '2026-12-01T09:00:00.000Z' };
const later = { person: 'ben', at: '2026-12-02T09:00:00.000Z' };

describe('a size that is measured', () => {
  const pot = partOf('pot', 'pot', { bushing: 9.4, washer: 14 });

  it('is known by its tool, by who took it and when; what is typical or listed stays so', () => {
    const typical = { ...pot, sizes: { ...pot.sizes, washer: { value: 14, limit: 0.5, basis: { kind: 'default' as const } } } };
    const { sizes } = stamped(typical, null, by);
    expect(sizes.bushing?.basis).toEqual({ kind: 'measured', tool: 'calliper', ...by });
    expect(sizes.washer.basis).toEqual({ kind: 'default' });
  });

  it('keeps who took it and when while it stays what it was, whoever saves it again; taken anew it is theirs', () => {
    const first = stamped(pot, null, by);
    const moved = { ...first, sizes: { ...first.sizes, washer: { value: 14.2, limit: 0.05, basis: { kind: 'measured' as const, tool: 'calliper' } } } };
    const sizes: Hardware['sizes'] = stamped<Hardware>(moved, first, later).sizes;
    expect([sizes.bushing?.basis, sizes.washer?.basis].map((b) => (b?.kind === 'measured' ? b.person : null))).toEqual(['ada', 'ben']);
    // the keys may come back in another order
    const turned = {
      ...first,
      sizes: { bushing: { basis: { at: by.at, person: by.person, tool: 'calliper', kind: 'measured' as const }, limit: 0.05, value: 9.4 } },
    };
    expect(stamped<Hardware>(pot, turned, later).sizes.bushing?.basis).toEqual({ kind: 'measured', tool: 'calliper', ...by });
    // nobody gives himself out as another
    const forged = { ...pot, sizes: { ...pot.sizes, bushing: { value: 9.4, limit: 0.05, basis: { kind: 'measured' as const, tool: 'calliper', ...later } } } };
    expect(stamped(forged, null, by).sizes.bushing.basis).toEqual({ kind: 'measured', tool: 'calliper', ...by });
    // the same number with another tool is taken anew
    const ruled = { ...first, sizes: { bushing: { value: 9.4, limit: 0.05, basis: { kind: 'measured' as const, tool: 'rule' } } } };
    expect(stamped(ruled, first, later).sizes.bushing.basis).toEqual({ kind: 'measured', tool: 'rule', ...later });
  });

  it('so of outlines and tiers, and a part that was measured before anybody was asked keeps that', () => {
    const box = boxPickup('box', 70, 38, 16);
    const measured = { ...box, tiers: box.tiers.map((t) => ({ ...t, lowest: { ...t.lowest, basis: { kind: 'measured' as const, tool: 'calliper' } } })) };
    expect(stamped<Pickup>(measured, null, by).tiers.every((t) => t.lowest.basis.kind === 'measured' && t.lowest.basis.person === 'ada')).toBeTrue();
    expect(stamped<Pickup>(measured, measured, by)).toEqual(measured);
  });
});
