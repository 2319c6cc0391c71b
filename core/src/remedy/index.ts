export type { Begun, ChoiceWays, RemedyRows, WaysGround } from './choice-ways.js';
export * from './minutes.js';
export * from './options.js';
export type { Proposal, RemedyKind } from './proposal.js';
export { score, SCALES, shopWeights, usualWeights, type ScaleId, type Score, type Weights, type OwnerRequest } from './score.js';
export type { WayBack } from './way-back.js';
