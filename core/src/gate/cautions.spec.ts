// What each kind of work warns of on the bench, held against the trade's own list of hazards.
import { newHardwareChoice, type PlanState } from '../check/index.js';
import { HOUSE } from '../house/index.js';
import type { Act, OperationKind } from '../operation/index.js';
import { roundedRectangle } from '../shape/index.js';
import { cards, planned, stateWith, type Given } from '../testing/cards.js';
import { hole, partOf } from '../testing/hardware.js';
import { edge, plainAnatomy, plainChoice } from '../testing/plan.js';

/**
 * What can hurt someone, or the instrument, where work of a kind is done: written down from the trade's list of hazards by kind of work, apart from the steps. Common
 * practice, no source. A kind that is not here has none of its own.
 */
const HAZARDS: Readonly<Record<OperationKind, string>> = {
  boreBulk: 'drillPress dust irreversible',
  boreWells: 'drillPress dust irreversible',
  routePasses: 'router dust irreversible',
  cutCavity: 'router dust irreversible',
  cutChannel: 'router dust irreversible',
  deepenRoute: 'router dust irreversible',
  widenCavity: 'router dust irreversible',
  deepenBore: 'handDrill dust irreversible',
  drillHole: 'handDrill dust irreversible',
  drillRow: 'drillPress dust irreversible',
  openHole: 'handDrill backwards dust irreversible',
  reamFilm: 'dust irreversible',
  openSlot: 'dust irreversible',
  openWindow: 'magnets plateDust irreversible',
  makePlate: 'router plateDust',
  plugHole: 'handDrill dust softCauls glue irreversible',
  fillRoute: 'softCauls glue dust irreversible',
  glueIn: 'thinGlue',
  changeCover: 'soldering',
  trimPart: 'handDrill filings',
  takeSleeveOut: 'handDrill',
  removePart: 'soldering',
  fitPart: 'magnets soldering',
  removeHardware: 'soldering',
  fitHardware: 'soldering',
  takeStringsOff: 'stringTension',
  slackenStrings: 'stringTension',
  stringUp: 'stringTension',
  takeBatteryOut: 'battery',
  putBatteryIn: 'battery',
  takeArmOff: 'springs',
};

describe('the cautions of each kind of work', () => {
  const pot = partOf('p', 'pot', { bushing: 8, shaft: 6 });
  const s = stateWith([hole('h', 'pot', 8, { part: 'p', through: true })]);
  const state: PlanState = { ...s, parts: { ...s.parts, p: pot } };
  const level = { id: 'n', set: 'planned', outline: edge(roundedRectangle(60, 30, 5, { x: 0, y: 110 })), depth: planned(12), bored: false };
  const routed = plainChoice({
    route: {
      at: { x: 1, y: 110, turn: 0 },
      levels: [
        { id: 'main', outline: roundedRectangle(86, 40, 5), depth: 18, bored: false },
        { id: 'well', outline: roundedRectangle(6, 6, 3, { x: 30, y: 0 }), depth: 21, bored: true },
      ],
    },
  });
  const shut = s.anatomy.cavities.map((c) =>
    c.id === 'route' ? { ...c, levels: c.levels.map((p) => ({ ...p, outline: edge(roundedRectangle(10, 10, 3, { x: 0, y: 110 })) })) } : c,
  );
  const GIVEN: Readonly<Record<OperationKind, Given>> = {
    boreBulk: { choice: routed, state: { ...s, anatomy: { ...s.anatomy, cavities: shut } } },
    routePasses: { choice: routed },
    boreWells: { choice: routed },
    cutCavity: { does: [{ kind: 'addCavity', cavity: { ...s.anatomy.cavities[1]!, id: 'new' } }] },
    cutChannel: { does: [{ kind: 'addLevels', cavity: 'route', levels: [level] }] },
    deepenRoute: { does: [{ kind: 'setDepth', cavity: 'route', level: 'old', depth: planned(20) }] },
    deepenBore: { does: [{ kind: 'deepenHole', hole: 'h', depth: planned(30) }] },
    drillHole: { does: [{ kind: 'addHole', hole: hole('new', 'pot', 8) }] },
    drillRow: { does: [0, 1, 2].map((i): Act => ({ kind: 'addHole', hole: hole(`r${i}`, 'string', 8) })) },
    openHole: { does: [{ kind: 'sizeHole', hole: 'h', by: 'drill', diameter: planned(9.5) }] },
    reamFilm: { does: [{ kind: 'sizeHole', hole: 'h', by: 'reamer', diameter: planned(8.3) }] },
    plugHole: { does: [{ kind: 'closeHole', hole: 'h' }] },
    removeHardware: { does: [{ kind: 'fitHardware', feature: 'h', part: null }] },
    fitHardware: { choice: newHardwareChoice('h', { on: 'feature', feature: 'h' }, 'p') },
  };

  for (const kind of Object.keys(HOUSE.cards))
    it(`${kind}: ${HAZARDS[kind] ?? 'none'}`, () => {
      const said = cards(kind, { state, ...GIVEN[kind] }).flatMap((c) => c.cautions);
      expect([...new Set(said)].sort()).toEqual((HAZARDS[kind] ?? '').split(' ').filter(Boolean).sort() as typeof said);
    });

  it('a screw that holds the neck is driven and taken out without tension', () => {
    const a = plainAnatomy();
    const plates = [
      ...a.plates,
      {
        ...a.plates[0]!,
        id: 'neck plate',
        face: 'back' as const,
        openings: [],
        screws: [
          { x: 10, y: 20, gauge: 8 },
          { x: 100, y: 300, gauge: 8 },
        ],
      },
    ];
    const screw = partOf('w', 'wood screw', { diameter: 4.1, length: 45 });
    const of = (kind: OperationKind, n: number) =>
      cards(kind, {
        state: { ...s, anatomy: { ...a, plates }, parts: { w: screw } },
        choice: newHardwareChoice('n', { on: 'feature', feature: 'neck plate', screw: n }, 'w'),
      }).flatMap((c) => c.cautions);
    expect([of('fitHardware', 0), of('removeHardware', 0), of('fitHardware', 1)]).toEqual([['neckScrews'], ['neckScrews'], []]);
  });
});
