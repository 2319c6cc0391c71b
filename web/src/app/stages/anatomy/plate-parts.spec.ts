import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { Store } from '@ngrx/store';
import { openingShape, plateScrews, type Anatomy } from '@rinnovo/core/instrument';
import { anatomy } from '../../../testing/fixture';
import { button, host, jobOnScreen, type } from '../../../testing/job';
import { viewActions } from '../../state/view.feature';
import { PlateParts } from './plate-parts';

describe('what is in a plate', () => {
  let fixture: ComponentFixture<PlateParts>;
  let changed: Anatomy | null;

  beforeEach(async () => {
    jobOnScreen();
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    changed = null;
    fixture = TestBed.createComponent(PlateParts);
    fixture.componentRef.setInput('anatomy', anatomy);
    fixture.componentRef.setInput('plate', 'plate');
    fixture.componentInstance.changed.subscribe((a) => {
      changed = a;
      fixture.componentRef.setInput('anatomy', a);
    });
    await fixture.whenStable();
  });

  const submit = async (form: string): Promise<void> => {
    host(fixture).querySelector(`${form} form`)!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
  };
  async function open(id: string): Promise<void> {
    host(fixture).querySelector<HTMLButtonElement>(`[data-opening="${id}"]`)!.click();
    await fixture.whenStable();
  }

  it('gives an opening another width by number, in any unit, and leaves half-typed text alone when the instrument comes back', async () => {
    await open('window');
    await type(fixture, 'rn-opening-form [data-field=width] input', '2 3/4');
    fixture.componentRef.setInput('anatomy', structuredClone(anatomy));
    await fixture.whenStable();
    expect(host(fixture).querySelector<HTMLInputElement>('rn-opening-form [data-field=width] input')!.value).toBe('2 3/4');
    await submit('rn-opening-form');
    expect(openingShape(changed!, 'plate', 'window').width).toBeCloseTo(69.85, 9);
  });

  it('changes nothing while a number cannot be, and says so beside it', async () => {
    await open('window');
    await type(fixture, 'rn-opening-form [data-field=width] input', 'wide');
    await submit('rn-opening-form');
    expect(changed).toBeNull();
    expect(host(fixture).querySelector('rn-opening-form [data-field=width] [role=alert]')!.textContent).toContain('Not a length');
  });

  it('adds an opening and takes it away again, but not one in which a pickup hangs', async () => {
    button(fixture, 'Add an opening').click();
    await fixture.whenStable();
    const added = changed!.plates.find((p) => p.id === 'plate')!.openings.at(-1)!;
    expect(added.name).toBe('Opening');
    button(fixture, 'Delete opening').click();
    await fixture.whenStable();
    expect(changed!.plates.find((p) => p.id === 'plate')!.openings.some((o) => o.id === added.id)).toBeFalse();
    await open('window');
    button(fixture, 'Delete opening').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('is planned in this opening');
  });

  it('puts screws by number, and refuses a place that is not on the plate', async () => {
    const before = plateScrews(anatomy, 'plate').length;
    button(fixture, 'Add a screw place').click();
    await fixture.whenStable();
    expect(plateScrews(changed!, 'plate').length).toBe(before + 1);
    const last = `[data-screw="${before + 1}"]`;
    const [x] = [...host(fixture).querySelectorAll<HTMLInputElement>(`${last} input`)];
    await type(fixture, `${last} rn-length-field input`, '-20');
    expect(x!.value).toBe('-20');
    await submit('rn-screw-places');
    expect(plateScrews(changed!, 'plate').at(-1)!.x).toBeCloseTo(-20, 9);
    await type(fixture, `${last} rn-length-field input`, '390');
    await submit('rn-screw-places');
    expect(host(fixture).querySelector('rn-screw-places [role=alert]')!.textContent).toContain(`screw ${before + 1} is not on the plate`);
    expect(plateScrews(changed!, 'plate').at(-1)!.x).toBeCloseTo(-20, 9);
  });
});
