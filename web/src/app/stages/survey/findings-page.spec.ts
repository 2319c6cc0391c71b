import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import type { StateId } from '@rinnovo/core/quantity';
import { STATES, usualLimit, type Reading } from '@rinnovo/core/quantity';
import { provideHeld } from '../../state/held';
import { findings, instrument, readings, surveys } from '../../state/resources';
import { anatomy as document } from '../../../testing/fixture';
import { host, jobOnScreen } from '../../../testing/job';
import { FindingsPage } from './findings-page';

let n = 0;
function read(quantity: StateId, feature: string, value: number): Reading {
  n += 1;
  return {
    id: `r${n}`,
    instrument: 'i',
    target: { quantity, feature },
    value,
    limit: usualLimit(quantity, value),
    raw: String(value),
    tool: STATES[quantity].by,
    person: 'p',
    at: `2026-01-01T00:00:${String(n % 60).padStart(2, '0')}Z`,
    blind: false,
    survey: null,
    corrects: null,
  };
}

async function page(...list: readonly Reading[]): Promise<HTMLElement> {
  TestBed.configureTestingModule({ providers: [provideRouter([]), ...provideHeld(instrument, readings, surveys, findings)] });
  const { store } = jobOnScreen();
  store.dispatch(
    instrument.loaded({
      of: 'i',
      data: { id: 'i', label: 'Tern', maker: '', model: '', serial: '', owner: null, notes: '', kind: 'bolt-on solid', identity: {}, archived: false },
      version: 1,
    }),
  );
  store.dispatch(surveys.loaded({ of: 'i', data: [], version: 1 }));
  store.dispatch(findings.loaded({ of: 'i', data: [], version: 1 }));
  store.dispatch(readings.loaded({ of: 'i', data: list, version: 1 }));
  const fixture = TestBed.createComponent(FindingsPage);
  await fixture.whenStable();
  return host(fixture);
}

describe('the findings of a survey', () => {
  it('tell what may come from either, with what is read to tell', async () => {
    expect(document.positions.length).toBeGreaterThan(0);
    const buzz = (await page(read('humidity', 'room', 50), read('symptom', 'buzz from the 12th up', 1))).querySelector('[data-finding=buzzHighFrets]')!;
    expect(buzz.textContent).toContain('May come from: more bow than the rod can correct, or too much relief');
    expect(buzz.textContent).toContain('To tell, read: relief');
  });

  it('tell readings that contradict each other first, as what they are', async () => {
    const shown = await page(read('symptom', 'hum that falls on touching strings', 1), read('groundResistance', 'bridge', 900));
    const first = shown.querySelector('article')!;
    expect([first.getAttribute('data-contradiction'), first.querySelector('.severity')!.textContent]).toEqual(['fallsThoughOpen', 'contradiction']);
    expect(first.textContent).toContain('900\u202fΩ');
    expect(first.textContent).toContain('read again: resistance to the sleeve of the jack');
  });
});
