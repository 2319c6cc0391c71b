import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { Store } from '@ngrx/store';
import { bounds } from '@rinnovo/core/shape';
import { setUp } from '../../../testing/fixture';
import { button, host, settle } from '../../../testing/job';
import { viewActions } from '../../state/view.feature';
import { OutlineDialog, type DrawnOutline } from './outline-dialog';

const SVG =
  '<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="50mm" viewBox="0 0 100 50"><rect width="70" height="39" rx="3.5"/><circle cx="80" cy="20" r="5"/></svg>';
const NO_UNIT = ['0', 'SECTION', '2', 'ENTITIES', '0', 'CIRCLE', '8', '0', '10', '1', '20', '1', '40', '2', '0', 'ENDSEC', '0', 'EOF'].join('\n');

describe('an outline from a drawing', () => {
  let fixture: ComponentFixture<OutlineDialog>;
  let closed: DrawnOutline | undefined;

  beforeEach(async () => {
    closed = undefined;
    TestBed.configureTestingModule({
      providers: [
        { provide: MAT_DIALOG_DATA, useValue: { what: 'Plate', at: { x: 10, y: 100 } } },
        { provide: MatDialogRef, useValue: { close: (x: DrawnOutline) => (closed = x) } },
      ],
    });
    setUp();
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    fixture = TestBed.createComponent(OutlineDialog);
    await fixture.whenStable();
  });

  async function open(name: string, text: string): Promise<void> {
    const files = new DataTransfer();
    files.items.add(new File([text], name));
    const input = host(fixture).querySelector<HTMLInputElement>('input[type=file]')!;
    input.files = files.files;
    input.dispatchEvent(new Event('change'));
    for (let i = 0; i < 60 && !host(fixture).querySelector('[role=radio], [role=alert]'); i++) {
      await settle(50);
      await fixture.whenStable();
    }
  }
  const size = (): readonly number[] => {
    const b = bounds([closed!.outline]);
    return [b.maxX - b.minX, b.maxY - b.minY, (b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2].map((v) => Math.round(v * 1e6) / 1e6);
  };

  it('is chosen among those in it, confirmed in both units, and laid about the feature’s middle', async () => {
    await open('plate.svg', SVG);
    expect(host(fixture).querySelectorAll('[role=radio]').length).toBe(2);
    expect(host(fixture).textContent).toContain('70.00 mm × 39.00 mm (2 3/4 in');
    button(fixture, 'Yes, use it').click();
    expect(size()).toEqual([70, 39, 10, 100]);
    expect([closed!.limit, closed!.basis.kind]).toEqual([0.25, 'sheet']);
  });

  it('is scaled by one known width', async () => {
    await open('plate.svg', SVG);
    const width = [...host(fixture).querySelectorAll('rn-length-field')].find((f) => f.textContent.includes('True width'))!.querySelector('input')!;
    width.value = '35';
    width.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('35.00 mm × 19.50 mm');
    button(fixture, 'Yes, use it').click();
    expect(size()).toEqual([35, 19.5, 10, 100]);
  });

  it('in no unit asks for it before it may be used', async () => {
    await open('hole.dxf', NO_UNIT);
    expect(host(fixture).textContent).toContain('does not say its unit');
    expect(button(fixture, 'Yes, use it').disabled).toBeTrue();
    button(fixture, 'inches').click();
    for (let i = 0; i < 60 && !host(fixture).textContent.includes('101.60 mm'); i++) {
      await settle(50);
      await fixture.whenStable();
    }
    button(fixture, 'Yes, use it').click();
    expect(size().slice(0, 2)).toEqual([101.6, 101.6]);
  });

  it('says what is wrong with a file, by its name', async () => {
    await open('broken.svg', '<svg><path d="M0');
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('broken.svg: The file is broken');
    expect(button(fixture, 'Yes, use it').disabled).toBeTrue();
  });
});
