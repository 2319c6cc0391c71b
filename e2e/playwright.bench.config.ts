import base from './playwright.config';

/** npm run bench: figures, not tests. */
export default { ...base, testMatch: '*.bench.ts' };
