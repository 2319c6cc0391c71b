import { useLocale, localeInUse } from '@rinnovo/words';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

describe('how the workshop writes numbers, dates and money', () => {
  let w: TestWorkshop;
  beforeEach(async () => (w = await testWorkshop()));
  afterEach(async () => {
    useLocale();
    await w.close();
  });

  it('is kept with its version, and is what the papers are written in from then on', async () => {
    const kept = (await w.get('/api/shop/locale').expect(200)).body as { version: number; timeZone: string };
    expect(kept.timeZone).toBe('Europe/Rome');
    const german = { locale: 'de-DE', timeZone: 'Europe/Berlin', currency: 'EUR' };
    await w.change('/api/shop/locale', kept.version, german).expect(200);
    expect(localeInUse()).toEqual(german);
    expect((await w.get('/api/shop/locale')).body).toEqual({ ...german, version: kept.version + 1 });
    // another hand was quicker
    expect((await w.change('/api/shop/locale', kept.version, german)).status).toBe(412);
  });

  it('refuses what the platform does not know, beside its field', async () => {
    const good = { locale: 'en-GB', timeZone: 'UTC', currency: '' };
    for (const [field, value] of [
      ['locale', 'no such language'],
      ['timeZone', 'Middle/Earth'],
      ['currency', 'shells'],
    ] as const) {
      const answer = await w.change('/api/shop/locale', 1, { ...good, [field]: value });
      expect(answer.status).withContext(field).toBe(400);
      expect((answer.body as { errors: { pointer: string }[] }).errors[0]!.pointer).toBe(`/${field}`);
    }
  });
});
