// Attacks between two steps of one cut: each changes what the cut was cleared on, and the next step is refused with what is missing.
import { randomUUID } from 'node:crypto';
import type { AnatomyRevision, Instrument, OwnerChange, Person, Problem, Shop } from '@rinnovo/contract';
import type { GateItem } from '@rinnovo/core/gate';
import type { Anatomy } from '@rinnovo/core/instrument';
import type { Consent, Ownership } from '@rinnovo/core/job';
import { demoWorkshop } from '@rinnovo/demo';
import { logNext, logUpToCut, readyToRoute } from '../testing/at-the-cut.js';
import { clearForCut, drawnAs, readOnce } from '../testing/cleared.js';
import type { TestWorkshop } from '../testing/workshop.js';

const job = demoWorkshop.jobs[0]!.id;
const instrument = demoWorkshop.instruments[0]!.id;
const thickness = { quantity: 'bodyThickness', feature: 'body' } as const;

describe('between two passes of one cut', () => {
  let w: TestWorkshop;
  let decision: string;
  beforeEach(async () => {
    ({ w, decision } = await readyToRoute());
    await logUpToCut(w);
    expect((await logNext(w)).answer.status).toBe(201);
  }, 60_000);
  afterEach(() => w.close());

  const anatomy = async () => (await w.get(`/api/instruments/${instrument}/anatomy`).expect(200)).body as AnatomyRevision;
  const redraw = async (change: (a: Anatomy) => Anatomy) => {
    const { document, revision } = await anatomy();
    await w.change(`/api/instruments/${instrument}/anatomy`, revision, { document: change(document) }).expect(200);
  };
  /** What the next step is refused for; null where it is logged. */
  const refusedFor = async (): Promise<readonly GateItem['kind'][] | null> => {
    const { answer } = await logNext(w);
    if (answer.status === 201) return null;
    expect([answer.status, (answer.body as Problem).type]).toEqual([409, '/problems/not-clear']);
    return (answer.body as { current: readonly GateItem[] }).current.map((i) => i.kind);
  };

  const agreeAgain = () => w.create(`/api/consents/${randomUUID()}`, { decision, how: 'by phone', said: 'go on then' }).expect(201);

  it('nothing stops it where nothing changed', async () => {
    expect([await refusedFor(), await refusedFor()]).toEqual([null, null]);
  });

  it('a blind reading that disagrees stops it, and two that agree let it go on', async () => {
    const value = drawnAs((await anatomy()).document, thickness);
    await readOnce(w, { instrument, target: thickness, value: value + 1, blind: true });
    expect(await refusedFor()).toEqual(['reading']);
    // read without being blind it is one reading
    await readOnce(w, { instrument, target: thickness, value: value + 1, blind: false });
    expect(await refusedFor()).toEqual(['reading']);
    await readOnce(w, { instrument, target: thickness, value: value + 1.02, blind: true });
    expect(await refusedFor()).toBeNull();
  });

  it('two readings that agree on less wood stop it until what was accepted is accepted again', async () => {
    const value = drawnAs((await anatomy()).document, thickness);
    await readOnce(w, { instrument, target: thickness, value: value - 1, blind: false });
    await readOnce(w, { instrument, target: thickness, value: value - 1, blind: true });
    // the floor was accepted at 4.5
    expect(await refusedFor()).toEqual(['consent', 'thin']);
    await agreeAgain();
    expect(await refusedFor()).toEqual(['thin']);
    const again = await clearForCut(w, job, decision);
    expect(again.status).toBe(201);
    expect(await refusedFor()).toBeNull();
  });

  it('a cavity that is drawn behind it stops it', async () => {
    const back = (await anatomy()).document.cavities.find((c) => c.face === 'back')!;
    const at = (await anatomy()).document.cavities.find((c) => c.id === 'neck route')!.levels[0]!.outline;
    await redraw((a) => ({
      ...a,
      cavities: [
        ...a.cavities,
        { ...back, id: 'found behind', levels: [{ ...back.levels[0]!, id: 'f', outline: at, depth: { ...back.levels[0]!.depth!, value: 15 } }] },
      ],
    }));
    expect(await refusedFor()).toContain('reading');
  });

  describe('the owner’s yes', () => {
    const why = async (): Promise<readonly string[] | null> => {
      const { answer } = await logNext(w);
      if (answer.status === 201) return null;
      const items = (answer.body as { current: readonly GateItem[] }).current;
      return items.flatMap((i) => (i.kind === 'consent' ? i.why.map((x) => x.kind) : [i.kind]));
    };
    const keep = async (path: string, more: object) => {
      const { body, headers } = await w.get(path).expect(200);
      const version = Number(/\d+/.exec(headers['etag'] ?? '')![0]);
      await w.change(path, version, { ...(body as object), ...more }).expect(200);
    };

    it('that is taken back stops it, and is kept beside what takes it back', async () => {
      const { consents } = (await w.get(`/api/jobs/${job}/work`).expect(200)).body as { consents: readonly Consent[] };
      const back = (more: object = {}) => w.create(`/api/consent-withdrawals/${randomUUID()}`, { consent: consents[0]!.id, said: 'stop', ...more });
      expect([(await back({ consent: randomUUID() })).status, (await back({ said: ' ' })).status]).toEqual([404, 400]);
      expect((await back()).status).toBe(201);
      expect((await back()).status).toBe(409);
      expect(await why()).toEqual(['withdrawn']);
      const after = (await w.get(`/api/jobs/${job}/work`).expect(200)).body as { consents: readonly Consent[] };
      expect(after.consents.map((c) => [c.said, c.withdrawn?.said])).toEqual([['go on', 'stop']]);
      await agreeAgain();
      expect(await why()).toBeNull();
    });

    it('is not changed out of the way: by another owner, by none, by another role, nor by putting back what was', async () => {
      const owner = ((await w.get(`/api/instruments/${instrument}`)).body as Instrument).owner!;
      await keep(`/api/instruments/${instrument}`, { owner: null });
      expect(await why()).toEqual(['owner']);
      await keep(`/api/instruments/${instrument}`, { owner });
      expect(await why()).toEqual(['owner']);
      await agreeAgain();
      expect(await why()).toBeNull();
      const person = ((await w.get('/api/people')).body as { items: readonly Person[] }).items.find((p) => p.id === owner)!;
      await w.change(`/api/people/${owner}`, 1, { ...person, role: 'technician' }).expect(200);
      expect(await why()).toEqual(['owner']);
      const { owner: told, ownerChanges } = (await w.get(`/api/jobs/${job}/work`)).body as { owner: Ownership; ownerChanges: readonly OwnerChange[] };
      expect([told.clients, ownerChanges.map((c) => [c.was === owner, c.wasClients, c.now === owner])]).toEqual([
        true,
        [
          [true, true, false],
          [false, false, true],
          [true, true, true],
        ],
      ]);
      await agreeAgain();
      expect(await why()).toBeNull();
    });

    it('is asked again when the price rises, not when it falls', async () => {
      const rate = async (by: number) => {
        const { version, settings, own } = (await w.get('/api/shop').expect(200)).body as Shop;
        await w.change('/api/shop/settings', version, { own: { ...own, ratePerHour: settings.ratePerHour * by } }).expect(200);
      };
      await rate(0.9);
      expect(await why()).toBeNull();
      await rate(1.2);
      expect(await why()).toEqual(['price']);
      await agreeAgain();
      expect(await why()).toBeNull();
    });
  });

  it('a bit that is no longer there stops it', async () => {
    await w.db('tools').whereRaw("document->>'kind' = 'template'").delete();
    expect(await refusedFor()).toContain('need');
  });
});
