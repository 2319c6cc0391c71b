import { attempt } from './attempt';

describe('an attempt', () => {
  it('is busy while its act is under way, and takes no second one meanwhile', async () => {
    const one = attempt();
    let end: () => void = () => undefined;
    let acts = 0;
    const act = (): Promise<void> => {
      acts += 1;
      return new Promise<void>((done) => (end = done));
    };
    const first = one.run(act);
    expect(one.busy()).toBeTrue();
    expect(await one.run(act)).toBeFalse();
    end();
    expect(await first).toBeTrue();
    expect(acts).toBe(1);
    expect(one.busy()).toBeFalse();
  });

  it('says what mishap, and forgets it with the next one', async () => {
    const one = attempt();
    expect(await one.run(() => Promise.reject(new Error('the calliper is at lunch')))).toBeFalse();
    expect(one.problem()).toContain('the calliper is at lunch');
    await one.run(() => Promise.resolve());
    expect(one.problem()).toBeNull();
  });
});
