export * from './clean-svg.js';
export * from './dxf-in.js';
export * from './dxf-out.js';
export * from './imported.js';
export * from './svg-in.js';
export * from './svg-out.js';
export * from './svg.js';
export * from './readings-csv.js';
