// What is on a printed sheet, as an independent renderer sees it: pdftoppm at 300 dpi.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** Pixels in a millimetre at 300 dpi. */
export const PX = 300 / 25.4;

/** A sheet in grey. */
export interface Sheet {
  readonly width: number;
  readonly height: number;
  readonly dark: (x: number, y: number) => boolean;
}

/** A sheet of a PDF file as it would lie on paper. */
export function sheetOf(pdf: string, page = 1): Sheet {
  const folder = mkdtempSync(path.join(tmpdir(), 'sheet-'));
  try {
    const out = path.join(folder, 'page');
    execFileSync('pdftoppm', ['-r', '300', '-gray', '-f', String(page), '-l', String(page), '-singlefile', pdf, out]);
    const pgm = readFileSync(`${out}.pgm`);
    const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(pgm.subarray(0, 60).toString('latin1'));
    if (!head) throw new Error('that is no sheet');
    const [width, height] = [Number(head[1]), Number(head[2])];
    const from = head[0].length;
    return { width, height, dark: (x, y) => (pgm[from + y * width + x] ?? 255) < 160 };
  } finally {
    rmSync(folder, { recursive: true });
  }
}

/** From the first to the last dark line that crosses a row (`across`) or a column (`along`) so many mm from the sheet's corner, px, middle to middle. */
export function fromLineToLine(sheet: Sheet, way: 'across' | 'along', off: number): number {
  const at = Math.round(off * PX);
  const dark: number[] = [];
  for (let i = 0; i < (way === 'across' ? sheet.width : sheet.height); i++) if (way === 'across' ? sheet.dark(i, at) : sheet.dark(at, i)) dark.push(i);
  const [first, last] = [dark[0], dark.at(-1)];
  if (first === undefined || last === undefined) return NaN;
  const thick = dark.findIndex((t, i) => (dark[i + 1] ?? Infinity) - t > 5);
  return last - first - thick;
}
