import { clockText, elapsed, minutesOf, started, stopped, watchOf, woken } from './watch';

describe('the stop-watch of a step', () => {
  const fresh = watchOf(null, 'a', 0);

  it('runs from its start, stands when stopped, and goes on from there', () => {
    const ran = stopped(started(fresh, 1000), 61_000);
    expect([elapsed(ran, 999_999), elapsed(started(ran, 100_000), 130_000)]).toEqual([60_000, 90_000]);
    expect(started(started(fresh, 1000), 5000).since).toBe(1000);
    // a clock that was put back takes nothing away
    expect(elapsed(started(fresh, 5000), 4000)).toBe(0);
  });

  it('begins the next step at nothing, running where it ran; the same step keeps its own', () => {
    const running = started(fresh, 1000);
    expect(watchOf(running, 'a', 9000)).toBe(running);
    expect(watchOf(running, 'b', 9000)).toEqual({ of: 'b', spent: 0, since: 9000 });
    expect(watchOf(stopped(running, 3000), 'b', 9000)).toEqual({ of: 'b', spent: 0, since: null });
  });

  it('that was forgotten over night stands, with what it ran before; one that was left over lunch still runs', () => {
    const running = { of: 'a', spent: 60_000, since: 0 };
    expect(woken(running, 3_600_000)).toBe(running);
    expect(woken(running, 13 * 3_600_000)).toEqual({ of: 'a', spent: 60_000, since: null });
  });

  it('tells minutes to a hundredth and nothing of what never ran', () => {
    expect([minutesOf(fresh, 5000), minutesOf(stopped(started(fresh, 0), 90_000), 0), minutesOf(stopped(started(fresh, 0), 20), 0)]).toEqual([null, 1.5, 0.01]);
    expect([clockText(75_000), clockText(3_725_000), clockText(0)]).toEqual(['1:15', '1:02:05', '0:00']);
  });
});
