// Changes the core in small ways and looks whether a spec turns red: npm run mutate [-- --all] [--seed 7] [--of 300] [--in gate,order]
// A sample is drawn by seed, stratified by folder. Each mutant is one file of a copy of the built core; the specs of the copy run on it.
import { spawn } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import path from 'node:path';
import ts from 'typescript';

const LEAST = { operation: 0.9, order: 0.9, gate: 0.9, job: 0.9, check: 0.8 };
const arg = (name, otherwise) => {
  const i = process.argv.indexOf(`--${name}`);
  return i < 0 ? otherwise : (process.argv[i + 1] ?? otherwise);
};
const seed = Number(arg('seed', 7));
const only = arg('in', Object.keys(LEAST).join(',')).split(',');
const FOLDERS = Object.fromEntries(Object.entries(LEAST).filter(([folder]) => only.includes(folder)));
const of = process.argv.includes('--all') ? Infinity : Number(arg('of', 300));
const root = path.resolve(import.meta.dirname, '..');

/** mulberry32: the same sample for the same seed. */
function seeded(a) {
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const SWAPS = { '<': '<=', '<=': '<', '>': '>=', '>=': '>', '===': '!==', '!==': '===', '&&': '||', '||': '&&', '+': '-', '-': '+', '*': '/', '/': '*' };
const WORDS = {
  must: 'should',
  should: 'must',
  no: 'yes',
  yes: 'no',
  cavity: 'decision',
  zone: 'decision',
  job: 'decision',
  decision: 'feature',
  wood: 'part',
};

/** Every small change of a file: where, and what stands there then. */
function mutantsOf(file) {
  const text = readFileSync(file, 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const out = [];
  const put = (node, by) => out.push({ file, from: node.getStart(source), to: node.getEnd(), by });
  const visit = (node) => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node) || ts.isInterfaceDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const by = SWAPS[node.operatorToken.getText(source)];
      if (by) put(node.operatorToken, by);
    }
    if (node.kind === ts.SyntaxKind.TrueKeyword) put(node, 'false');
    if (node.kind === ts.SyntaxKind.FalseKeyword) put(node, 'true');
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken) put(node, node.operand.getText(source));
    if (ts.isNumericLiteral(node)) put(node, String(Number(node.text) + 1));
    if (ts.isStringLiteral(node) && WORDS[node.text]) put(node, `'${WORDS[node.text]}'`);
    if (ts.isArrayLiteralExpression(node) && node.elements.length > 0 && !ts.isVariableDeclaration(node.parent))
      put(node.elements[0], node.elements.length > 1 ? '...[]' : '...[]');
    ts.forEachChild(node, visit);
  };
  visit(source);
  return out;
}

function files(folder) {
  return readdirSync(path.join(root, 'core/src', folder), { recursive: true })
    .map(String)
    .filter((f) => f.endsWith('.ts') && !f.endsWith('.spec.ts') && !f.endsWith('.bench.ts'))
    .map((f) => path.join(root, 'core/src', folder, f));
}

/** A copy of the core as JavaScript, in which a mutant takes the place of its file. */
function copy() {
  const at = mkdtempSync(path.join(tmpdir(), 'mutants-'));
  cpSync(path.join(root, 'core'), path.join(at, 'core'), { recursive: true, filter: (f) => !f.includes('node_modules') && !f.endsWith('dist') });
  cpSync(path.join(root, 'docs'), path.join(at, 'docs'), { recursive: true, filter: (f) => !f.includes('screenshots') });
  for (const f of ['package.json', 'tsconfig.base.json']) cpSync(path.join(root, f), path.join(at, f));
  symlinkSync(path.join(root, 'node_modules'), path.join(at, 'node_modules'));
  const out = path.join(at, 'js');
  mkdirSync(out);
  const all = readdirSync(path.join(at, 'core/src'), { recursive: true })
    .map(String)
    .filter((f) => f.endsWith('.ts') && !f.endsWith('.bench.ts') && !f.endsWith('.d.ts'));
  for (const f of all) writeJs(at, f, readFileSync(path.join(at, 'core/src', f), 'utf8'));
  return at;
}

function writeJs(at, file, text) {
  const js = ts.transpileModule(text, { compilerOptions: { module: ts.ModuleKind.ESNext, target: ts.ScriptTarget.ES2022 } }).outputText;
  const to = path.join(at, 'core/src', file.replace(/\.ts$/, '.js'));
  writeFileSync(to, js);
}

/** Do the specs of a copy turn red? A spec that never ends is red, too. */
function red(at) {
  return new Promise((done) => {
    const jasmine = path.join(root, 'node_modules/jasmine/bin/jasmine.js');
    const child = spawn(
      process.execPath,
      [jasmine, 'src/{check,order,gate,job,work,remedy,record,house,operation,cut}/**/*.spec.js', '--fail-fast', '--random=false'],
      {
        cwd: path.join(at, 'core'),
        stdio: 'ignore',
      },
    );
    const timer = setTimeout(() => child.kill('SIGKILL'), 120_000);
    child.on('exit', (code) => {
      clearTimeout(timer);
      done(code !== 0);
    });
  });
}

const r = seeded(seed);
const strata = Object.keys(FOLDERS).map((folder) => ({ folder, all: files(folder).flatMap(mutantsOf) }));
const total = strata.reduce((n, s) => n + s.all.length, 0);
const sample = strata.flatMap(({ folder, all }) => {
  const n = of >= total ? all.length : Math.round((of * all.length) / total);
  return all
    .map((m) => [r(), m])
    .sort((a, b) => a[0] - b[0])
    .slice(0, n)
    .map(([, m]) => ({ folder, ...m }));
});
console.log(`${sample.length} of ${total} mutants, seed ${seed}`);
const copies = Array.from({ length: Math.max(1, Math.min(cpus().length, 2)) }, copy);
if (await red(copies[0])) {
  console.error('the specs are red before anything is changed');
  process.exit(1);
}
const left = [...sample];
const lived = [];
await Promise.all(
  copies.map(async (at) => {
    for (let m = left.shift(); m; m = left.shift()) {
      const text = readFileSync(m.file, 'utf8');
      const name = path.relative(path.join(root, 'core/src'), m.file);
      writeJs(at, name, text.slice(0, m.from) + m.by + text.slice(m.to));
      if (!(await red(at))) {
        const line = text.slice(0, m.from).split('\n').length;
        lived.push({ folder: m.folder, what: `${name}:${line} ${text.slice(m.from, m.to)} → ${m.by}` });
        console.log(`lived: ${lived.at(-1).what}`);
      }
      writeJs(at, name, text);
    }
  }),
);
for (const at of copies) rmSync(at, { recursive: true });
for (const [folder, least] of Object.entries(FOLDERS)) {
  const n = sample.filter((m) => m.folder === folder).length;
  const killed = n - lived.filter((m) => m.folder === folder).length;
  console.log(`${folder}: ${killed} of ${n} killed${n > 0 ? ` (${Math.round((100 * killed) / n)} %, at least ${100 * least} %)` : ''}`);
}
