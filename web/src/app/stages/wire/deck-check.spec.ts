import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { HttpTestingController } from '@angular/common/http/testing';
import { circuitProblems, type Circuit } from '@rinnovo/core/wire';
import { twoPickups } from '../../../testing/circuit';
import { button, choose, circuitRevision, host, jobOnScreen, settle } from '../../../testing/job';
import { DeckCheck } from './deck-check';

const GOOD = 'one coil\nV1 p a 0 AC 1\nR1 a b 8k\nL1 b 0 4\nR3 p 0 500k\n';

describe('a deck from elsewhere', () => {
  let fixture: ComponentFixture<DeckCheck>;
  let http: HttpTestingController;

  async function open(text: string): Promise<void> {
    ({ http } = jobOnScreen({ circuit: twoPickups }));
    fixture = TestBed.createComponent(DeckCheck);
    await fixture.whenStable();
    const field = host(fixture).querySelector<HTMLInputElement>('input[type=file]')!;
    const files = new DataTransfer();
    files.items.add(new File([text], 'a.cir', { type: 'text/plain' }));
    field.files = files.files;
    field.dispatchEvent(new Event('change'));
    await settle();
    await fixture.whenStable();
  }

  it('tells its levels, and becomes the next revision of the circuit', async () => {
    await open(GOOD);
    await choose(fixture, 'mat-select', 'p');
    expect(host(fixture).textContent).toContain('one coil: 4 elements.');
    expect(host(fixture).querySelectorAll('li').length).toBe(7);
    button(fixture, 'Save it as the circuit, p to the jack').click();
    await settle();
    const put = http.expectOne('/api/instruments/i/circuit');
    expect(put.request.headers.get('If-Match')).toBe('"1"');
    const { document } = put.request.body as { document: Circuit };
    expect(circuitProblems(document)).toEqual([]);
    expect(document.elements.map((e) => e.id)).toEqual(['L1', 'R3', 'jack']);
    put.flush(circuitRevision(document, 2), { headers: { ETag: '"2"' } });
    await settle();
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('Saved as the circuit');
  });

  it('is not kept where a source is no coil', async () => {
    await open('a source\nV1 p 0 0 AC 1\nR1 p 0 1k\n');
    button(fixture, 'Save it as the circuit, p to the jack').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('V1: a source stands in a row');
    http.expectNone('/api/instruments/i/circuit');
  });

  it('is refused with its line where it brings other files', async () => {
    await open('bad\n.include other.lib\nR1 p 0 1k\n');
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Line 2');
    expect(host(fixture).querySelector('mat-select')).toBeNull();
  });
});
