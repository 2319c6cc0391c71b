// Twenty-four invented jobs of two to five decisions, with the order that an expert wants of them: written down before the rules were. Common practice, no source.
import type { OperationKind, WorkPlace, Zone } from '../operation/index.js';

/** One operation of a job: its name is the letter of its decision and its kind. */
export interface JobWork {
  readonly decision: string;
  readonly kind: OperationKind;
  readonly at: WorkPlace;
}

/** A job: its work, pairs of which the first comes first, and pairs that nothing orders. */
export interface ExpertJob {
  readonly name: string;
  readonly works: readonly JobWork[];
  readonly ordered: readonly (readonly [string, string])[];
  readonly free: readonly (readonly [string, string])[];
}

const TOP: readonly Zone[] = ['body top'];
const BACK: readonly Zone[] = ['body back'];
const THROUGH: readonly Zone[] = ['body top', 'body back'];
const HEAD: readonly Zone[] = ['headstock'];

const place = (zones: readonly Zone[], features: readonly string[], cavities: readonly string[] = [], holes: readonly string[] = []): WorkPlace => ({
  zones,
  features: [...features, ...cavities],
  cavities,
  holes,
});
const works = (decision: string, at: WorkPlace, ...kinds: readonly OperationKind[]): readonly JobWork[] => kinds.map((kind) => ({ decision, kind, at }));

const REROUTE = ['meterPart', 'removePart', 'tracePlate', 'fixTemplate', 'boreBulk', 'routePasses', 'boreWells', 'testFit', 'fitPart'];
const reroute = (d: string, pickup: string) => works(d, place(TOP, [pickup], [`${pickup} route`]), ...REROUTE);
const swap = (d: string, pickup: string) => works(d, place(TOP, [pickup], [`${pickup} route`]), 'meterPart', 'removePart', 'testFit', 'fitPart');
const fillAndReroute = (d: string, pickup: string) =>
  works(d, place(TOP, [pickup], [`${pickup} route`]), 'meterPart', 'removePart', 'fillRoute', ...REROUTE.slice(2));
const deeper = (d: string, pickup: string) =>
  works(d, place(TOP, [pickup], [`${pickup} route`]), 'meterPart', 'removePart', 'deepenRoute', 'testFit', 'fitPart');
const control = (d: string, hole: string, kind: string, ...kinds: readonly OperationKind[]) => works(d, place(THROUGH, [hole], ['control'], [kind]), ...kinds);
const wider = (d: string, hole: string, kind = 'pot') => control(d, hole, kind, 'removeHardware', 'openHole', 'fitHardware');
const jack = (d: string) => works(d, place(THROUGH, ['jack hole'], ['jack cavity'], ['jack']), 'removeHardware', 'openHole', 'fitHardware');
const fresh = (d: string, hole: string, kind = 'pot') => control(d, hole, kind, 'drillHole', 'fitHardware');
const closed = (d: string, hole: string, zones = THROUGH, kind = 'other') => works(d, place(zones, [hole], [], [kind]), 'plugHole');
const redrilled = (d: string, hole: string, kind = 'pot') => control(d, hole, kind, 'removeHardware', 'plugHole', 'drillHole', 'fitHardware');
const tuner = (d: string, n: number) => works(d, place(HEAD, [`tuner ${n}`], [], ['tuner']), 'removeHardware', 'openHole', 'fitHardware');
const sleeved = (d: string, n: number) => works(d, place(HEAD, [`tuner ${n}`], [], ['tuner']), 'removeHardware', 'fitSleeve', 'fitHardware');
const row = (d: string) => works(d, place(THROUGH, ['ferrule row'], [], ['string']), 'drillRow');
const channel = (d: string, ...cavities: readonly string[]) => works(d, place(TOP, [`${d} channel`], cavities), 'cutChannel');
const cavity = (d: string, id: string, zones = BACK) => works(d, place(zones, [id], [id]), 'cutCavity');
const floor = (d: string, id: string, zones = BACK) => works(d, place(zones, [id], [id]), 'deepenRoute');
const plate = (d: string, id: string) => works(d, place(TOP, [id]), 'removeHardware', 'makePlate', 'fitHardware');
const stud = (d: string, hole: string) => works(d, place(TOP, [hole], [], ['stud']), 'removeHardware', 'plugHole', 'drillHole', 'fitHardware');
const groundHole = (d: string) => works(d, place(TOP, ['ground hole'], ['control'], ['wire']), 'drillHole');
const slot = (d: string) => works(d, place(TOP, ['switch slot'], ['switch slot', 'control']), 'removeHardware', 'openSlot', 'fitHardware');

const pairs = (text: string, sign: string): readonly (readonly [string, string])[] =>
  text
    .trim()
    .split(/\s*,\s*/)
    .map((p) => p.split(sign).map((x) => x.trim()) as [string, string]);
const job = (name: string, list: readonly (readonly JobWork[])[], ordered: string, free: string): ExpertJob => ({
  name,
  works: list.flat(),
  ordered: pairs(ordered, '<'),
  free: pairs(free, '|'),
});

export const JOBS: readonly ExpertJob[] = [
  job(
    'a wider pot hole beside a re-route',
    [reroute('A', 'neck'), wider('B', 'volume')],
    `A.meterPart < A.removePart, A.removePart < A.tracePlate, A.tracePlate < A.fixTemplate, A.boreBulk < A.routePasses, A.routePasses < A.testFit,
     A.testFit < A.fitPart, B.removeHardware < B.openHole, B.openHole < B.fitHardware, B.openHole < A.fitPart, A.routePasses < B.fitHardware`,
    'A.routePasses | B.openHole, A.removePart | B.removeHardware, A.fitPart | B.fitHardware',
  ),
  job(
    'jack, re-route and a row of ferrules',
    [jack('A'), reroute('B', 'bridge'), row('C')],
    `A.removeHardware < A.openHole, A.openHole < A.fitHardware, B.removePart < B.routePasses, B.fixTemplate < B.boreBulk, B.testFit < B.fitPart,
     C.drillRow < B.fitPart, C.drillRow < A.fitHardware, A.openHole < B.fitPart, B.boreWells < A.fitHardware`,
    'C.drillRow | A.openHole, C.drillRow | B.tracePlate, A.removeHardware | B.meterPart',
  ),
  job(
    'a channel decided after both pickups',
    [swap('A', 'neck'), swap('B', 'bridge'), channel('C', 'neck route', 'bridge route')],
    `C.cutChannel < A.fitPart, C.cutChannel < B.fitPart, A.removePart < C.cutChannel, B.removePart < C.cutChannel, A.meterPart < A.removePart,
     B.meterPart < B.removePart, C.cutChannel < A.testFit, C.cutChannel < B.testFit, A.testFit < A.fitPart`,
    'A.removePart | B.removePart, A.fitPart | B.fitPart, A.meterPart | B.meterPart',
  ),
  job(
    'a battery cavity decided last',
    [swap('A', 'neck'), wider('B', 'volume'), jack('C'), cavity('D', 'battery cavity')],
    `D.cutCavity < B.fitHardware, D.cutCavity < C.fitHardware, B.openHole < B.fitHardware, C.openHole < C.fitHardware, B.openHole < A.fitPart,
     C.openHole < A.fitPart, C.openHole < B.fitHardware, B.openHole < C.fitHardware, A.removePart < A.fitPart`,
    'D.cutCavity | B.openHole, D.cutCavity | A.removePart, A.fitPart | B.fitHardware',
  ),
  job(
    'three tuners, one of them sleeved',
    [tuner('A', 1), tuner('B', 2), sleeved('C', 3)],
    `A.removeHardware < A.openHole, A.openHole < A.fitHardware, B.removeHardware < B.openHole, B.openHole < B.fitHardware, C.removeHardware < C.fitSleeve,
     C.fitSleeve < C.fitHardware, A.openHole < B.fitHardware, B.openHole < A.fitHardware, B.openHole < C.fitHardware`,
    'A.openHole | B.openHole, A.fitHardware | B.fitHardware, A.removeHardware | C.removeHardware',
  ),
  job(
    'filled by one decision, cut by another at the same cavity',
    [works('A', place(TOP, ['old'], ['neck route']), 'fillRoute'), reroute('B', 'neck'), tuner('C', 1)],
    `A.fillRoute < B.boreBulk, A.fillRoute < B.routePasses, A.fillRoute < B.fixTemplate, B.removePart < A.fillRoute, A.fillRoute < B.boreWells,
     A.fillRoute < B.testFit, B.routePasses < B.testFit, B.testFit < B.fitPart, A.fillRoute < B.fitPart`,
    'C.openHole | A.fillRoute, C.fitHardware | B.fitPart, C.removeHardware | B.routePasses',
  ),
  job(
    'two plates made anew beside a new pot',
    [plate('A', 'guard'), plate('B', 'jack plate'), fresh('C', 'tone')],
    `A.removeHardware < A.makePlate, A.makePlate < A.fitHardware, B.removeHardware < B.makePlate, B.makePlate < B.fitHardware, C.drillHole < C.fitHardware,
     C.drillHole < A.fitHardware, C.drillHole < B.fitHardware, A.removeHardware < A.fitHardware, B.removeHardware < B.fitHardware`,
    'A.makePlate | B.makePlate, A.fitHardware | B.fitHardware, A.makePlate | C.drillHole',
  ),
  job(
    'a plug beside a new hole',
    [closed('A', 'old hole'), fresh('B', 'tone'), wider('C', 'volume')],
    `A.plugHole < B.drillHole, A.plugHole < C.openHole, A.plugHole < B.fitHardware, A.plugHole < C.fitHardware, B.drillHole < B.fitHardware,
     C.removeHardware < C.openHole, C.openHole < C.fitHardware, B.drillHole < C.fitHardware, C.openHole < B.fitHardware`,
    'A.plugHole | C.removeHardware, B.drillHole | C.openHole, B.fitHardware | C.fitHardware',
  ),
  job(
    'two re-routes under one guard',
    [reroute('A', 'neck'), reroute('B', 'bridge')],
    `A.removePart < A.routePasses, B.removePart < B.routePasses, A.routePasses < B.fitPart, B.routePasses < A.fitPart, A.boreWells < B.fitPart,
     A.testFit < A.fitPart, B.testFit < B.fitPart, B.boreWells < A.fitPart, A.boreBulk < A.routePasses`,
    'A.routePasses | B.routePasses, A.testFit | B.testFit, A.fitPart | B.fitPart',
  ),
  job(
    'a floor deepened under a pickup that another decision swaps',
    [swap('A', 'bridge'), floor('B', 'bridge route', TOP), tuner('C', 6)],
    `A.removePart < B.deepenRoute, B.deepenRoute < A.testFit, B.deepenRoute < A.fitPart, A.meterPart < A.removePart, A.testFit < A.fitPart,
     A.removePart < A.testFit, A.removePart < A.fitPart, A.meterPart < A.fitPart`,
    'C.openHole | B.deepenRoute, C.removeHardware | A.removePart, C.fitHardware | A.fitPart',
  ),
  job(
    'a bridge moved: studs plugged and drilled, its ground hole decided last',
    [stud('A', 'treble stud'), stud('B', 'bass stud'), groundHole('C')],
    `A.removeHardware < A.plugHole, A.plugHole < A.drillHole, A.drillHole < A.fitHardware, B.plugHole < B.drillHole, B.drillHole < B.fitHardware,
     C.drillHole < A.fitHardware, C.drillHole < B.fitHardware, A.drillHole < B.fitHardware, B.plugHole < A.drillHole`,
    'A.plugHole | B.plugHole, A.drillHole | B.drillHole, A.fitHardware | B.fitHardware',
  ),
  job(
    'a lever in a longer slot, a new toggle and a wider volume hole',
    [slot('A'), fresh('B', 'toggle', 'switch'), wider('C', 'volume')],
    `A.removeHardware < A.openSlot, A.openSlot < A.fitHardware, B.drillHole < A.fitHardware, B.drillHole < B.fitHardware, C.openHole < A.fitHardware,
     C.openHole < B.fitHardware, A.openSlot < B.fitHardware, A.openSlot < C.fitHardware, C.removeHardware < C.openHole`,
    'A.openSlot | B.drillHole, B.drillHole | C.openHole, A.fitHardware | B.fitHardware',
  ),
  job(
    'filled and re-routed in sight, the other pickup only swapped',
    [fillAndReroute('A', 'neck'), swap('B', 'bridge')],
    `A.removePart < A.fillRoute, A.fillRoute < A.tracePlate, A.fillRoute < A.routePasses, A.fillRoute < A.boreBulk, A.routePasses < B.fitPart,
     A.boreWells < B.fitPart, A.testFit < A.fitPart, B.removePart < B.fitPart, B.testFit < B.fitPart`,
    'A.fillRoute | B.removePart, A.routePasses | B.removePart, A.fitPart | B.fitPart',
  ),
  job(
    'a channel from the control cavity to the jack, pots and jack after it',
    [channel('A', 'control', 'jack cavity'), wider('B', 'volume'), jack('C')],
    `A.cutChannel < B.fitHardware, A.cutChannel < C.fitHardware, B.removeHardware < A.cutChannel, C.removeHardware < A.cutChannel, B.openHole < B.fitHardware,
     C.openHole < C.fitHardware, B.openHole < C.fitHardware, C.openHole < B.fitHardware`,
    'A.cutChannel | B.openHole, A.cutChannel | C.openHole, B.fitHardware | C.fitHardware',
  ),
  job(
    'a hole of an old switch closed where the new pot goes nearby',
    [redrilled('A', 'switch', 'switch'), closed('B', 'mini hole'), fresh('C', 'blend')],
    `A.removeHardware < A.plugHole, A.plugHole < A.drillHole, B.plugHole < A.drillHole, B.plugHole < C.drillHole, A.plugHole < C.drillHole,
     A.drillHole < C.fitHardware, C.drillHole < A.fitHardware, C.drillHole < C.fitHardware, A.drillHole < A.fitHardware`,
    'A.plugHole | B.plugHole, A.drillHole | C.drillHole, A.fitHardware | C.fitHardware',
  ),
  job(
    'tuners on the headstock and a re-route in the body',
    [tuner('A', 1), tuner('B', 2), reroute('C', 'neck')],
    `A.removeHardware < A.openHole, A.openHole < A.fitHardware, B.openHole < A.fitHardware, A.openHole < B.fitHardware, C.removePart < C.routePasses,
     C.tracePlate < C.fixTemplate, C.routePasses < C.boreWells, C.testFit < C.fitPart, C.boreBulk < C.routePasses`,
    'A.openHole | C.routePasses, A.fitHardware | C.fitPart, A.fitHardware | C.routePasses',
  ),
  job(
    'a cavity in the back, a deeper control cavity and three parts in it',
    [cavity('A', 'preamp cavity'), floor('B', 'control'), wider('C', 'volume'), fresh('D', 'blend'), jack('E')],
    `A.cutCavity < C.fitHardware, A.cutCavity < D.fitHardware, A.cutCavity < E.fitHardware, B.deepenRoute < C.fitHardware, B.deepenRoute < D.fitHardware,
     C.removeHardware < B.deepenRoute, D.drillHole < C.fitHardware, E.openHole < C.fitHardware, C.openHole < E.fitHardware`,
    'A.cutCavity | B.deepenRoute, C.openHole | D.drillHole, C.fitHardware | D.fitHardware',
  ),
  job(
    'a plate with its relief, and the pickup that hangs in it',
    [plate('A', 'ring plate'), works('B', place(TOP, ['ring plate'], ['ring relief']), 'cutCavity'), swap('C', 'neck')],
    `A.makePlate < B.cutCavity, A.removeHardware < A.makePlate, A.makePlate < A.fitHardware, B.cutCavity < A.fitHardware, B.cutCavity < C.fitPart,
     C.removePart < C.fitPart, C.testFit < C.fitPart, A.removeHardware < B.cutCavity`,
    'A.makePlate | C.removePart, C.meterPart | B.cutCavity, A.fitHardware | C.fitPart',
  ),
  job(
    'both pickups into deeper routes, volume and tone wider',
    [deeper('A', 'neck'), deeper('B', 'bridge'), wider('C', 'volume'), wider('D', 'tone')],
    `A.removePart < A.deepenRoute, A.deepenRoute < A.testFit, B.deepenRoute < B.testFit, A.deepenRoute < B.fitPart, B.deepenRoute < A.fitPart,
     C.openHole < A.fitPart, D.openHole < B.fitPart, A.deepenRoute < C.fitHardware, D.openHole < C.fitHardware`,
    'A.deepenRoute | C.openHole, A.testFit | B.testFit, C.fitHardware | D.fitHardware',
  ),
  job(
    'strap pin holes plugged, ferrules through the body',
    [closed('A', 'old strap hole', TOP, 'screw'), row('B'), jack('C'), swap('D', 'neck')],
    `A.plugHole < B.drillRow, A.plugHole < C.openHole, B.drillRow < C.fitHardware, B.drillRow < D.fitPart, C.removeHardware < C.openHole, C.openHole < C.fitHardware,
     A.plugHole < C.fitHardware, C.removeHardware < C.fitHardware`,
    'A.plugHole | C.removeHardware, B.drillRow | C.openHole, B.drillRow | C.removeHardware',
  ),
  job(
    'a filled bridge route and a channel through it',
    [works('A', place(TOP, ['bridge'], ['bridge route']), 'removePart', 'fillRoute'), channel('B', 'bridge route', 'control'), wider('C', 'volume')],
    `A.removePart < A.fillRoute, A.fillRoute < B.cutChannel, A.removePart < B.cutChannel, B.cutChannel < C.fitHardware, C.removeHardware < B.cutChannel,
     C.openHole < C.fitHardware, A.fillRoute < C.fitHardware, C.removeHardware < C.openHole`,
    'B.cutChannel | C.openHole, A.removePart | C.removeHardware, A.fillRoute | C.removeHardware',
  ),
  job(
    'four tuner holes drilled anew after plugs',
    [1, 2, 3, 4].map((n) => works('ABCD'[n - 1] ?? 'A', place(HEAD, [`tuner ${n}`], [], ['tuner']), 'removeHardware', 'plugHole', 'drillHole', 'fitHardware')),
    `A.removeHardware < A.plugHole, A.plugHole < A.drillHole, B.plugHole < A.drillHole, A.plugHole < B.drillHole, D.plugHole < C.drillHole,
     A.drillHole < B.fitHardware, C.drillHole < D.fitHardware, D.drillHole < A.fitHardware, B.drillHole < B.fitHardware`,
    'A.plugHole | B.plugHole, C.drillHole | D.drillHole, A.fitHardware | D.fitHardware',
  ),
  job(
    'a re-route, its plate wider, and a new mini toggle in that plate',
    [reroute('A', 'bridge'), plate('B', 'control plate'), works('C', place(TOP, ['kill'], ['control'], ['switch']), 'drillHole', 'fitHardware')],
    `A.routePasses < B.fitHardware, A.routePasses < C.fitHardware, C.drillHole < A.fitPart, C.drillHole < B.fitHardware, B.makePlate < B.fitHardware,
     A.fixTemplate < A.routePasses, A.testFit < A.fitPart, A.removePart < A.boreBulk, C.drillHole < C.fitHardware`,
    'A.routePasses | C.drillHole, B.makePlate | A.routePasses, B.fitHardware | C.fitHardware',
  ),
  job(
    'five decisions on one body, decided from the last to the first',
    [swap('A', 'neck'), wider('B', 'volume'), closed('C', 'old switch'), row('D'), channel('E', 'neck route', 'control')],
    `C.plugHole < B.openHole, C.plugHole < D.drillRow, C.plugHole < E.cutChannel, E.cutChannel < A.fitPart, E.cutChannel < B.fitHardware,
     D.drillRow < A.fitPart, D.drillRow < B.fitHardware, A.removePart < E.cutChannel, B.removeHardware < E.cutChannel, B.openHole < A.fitPart`,
    'D.drillRow | E.cutChannel, B.openHole | D.drillRow, A.fitPart | B.fitHardware',
  ),
];
