import type { HttpTestingController } from '@angular/common/http/testing';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { Store } from '@ngrx/store';
import type { KeepOutline, KeptOutline } from '@rinnovo/contract';
import { bounds, roundedRectangle } from '@rinnovo/core/shape';
import { setUp } from '../../../testing/fixture';
import { button, host, settle } from '../../../testing/job';
import { provideHeld } from '../../state/held';
import { outlines } from '../../state/resources';
import { viewActions } from '../../state/view.feature';
import { OutlineDialog, type DrawnOutline } from './outline-dialog';

const SVG =
  '<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="50mm" viewBox="0 0 100 50"><rect width="70" height="39" rx="3.5"/><circle cx="80" cy="20" r="5"/></svg>';
const NO_UNIT = ['0', 'SECTION', '2', 'ENTITIES', '0', 'CIRCLE', '8', '0', '10', '1', '20', '1', '40', '2', '0', 'ENDSEC', '0', 'EOF'].join('\n');

const kept: KeptOutline = {
  id: '12345678-0000-4000-8000-000000000001',
  name: 'Wide window',
  outline: roundedRectangle(70, 39, 3.5),
  limit: 0.1,
  file: 'window.svg',
  archived: false,
  version: 1,
};

describe('an outline from a drawing', () => {
  let fixture: ComponentFixture<OutlineDialog>;
  let closed: DrawnOutline | undefined;
  let http: HttpTestingController;

  beforeEach(async () => {
    closed = undefined;
    TestBed.configureTestingModule({
      providers: [
        ...provideHeld(outlines),
        { provide: MAT_DIALOG_DATA, useValue: { what: 'Plate', at: { x: 10, y: 100 } } },
        { provide: MatDialogRef, useValue: { close: (x: DrawnOutline) => (closed = x) } },
      ],
    });
    http = setUp();
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
  /** Uses it without keeping it in the drawer. */
  async function useOnly(): Promise<void> {
    host(fixture).querySelector<HTMLInputElement>('mat-checkbox input')!.click();
    await fixture.whenStable();
    button(fixture, 'Use this size').click();
    await settle();
  }
  const size = (): readonly number[] => {
    const b = bounds([closed!.outline]);
    return [b.maxX - b.minX, b.maxY - b.minY, (b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2].map((v) => Math.round(v * 1e6) / 1e6);
  };

  it('is chosen among those in it, confirmed in both units, and laid about the feature’s middle', async () => {
    await open('plate.svg', SVG);
    expect(host(fixture).querySelectorAll('[role=radio]').length).toBe(2);
    expect(host(fixture).textContent).toContain('70.00\u202fmm × 39.00\u202fmm (2 3/4\u202fin');
    await useOnly();
    expect(size()).toEqual([70, 39, 10, 100]);
    expect([closed!.limit, closed!.basis]).toEqual([0.25, { kind: 'sheet', part: 'traced from plate.svg' }]);
  });

  it('is scaled by one known width', async () => {
    await open('plate.svg', SVG);
    const width = [...host(fixture).querySelectorAll('rn-length-field')].find((f) => f.textContent.includes('True width'))!.querySelector('input')!;
    width.value = '35';
    width.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('35.00\u202fmm × 19.50\u202fmm');
    await useOnly();
    expect(size()).toEqual([35, 19.5, 10, 100]);
  });

  it('in no unit asks for it before it may be used', async () => {
    await open('hole.dxf', NO_UNIT);
    expect(host(fixture).textContent).toContain('has no unit');
    expect(button(fixture, 'Use this size').disabled).toBeTrue();
    button(fixture, 'inches').click();
    for (let i = 0; i < 60 && !host(fixture).textContent.includes('101.60\u202fmm'); i++) {
      await settle(50);
      await fixture.whenStable();
    }
    await useOnly();
    expect(size().slice(0, 2)).toEqual([101.6, 101.6]);
  });

  it('says what is wrong with a file, by its name', async () => {
    await open('broken.svg', '<svg><path d="M0');
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('broken.svg: The file is damaged');
    expect(button(fixture, 'Use this size').disabled).toBeTrue();
  });

  it('is kept in the drawer with its drawing, and a refusal loses nothing', async () => {
    await open('plate.svg', SVG);
    button(fixture, 'Use this size').click();
    const asked = http.expectOne((r) => r.method === 'PUT' && r.url.startsWith('/api/outlines/'));
    const body = asked.request.body as KeepOutline;
    expect([body.name, body.limit, body.source]).toEqual(['plate', 0.25, { file: 'plate.svg', kind: 'svg', text: SVG }]);
    const b = bounds([body.outline]);
    expect([b.minX, b.maxX].map((v) => Math.round(v * 1e6) / 1e6)).toEqual([-35, 35]);
    asked.flush({ type: '/problems/input-invalid', title: 'Something in it cannot be', status: 400 }, { status: 400, statusText: '' });
    await settle();
    await fixture.whenStable();
    expect(closed).toBeUndefined();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Not saved in the drawer: Something in it cannot be');
    button(fixture, 'Use this size').click();
    http.expectOne((r) => r.method === 'PUT').flush({ ...kept, name: 'plate' });
    await settle();
    expect(closed!.basis).toEqual({ kind: 'sheet', part: 'plate (12345678)' });
  });

  it('is taken out of the drawer again, with its limit', async () => {
    button(fixture, 'From the drawer').click();
    await fixture.whenStable();
    http.expectOne((r) => r.url.startsWith('/api/outlines')).flush({ items: [kept], next: null });
    await settle();
    await fixture.whenStable();
    expect(button(fixture, 'Use this outline').disabled).toBeTrue();
    host(fixture).querySelector<HTMLButtonElement>('[role=radio]')!.click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=radio]')!.textContent).toContain('70.00\u202fmm × 39.00\u202fmm');
    button(fixture, 'Use this outline').click();
    expect(size()).toEqual([70, 39, 10, 100]);
    expect([closed!.limit, closed!.basis]).toEqual([0.1, { kind: 'sheet', part: 'Wide window (12345678)' }]);
  });

  it('is put away out of the drawer and brought back', async () => {
    button(fixture, 'From the drawer').click();
    await fixture.whenStable();
    const list = (items: readonly KeptOutline[]) => http.expectOne((r) => r.method === 'GET' && r.url.startsWith('/api/outlines')).flush({ items, next: null });
    list([kept]);
    await settle();
    await fixture.whenStable();
    host(fixture).querySelector<HTMLButtonElement>('[role=radio]')!.click();
    await fixture.whenStable();
    button(fixture, 'Archive Wide window').click();
    const archived = http.expectOne((r) => r.url.endsWith('/archived'));
    expect([archived.request.body, archived.request.headers.get('If-Match')]).toEqual([{ archived: true }, '"1"']);
    archived.flush({ ...kept, archived: true, version: 2 });
    await settle();
    list([]);
    await settle();
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('Wide window archived');
    button(fixture, 'Restore outline').click();
    const back = http.expectOne((r) => r.url.endsWith('/archived'));
    expect([back.request.body, back.request.headers.get('If-Match')]).toEqual([{ archived: false }, '"2"']);
    back.flush({ ...kept, version: 3 });
    await settle();
    list([kept]);
  });
});
