// Jobs of several decisions in the order that an expert wants of them; what is broken by hand is told.
import { brokenRules, edgesOf, HOUSE, inOrder } from '../house/index.js';
import type { PlacedOperation } from '../operation/index.js';
import { JOBS, type ExpertJob } from '../testing/jobs.js';
import { seeded } from '../testing/random.js';
import { operationOf } from '../testing/work.js';
import { sequence } from './index.js';

const nameOf = (o: { readonly decision: string; readonly kind: string }): string => `${o.decision}.${o.kind}`;
const operationsOf = ({ works }: ExpertJob): readonly PlacedOperation[] =>
  works.map((w) => operationOf(w.kind, { ...w, id: nameOf(w), subject: { aspect: 'anatomy', id: w.at.features[0] ?? '' } }));

/** Everything that rules put somewhere after an operation. */
function after(id: string, edges: readonly { readonly before: string; readonly after: string }[], seen = new Set<string>()): ReadonlySet<string> {
  for (const e of edges)
    if (e.before === id && !seen.has(e.after)) {
      seen.add(e.after);
      after(e.after, edges, seen);
    }
  return seen;
}

describe('jobs as an expert orders them', () => {
  it('are two dozen, each of two to five decisions with at least eight ordered and three free pairs of its own work', () => {
    expect(JOBS.length).toBe(24);
    for (const job of JOBS) {
      const names = new Set(job.works.map(nameOf));
      const decisions = new Set(job.works.map((w) => w.decision)).size;
      const distinct = (pairs: ExpertJob['ordered']): number => new Set(pairs.map((p) => p.join())).size;
      expect(decisions >= 2 && decisions <= 5 && distinct(job.ordered) >= 8 && distinct(job.free) >= 3)
        .withContext(job.name)
        .toBeTrue();
      for (const name of [...job.ordered, ...job.free].flat()) expect(names).withContext(`${job.name}: ${name}`).toContain(name);
    }
  });

  for (const job of JOBS)
    it(job.name, () => {
      const operations = operationsOf(job);
      const r = seeded(job.name.length);
      const shuffled = operations.map((o) => [r(), o] as const).sort((a, b) => a[0] - b[0]);
      const order = inOrder(shuffled.map(([, o]) => o));
      expect(brokenRules(order)).toEqual([]);
      const at = (name: string): number => order.findIndex((o) => o.id === name);
      const edges = edgesOf(operations);
      for (const [first, second] of job.ordered) {
        expect(at(first)).withContext(`${first} < ${second}`).toBeLessThan(at(second));
        expect(after(first, edges)).withContext(`ruled: ${first} < ${second}`).toContain(second);
        // by hand the other way round: told
        const moved = order.filter((o) => o.id !== second).toSpliced(at(first), 0, order[at(second)]!);
        expect(brokenRules(moved).length).withContext(`told: ${second} < ${first}`).toBeGreaterThan(0);
      }
      for (const [one, other] of job.free) {
        expect(after(one, edges)).withContext(`free: ${one} | ${other}`).not.toContain(other);
        expect(after(other, edges)).withContext(`free: ${other} | ${one}`).not.toContain(one);
      }
    });
});

/** Two operations that one rule alone puts in order, written apart from the rules: what each is, and what the two share. Common practice, no source. */
const ALONE: Readonly<Record<string, readonly [string, string, Partial<PlacedOperation['at']> | 'decision', string?]>> = {
  meterBeforeFitting: ['meterPart', 'removePart', 'decision'],
  oldPartOutFirst: ['removePart', 'tracePlate', 'decision'],
  insertOffBeforeTrace: ['takeOffInsert', 'tracePlate', 'decision'],
  traceBeforeTemplate: ['tracePlate', 'fixTemplate', 'decision'],
  templateBeforeCuts: ['fixTemplate', 'routePasses', 'decision'],
  bulkBeforeTemplateBit: ['boreBulk', 'routePasses', 'decision'],
  floorBeforeWells: ['routePasses', 'boreWells', 'decision'],
  placeBeforeTestFit: ['trimPart', 'testFit', 'decision'],
  testFitBeforeGoingOn: ['testFit', 'fitPart', 'decision'],
  oldHardwareOutFirst: ['removeHardware', 'fitSleeve', 'decision'],
  plugBeforeDrilling: ['plugHole', 'drillHole', 'decision'],
  holeBeforeFitting: ['fitSleeve', 'fitHardware', 'decision'],
  backBeforeRefitting: ['takeSpacerOut', 'fitPart', 'decision'],
  outBeforeFilling: ['removePart', 'fillRoute', { cavities: ['route'] }],
  outBeforePlugging: ['removeHardware', 'plugHole', { features: ['hole'] }],
  outBeforeCutting: ['removePart', 'deepenRoute', { cavities: ['route'] }],
  outBeforeDrilling: ['removeHardware', 'openHole', { features: ['hole'] }],
  fillBeforeCutting: ['fillRoute', 'tracePlate', { cavities: ['route'] }],
  plugBeforeCutting: ['plugHole', 'drillRow', { zones: ['body top'] }],
  plateBeforeItsRelief: ['makePlate', 'cutCavity', { features: ['plate'] }],
  cutBeforeTestFit: ['deepenRoute', 'testFit', { cavities: ['route'] }],
  cutBeforeFitting: ['openHole', 'fitPart', { zones: ['body top'] }],
  channelBeforeSoldering: ['cutChannel', 'fitPart', { cavities: ['control'] }],
  groundHoleBeforeBridge: ['drillHole', 'fitHardware', {}, 'wire stud'],
};

describe('every rule', () => {
  const none = { features: [], cavities: [], zones: [], holes: [] };
  /** The two of a rule in the order that some rules give them; where none does, the wrong one first. */
  const ordered = (id: string, rules: typeof HOUSE.rules, near = true): readonly string[] => {
    const [first, second, share, holes = ''] = ALONE[id]!;
    const [a, b] = [first, second].map((kind, i) => {
      const at = { ...none, ...(near && share !== 'decision' ? share : {}), ...(holes === '' ? {} : { holes: near ? [holes.split(' ')[i]!] : [] }) };
      return operationOf(kind, { id: kind, decision: share === 'decision' && near ? 'd' : `d${i}`, at });
    });
    return sequence({ ...HOUSE, rules }, [b!, a!], (x) => (x.id === second ? -1 : 1)).map((o) => o.id);
  };

  it('alone orders what it is about, and only where the two lie as near as it says', () => {
    const precede = HOUSE.rules.filter((r) => r.type === 'precede');
    expect(precede.map((r) => r.id).sort()).toEqual(Object.keys(ALONE).sort());
    for (const rule of precede) {
      const [first, second] = ALONE[rule.id]!;
      expect(ordered(rule.id, HOUSE.rules)).withContext(rule.id).toEqual([first, second]);
      expect(ordered(rule.id, HOUSE.rules, false))
        .withContext(`${rule.id}, far`)
        .toEqual([second, first]);
      const without = HOUSE.rules.filter((r) => r !== rule);
      expect(ordered(rule.id, without)).withContext(`without ${rule.id}`).toEqual([second, first]);
    }
  });

  it('is a must where breaking it damages work or is to be undone, else a should', () => {
    const should = ['clampsBeforeGlue', 'floorBeforeWells', 'lastLook', 'markBeforeLifting', 'meterBeforeFitting', 'photographFirst', 'plateBeforeItsRelief'];
    expect(HOUSE.rules.flatMap((r) => (r.strength === 'should' ? [r.id] : [])).sort()).toEqual([
      ...should,
      'plugBeforeCutting',
      'potToItsStop',
      'screwsInOrder',
    ]);
    expect(new Set(HOUSE.rules.map((r) => r.id)).size).toBe(HOUSE.rules.length);
  });
});

describe('a rule that orders no two operations', () => {
  /** What it asks for | of which operations, written down apart. */
  const SAYS: Readonly<Record<string, string>> = {
    templateNeedsTrace: 'require decision | kinds tracePlate → kinds fixTemplate',
    cutNeedsTestFit: 'require decision | kinds testFit → kinds routePasses',
    twoReadings: 'gate clearToCut | undo no',
    lookedAt: 'gate lookedAt | undo no',
    partInHand: 'gate partInHand | kinds testFit fitPart meterPart fitHardware trimPart',
    ownerAgreed: 'gate ownerAgreed | undo part',
    glueCures: 'wait waitForGlue zone | phases fill → phases cut, undo no',
    unplugBeforeChange: 'step unplug before changeBit setDepth | kinds boreBulk routePasses',
    clampsBeforeGlue: 'step layOutClamps before gluePlug fillIn | phases fill',
    magnetsCovered: 'step coverMagnets before fileWindow | kinds openWindow',
    markBeforeLifting: 'step markThrough before takeHardwareOut if screwedDown | kinds removeHardware',
    threadByHand: 'step startThread before fitHardware if threadInWood | kinds fitHardware',
    potToItsStop: 'step turnToStop before putKnobOn | kinds fitHardware',
    photographFirst: 'tidy | phases strip',
    screwsInOrder: 'tidy | phases strip',
    lastLook: 'tidy | phases assemble',
  };
  const which = (w: object): string =>
    Object.entries(w)
      .map(([k, v]) => `${k} ${(v as readonly string[]).join(' ')}`)
      .join(', ');

  it('asks for what the trade asks for', () => {
    const said = HOUSE.rules.flatMap((r): readonly (readonly [string, string])[] => {
      switch (r.type) {
        case 'precede':
          return [];
        case 'require':
          return [[r.id, `require ${r.scope} | ${which(r.from)} → ${which(r.to)}`]];
        case 'gate':
          return [[r.id, `gate ${r.state} | ${which(r.to)}`]];
        case 'wait':
          return [[r.id, `wait ${r.minutes} ${r.scope} | ${which(r.from)} → ${which(r.to)}`]];
        case 'step':
          return [[r.id, `step ${r.insert} before ${r.before.join(' ')}${r.condition ? ` if ${r.condition}` : ''} | ${which(r.to)}`]];
        case 'tidy':
          return [[r.id, `tidy | ${which(r.to)}`]];
      }
    });
    expect(Object.fromEntries(said)).toEqual(SAYS);
  });
});
