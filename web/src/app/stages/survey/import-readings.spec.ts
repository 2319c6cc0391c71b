import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { HttpTestingController } from '@angular/common/http/testing';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { provideHeld } from '../../state/held';
import { instrument } from '../../state/resources';
import { host, jobOnScreen, settle, survey, instrumentOnScreen } from '../../../testing/job';
import { ImportReadings } from './import-readings';

describe('readings out of a table', () => {
  let http: HttpTestingController;
  const dialog = jasmine.createSpyObj<MatDialogRef<ImportReadings>>('dialog', ['close']);
  async function dropped(text: string): Promise<ComponentFixture<ImportReadings>> {
    TestBed.configureTestingModule({
      providers: [...provideHeld(instrument), { provide: MAT_DIALOG_DATA, useValue: { instrument: 'i' } }, { provide: MatDialogRef, useValue: dialog }],
    });
    const screen = jobOnScreen({ surveys: [survey] });
    http = screen.http;
    screen.store.dispatch(instrument.loaded({ of: 'i', data: instrumentOnScreen, version: 1 }));
    const f = TestBed.createComponent(ImportReadings);
    await f.whenStable();
    const files = new DataTransfer();
    files.items.add(new File([text], 'readings.csv', { type: 'text/csv' }));
    const input = host(f).querySelector<HTMLInputElement>('input[type=file]')!;
    input.files = files.files;
    input.dispatchEvent(new Event('change'));
    await settle(30);
    await f.whenStable();
    return f;
  }
  const take = (f: ComponentFixture<ImportReadings>): HTMLButtonElement =>
    [...host(f).querySelectorAll('button')].find((b) => b.textContent.trim().startsWith('Import '))!;

  it('shows what it understood and what cannot be, by its line, before anything is kept', async () => {
    const f = await dropped('quantity,feature,value,unit\nrelief,neck,0.25,mm\nfretHeight,fret 99,1,mm\nresistance,pickup,7.4,V\n');
    expect(host(f).textContent).toContain('2 skipped');
    expect(host(f).textContent).toContain('Line 3: fret 99 is not a place on this instrument');
    expect(host(f).textContent).toContain('Line 4: V is not the stored unit');
    expect(host(f).textContent).toContain('1 to import');
    http.expectNone((r) => r.method === 'PUT');
  });

  it('takes them into the open survey, and after a failure only the rest again', async () => {
    const f = await dropped('quantity,feature,value\nrelief,neck,0.25\naction,string 1,1.4\n');
    take(f).click();
    await settle();
    const put = () => http.expectOne((r) => r.method === 'PUT' && r.url.startsWith('/api/readings/'));
    const first = put();
    expect(first.request.body).toEqual(jasmine.objectContaining({ target: { quantity: 'relief', feature: 'neck' }, value: 0.25, survey: 'survey' }));
    first.flush({});
    await settle();
    put().flush(
      { title: 'Not possible now', type: '/problems/not-now', status: 409, detail: 'This survey is signed' },
      { status: 409, statusText: 'Conflict' },
    );
    await settle();
    await f.whenStable();
    expect(host(f).textContent).toContain('This survey is signed');
    expect(host(f).textContent).toContain('1 to import');
    take(f).click();
    await settle();
    expect((put().request.body as { value: number }).value).toBe(1.4);
  });

  it('says that a file is no table', async () => {
    const f = await dropped('');
    expect(host(f).textContent).toContain('This file has no table');
    expect(take(f).disabled).toBeTrue();
  });
});
