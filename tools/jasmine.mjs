// Runs the Jasmine specs of one workspace on Node, from sources, and prints one line that tools/test.mjs counts: jasmine.mjs ROOM [FILTER [FILES]].
import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const workspace = path.resolve(process.argv[2] ?? '.');
const filter = process.argv[3] ? [`--filter=${process.argv[3]}`] : [];
const files = process.argv[4] ?? 'src/**/*.spec.ts';

const result = spawnSync(
  process.execPath,
  [
    '--conditions=rinnovo-source',
    '--import',
    'tsx',
    path.join(root, 'node_modules/jasmine/bin/jasmine.js'),
    '--helper=../tools/patience.mjs',
    files,
    '--random=true',
    ...filter,
  ],
  { cwd: workspace, stdio: 'inherit', env: { ...process.env, NODE_NO_WARNINGS: '1', npm_config_nodedir: undefined } },
);
process.exit(result.status ?? 1);
