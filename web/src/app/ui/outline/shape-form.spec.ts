import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { Store } from '@ngrx/store';
import { area, bounds, type Outline } from '@rinnovo/core/shape';
import { setUp } from '../../../testing/fixture';
import { host } from '../../../testing/job';
import { viewActions } from '../../state/view.feature';
import { ShapeForm } from './shape-form';

describe('a shape by its sizes', () => {
  let fixture: ComponentFixture<ShapeForm>;
  let made: Outline | null;

  beforeEach(async () => {
    setUp();
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    made = null;
    fixture = TestBed.createComponent(ShapeForm);
    fixture.componentInstance.made.subscribe((o) => (made = o));
    await fixture.whenStable();
  });

  async function shape(kind: string): Promise<void> {
    (fixture.componentInstance as unknown as { kind: { set: (k: string) => void } }).kind.set(kind);
    await fixture.whenStable();
  }
  async function size(label: string, text: string): Promise<void> {
    const field = [...host(fixture).querySelectorAll('rn-length-field')].find((f) => f.textContent.includes(label))!;
    const input = field.querySelector('input')!;
    input.value = text;
    input.dispatchEvent(new Event('input'));
    await fixture.whenStable();
  }
  async function send(): Promise<string> {
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    return host(fixture).querySelector('form > [role=alert]')?.textContent ?? '';
  }

  it('is drawn while it is typed, and made when every size is there', async () => {
    expect(await send()).toBe('Type all sizes');
    await size('Width across', '70');
    await size('Length along', '39');
    await size('Corner radius', '3.5');
    expect(host(fixture).querySelector('form > svg path')!.getAttribute('d')).toContain('A3.5 3.5');
    expect(await send()).toBe('');
    // w h − (4 − π) r²
    expect(area(made!)).toBeCloseTo(70 * 39 - (4 - Math.PI) * 3.5 * 3.5, 9);
  });

  it('refuses corners more than half the shorter side', async () => {
    await size('Width across', '10');
    await size('Length along', '39');
    await size('Corner radius', '5.1');
    expect(await send()).toContain('more than half');
    expect(made).toBeNull();
  });

  it('makes slots, circles and ellipses', async () => {
    await shape('slot');
    await size('Width across', '60');
    await size('Length along', '20');
    await send();
    expect(area(made!)).toBeCloseTo(40 * 20 + Math.PI * 100, 9);
    await shape('circle');
    await size('Diameter', '3/8');
    await send();
    expect(area(made!)).toBeCloseTo((Math.PI * 9.525 * 9.525) / 4, 9);
    await shape('ellipse');
    await size('Width across', '60');
    await size('Length along', '20');
    await send();
    expect(area(made!) / (Math.PI * 300)).toBeCloseTo(1, 4);
  });

  it('makes a polygon from its corners, and says which line cannot be read', async () => {
    await shape('polygon');
    await size('Corner radius', '4');
    const corners = host(fixture).querySelector('textarea')!;
    const type = async (text: string): Promise<void> => {
      corners.value = text;
      corners.dispatchEvent(new Event('input'));
      await fixture.whenStable();
    };
    await type('-47 79\n47 79\n58');
    expect(await send()).toBe('Line 3: two numbers, like -47 79');
    await type('0 0\n1 0\n0 1');
    expect(await send()).toContain('too short');
    await type('-47 79\n47 79\n47 125,5\n-47 125,5');
    expect(await send()).toBe('');
    expect(bounds([made!]).maxY).toBeCloseTo(125.5, 9);
  });
});
