import type { AnatomyRevision, Instrument } from '@rinnovo/contract';
import { addFeature, firstFeature, placeMeasured, startingAnatomy, type Anatomy, type Distance, type Edge } from '@rinnovo/core/instrument';
import { ids } from './ids.js';

/** Instruments that have arrived and are at different points of being described. */
interface Arrived {
  readonly instrument: Instrument;
  readonly document: Anatomy;
}

const edge = (of: string, side: Edge['side'] = 'middle'): Edge => ({ of, side });
const distance = (n: number, axis: Distance['axis'], from: Edge, to: Edge, value: number): Distance => ({
  id: `distance ${n}`,
  axis,
  from,
  to,
  value,
  limit: 0.25,
  raw: String(value),
});

const bass = startingAnatomy('bass');
const left = startingAnatomy('set-neck solid');
const fanned = startingAnatomy('bolt-on solid');
const found = startingAnatomy('found object');

const arrived: readonly Arrived[] = [
  {
    instrument: {
      id: ids.bass,
      label: 'Heron four',
      maker: 'Fenwick & Daughter',
      model: 'Heron',
      serial: 'FD-208',
      owner: ids.owner,
      notes: 'Bass; someone cut a wider route beside the bridge, in sight.',
      kind: 'bass',
      identity: { year: { value: 'about 1990', basis: 'guessed', why: 'the date inside one pot' }, finish: { value: 'thin oil', basis: 'seen', why: '' } },
      archived: false,
    },
    // a chain that closes: the pocket's end to the old route, the old to the new one, and over all
    document: placeMeasured({
      ...addFeature(bass, firstFeature('pickup route', 'wrong route', 'Wide route in sight', 'top', { x: 0, y: 200 })),
      distances: [
        distance(1, 'along', edge('pocket mouth'), edge('neck pocket', 'low'), 0),
        distance(2, 'along', edge('neck pocket', 'high'), edge('wrong route', 'low'), 98.5),
        distance(3, 'along', edge('wrong route', 'high'), edge('bridge route', 'low'), 38.5),
        distance(4, 'along', edge('neck pocket', 'high'), edge('bridge route', 'low'), 159.2),
        distance(5, 'across', edge('centre line'), edge('wrong route'), -1.5),
      ],
    }),
  },
  {
    instrument: {
      id: ids.left,
      label: 'Plover, left-handed',
      maker: 'Saltmarsh Workshop',
      model: 'Plover',
      serial: 'SW-0107',
      owner: null,
      notes: 'Set neck, carved top. Just arrived: nothing measured yet.',
      kind: 'set-neck solid',
      identity: {},
      archived: false,
    },
    document: { ...left, handed: 'left' },
  },
  {
    instrument: {
      id: ids.acoustic,
      label: 'Dunlin',
      maker: 'unknown',
      model: 'flat-top',
      serial: '',
      owner: ids.owner,
      notes: 'Steel strings; the neck joint has moved, high action at the 12th fret.',
      kind: 'flat-top acoustic',
      identity: { neckJoint: { value: 'dovetail', basis: 'guessed', why: 'a plugged hole in the heel was not found' } },
      archived: false,
    },
    document: startingAnatomy('flat-top acoustic'),
  },
  {
    instrument: {
      id: ids.fanned,
      label: 'Shrike seven',
      maker: 'Quarrybank Guitars',
      model: 'Shrike',
      serial: 'Q7-031',
      owner: ids.owner,
      notes: 'Seven strings on a fanned board.',
      kind: 'bolt-on solid',
      identity: { electronics: { value: 'passive', basis: 'seen', why: '' } },
      archived: false,
    },
    document: {
      ...fanned,
      strings: { ...fanned.strings, count: 7 },
      neck: {
        ...fanned.neck,
        frets: 24,
        squareFret: 7,
        scale: { value: 647.7, limit: 0.25, basis: { kind: 'stated' } },
        scaleBass: { value: 685.8, limit: 0.25, basis: { kind: 'stated' } },
      },
    },
  },
  {
    instrument: {
      id: ids.crate,
      label: 'Crate guitar',
      maker: '',
      model: '',
      serial: '',
      owner: null,
      notes: 'Made from a wine crate; returned finished.',
      kind: 'found object',
      identity: {},
      archived: true,
    },
    document: { ...found, strings: { ...found.strings, count: 4 } },
  },
];

export const flock: readonly Instrument[] = arrived.map((a) => a.instrument);

export const flockAnatomies: readonly AnatomyRevision[] = arrived.map(({ instrument, document }) => ({
  instrument: instrument.id,
  revision: 1,
  document,
  cause: 'correction',
  entry: null,
  person: ids.ben,
  at: '2026-11-03T14:20:00.000Z',
}));
