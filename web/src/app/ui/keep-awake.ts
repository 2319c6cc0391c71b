import { DOCUMENT } from '@angular/common';
import { DestroyRef, inject, signal, type Signal } from '@angular/core';

/** Does the screen stay on? 'cannot': this browser does not let it be kept on. */
export type Awake = 'on' | 'off' | 'cannot';

/** Keeps the screen on as long as what asks for it is there and the page is seen; to be called where something is injected. */
export function keepAwake(): Signal<Awake> {
  const page = inject(DOCUMENT);
  // not everywhere: old browsers, and pages that are not served safely
  const { wakeLock } = page.defaultView?.navigator as { wakeLock?: WakeLock };
  const state = signal<Awake>(wakeLock ? 'off' : 'cannot');
  if (!wakeLock) return state;
  let held: WakeLockSentinel | null = null;
  let active = true;
  const ask = async (): Promise<void> => {
    if (page.visibilityState !== 'visible' || (held && !held.released)) return;
    try {
      const lock = await wakeLock.request('screen');
      if (!active) return await lock.release();
      held = lock;
      state.set('on');
      lock.addEventListener('release', () => state.set('off'));
    } catch {
      state.set('off');
    }
  };
  const seen = (): void => void ask();
  page.addEventListener('visibilitychange', seen);
  inject(DestroyRef).onDestroy(() => {
    active = false;
    page.removeEventListener('visibilitychange', seen);
    void held?.release();
  });
  void ask();
  return state;
}
