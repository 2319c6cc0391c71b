import { buildIfStale } from './lib/build.mjs';
import { checkMachine, ensurePackages } from './lib/packages.mjs';
import { command, say } from './lib/say.mjs';

await command(async () => {
  checkMachine();
  await ensurePackages();
  say((await buildIfStale()) ? 'Built.' : 'Nothing changed since the last build.');
});
