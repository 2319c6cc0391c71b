import { newHardwareChoice } from '@rinnovo/core/check';
import { TestBed } from '@angular/core/testing';
import { compareAnatomies, knownAt, applyChanges } from '@rinnovo/core/instrument';
import { anatomy as resource } from '../../state/resources';
import { clearance, decision, host, jobOnScreen, logged, route } from '../../../testing/job';
import { anatomy } from '../../../testing/fixture';
import { RecordPage } from './record-page';

const basis = { kind: 'work' as const, entry: 'e' };
const left = applyChanges(anatomy, [
  {
    kind: 'addLevels',
    cavity: 'route',
    levels: [
      {
        id: 'main decision',
        set: 'planned decision',
        outline: { outline: route.levels[0]!.outline, limit: 0.1, basis, across: null, along: null },
        depth: { value: 18.1, limit: 0.05, basis },
        bored: false,
      },
    ],
  },
  { kind: 'fitPart', position: 'pickup', part: 'two-coil' },
]);

describe('the record', () => {
  it('keeps of a mishap how far it went, why, what was done and learned; minutes; and the pictures of its step', async () => {
    const wrong = {
      mishap: 'slipped' as const,
      flaw: { by: 1.5, level: 'main', side: 'treble' as const },
      cause: 'tool' as const,
      way: 'fillFlaw' as const,
      lesson: 'two screws more',
    };
    const entry = logged({
      outcome: 'wentWrong',
      wrong,
      note: 'the tape let go',
      minutes: 7.5,
      after: knownAt({ anatomy: 2 }),
      done: '2026-01-02T09:10:00Z',
      at: '2026-01-02T12:00:00Z',
      unjudged: { why: 'no network', looked: { person: 'nell', at: '2026-01-03T08:00:00Z', found: '17.0 deep, as planned' } },
      takenBack: { id: 'b', person: 'nell', at: '2026-01-03T09:00:00Z', reason: 'it was the other guitar', after: knownAt({ anatomy: 3 }) },
    });
    const picture = { instrument: 'i', width: 4, height: 3, removed: false, person: 'nell', at: '2026-01-02T12:00:00Z', version: 1 };
    const photographs = [
      { ...picture, id: 'mine', operation: 'routePasses', step: '4 cut' },
      { ...picture, id: 'other', operation: 'routePasses', step: '5 measureDepth' },
    ];
    jobOnScreen({ ledger: [entry], photographs });
    const fixture = TestBed.createComponent(RecordPage);
    await fixture.whenStable();
    const article = host(fixture).querySelector('article')!;
    expect(article.textContent).toContain('Slip of the template or the bit, 1.50\u202fmm towards the treble side, tool. Fit a sliver');
    expect(article.textContent).toContain('Lesson: two screws more');
    expect(article.textContent).toMatch(/Kept .*Not judged: no network\s*Looked at: 17.0 deep, as planned Nell/s);
    expect(article.textContent).toMatch(/Not done after all: it was the other guitar .* Nell/);
    expect(article.textContent).toContain('7.5\u202fmin');
    expect([...article.querySelectorAll('img')].map((i) => i.getAttribute('src'))).toEqual(['/api/photographs/mine/small']);
  });

  it('says that nothing was done yet', async () => {
    jobOnScreen();
    const fixture = TestBed.createComponent(RecordPage);
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('No changes to this instrument yet.');
    expect(host(fixture).textContent).toContain('Each step logged on the bench is recorded here');
  });

  it('tells as found from as left, on the map and in words, and what can be undone', async () => {
    const consent = {
      id: 'k',
      job: 'job',
      decision: 'decision',
      how: 'by phone' as const,
      said: 'do it',
      price: 21390,
      options: [],
      given: null,
      withdrawn: { at: '2026-01-04', said: 'wait', person: 'nell' },
      person: 'nell',
      at: '2026-01-03',
    };
    const back = { part: 'two-coil', needsInsert: false, woodCut: true, partCut: false, plateCut: false, works: true };
    const stood = { id: decision.option, kind: 'reroute' as const, part: 'two-coil', total: 60, minutes: 120, price: 0, excluded: null, numbers: [], back };
    const cut = { ...decision, options: [stood] };
    const other = {
      ...decision,
      id: 'other',
      choice: 'tone hole',
      chosen: newHardwareChoice('tone hole', { on: 'feature', feature: 'tone hole' }, null),
      reason: 'the old one is silent',
    };
    const taken = [
      { verdict: 'wall/x', reason: 'it is thin and holds' },
      { verdict: 'override/floor/x', reason: 'she wants it so' },
    ];
    const gone = { ...other, id: 'gone', reason: 'tried and left', undoneAt: '2026-01-05T09:00:00.000Z' };
    const { store } = jobOnScreen({ work: { decisions: [cut, other, gone], consents: [consent], clearances: [{ ...clearance, accepted: taken }] } });
    const revision = { instrument: 'i', cause: 'work' as const, entry: 'e', person: 'nell', at: '' };
    store.dispatch(
      resource.loaded({
        of: 'i',
        data: {
          found: { ...revision, revision: 1, document: anatomy },
          now: { ...revision, revision: 9, document: left },
          changes: compareAnatomies(anatomy, left),
        },
        version: 9,
      }),
    );
    const fixture = TestBed.createComponent(RecordPage);
    await fixture.whenStable();
    const text = host(fixture).textContent;
    expect(text).toContain('as left, revision 9');
    expect(text).toMatch(/New in the pickup route: main decision 18\.1\u202fmm/);
    expect(text).toContain('none → Wide two-coil');
    expect(text).toContain('Cut with checks overridden: “she wants it so”');
    expect(text).not.toContain('it is thin and holds');
    expect(text).toMatch(/tried and left.*Undone 5 Jan 2026/s);
    expect(text).toContain('cannot be put back');
    expect(text).toContain('Way back at the time: Wide two-coil fits into the new cut');
    expect(text).toContain('“what she asked for”');
    expect(text).toContain('The owner agreed by phone, 3 Jan 2026, at 213.90: “do it”. Withdrawn 4 Jan 2026: “wait”');
    expect(text).toMatch(/Tone hole: .*“the old one is silent” Nell, 2 Jan 2026/);
    const shown = (where: string): number => host(fixture).querySelectorAll(`${where} path.planned`).length;
    expect(shown('rn-plan-view')).toBe(1);
    expect([...host(fixture).querySelectorAll('a[download]')].map((a) => a.getAttribute('href'))).toEqual([
      '/api/jobs/job/papers/hand-over',
      '/api/instruments/i/passport',
    ]);
    [...host(fixture).querySelectorAll('button')].find((b) => b.textContent.includes('As found'))!.click();
    await fixture.whenStable();
    expect(shown('rn-plan-view')).toBe(0);
    expect(host(fixture).textContent).toContain('as found, revision 1');
  });
});
