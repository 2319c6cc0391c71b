import * as check from '../check/index.js';
import * as cut from '../cut/index.js';
import * as gate from '../gate/index.js';
import * as job from '../job/index.js';
import * as record from '../record/index.js';
import * as remedy from '../remedy/index.js';
import * as work from '../work/index.js';
import { boundLists, handed } from './lists/index.js';
import type { House } from './house.js';

/** What judges a plan. */
export function boundChecks(house: House) {
  const of = handed(house);
  return {
    evaluatePlan: of(check.evaluatePlan),
    evaluateIn: of(check.evaluateIn),
    evaluateChoice: of(check.evaluateChoice),
    levelsCut: of(check.levelsCut),
    bestInRoute: of(check.bestInRoute),
    worksOf: of(check.worksOf),
    cuttingFor: of(cut.cuttingFor),
  };
}

/** What makes work of it, and puts it on the bench. */
export function boundWork(house: House) {
  const of = handed(house);
  return {
    plannedWork: of(work.plannedWork),
    atHand: of(work.atHand),
    minutesOf: of(work.minutesOf),
    operationsNow: of(work.operationsNow),
    beforeCut: of(gate.beforeCut),
    confirmationsFor: of(gate.confirmationsFor),
    operationsOfBench: of(gate.operationsOfBench),
    benchNow: of(gate.benchNow),
    cardsOf: of(gate.cardsOf),
    gateGround: of(job.gateGround),
    judgeGate: of(job.judgeGate),
    judgeStep: of(job.judgeStep),
    stepFlaw: of(job.stepFlaw),
  };
}

/** What can be done instead. */
export function boundRemedies(house: House) {
  const of = handed(house);
  return { optionsFor: of(remedy.optionsFor), optionsInTurn: of(remedy.optionsInTurn), waysOf: of(remedy.waysOf) };
}

/** What is left, went wrong, and leads back. */
export function boundRecord(house: House) {
  const of = handed(house);
  return {
    placesWorkedOn: of(record.placesWorkedOn),
    beyondLine: of(record.beyondLine),
    afterStep: of(record.afterStep),
    asSlipped: of(record.asSlipped),
    consequenceOf: of(record.consequenceOf),
    goBack: of(record.goBack),
    stepMeanwhile: of(record.stepMeanwhile),
  };
}

/** Every function that asks what is registered, with a house handed to it. */
export function bound(house: House) {
  return { ...boundLists(house), ...boundChecks(house), ...boundWork(house), ...boundRemedies(house), ...boundRecord(house) };
}
