import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { HttpTestingController } from '@angular/common/http/testing';
import { Store } from '@ngrx/store';
import type { ShownReading } from '@rinnovo/contract';
import { STATES, usualLimit, type StateId } from '@rinnovo/core/quantity';
import { Drafts } from '../../state/drafts';
import { provideHeld } from '../../state/held';
import { instrument } from '../../state/resources';
import { viewActions } from '../../state/view.feature';
import { host, jobOnScreen, settle, survey, instrumentOnScreen } from '../../../testing/job';
import { FindingsPage } from './findings-page';
import { InspectionPage } from './inspection-page';

let n = 0;
function read(quantity: StateId, feature: string, value: number): ShownReading {
  n += 1;
  const at = `2026-01-01T00:00:${String(n % 60).padStart(2, '0')}Z`;
  return {
    id: `s${n}`,
    instrument: 'i',
    target: { quantity, feature },
    value,
    limit: usualLimit(quantity, value),
    raw: String(value),
    tool: STATES[quantity].by,
    person: 'nell',
    at,
    blind: false,
    survey: 'survey',
    corrects: null,
  };
}

describe('an inspection', () => {
  beforeEach(() => new Drafts().drop('inspection/i'));
  let http: HttpTestingController;
  async function page(readings: readonly ShownReading[]): Promise<ComponentFixture<InspectionPage>> {
    TestBed.configureTestingModule({ providers: [...provideHeld(instrument)] });
    const screen = jobOnScreen({ readings, surveys: [survey] });
    http = screen.http;
    screen.store.dispatch(instrument.loaded({ of: 'i', data: instrumentOnScreen, version: 1 }));
    TestBed.inject(Store).dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    const fixture = TestBed.createComponent(InspectionPage);
    await fixture.whenStable();
    return fixture;
  }
  const step = async (f: ComponentFixture<unknown>, id: StateId): Promise<void> => {
    host(f).querySelector<HTMLButtonElement>(`[data-step="${id}"]`)!.click();
    await f.whenStable();
  };
  const cells = (f: ComponentFixture<unknown>): HTMLInputElement[] => [...host(f).querySelectorAll<HTMLInputElement>('[data-cell]')];
  const put = async (f: ComponentFixture<unknown>, cell: HTMLInputElement, text: string): Promise<void> => {
    cell.value = text;
    cell.dispatchEvent(new Event('input'));
    await f.whenStable();
  };

  it('begins at the first step, and goes on where it was left', async () => {
    const fresh = await page([]);
    expect(host(fresh).querySelector('[aria-current=step]')!.textContent).toContain('Stop sign');
    expect(host(fresh).querySelectorAll('.answers').length).toBe(4);
    TestBed.resetTestingModule();
    const later = await page([read('stopSign', 'headstock break', 0), read('humidity', 'room', 50)]);
    expect(host(later).querySelector('[aria-current=step]')!.textContent).toContain('Temperature');
  });

  it('keeps what is typed while another step is looked at, and over a reload; OL is a reading', async () => {
    const f = await page([read('humidity', 'room', 50)]);
    await step(f, 'action');
    await put(f, cells(f)[0]!, '2.4');
    await put(f, cells(f)[1]!, 'high');
    await step(f, 'resistance');
    await put(f, cells(f)[0]!, 'OL');
    expect(host(f).querySelector('rn-step-grid tbody')!.textContent).not.toContain('problem');
    await step(f, 'action');
    expect(
      cells(f)
        .map((c) => c.value)
        .slice(0, 2),
    ).toEqual(['2.4', 'high']);
    await settle(30);
    TestBed.resetTestingModule();
    const later = await page([read('humidity', 'room', 50)]);
    await step(later, 'action');
    await settle(30);
    await later.whenStable();
    expect(
      cells(later)
        .map((c) => c.value)
        .slice(0, 2),
    ).toEqual(['2.4', 'high']);
  });

  it('judges as it is typed, goes down the column with Enter, and keeps what is there', async () => {
    const f = await page([read('humidity', 'room', 50)]);
    await step(f, 'action');
    await put(f, cells(f)[0]!, '2.4');
    expect(host(f).querySelector('tbody tr')!.textContent).toContain('too high');
    cells(f)[0]!.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', cancelable: true }));
    await put(f, cells(f)[1]!, '1.5');
    expect(host(f).querySelectorAll('tbody tr')[1]!.textContent).toContain('within target');
    host(f).querySelector('rn-step-grid form')!.dispatchEvent(new Event('submit'));
    await settle();
    const first = http.expectOne((r) => r.method === 'PUT');
    expect(first.request.body).toEqual(
      jasmine.objectContaining({
        instrument: 'i',
        target: { quantity: 'action', feature: 'string 1' },
        value: 2.4,
        limit: 0.1,
        raw: '2.4',
        tool: 'string gauge',
      }),
    );
    first.flush({});
    await settle();
    // the second one fails: the first is not kept twice, the second stays typed
    http.expectOne((r) => r.method === 'PUT').flush({ type: '/problems/cannot-be', title: 'It cannot be', status: 422 }, { status: 422, statusText: '' });
    await settle();
    await f.whenStable();
    expect(
      cells(f)
        .map((c) => c.value)
        .slice(0, 2),
    ).toEqual(['', '1.5']);
    expect(host(f).querySelector('rn-step-grid [role=alert]')!.textContent).toContain('It cannot be');
  });

  it('says why a judgement waits, and keeps nothing while a cell cannot be', async () => {
    const f = await page([read('humidity', 'room', 31)]);
    await step(f, 'fretEnds');
    expect(host(f).querySelector('.waits')!.textContent).toContain('correct the relative humidity (31\u202f%) first');
    await step(f, 'fretHeight');
    await put(f, cells(f)[4]!, 'low');
    host(f).querySelector('rn-step-grid form')!.dispatchEvent(new Event('submit'));
    await settle();
    await f.whenStable();
    http.expectNone((r) => r.method === 'PUT');
    expect(host(f).querySelectorAll('tbody tr')[4]!.querySelector('[role=alert]')!.textContent).toContain('Not a length');
    expect(cells(f)[4]!.value).toBe('low');
  });

  it('goes back to what was passed over after the last step', async () => {
    const f = await page([read('stopSign', 'headstock break', 0)]);
    await step(f, 'finish');
    host(f).querySelector('rn-step-grid form')!.dispatchEvent(new Event('submit'));
    await settle();
    await f.whenStable();
    expect(host(f).querySelector('[aria-current=step]')!.textContent).toContain('Relative humidity');
  });

  it('challenges an improbable value once, beside where it was typed', async () => {
    const f = await page([read('humidity', 'room', 50)]);
    await step(f, 'relief');
    await put(f, cells(f)[0]!, '2.5');
    expect(host(f).querySelector('.doubt')!.textContent).toContain('Did you mean 0.25\u202fmm?');
    const submit = async (): Promise<void> => {
      host(f).querySelector('rn-step-grid form')!.dispatchEvent(new Event('submit'));
      await settle();
      await f.whenStable();
    };
    await submit();
    http.expectNone((r) => r.method === 'PUT');
    await put(f, cells(f)[0]!, '2.4');
    await submit();
    http.expectNone((r) => r.method === 'PUT');
    await submit();
    expect((http.expectOne((r) => r.method === 'PUT').request.body as { value: number }).value).toBe(2.4);
  });

  it('leaves alone what is typed while the column before it is being kept', async () => {
    const f = await page([read('humidity', 'room', 50)]);
    await step(f, 'relief');
    await put(f, cells(f)[0]!, '.2');
    host(f).querySelector('rn-step-grid form')!.dispatchEvent(new Event('submit'));
    await settle();
    await put(f, cells(f)[0]!, '.25');
    http.expectOne((r) => r.method === 'PUT').flush({});
    await settle();
    await f.whenStable();
    expect(host(f).querySelector('rn-step-grid h2')!.textContent).toBe('Relief');
    expect(cells(f)[0]!.value).toBe('.25');
  });

  it('takes a pasted column from a cell on, and says what was too much', async () => {
    const f = await page([]);
    await step(f, 'action');
    const data = new DataTransfer();
    data.setData('text', '1.6\n1.7\r\n1,8\n1.9\n');
    cells(f)[3]!.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, cancelable: true }));
    await f.whenStable();
    expect(cells(f).map((c) => c.value)).toEqual(['', '', '', '1.6', '1.7', '1,8']);
    expect(host(f).querySelector('rn-step-grid [role=status]')!.textContent).toContain('4 values for 3 places: the last 1 were skipped');
  });
});

describe('the findings', () => {
  async function page(readings: readonly ShownReading[]): Promise<ComponentFixture<FindingsPage>> {
    TestBed.configureTestingModule({ providers: [...provideHeld(instrument)] });
    const { store } = jobOnScreen({ readings, surveys: [survey] });
    store.dispatch(instrument.loaded({ of: 'i', data: instrumentOnScreen, version: 1 }));
    store.dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    const fixture = TestBed.createComponent(FindingsPage);
    await fixture.whenStable();
    return fixture;
  }
  const found = (f: ComponentFixture<unknown>): readonly string[] =>
    [...host(f).querySelectorAll<HTMLElement>('[data-finding]')].map((x) => x.dataset['finding'] ?? '');

  it('stand under their first cause, with what speaks for them and what is done first', async () => {
    const f = await page([
      read('humidity', 'room', 50),
      read('relief', 'neck', 0.6),
      read('action', 'string 1', 2.4),
      read('symptom', 'buzz from the 12th up', 1),
    ]);
    expect(found(f)).toEqual(['reliefHigh', 'actionHigh', 'buzzHighFrets']);
    const [cause, effect] = [...host(f).querySelectorAll('article')];
    expect(cause!.textContent).toContain('Relief: 0.60\u202fmm, target 0.10\u202fmm to 0.30\u202fmm');
    expect(cause!.textContent).toContain('Explains: high action, buzz from the 12th fret up');
    expect(effect!.textContent).toContain('Comes from: too much relief');
    expect(effect!.textContent).not.toContain('Lower the saddle');
  });

  it('say where to begin when nothing is read, and that nothing is outside when all is well', async () => {
    expect(host(await page([])).textContent).toContain('Start the inspection');
    TestBed.resetTestingModule();
    expect(host(await page([read('relief', 'neck', 0.2)])).textContent).toContain('Every reading is within its target');
  });
});
