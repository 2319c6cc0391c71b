import { loggedStepText } from './index.js';

describe('a logged step', () => {
  it('is named by its operation and what was done, never by its id', () => {
    expect(loggedStepText('routePasses', '4 cut')).toBe('Route to the template, in passes · pass');
    expect(loggedStepText('meterPart', '0 meter')).toBe('Meter the new pickup · pickup metered');
    expect(loggedStepText('removePart', '2 takeOut')).toBe('Remove the pickup · pickup removed');
  });

  it('of a version with other steps is named by its operation', () => {
    expect(loggedStepText('meterPart', '9 polishPoles')).toBe('Meter the new pickup');
  });
});
