export { waysOf, type Begun, type ChoiceWays, type RemedyRows, type WaysGround } from './choice-ways.js';
export * from './minutes.js';
export * from './options.js';
export type { Proposal, RemedyKind, Sets, WayOut } from './proposal.js';
export { score, SCALES, shopWeights, usualWeights, type ScaleId, type Score, type Weights, type OwnerRequest } from './score.js';
export * from './together.js';
export type { WayBack } from './way-back.js';
export type { Exclusion, Option } from './work-out.js';
