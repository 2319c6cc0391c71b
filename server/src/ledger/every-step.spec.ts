// Attacks between two steps of one cut: each changes what the cut was cleared on, and the next step is refused with what is missing.
import type { AnatomyRevision, Problem } from '@rinnovo/contract';
import type { GateItem } from '@rinnovo/core/gate';
import type { Anatomy } from '@rinnovo/core/instrument';
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

  it('a bit that is no longer there stops it', async () => {
    await w.db('tools').whereRaw("document->>'kind' = 'template'").delete();
    expect(await refusedFor()).toContain('need');
  });
});
