import { settingsWith } from '../operation/index.js';
import { gateOf } from '../testing/gate.js';
import { plainAnatomy } from '../testing/plan.js';
import { CANNOT_WAIT, clearToCut, tiredAt } from './index.js';

const settings = settingsWith();
const at = (iso: string, timeZone = 'Europe/Rome', more: Partial<Parameters<typeof tiredAt>[0]> = {}) =>
  tiredAt({ now: new Date(iso), timeZone, settings, worked: [], ...more });
const hours = (day: string, ...minutes: readonly (number | null)[]) =>
  minutes.map((m, i) => ({ at: `${day}T${String(8 + i).padStart(2, '0')}:00:00Z`, minutes: m }));

describe('a cut that can wait', () => {
  it('is asked about past the set hour, in the workshop’s own time, and until the early morning', () => {
    // in Rome it is two hours later in summer: 21:59 and 22:00
    expect([at('2026-06-01T19:59:00Z'), at('2026-06-01T20:00:00Z'), at('2026-06-01T20:00:00Z', 'UTC')]).toEqual([null, 'late', null]);
    expect([at('2026-06-02T02:59:00Z'), at('2026-06-02T03:00:00Z')]).toEqual(['late', null]);
    // a workshop that never minds
    expect(at('2026-06-01T23:30:00Z', 'Europe/Rome', { settings: settingsWith({ lateHour: 24 }) })).toBeNull();
  });

  it('is asked about after more than eight hours that were logged that day, not the day before', () => {
    const worked = hours('2026-06-01', 200, 200, 80);
    expect(at('2026-06-01T15:00:00Z', 'UTC', { worked })).toBeNull();
    expect(at('2026-06-01T15:00:00Z', 'UTC', { worked: [...worked, ...hours('2026-06-01', null, 1)] })).toBe('long');
    expect(at('2026-06-02T15:00:00Z', 'UTC', { worked: [...worked, ...hours('2026-06-01', 60)] })).toBeNull();
    expect(at('2026-06-01T15:00:00Z', 'UTC', { worked: hours('2026-06-01', 600), settings: settingsWith({ dayHours: 24 }) })).toBeNull();
  });

  it('stands first at the gate until somebody says that it cannot wait', () => {
    const evaluation = { anatomy: plainAnatomy(), verdicts: [] };
    const of = (accepted: readonly string[]) => clearToCut(gateOf({ evaluation, found: plainAnatomy(), tired: 'late', accepted: new Set(accepted) }));
    expect([of([]).clear, of([]).items[0]]).toEqual([false, { kind: 'rest', why: 'late', ok: false }]);
    expect(of([CANNOT_WAIT]).clear).toBeTrue();
    expect(clearToCut(gateOf({ evaluation, found: plainAnatomy() })).items.filter((i) => i.kind === 'rest')).toEqual([]);
  });
});
