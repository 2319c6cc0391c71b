// What was said of an instrument anywhere is found from the list of instruments, as it stands now.
import { randomUUID } from 'node:crypto';
import type { FoundInstrument, Page } from '@rinnovo/contract';
import type { PlanRecord } from '@rinnovo/core/job';
import { demoWorkshop } from '@rinnovo/demo';
import { logNext, readyToRoute } from '../testing/at-the-cut.js';
import type { TestWorkshop } from '../testing/workshop.js';
import { excerpt } from './mentions.js';

const job = demoWorkshop.jobs[0]!;
const first = demoWorkshop.instruments[0]!;

describe('what was said of an instrument', () => {
  let w: TestWorkshop;
  beforeAll(async () => {
    ({ w } = await readyToRoute());
  }, 60_000);
  afterAll(() => w.close());

  /** The labels that are found, and where, of the first. */
  const find = async (words: string): Promise<readonly [readonly string[], readonly string[]]> => {
    const { items } = (await w.get(`/api/instruments?find=${encodeURIComponent(words)}`).expect(200)).body as Page<FoundInstrument>;
    return [items.map((i) => i.label), (items[0]?.found ?? []).map((m) => `${m.kind}: ${m.text}`)];
  };

  it('is found by the title of its job and what its owner said, also by the beginning of a short word', async () => {
    const [labels, found] = await find('full-width two-coil');
    expect(labels).toContain(first.label);
    expect(found[0]).toMatch(/^job: .*two-coil/i);
    expect((await find('FULL-WIDTH'))[0]).toEqual(labels);
    const { title } = job;
    await w.db('jobs').where({ id: job.id }).update({ title: 'Ab zinnia' });
    expect((await find('zinni'))[0]).toEqual([first.label]);
    expect((await find('ab zinnia'))[0]).toEqual([first.label]);
    expect((await find('full-width'))[0]).toEqual(labels.filter((l) => l !== first.label));
    await w.db('jobs').where({ id: job.id }).update({ title });
  });

  it('is found by a reason, by what its owner agreed to, and by a note and a lesson of the ledger', async () => {
    expect((await find('go on'))[1]).toContain('reason: go on');
    await logNext(w, { note: 'the marmalade clamp slipped' });
    expect(await find('marmalade')).toEqual([[first.label], ['step: the marmalade clamp slipped']]);
  });

  it('is found by a finding until that is withdrawn', async () => {
    const id = randomUUID();
    const finding = {
      instrument: first.id,
      survey: null,
      rule: null,
      feature: null,
      text: 'A quince-coloured stain',
      severity: 'watch',
      job: null,
      done: false,
    };
    await w.create(`/api/findings/${id}`, { ...finding, withdrawn: false }).expect(201);
    expect(await find('quince stain')).toEqual([[first.label], ['finding: A quince-coloured stain']]);
    await w.change(`/api/findings/${id}`, 1, { ...finding, withdrawn: true }).expect(200);
    expect(await find('quince')).toEqual([[], []]);
  });

  it('is found by a part of its plan, under the name that the part has now', async () => {
    const { plan } = ((await w.get(`/api/jobs/${job.id}/plan`).expect(200)) as unknown as { body: PlanRecord }).body;
    const part = demoWorkshop.parts.find((p) => p.id === plan.choices[0]!.part)!;
    expect((await find(`${first.label} ${part.name}`))[1]).toContain(jasmine.stringMatching(`^part: .*${part.name}`));
    await w.change(`/api/parts/${part.id}`, 1, { ...part, name: 'Medlar pickup' }).expect(200);
    expect((await find('medlar'))[0]).toContain(first.label);
    expect((await find(`${first.label} ${part.name}`))[0]).toEqual([]);
  });

  it('is found only whole: each word somewhere in it, and nothing where one is nowhere', async () => {
    expect((await find(`${first.label} full-width`))[0]).toContain(first.label);
    expect((await find('full-width nowhere'))[0]).toEqual([]);
    for (const odd of ["'", '\\', ':*', '!', '& |', 'a:*', '%', '__']) await find(odd);
  });

  it('is cut to what stands round the word', () => {
    const long = `${'before '.repeat(60)}needle ${'after '.repeat(60)}`;
    const cut = excerpt(long, ['needle']);
    expect(cut).toMatch(/^… .*needle.* …$/);
    expect(cut.length).toBeLessThan(150);
    expect(excerpt(' short\n text ', ['text'])).toBe('short text');
    expect(excerpt(long, ['nowhere'])).toMatch(/ …$/);
  });
});
