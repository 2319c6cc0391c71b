import { HOUSE } from '../house/index.js';
import { asksFlaw, MISHAPS, mishapsAt, MISHAP_STEPS } from './index.js';

/** Step by step what can happen there at all, written down apart from the table. Common practice, no source. */
const AT: Readonly<Record<string, string>> = {
  cut: 'slipped tornOut chipped other',
  clearBulk: 'slipped tornOut chipped other',
  deepenTo: 'slipped tornOut chipped other',
  bore: 'tornOut chipped wandered other',
  drillNew: 'tornOut chipped wandered other',
  openTo: 'tornOut chipped wandered other',
  drillRowTo: 'tornOut chipped wandered other',
  fileWindow: 'slipped chipped partBroke other',
  traceOutline: 'other',
  measureDepth: 'slipped tornOut chipped other',
  setDepth: 'other',
  unplug: 'other',
  meter: 'wrongPart other',
  takeHardwareOut: 'chipped screwSnapped finishLifted partBroke other',
  takeOut: 'chipped screwSnapped partBroke other',
  fitHardware: 'chipped screwSnapped partBroke wrongPart other',
  fit: 'chipped screwSnapped partBroke wrongPart other',
  templateOff: 'finishLifted other',
  tryPart: 'chipped partBroke wrongPart other',
  solder: 'finishLifted partBroke other',
  takeStringsOff: 'chipped partBroke other',
};

describe('what can go wrong at a step', () => {
  for (const [step, wrong] of Object.entries(AT))
    it(`${step}: ${wrong}`, () => {
      expect(mishapsAt(step, false).join(' ')).toBe(wrong);
    });

  it('is too deep only where a depth is read', () => {
    expect(mishapsAt('measureDepth', true)[0]).toBe('tooDeep');
    expect(mishapsAt('cut', true)[0]).toBe('tooDeep');
  });

  it('names steps that there are, and every mishap somewhere', () => {
    for (const [mishap, steps] of Object.entries(MISHAP_STEPS)) {
      expect(steps.length).withContext(mishap).toBeGreaterThan(0);
      for (const step of steps)
        expect(step in HOUSE.steps)
          .withContext(`${mishap} ${step}`)
          .toBeTrue();
    }
    const anywhere = new Set(Object.keys(HOUSE.steps).flatMap((s) => mishapsAt(s, true)));
    expect([...anywhere].sort()).toEqual([...MISHAPS].sort());
  });

  it('has a number where it has a length', () => {
    expect(MISHAPS.filter(asksFlaw)).toEqual(['slipped', 'tornOut', 'chipped', 'wandered', 'finishLifted']);
  });
});
