import type { HttpTestingController } from '@angular/common/http/testing';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import type { ShownReading } from '@rinnovo/contract';
import type { Circuit } from '@rinnovo/core/wire';
import { jackReading, twoPickups } from '../../../testing/circuit';
import { button, host, jobOnScreen, settle } from '../../../testing/job';
import { SheetPage } from './sheet-page';

describe('the test sheet', () => {
  let fixture: ComponentFixture<SheetPage>;
  let http: HttpTestingController;

  async function open(circuit: Circuit | null, readings: readonly ShownReading[] = []): Promise<void> {
    TestBed.configureTestingModule({ providers: [provideRouter([])] });
    ({ http } = jobOnScreen({ ...(circuit ? { circuit } : {}), readings }));
    fixture = TestBed.createComponent(SheetPage);
    await fixture.whenStable();
  }

  const line = (part: string, quantity = 'jackResistance', feature = 'jack'): HTMLElement =>
    host(fixture).querySelector(`[data-line="${quantity}|${feature}|${part}"]`)!;
  async function typeInto(row: HTMLElement, text: string): Promise<void> {
    const input = row.querySelector('input')!;
    input.value = text;
    input.dispatchEvent(new Event('input'));
    row.querySelector('form')!.dispatchEvent(new Event('submit'));
    await settle();
    await fixture.whenStable();
  }
  const alert = (row: HTMLElement): string => row.querySelector('[role=alert]')?.textContent ?? '';

  it('says what belongs here where there is no circuit', async () => {
    await open(null);
    expect(host(fixture).textContent).toContain('No circuit yet.');
    expect(host(fixture).querySelector('a[href="/i/i/wire/circuit"]')).not.toBeNull();
  });

  it('sends to the tracing while terminals are not traced', async () => {
    await open({ ...twoPickups, joints: twoPickups.joints.slice(2) });
    expect(host(fixture).textContent).toContain('terminals are not traced yet');
    expect(host(fixture).querySelector('table')).toBeNull();
  });

  it('has a target beside every line, and the reading with its result and meaning', async () => {
    await open(twoPickups, [jackReading('selector 1', 500_000), jackReading('selector 3', 8160, 'simulated meter')]);
    expect(line('selector 2').textContent).toContain('4.04\u202fkΩ');
    expect(line('selector 3').textContent).toContain('Agrees');
    expect(line('selector 3').textContent).toContain('simulated meter');
    expect(line('selector 1').textContent).toContain('Too high');
    expect(line('selector 1').textContent).toContain('Neck: the coil is open.');
    expect(host(fixture).querySelector('[role=status]')!.textContent).toContain('1 not as predicted');
  });

  it('takes what a survey read of a pickup for the line where it stands by itself', async () => {
    const placed: Circuit = { ...twoPickups, elements: twoPickups.elements.map((e) => (e.id === 'bridge' ? { ...e, place: 'pickup' } : e)) };
    await open(placed, [{ ...jackReading('', 8150), target: { quantity: 'resistance', feature: 'pickup' } }]);
    expect(line('selector 3').textContent).toContain('8.15\u202fkΩ');
    expect(line('selector 3').textContent).toContain('Agrees');
  });

  it('says so where no single fault explains a reading', async () => {
    await open(twoPickups, [jackReading('selector 1', 60_000)]);
    expect(line('selector 1').textContent).toContain('No single fault explains it.');
  });

  it('opens a target to what it rests on', async () => {
    await open(twoPickups);
    line('selector 1').querySelector<HTMLElement>('button.target')!.click();
    await fixture.whenStable();
    expect(line('selector 1').textContent).toContain('Root-sum-square');
    expect(line('selector 1').textContent).toContain('Neck: the temperature');
  });

  it('keeps what is typed at its line, read with the meter', async () => {
    await open(twoPickups);
    await typeInto(line('selector 1'), '7.87k');
    const { request } = http.expectOne((r) => r.method === 'PUT');
    expect(request.body).toEqual(
      jasmine.objectContaining({ target: { quantity: 'jackResistance', feature: 'jack', part: 'selector 1' }, value: 7870, raw: '7.87k', tool: 'meter' }),
    );
  });

  it('refuses what is no reading beside the field, and asks once about a thousand times too little', async () => {
    await open(twoPickups);
    const row = line('selector 1');
    await typeInto(row, '');
    expect(alert(row)).toBe('Type the reading');
    await typeInto(row, 'about eight');
    expect(alert(row)).not.toBe('');
    await typeInto(row, '7.87R');
    expect(alert(row)).toContain('Did you mean 7.87\u202fkΩ?');
    http.expectNone((r) => r.method === 'PUT');
    row.querySelector('form')!.dispatchEvent(new Event('submit'));
    await settle();
    expect(http.expectOne((r) => r.method === 'PUT').request.body).toEqual(jasmine.objectContaining({ value: 7.87 }));
  });

  it('takes what is heard with one touch', async () => {
    await open(twoPickups);
    const row = line('selector 1', 'tapAt');
    expect(row.textContent).toContain('Neck, hums like one coil.');
    [...row.querySelectorAll('button')].find((b) => b.textContent.trim() === 'silent')!.click();
    await settle();
    expect(http.expectOne((r) => r.method === 'PUT').request.body).toEqual(jasmine.objectContaining({ value: 2, tool: 'ear' }));
  });

  it('probes with the simulated meter, which names itself in what is kept', async () => {
    await open(twoPickups);
    button(fixture, 'Simulated meter').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-simulated-meter')!.textContent).toContain('Simulated.');
    [...line('selector 3').querySelectorAll('button')].find((b) => b.textContent.trim() === 'Probe')!.click();
    await settle(900);
    const { request } = http.expectOne((r) => r.method === 'PUT');
    const { value, tool } = request.body as { value: number; tool: string };
    expect(tool).toBe('simulated meter');
    expect(Math.abs(value - 8164)).toBeLessThan(20);
  });
});
