import base from './playwright.config';

/** npm run shots: one current picture of each main view, from the demo. */
export default { ...base, testMatch: 'shots.ts' };
