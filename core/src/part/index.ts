export * from './contact-table.js';
export * from './drill-sizes.js';
export * from './electric.js';
export * from './hardware.js';
export * from './lack.js';
export * from './leads-found.js';
export * from './part-outline.js';
export * from './part-columns.js';
export {
  goesInto,
  isOfPart,
  kindsFor,
  partRow,
  type HardwareKind,
  type PartGroup,
  type PartKinds,
  type PartRow,
  type PartRows,
  type TraitId,
} from './part-row.js';
export * from './part.js';
export * from './pickup-sizes.js';
export * from './pickup.js';
export * from './screw.js';
export * from './sizes.js';
export * from './stock.js';
export * from './thread.js';
export * from './tool.js';
export * from './typical-pickup.js';
export * from './stamp.js';
export * from './reading-limit.js';
export * from './starter-kit.js';
export * from './typed-electric.js';
