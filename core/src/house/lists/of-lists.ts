import { boundLists } from './bound-lists.js';
import { LISTS } from './lists.js';

export const {
  allAccepted,
  bareChoice,
  brokenRules,
  cavityOfRoute,
  cautionsOf,
  edgesOf,
  hindrances,
  inOrder,
  isIrreversible,
  isOfPart,
  isThere,
  kindsFor,
  operationRow,
  partFound,
  partRow,
  placesOf,
  sequence,
  takeBack,
  typicalHardware,
  whyItStays,
} = boundLists(LISTS);
