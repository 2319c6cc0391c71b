import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { FormGroup } from '@angular/forms';
import { MatSelect } from '@angular/material/select';
import { By } from '@angular/platform-browser';
import { Store } from '@ngrx/store';
import { addFeature, boundsOf, featureOf, firstFeature, moveFeature, type Anatomy } from '@rinnovo/core/instrument';
import { anatomy } from '../../../testing/fixture';
import { button, choose, host, jobOnScreen, settle } from '../../../testing/job';
import { viewActions } from '../../state/view.feature';
import { BuildForm } from './build-form';
import { PickupPlace } from './pickup-place';
import { DistancePanel } from './distance-panel';
import { HistoryPanel } from './history-panel';

describe('the panel of measured distances', () => {
  let fixture: ComponentFixture<DistancePanel>;
  let changed: Anatomy | null;

  beforeEach(async () => {
    jobOnScreen();
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    changed = null;
    fixture = TestBed.createComponent(DistancePanel);
    fixture.componentRef.setInput('anatomy', anatomy);
    fixture.componentInstance.changed.subscribe((a) => (changed = a));
    await fixture.whenStable();
  });

  /** What the two selects of an end hold, set as the select does. */
  function edge(which: 'from' | 'to', of: string, side: 'low' | 'middle' | 'high'): void {
    (fixture.componentInstance as unknown as { form: FormGroup }).form.get(which)!.setValue({ of, side });
  }
  async function keep(text: string): Promise<string> {
    const input = host(fixture).querySelector<HTMLInputElement>('rn-length-field input')!;
    input.value = text;
    input.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    return host(fixture).querySelector('rn-length-field [role=alert]')?.textContent ?? '';
  }

  it('puts a feature where it was measured, and keeps what was typed', async () => {
    edge('from', 'neck pocket', 'high');
    edge('to', 'route', 'low');
    expect(await keep('20')).toBe('');
    // nothing ties the pocket to its mouth yet: the route stays until the chain reaches a datum
    expect(changed!.distances.map((d) => [d.axis, d.value, d.raw, d.limit])).toEqual([['along', 20, '20', 0.05]]);
    fixture.componentRef.setInput('anatomy', changed);
    edge('from', 'pocket mouth', 'middle');
    edge('to', 'neck pocket', 'low');
    await keep('0');
    const b = boundsOf(changed!, featureOf(changed!, 'route')!);
    // the pocket is 74 long: 74 + 20
    expect(b.minY).toBeCloseTo(94, 9);
  });

  it('takes the direction in which the edges lie as drawn, and no sign', async () => {
    edge('from', 'route', 'low');
    edge('to', 'neck pocket', 'high');
    expect(await keep('-20')).toContain('without a sign');
    expect(await keep('')).toContain('Type the reading');
    expect(await keep('20')).toBe('');
    expect(changed!.distances[0]!.value).toBe(-20);
  });

  it('is ready for the next one, however quickly Enter followed the typing', async () => {
    edge('from', 'neck pocket', 'high');
    edge('to', 'route', 'low');
    await fixture.whenStable();
    const input = host(fixture).querySelector<HTMLInputElement>('rn-length-field input')!;
    input.value = '20';
    input.dispatchEvent(new Event('input'));
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    expect(changed!.distances[0]!.raw).toBe('20');
    expect(input.value).toBe('');
  });

  it('refuses one thing measured against itself', async () => {
    edge('from', 'route', 'low');
    edge('to', 'route', 'high');
    expect(await keep('20')).toContain('two different edges');
    expect(changed).toBeNull();
  });

  it('names what may be wrong where a chain does not close, and takes it away', async () => {
    const distance = (id: string, value: number) => ({
      id,
      axis: 'along' as const,
      from: { of: 'pocket mouth', side: 'middle' as const },
      to: { of: 'route', side: 'middle' as const },
      value,
      limit: 0.25,
      raw: String(value),
    });
    fixture.componentRef.setInput('anatomy', { ...anatomy, distances: [distance('a', 105), distance('b', 106)] });
    await fixture.whenStable();
    // two readings of one distance: nothing tells which is wrong
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Measure any of these again');
    expect(host(fixture).querySelectorAll('li.worst').length).toBe(2);
    expect(host(fixture).textContent).toContain('No distance across fixes');
    [...host(fixture).querySelectorAll('button')].filter((b) => b.textContent.includes('Delete'))[1]!.click();
    expect(changed!.distances.map((d) => d.id)).toEqual(['a']);
  });
});

describe('the history of an instrument', () => {
  it('lays an earlier state over the present one, and brings it back', async () => {
    const { http } = jobOnScreen();
    const fixture = TestBed.createComponent(HistoryPanel);
    const seen: unknown[] = [];
    fixture.componentInstance.compare.subscribe((c) => seen.push(c));
    fixture.componentInstance.restored.subscribe((a) => seen.push(a));
    await fixture.whenStable();
    const entry = (revision: number, cause: string) => ({ instrument: 'i', revision, cause, entry: null, person: 'nell', at: '2026-01-02T10:00:00.000Z' });
    // the one current is revision 1: an older one stands below it for the spec's sake
    http.expectOne('/api/instruments/i/anatomy/history').flush({ items: [entry(1, 'work'), entry(0, 'correction')], next: null });
    await settle();
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('current');
    expect(host(fixture).textContent).toContain('Nell');
    const old = moveFeature(anatomy, 'route', 1, 1);
    button(fixture, 'Compare').click();
    await settle();
    http.expectOne('/api/instruments/i/anatomy/0').flush({ ...entry(0, 'correction'), document: old });
    await settle();
    button(fixture, 'Restore').click();
    await settle();
    http.expectOne('/api/instruments/i/anatomy/0').flush({ ...entry(0, 'correction'), document: old });
    await settle();
    expect(seen).toEqual([{ revision: 0, document: old }, old]);
  });
});

describe('a pickup in its place', () => {
  it('is turned, and lies under some of the strings', async () => {
    jobOnScreen();
    const fixture = TestBed.createComponent(PickupPlace);
    const [place] = anatomy.positions;
    fixture.componentRef.setInput('anatomy', anatomy);
    fixture.componentRef.setInput('place', place);
    let changed: Anatomy | null = null;
    fixture.componentInstance.changed.subscribe((a) => (changed = a));
    await fixture.whenStable();
    const input = host(fixture).querySelector<HTMLInputElement>('[data-field=turn]')!;
    const type = async (text: string): Promise<void> => {
      input.value = text;
      input.dispatchEvent(new Event('input'));
      input.dispatchEvent(new Event('change'));
      await fixture.whenStable();
    };
    await type('crooked');
    expect(changed).toBeNull();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Type an angle in degrees');
    await type('−7,5');
    expect((changed as Anatomy | null)!.positions[0]!.turn).toBe(-7.5);
    fixture.debugElement.query(By.directive(MatSelect)).triggerEventHandler('valueChange', '3 4');
    expect((changed as Anatomy | null)!.positions[0]!.strings).toEqual([3, 4]);
  });

  it('takes how high the strings are over it, refuses what no string is, and is emptied again', async () => {
    jobOnScreen();
    const fixture = TestBed.createComponent(PickupPlace);
    const [place] = anatomy.positions;
    fixture.componentRef.setInput('anatomy', anatomy);
    fixture.componentRef.setInput('place', place);
    const seen: (number | null)[] = [];
    fixture.componentInstance.changed.subscribe((a) => {
      seen.push(a.positions[0]!.stringHeight?.value ?? null);
      fixture.componentRef.setInput('anatomy', a);
      fixture.componentRef.setInput('place', a.positions[0]);
    });
    await fixture.whenStable();
    const field = host(fixture).querySelector('[data-field=stringHeight]')!;
    const type = async (text: string): Promise<void> => {
      const input = field.querySelector('input')!;
      input.value = text;
      input.dispatchEvent(new Event('input'));
      await fixture.whenStable();
      field.dispatchEvent(new Event('focusout'));
      await fixture.whenStable();
    };
    await type('7/16in');
    expect(seen[0]).toBeCloseTo(11.1125, 6);
    await type('600');
    expect([seen.length, field.querySelector('[role=alert]')?.textContent]).toEqual([1, jasmine.stringContaining('out of range')]);
    await type('');
    expect(seen[1]).toBeNull();
  });
});

describe('a pickup place that hangs in the wrong plate', () => {
  it('is hung in another one, or taken off; not under the pickup that sits in it', async () => {
    jobOnScreen();
    const guard = firstFeature('guard', 'guard', 'Guard', 'top', { x: 0, y: 105 });
    const fixture = TestBed.createComponent(PickupPlace);
    let a = addFeature(anatomy, guard);
    const show = async (next: Anatomy): Promise<void> => {
      a = next;
      fixture.componentRef.setInput('anatomy', a);
      fixture.componentRef.setInput('place', a.positions[0] ?? anatomy.positions[0]);
      await fixture.whenStable();
    };
    fixture.componentInstance.changed.subscribe((next) => (a = next));
    await show(a);
    await choose(fixture, '[data-field=plate]', 'Guard');
    expect(a.positions[0]!.plate).toBe('guard');
    await show({ ...a, positions: a.positions.map((p) => ({ ...p, part: 'two-coil' })) });
    expect(host(fixture).textContent).toContain('A pickup is fitted here');
    await show({ ...a, positions: a.positions.map((p) => ({ ...p, part: null })) });
    button(fixture, 'Remove the pickup place').click();
    expect(a.positions).toEqual([]);
  });
});

describe('the build of an instrument', () => {
  it('is stated by number, emptied where nobody knows, and keeps what a tool read out of reach', async () => {
    jobOnScreen();
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    const read = { value: 44.1, limit: 0.05, basis: { kind: 'readings' as const, ids: ['r'] } };
    const fixture = TestBed.createComponent(BuildForm);
    fixture.componentRef.setInput('anatomy', { ...anatomy, body: { ...anatomy.body, thickness: read } });
    let changed: Anatomy | null = null;
    fixture.componentInstance.changed.subscribe((a) => (changed = a));
    await fixture.whenStable();
    expect(host(fixture).querySelector('[data-field=bodyThickness]')).toBeNull();
    const set = async (key: string, text: string): Promise<void> => {
      const input = host(fixture).querySelector<HTMLInputElement>(`[data-field="${key}"] input`)!;
      input.value = text;
      input.dispatchEvent(new Event('input'));
      await fixture.whenStable();
    };
    await set('nutWidth', '42.5');
    await set('spreadAtNut', '');
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    const after = changed as Anatomy | null;
    expect(after!.neck.nutWidth).toEqual({ value: 42.5, limit: 0.25, basis: { kind: 'stated' } });
    expect(after!.strings.spreadAtNut).toBeNull();
    // what was not touched is exactly what it was
    expect(after!.neck.scale).toBe(anatomy.neck.scale);
    changed = null;
    const angle = host(fixture).querySelector<HTMLInputElement>('[data-field=angle]')!;
    const setAngle = async (text: string): Promise<void> => {
      angle.value = text;
      angle.dispatchEvent(new Event('input'));
      await fixture.whenStable();
      host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
      await fixture.whenStable();
    };
    await setAngle('steep');
    expect(changed).toBeNull();
    expect(host(fixture).textContent).toContain('Type an angle in degrees');
    await setAngle('3,5');
    expect((changed as Anatomy | null)!.neck.angle).toEqual({ value: 3.5, limit: 0.25, basis: { kind: 'stated' } });
    await setAngle('');
    changed = null;
    await set('nutWidth', '4.25');
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    expect(changed).toBeNull();
    expect(host(fixture).querySelector('[data-field=nutWidth] [role=alert]')!.textContent).toContain('out of range');
  });

  it('puts twelve strings in courses, and takes them out where they no longer pair', async () => {
    jobOnScreen();
    const fixture = TestBed.createComponent(BuildForm);
    const twelve = { ...anatomy, strings: { ...anatomy.strings, count: 12 } };
    fixture.componentRef.setInput('anatomy', anatomy);
    await fixture.whenStable();
    expect(host(fixture).textContent).not.toContain('in courses');
    fixture.componentRef.setInput('anatomy', twelve);
    let changed: Anatomy | null = null;
    fixture.componentInstance.changed.subscribe((a) => (changed = a));
    await fixture.whenStable();
    host(fixture).querySelector<HTMLButtonElement>('mat-slide-toggle button')!.click();
    const paired = changed as Anatomy | null;
    expect(paired!.strings.courses).toEqual({ apart: null });
    fixture.componentRef.setInput('anatomy', paired);
    await fixture.whenStable();
    expect(host(fixture).querySelector('[data-field=courseApart]')).not.toBeNull();
    fixture.debugElement.query(By.directive(MatSelect)).triggerEventHandler('valueChange', 7);
    expect((changed as Anatomy | null)!.strings.courses).toBeUndefined();
  });

  it('leaves what is being typed alone when the saved revision comes back', async () => {
    jobOnScreen();
    const fixture = TestBed.createComponent(BuildForm);
    fixture.componentRef.setInput('anatomy', anatomy);
    await fixture.whenStable();
    const input = host(fixture).querySelector<HTMLInputElement>('[data-field=nutWidth] input')!;
    input.value = '42';
    input.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    fixture.componentRef.setInput('anatomy', structuredClone(anatomy));
    await fixture.whenStable();
    expect(input.value).toBe('42');
  });
});
