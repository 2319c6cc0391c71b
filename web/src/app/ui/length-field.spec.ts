import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { Store } from '@ngrx/store';
import { setUp } from '../../testing/fixture';
import { viewActions } from '../state/view.feature';
import { LengthField } from './length-field';

describe('a length field', () => {
  let fixture: ComponentFixture<LengthField>;
  const host = (): HTMLElement => fixture.nativeElement as HTMLElement;

  beforeEach(() => {
    setUp();
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    fixture = TestBed.createComponent(LengthField);
    fixture.componentRef.setInput('label', 'Depth');
  });

  async function type(text: string): Promise<string> {
    await fixture.whenStable();
    const input = host().querySelector('input')!;
    input.value = text;
    input.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    return host().querySelector('.said')!.textContent;
  }

  it('shows millimetres alone, of what is no plain number its length, and the inch at a tap', async () => {
    expect(await type('27.78125')).toBe('');
    expect(fixture.componentInstance.value()).toBeCloseTo(27.78125, 9);
    expect(await type('1/2')).toBe('= 12.70\u202fmm');
    expect(await type('7/8')).toContain('= 22.2');
    expect(fixture.componentInstance.value()).toBeCloseTo(22.225, 9);
    expect(await type('12 + 0.5')).toBe('= 12.50\u202fmm');
    const inches = host().querySelector<HTMLButtonElement>('button[aria-label="Show inches"]')!;
    // Tab goes from one length to the next: the unit is tapped
    expect(inches.tabIndex).toBe(-1);
    inches.click();
    expect(await type('27.78125')).toBe('= 1 3/32\u202fin');
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'inch' }));
    expect(await type('1')).toContain('25.4');
  });

  it('takes a bare number in the chosen unit', async () => {
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'inch' }));
    await type('2');
    expect(fixture.componentInstance.value()).toBeCloseTo(50.8, 9);
  });

  it('says below the field what is wrong, keeps what was typed, and points at it for a screen reader', async () => {
    expect(await type('abc')).toContain('Not a length');
    expect(fixture.componentInstance.value()).toBeNull();
    const input = host().querySelector('input')!;
    expect(input.value).toBe('abc');
    expect(input.getAttribute('aria-invalid')).toBe('true');
    expect(
      host()
        .querySelector(`#${input.getAttribute('aria-describedby')!}`)!
        .getAttribute('role'),
    ).toBe('alert');
  });

  it('refuses a value that cannot be, with the range', async () => {
    fixture.componentRef.setInput('max', 50);
    fixture.componentRef.setInput('min', 1);
    expect(await type('51')).toBe('51.00\u202fmm is out of range: 1.00\u202fmm to 50.00\u202fmm.');
    expect(await type('50')).toBe('');
  });

  it('tells enter', async () => {
    let entered = 0;
    fixture.componentInstance.entered.subscribe(() => (entered += 1));
    await type('3');
    host()
      .querySelector('input')!
      .dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    expect(entered).toBe(1);
  });

  it('asks whether the other unit was meant, where that could be', async () => {
    fixture.componentRef.setInput('min', 5);
    fixture.componentRef.setInput('max', 150);
    expect(await type('1.75')).toBe('1.75\u202fmm is out of range: 5.00\u202fmm to 150.00\u202fmm. Did you mean 1.75in?');
    expect(await type('1.75mm')).not.toContain('Meant');
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'inch' }));
    expect(await type('44')).toContain('Did you mean 44mm?');
  });

  it('is empty when it was emptied, however quickly that followed the typing', async () => {
    await fixture.whenStable();
    const input = host().querySelector('input')!;
    input.value = '0';
    input.dispatchEvent(new Event('input'));
    fixture.componentInstance.text.set('');
    await fixture.whenStable();
    expect(input.value).toBe('');
  });

  it('keeps the length of a form where the unit is changed after it was typed', async () => {
    const field = fixture.componentInstance;
    const kept: (number | null)[] = [];
    field.registerOnChange((mm) => kept.push(mm));
    field.writeValue(12.7);
    await fixture.whenStable();
    expect(await type('44.45')).toBe('');
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'inch' }));
    await fixture.whenStable();
    expect(host().querySelector('input')!.value).toBe('1.7500in');
    expect([field.value()?.toFixed(9), kept]).toEqual(['44.450000000', [44.45]]);
    // what is no length stands as it was typed
    expect(await type('1 3/')).toContain('Not a length');
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    await fixture.whenStable();
    expect(host().querySelector('input')!.value).toBe('1 3/');
  });
});
