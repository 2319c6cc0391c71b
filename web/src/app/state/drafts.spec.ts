import { Drafts } from './drafts';

describe('drafts', () => {
  it('outlive the page in the browser’s own database, one for each job', async () => {
    const plan = { format: 3 as const, choices: [] };
    await new Drafts().keep('job a', { version: 3, kept: plan });
    const again = new Drafts();
    expect(await again.of('job a')).toEqual({ version: 3, kept: plan });
    expect(await again.of('job b')).toBeNull();
    await again.drop('job a');
    expect(await again.of('job a')).toBeNull();
  });
});
