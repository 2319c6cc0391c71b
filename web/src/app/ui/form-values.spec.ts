import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { FormControl, FormGroup } from '@angular/forms';
import { filledFrom, lengthsOf, standing, wholeLengths } from './form-values';
import type { NumberField } from './number-fields';

@Component({ selector: 'rn-some-form', changeDetection: ChangeDetectionStrategy.OnPush, template: '' })
class SomeForm {
  readonly kept = signal({ name: 'Guard', owner: 'A', tags: ['old'] });
  readonly whose = signal('one');
  readonly fields = signal<readonly NumberField[]>([{ key: 'x', label: 'X', value: 12.345678, min: 0, max: 100 }]);
  readonly form = new FormGroup({ name: new FormControl(''), owner: new FormControl(''), tags: new FormControl<string[]>([]) });
  readonly is = standing(this.form);
  readonly lengths = lengthsOf(this.fields, this.whose);
  constructor() {
    filledFrom(this.form, this.kept, this.whose);
  }
}

describe('what stands in a form', () => {
  async function made() {
    const fixture = TestBed.createComponent(SomeForm);
    await fixture.whenStable();
    return { one: fixture.componentInstance, rest: () => fixture.whenStable() };
  }

  it('is filled from what is kept, and only where that changed', async () => {
    const { one, rest } = await made();
    expect(one.is()).toEqual({ name: 'Guard', owner: 'A', tags: ['old'] });
    one.form.controls.name.setValue('Gua');
    one.kept.set({ name: 'Guard', owner: 'B', tags: ['old'] });
    await rest();
    expect(one.is()).toEqual({ name: 'Gua', owner: 'B', tags: ['old'] });
    one.kept.set({ name: 'Plate', owner: 'B', tags: ['new'] });
    await rest();
    expect(one.is()).toEqual({ name: 'Plate', owner: 'B', tags: ['new'] });
  });

  it('carries nothing that was typed over to something else, even where that says the same', async () => {
    const { one, rest } = await made();
    one.form.controls.owner.setValue('typed');
    one.lengths.controls['x']!.setValue(99);
    one.whose.set('other');
    await rest();
    expect([one.is().owner, one.lengths.getRawValue()['x']]).toEqual(['A', 12.345678]);
  });

  it('has a length for each field, exactly as it is kept until it is typed over', async () => {
    const { one, rest } = await made();
    expect(wholeLengths(one.lengths)?.get('x')).toBe(12.345678);
    one.lengths.controls['x']!.setValue(20);
    one.fields.update((f) => [...f, { key: 'y', label: 'Y', value: NaN, min: 0, max: 1 }]);
    await rest();
    expect(one.lengths.getRawValue()).toEqual({ x: 20, y: null });
    expect(wholeLengths(one.lengths)).toBeNull();
    one.fields.set([{ key: 'x', label: 'X', value: 30, min: 0, max: 100 }]);
    await rest();
    expect(one.lengths.getRawValue()).toEqual({ x: 30 });
  });
});
