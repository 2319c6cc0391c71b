import * as check from '../check/index.js';
import * as cut from '../cut/index.js';
import * as gate from '../gate/index.js';
import * as record from '../record/index.js';
import * as remedy from '../remedy/index.js';
import * as work from '../work/index.js';
import { boundLists, handed } from './bound-lists.js';
import type { House } from './house.js';

/** Every function that asks what is registered, with a house handed to it. */
export function bound(house: House) {
  const of = handed(house);
  return {
    ...boundLists(house),
    evaluatePlan: of(check.evaluatePlan),
    evaluateIn: of(check.evaluateIn),
    evaluateStep: of(check.evaluateStep),
    evaluateChoice: of(check.evaluateChoice),
    leftBy: of(check.leftBy),
    bestInRoute: of(check.bestInRoute),
    worksOf: of(check.worksOf),
    cuttingFor: of(cut.cuttingFor),
    plannedWork: of(work.plannedWork),
    atHand: of(work.atHand),
    minutesOf: of(work.minutesOf),
    operationsNow: of(work.operationsNow),
    optionsFor: of(remedy.optionsFor),
    optionsInTurn: of(remedy.optionsInTurn),
    waysOf: of(remedy.waysOf),
    beforeCut: of(gate.beforeCut),
    confirmationsFor: of(gate.confirmationsFor),
    operationsOfBench: of(gate.operationsOfBench),
    benchNow: of(gate.benchNow),
    cardsOf: of(gate.cardsOf),
    placesWorkedOn: of(record.placesWorkedOn),
    levelsCut: of(record.levelsCut),
    beyondLine: of(record.beyondLine),
    asSlipped: of(record.asSlipped),
    consequenceOf: of(record.consequenceOf),
    goBack: of(record.goBack),
  };
}
