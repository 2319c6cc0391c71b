export * from './best-in-route.js';
export type { Corner } from './corner.js';
export * from './evaluate.js';
export * from './choice.js';
export { boreOf } from './bores.js';
export { levelsCut } from './levels-cut.js';
export { cutOf } from './hidden-edge.js';
export * from './places.js';
export { bodyOutline, depthAt, cavityAt, siteOf, type PartSite } from './site.js';
export { placeOf, regionOf, windowOf, type PlaceOfPart, type PlanState } from './place.js';
export {
  bareChoice,
  cavityOfRoute,
  choiceChanges,
  choiceRow,
  isFitted,
  isThere,
  only,
  partFound,
  placed,
  stillToDo,
  unplacedWorks,
  worksOf,
  type Ground,
} from './works.js';
export type { BenchRow } from './bench-row.js';
export type { ChoiceRow } from './choice-row.js';
export { rowsOf, type About, type CheckId, type CheckRow, type CheckRows, type Site } from './row.js';
export { countVerdict, isAbout, missingVerdict, verdict, type Lacking, type Subject, type ThreadsMet, type Trait, type Unit, type Verdict } from './verdict.js';
