export * from './of-instrument';
export * from './of-job';
export * from './of-workshop';
