import { boundWork } from './bound.js';
import { HOUSE } from './house.js';

export const {
  atHand,
  beforeCut,
  benchNow,
  cardsOf,
  confirmationsFor,
  gateGround,
  judgeGate,
  judgeStep,
  minutesOf,
  operationsNow,
  operationsOfBench,
  plannedWork,
  stepFlaw,
} = boundWork(HOUSE);
