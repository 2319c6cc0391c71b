// npm test: installs what is missing and runs every runner. The last line is 'N passed, N failed':
// every spec of every runner, lint and types one each; a runner that dies before it reports is one failure.
import { existsSync } from 'node:fs';
import path from 'node:path';
import { buildIfStale } from './lib/build.mjs';
import { ensureDebian } from './lib/debian.mjs';
import { checkMachine, ensurePackages } from './lib/packages.mjs';
import { ensureCluster } from './lib/postgres.mjs';
import { run, wasInterrupted } from './lib/run.mjs';
import { Plain, root, say, sentenceOf } from './lib/say.mjs';

const only = process.argv.slice(2);
let passed = 0;
let failed = 0;

/** Runs one runner; `count` reads its closing lines into [passed, failed], or null when it never reported. One that is `quiet` runs beside another and says what it has to say at its end. */
async function runner(name, program, args, options, count) {
  if (only.length > 0 && !only.includes(name)) return;
  const began = Date.now();
  if (!options.quiet) say(`\n== ${name}`);
  let result = { code: 1, output: '' };
  try {
    result = await run(program, args, options);
  } catch (error) {
    if (wasInterrupted()) throw error;
    say(sentenceOf(error));
  }
  const [good, bad] = count(result) ?? [0, 1];
  if (options.quiet && result.code !== 0) say(`\n== ${name}\n${result.output}`);
  const died = result.code !== 0 && bad === 0 ? 1 : 0;
  passed += good;
  failed += bad + died;
  say(`\n-- ${name}: ${good} passed, ${bad + died} failed (${((Date.now() - began) / 1000).toFixed(0)} s)`);
}

const whole = (r) => (r.code === 0 ? [1, 0] : [0, 1]);

function jasmine({ output }) {
  const m = [...output.matchAll(/(\d+) specs?, (\d+) failures?/g)].at(-1);
  return m ? [Number(m[1]) - Number(m[2]), Number(m[2])] : null;
}

function karma({ output }) {
  const m = [...output.matchAll(/Executed (\d+) of (\d+)(?: \((\d+) FAILED\))?/g)].at(-1);
  if (!m || m[1] !== m[2]) return null;
  const bad = Number(m[3] ?? 0);
  return [Number(m[1]) - bad, bad];
}

function playwright({ output }) {
  const n = (word) => Number([...output.matchAll(new RegExp(`^\\s+(\\d+) ${word}\\b`, 'gm'))].at(-1)?.[1] ?? 0);
  const [good, bad] = [n('passed'), n('failed') + n('flaky') + n('interrupted') + n('did not run')];
  return good + bad === 0 ? null : [good, bad];
}

async function main() {
  checkMachine();
  await ensurePackages();
  const chromium = process.env.CHROMIUM ?? '/usr/bin/chromium';
  await ensureDebian(['python3-ezdxf'], () => existsSync('/usr/lib/python3/dist-packages/ezdxf'), 'the reference reader of drawings');
  await ensureDebian(['ngspice'], () => existsSync('/usr/bin/ngspice'), 'the reference simulator of circuits');
  await ensureDebian(['qpdf', 'poppler-utils'], () => existsSync('/usr/bin/qpdf') && existsSync('/usr/bin/pdftotext'), 'the reference reader of PDFs');
  await ensureDebian(['librsvg2-bin'], () => existsSync('/usr/bin/rsvg-convert'), 'the reference reader of SVG');
  await ensureDebian(['chromium'], () => existsSync(chromium), 'Chromium');
  const node = process.execPath;
  const tsc = path.join(root, 'node_modules/typescript/bin/tsc');
  const ng = path.join(root, 'node_modules/@angular/cli/bin/ng.js');
  const jasmineRunner = path.join(root, 'tools/jasmine.mjs');
  const quietNg = { NG_CLI_ANALYTICS: 'false', CHROME_BIN: chromium };

  const cluster = process.env.DATABASE_URL ? null : await ensureCluster({ name: 'pg-test', fast: true });
  const env = { DATABASE_URL: process.env.DATABASE_URL ?? cluster.url };
  // two lanes beside one another: what looks at the sources and searches, and what runs the rooms
  const beside = { quiet: true };
  const looks = async () => {
    await runner('lint', node, [path.join(root, 'node_modules/eslint/bin/eslint.js'), '.', '--max-warnings=0'], { cwd: root, ...beside }, whole);
    const prettier = path.join(root, 'node_modules/prettier/bin/prettier.cjs');
    await runner('format', node, [prettier, '--check', '.', '--log-level=warn'], { cwd: root, ...beside }, whole);
    await runner('circles', node, [path.join(root, 'tools/circles.mjs')], { cwd: root, ...beside }, whole);
    await runner('search', node, [jasmineRunner, '.', '', 'src/**/*.search.ts'], { cwd: path.join(root, 'server'), env, ...beside }, jasmine);
  };
  const rooms = async () => {
    for (const room of ['core', 'words', 'contract', 'demo']) {
      await runner(room, node, [jasmineRunner, '.'], { cwd: path.join(root, room) }, jasmine);
    }
    await runner('server', node, [jasmineRunner, '.'], { cwd: path.join(root, 'server'), env }, jasmine);
    // the rooms are one program: each of its own would read those above it again
    await runner('types', node, [tsc, '-p', 'tsconfig.rooms.json'], { cwd: root }, whole);
    await runner('types e2e', node, [tsc, '-p', 'tsconfig.json'], { cwd: path.join(root, 'e2e') }, whole);
    await runner('web', node, [ng, 'test', '--no-watch'], { cwd: path.join(root, 'web'), env: quietNg }, karma);
  };
  try {
    await Promise.all([looks(), rooms()]);
    if (only.length === 0 || only.includes('e2e') || only.includes('build')) {
      let built = true;
      try {
        await buildIfStale();
      } catch (error) {
        if (wasInterrupted()) throw error;
        built = false;
        failed += 1;
        say(`-- build failed: ${sentenceOf(error)}`);
      }
      if (built) {
        await runner(
          'e2e',
          node,
          [path.join(root, 'node_modules/@playwright/test/cli.js'), 'test'],
          { cwd: path.join(root, 'e2e'), env: { ...env, CHROMIUM: chromium } },
          playwright,
        );
      }
    }
  } finally {
    await cluster?.stop().catch(() => undefined);
  }
}

try {
  await main();
} catch (error) {
  failed += 1;
  say(error instanceof Plain ? error.message : sentenceOf(error));
}
say(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 && passed > 0 ? 0 : 1;
