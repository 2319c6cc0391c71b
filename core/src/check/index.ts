export * from './best-in-route.js';
export type { Corner } from './corner.js';
export * from './evaluate.js';
export * from './choice.js';
export { cutOf } from './hidden-edge.js';
export * from './places.js';
export { depthAt, siteOf, type Site } from './site.js';
export { placeOf, regionOf, windowOf, type PlaceOfPart, type PlanState } from './place.js';
export type { CheckId, Lacking, Subject, ThreadsMet, Verdict } from './verdict.js';
