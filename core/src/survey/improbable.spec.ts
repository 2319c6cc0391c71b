import { STATES, type StateId } from '../quantity/index.js';
import { improbable } from './index.js';

describe('an improbable value', () => {
  it('is challenged with the slip that explains it', () => {
    expect(improbable('relief', 2.5)!.meant).toBeCloseTo(0.25, 9);
    expect(improbable('action', 0.5)!.meant).toBeCloseTo(5, 9);
    expect(improbable('resistance', 74_000)!.meant).toBeCloseTo(7400, 9);
    expect(improbable('pickupHeight', 0.09 * 4)!.meant).toBeCloseTo(3.6, 9);
    expect(improbable('planeOverBridge', -11)!.meant).toBeCloseTo(-1.1, 9);
    expect(improbable('saddleShown', 0.11)!.meant).toBeCloseTo(1.1, 9);
    expect(improbable('humidity', 94)).toEqual({ meant: null });
  });

  it('is none that is usual, nor what cannot be challenged: answers, and a coil that is open or shorted', () => {
    for (const [id, value] of [
      ['relief', 0.25],
      ['relief', -0.3],
      ['action', 2.3],
      ['resistance', 7400],
      ['resistance', 500_000],
      ['resistance', 0],
      ['stopSign', 1],
      ['groundResistance', 1000],
    ] as const)
      expect(improbable(id, value)).withContext(`${id} ${value}`).toBeNull();
  });

  it('is never explained by a value that is improbable itself', () => {
    let explained = 0;
    for (const id of Object.keys(STATES) as StateId[]) {
      const { min, max } = STATES[id];
      for (let i = 0; i <= 200; i++) {
        const meant = improbable(id, min + ((max - min) * i) / 200)?.meant ?? null;
        if (meant === null) continue;
        explained += 1;
        expect(improbable(id, meant)).withContext(`${id} ${meant}`).toBeNull();
      }
    }
    expect(explained).toBeGreaterThan(100);
  });
});
