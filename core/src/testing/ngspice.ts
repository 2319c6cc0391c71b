import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Complex } from '../wire/index.js';

/** A deck's text to be gone through, and the node that is asked for. */
export interface Asked {
  readonly text: string;
  readonly node: string;
  /** Hz; empty: direct current. */
  readonly hertz: readonly number[];
}

/** The voltages that an independent simulator finds: for each deck one a frequency, or one of direct current. All decks go through few processes, each with several analyses. */
export function simulated(decks: readonly Asked[], perProcess = 100): readonly (readonly Complex[])[] {
  const folder = mkdtempSync(path.join(tmpdir(), 'decks-'));
  try {
    const out: (readonly Complex[])[] = [];
    for (let from = 0; from < decks.length; from += perProcess) out.push(...oneProcess(folder, decks.slice(from, from + perProcess)));
    return out;
  } finally {
    rmSync(folder, { recursive: true });
  }
}

function oneProcess(folder: string, decks: readonly Asked[]): readonly (readonly Complex[])[] {
  const script = decks.flatMap(({ text, node, hertz }, i) => {
    writeFileSync(path.join(folder, `${i}.cir`), text);
    const raw = path.join(folder, `${i}.raw`);
    const [first = 0, last = 0] = [hertz[0], hertz.at(-1)];
    // points that lie evenly over the decades between the first and the last
    const perDecade = (hertz.length - 1) / Math.log10(last / first);
    const analysis = hertz.length === 0 ? 'op' : `ac dec ${perDecade} ${first} ${last}`;
    return [`source ${path.join(folder, `${i}.cir`)}`, analysis, `write ${raw} v(${node})`, 'destroy all', 'remcirc'];
  });
  writeFileSync(path.join(folder, 'all.sp'), ['* all', '.control', 'set filetype=binary', ...script, 'quit', '.endc', '.end', ''].join('\n'));
  execFileSync('ngspice', ['-b', path.join(folder, 'all.sp')], { stdio: ['ignore', 'ignore', 'ignore'] });
  return decks.map((d, i) => valuesOf(readFileSync(path.join(folder, `${i}.raw`)), d.hertz.length > 0));
}

/** Of a binary raw file the last variable's values: doubles, complex ones in pairs. */
function valuesOf(bytes: Buffer, complex: boolean): readonly Complex[] {
  const mark = 'Binary:\n';
  const at = bytes.indexOf(mark);
  const head = bytes.subarray(0, at).toString('latin1');
  const variables = Number(/No\. Variables: (\d+)/.exec(head)?.[1]);
  const points = Number(/No\. Points: (\d+)/.exec(head)?.[1]);
  const width = complex ? 16 : 8;
  return Array.from({ length: points }, (_, p) => {
    const o = at + mark.length + (p * variables + variables - 1) * width;
    return { re: bytes.readDoubleLE(o), im: complex ? bytes.readDoubleLE(o + 8) : 0 };
  });
}
