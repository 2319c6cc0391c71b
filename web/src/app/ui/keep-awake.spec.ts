import { ChangeDetectionStrategy, Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { keepAwake } from './keep-awake';

@Component({ selector: 'rn-awake', template: '{{ state() }}', changeDetection: ChangeDetectionStrategy.OnPush })
class Awake {
  readonly state = keepAwake();
}

describe('the screen that is kept on', () => {
  afterEach(() => Reflect.deleteProperty(navigator, 'wakeLock'));

  function withLock(wakeLock: unknown): void {
    Object.defineProperty(navigator, 'wakeLock', { value: wakeLock, configurable: true });
  }
  const turn = (): Promise<void> => new Promise((r) => setTimeout(r, 10));

  it('is asked for at once, again when the page is seen again, and let go with what asked', async () => {
    const release = jasmine.createSpy('release').and.resolveTo();
    let gone: () => void = () => undefined;
    const lock = { released: false, addEventListener: (_: string, f: () => void) => (gone = f), release };
    const request = jasmine.createSpy('request').and.callFake(() => Promise.resolve(lock));
    withLock({ request });
    const fixture = TestBed.createComponent(Awake);
    await turn();
    expect([fixture.componentInstance.state(), request.calls.count()]).toEqual(['on', 1]);
    lock.released = true;
    gone();
    expect(fixture.componentInstance.state()).toBe('off');
    document.dispatchEvent(new Event('visibilitychange'));
    await turn();
    expect([fixture.componentInstance.state(), request.calls.count()]).toEqual(['on', 2]);
    fixture.destroy();
    document.dispatchEvent(new Event('visibilitychange'));
    await turn();
    expect([release.calls.count(), request.calls.count()]).toEqual([1, 2]);
  });

  it('says that it is not, where the browser refuses or cannot', async () => {
    withLock({ request: () => Promise.reject(new Error('no')) });
    const refused = TestBed.createComponent(Awake);
    await turn();
    expect(refused.componentInstance.state()).toBe('off');
    withLock(undefined);
    expect(TestBed.createComponent(Awake).componentInstance.state()).toBe('cannot');
  });
});
