import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { jackReading, twoPickups } from '../../../testing/circuit';
import { button, choose, host, jobOnScreen, settle } from '../../../testing/job';
import { ResponsePage } from './response-page';

describe('the response', () => {
  let fixture: ComponentFixture<ResponsePage>;

  async function open(known = true): Promise<void> {
    TestBed.configureTestingModule({ providers: [provideRouter([])] });
    jobOnScreen({ ...(known ? { circuit: twoPickups } : {}), readings: [jackReading('selector 1', 7870)] });
    fixture = TestBed.createComponent(ResponsePage);
    await settle();
    await fixture.whenStable();
  }
  const rows = (): readonly string[] => [...host(fixture).querySelectorAll('.curves > table tbody tr')].map((r) => r.textContent.replace(/\s+/g, ' ').trim());
  async function slide(name: string, to: number): Promise<void> {
    const thumb = host(fixture).querySelector<HTMLInputElement>(`input[aria-label="${name}"]`)!;
    thumb.value = String(to);
    thumb.dispatchEvent(new Event('input'));
    thumb.dispatchEvent(new Event('change'));
    await fixture.whenStable();
  }

  it('says what belongs here without a circuit', async () => {
    await open(false);
    expect(host(fixture).textContent).toContain('No circuit that is fully traced.');
  });

  it('has a row for each position: what is heard, its level, its peak', async () => {
    await open();
    expect(rows().length).toBe(3);
    expect(rows()[0]).toContain('Neck, hums like one coil.');
    expect(rows()[1]).toContain('Neck and Bridge, in phase, hums.');
    expect(rows()[1]).toMatch(/Peak at \d/);
    expect(rows()[0]).toContain('upper bound: coil losses unknown');
  });

  it('follows its sliders, and is silent at 0', async () => {
    await open();
    const before = rows()[0];
    await slide('Cable, pF', 1000);
    expect(rows()[0]).not.toBe(before);
    await slide('Volume', 0);
    expect(rows()[0]).toContain('silent');
    expect(rows()[0]).toContain('Silent.');
  });

  it('shows the positions that are chosen', async () => {
    await open();
    const toggles = [...host(fixture).querySelectorAll<HTMLButtonElement>('[aria-label="Positions shown"] button')];
    toggles[0]!.click();
    toggles[1]!.click();
    await fixture.whenStable();
    expect(rows().length).toBe(1);
    toggles[2]!.click();
    await fixture.whenStable();
    expect(rows()[0]).toContain('Choose a position');
  });

  it('tells what a pot does over its turn, silent at 0, and follows another one', async () => {
    await open();
    const turned = (): readonly string[] => [...host(fixture).querySelectorAll('rn-turn-of tbody tr')].map((r) => r.textContent.replace(/\s+/g, ' ').trim());
    expect(turned().length).toBe(0);
    host(fixture).querySelector<HTMLElement>('rn-turn-of summary')!.click();
    await settle();
    await fixture.whenStable();
    expect(turned().length).toBe(5);
    expect(turned()[0]).toContain('silent');
    expect(turned()[4]).not.toContain('silent');
    const volume = turned();
    await choose(fixture, 'rn-turn-of mat-select', 'Tone');
    expect(turned()).not.toEqual(volume);
    expect(turned()[0]).not.toContain('silent');
  });

  it('keeps curves to be held against another setting, until they are dropped', async () => {
    await open();
    const chart = (): readonly string[] =>
      (fixture.componentInstance as unknown as { curves: () => readonly { label: string }[] }).curves().map((c) => c.label);
    button(fixture, 'Keep these curves to compare').click();
    await slide('Tone', 0);
    expect(chart().filter((l) => l.includes('kept')).length).toBe(3);
    expect(chart().length).toBe(6);
    button(fixture, 'Drop the kept curves').click();
    await fixture.whenStable();
    expect(chart().length).toBe(3);
  });

  it('is laid over the same circuit with one thing otherwise', async () => {
    await open();
    await choose(fixture, 'rn-response-page > * mat-select, mat-select', 'Pots of 250\u202fkΩ');
    expect(rows()[0]).toContain('Compared: Peak at');
  });
});
