import base from './playwright.config';

/** What is looked at in an audit and not in every run. */
export default { ...base, testMatch: '*.audit.ts' };
