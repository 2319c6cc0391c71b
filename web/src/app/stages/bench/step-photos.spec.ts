import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { Photograph } from '@rinnovo/contract';
import { button, host, jobOnScreen, settle } from '../../../testing/job';
import { StepPhotos } from './step-photos';

const picture: Photograph = {
  id: 'p',
  instrument: 'i',
  operation: 'o',
  step: '1 cut',
  width: 40,
  height: 20,
  removed: false,
  person: 'nell',
  at: '2026-01-02T12:00:00Z',
  version: 1,
};

async function pngOf(width: number, height: number): Promise<File> {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  canvas.getContext('2d')!.fillRect(0, 0, 5, 5);
  const blob = await new Promise<Blob | null>((r) => canvas.toBlob(r));
  return new File([blob!], 'p.png', { type: 'image/png' });
}

describe('photographs of a step', () => {
  function onScreen(photographs: readonly Photograph[] = []): { fixture: ComponentFixture<StepPhotos>; http: ReturnType<typeof jobOnScreen>['http'] } {
    const { http } = jobOnScreen({ photographs });
    const fixture = TestBed.createComponent(StepPhotos);
    fixture.componentRef.setInput('operation', 'o');
    fixture.componentRef.setInput('step', '1 cut');
    return { fixture, http };
  }

  async function choose(fixture: ComponentFixture<StepPhotos>, file: File): Promise<void> {
    const files = new DataTransfer();
    files.items.add(file);
    const field = host(fixture).querySelector<HTMLInputElement>('input[type=file]')!;
    field.files = files.files;
    field.dispatchEvent(new Event('change'));
    await settle(150);
  }

  it('are sent smaller, as a picture that opens', async () => {
    const { fixture, http } = onScreen();
    await fixture.whenStable();
    await choose(fixture, await pngOf(3000, 1500));
    const put = http.expectOne((r) => r.url.startsWith('/api/photographs/'));
    const { image, step } = put.request.body as { image: string; step: string };
    expect(step).toBe('1 cut');
    const bitmap = await createImageBitmap(await (await fetch(`data:image/jpeg;base64,${image}`)).blob());
    expect([bitmap.width, bitmap.height]).toEqual([2000, 1000]);
    put.flush(picture);
    http.match(() => true);
  });

  it('tell how many wait while the server reads them one by one', async () => {
    const { fixture, http } = onScreen();
    await fixture.whenStable();
    await choose(fixture, await pngOf(30, 15));
    const put = http.expectOne((r) => r.url.startsWith('/api/photographs/'));
    await settle(800);
    http.expectOne('/api/photographs/waiting').flush({ waiting: 3 });
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('Saving … 3 pictures are read one by one');
    put.flush(picture);
    http.match(() => true);
  });

  it('refuse what is no picture where it was chosen, and send nothing', async () => {
    const { fixture, http } = onScreen();
    await fixture.whenStable();
    await choose(fixture, new File(['words'], 'p.png', { type: 'image/png' }));
    fixture.detectChanges();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('no picture');
    http.expectNone(() => true);
  });

  it('are shown with their work, taken away and brought back', async () => {
    const { fixture, http } = onScreen([picture, { ...picture, id: 'q', operation: 'other' }]);
    await fixture.whenStable();
    expect([...host(fixture).querySelectorAll('img')].map((i) => i.getAttribute('src'))).toEqual(['/api/photographs/p/small']);
    button(fixture, 'Remove photograph').click();
    const removed = http.expectOne('/api/photographs/p/removed');
    expect([removed.request.headers.get('If-Match'), removed.request.body]).toEqual(['"1"', { removed: true }]);
    removed.flush({}, { headers: { ETag: '"2"' } });
    await settle();
    http.expectOne((r) => r.url.includes('/instruments/i/photographs')).flush({ items: [] });
    await settle();
    fixture.detectChanges();
    button(fixture, 'Restore photograph').click();
    const back = http.expectOne('/api/photographs/p/removed');
    expect([back.request.headers.get('If-Match'), back.request.body]).toEqual(['"2"', { removed: false }]);
    back.flush({}, { headers: { ETag: '"3"' } });
    http.match(() => true);
  });
});
