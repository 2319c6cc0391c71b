// Finds files that import one another in a circle, types included; an index is a door and no member. Prints each circle and fails where there is one.
import { execSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';

const root = path.resolve(import.meta.dirname, '..');
const listed = execSync("git ls-files -co --exclude-standard '*/src/*.ts'", { cwd: root, encoding: 'utf8' }).trim().split('\n');
const files = new Set(listed.filter((f) => !f.endsWith('.spec.ts') && !f.endsWith('.search.ts') && existsSync(path.join(root, f))));

const imports = new Map(
  [...files].map((file) => {
    const text = readFileSync(path.join(root, file), 'utf8');
    const named = [...text.matchAll(/(?:import|export) [^;]*? from '(\.[^']+)'/g)].map((m) => path.join(path.dirname(file), m[1].replace(/\.js$/, '')) + '.ts');
    return [file, named.filter((f) => files.has(f) && !f.endsWith('index.ts'))];
  }),
);

const circles = new Set();
const done = new Set();
const way = [];
function follow(file) {
  const at = way.indexOf(file);
  if (at >= 0) circles.add([...way.slice(at), file].join(' → '));
  if (at >= 0 || done.has(file)) return;
  way.push(file);
  for (const next of imports.get(file)) follow(next);
  way.pop();
  done.add(file);
}
for (const file of files) follow(file);
for (const circle of circles) console.error(`circle: ${circle}`);
process.exit(circles.size > 0 ? 1 : 0);
