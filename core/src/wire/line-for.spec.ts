import { exactly, humbucker, plainCoil, plainPickup } from '../testing/circuit.js';
import { lineFor } from './index.js';

describe('the line where a pickup is read by itself', () => {
  const split = exactly('two pickups, toggle, own volumes and tones, each split on its volume', [
    humbucker('neck', 4000, 4000),
    humbucker('bridge', 4150, 4150),
  ]);

  it('is its own position, pulled where it is split', () => {
    expect(lineFor(split, 'neck', 'whole')?.target.part).toBe('selector 1');
    expect(lineFor(split, 'neck', 'split')?.target.part).toBe('selector 1, neck volume pulled');
    expect(lineFor(split, 'bridge', 'split')?.target.part).toBe('selector 3, bridge volume pulled');
  });

  it('is none of a pickup that never stands alone, is not split, or is not there', () => {
    const plain = exactly('two pickups, toggle, one volume and tone', [plainPickup('neck', plainCoil('coil', 8000)), humbucker('bridge', 4000, 4100)]);
    expect(lineFor(plain, 'bridge', 'split')).toBeNull();
    expect(lineFor(plain, 'middle', 'whole')).toBeNull();
    const both = exactly('two pickups without a switch, own volumes, one tone', [
      plainPickup('neck', plainCoil('coil', 8000)),
      humbucker('bridge', 4000, 4100),
    ]);
    expect(lineFor(both, 'neck', 'whole')).toBeNull();
  });
});
