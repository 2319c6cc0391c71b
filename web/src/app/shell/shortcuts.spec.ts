import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { setUp } from '../../testing/fixture';
import { viewActions, viewFeature, type ViewFeature } from '../state/view.feature';
import { KEY_MAP, STAGES } from './keys';
import { Shortcuts } from './shortcuts';

describe('the keyboard’s reach', () => {
  let view: ViewFeature;
  let went: unknown[];

  beforeEach(() => {
    setUp();
    TestBed.inject(Shortcuts);
    const store = TestBed.inject(Store);
    store.dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    store.select(viewFeature.selectViewState).subscribe((v) => (view = v));
    went = [];
    const router = TestBed.inject(Router);
    spyOnProperty(router, 'url').and.returnValue('/i/abc/survey');
    spyOn(router, 'navigate').and.callFake((to) => (went.push([...to]), Promise.resolve(true)));
    spyOn(router, 'navigateByUrl').and.callFake((to) => (went.push(to), Promise.resolve(true)));
  });

  const press = (key: string, on: EventTarget = document.body, more: KeyboardEventInit = {}): boolean =>
    on.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, ...more }));

  it('goes to every stage by g and its letter', () => {
    for (const s of STAGES) {
      press('g');
      press(s.key);
    }
    press('g');
    press('i');
    expect(went).toEqual([...STAGES.map((s) => ['/i', 'abc', s.path]), '/instruments']);
  });

  it('turns through the units', () => {
    press('u');
    expect(view.unit).toBe('fraction');
    press('u');
    expect(view.unit).toBe('inch');
    press('u');
    expect(view.unit).toBe('thou');
    press('u');
    expect(view.unit).toBe('mm');
  });

  it('leaves typing and the browser’s own keys alone', () => {
    const input = document.createElement('input');
    document.body.append(input);
    press('u', input);
    press('u', document.body, { ctrlKey: true });
    press('g', input);
    press('s');
    input.remove();
    expect(view.unit).toBe('mm');
    expect(went).toEqual([]);
  });

  it('is stated in the map', () => {
    for (const s of STAGES) expect(KEY_MAP.some((k) => k.keys === `g then ${s.key}` && k.does.includes(s.label))).toBeTrue();
  });
});
