import { imported, type FileUnit, LONGEST_FILE, type ImportResult } from './imported.js';
import type { Strand } from './strand.js';
import { splitLength, type Viewport } from './svg/lengths.js';
import { matrixOf, times, type Matrix } from './svg/matrix.js';
import { shapePath } from './svg/shape-path.js';
import { strandsOf } from './svg/strands.js';
import { Unread } from './unread.js';
import { innerPage, outerPage } from './svg/viewport.js';
import { visibleOf, type Visible } from './svg/visible.js';
import { xmlTree } from './xml-tree.js';

/** Millimetres of a CSS pixel: 96 to the inch [std: CSS Values]. */
const MM_PER_PX = 25.4 / 96;

/**
 * The closed outlines of an SVG file in mm, every subpath by itself; y runs down the page and so towards the bridge. What is not seen is left out and counted; scripts,
 * pictures and references are not read, and stated. What would change an outline and is not read is refused by its name.
 */
export function outlinesFromSvg(text: string): ImportResult {
  if (text.trim() === '') return { ok: false, refusal: { kind: 'empty', detail: '' } };
  if (text.length > LONGEST_FILE) return { ok: false, refusal: { kind: 'tooLarge', detail: '' } };
  try {
    const file = xmlTree(text);
    if (file.name !== 'svg') return { ok: false, refusal: { kind: 'notThisKind', detail: file.name } };
    const { root, leftOut } = visibleOf(file);
    const strands: Strand[] = [];
    const { matrix, inside } = outerPage(root);
    walk({ ...root, name: 'g' }, times([MM_PER_PX, 0, 0, MM_PER_PX, 0, 0], matrix), inside, strands);
    if (strands.length === 0) return { ok: false, refusal: { kind: 'nothingInIt', detail: [...leftOut.keys()].join(', ') } };
    return { ok: true, imported: imported(strands, unitOf(root), leftOut) };
  } catch (error) {
    if (error instanceof SyntaxError) return { ok: false, refusal: { kind: 'broken', detail: error.message } };
    if (error instanceof Unread) return { ok: false, refusal: { kind: 'unread', detail: error.what } };
    throw error;
  }
}

function unitOf({ attributes }: Visible): FileUnit {
  const unit = splitLength(attributes['width'] ?? attributes['height'])?.unit;
  if (unit === 'mm' || unit === 'cm') return unit;
  return unit === 'in' ? 'inch' : 'px';
}

function walk(e: Visible, outer: Matrix, viewport: Viewport | null, strands: Strand[]): void {
  const { transform, id } = e.attributes;
  const here = transform === undefined ? outer : times(outer, matrixOf(transform));
  if (e.name === 'g') {
    for (const child of e.children) walk(child, here, viewport, strands);
  } else if (e.name === 'svg') {
    const { matrix, inside } = innerPage(e, viewport);
    for (const child of e.children) walk(child, times(here, matrix), inside, strands);
  } else {
    const d = shapePath(e, viewport);
    if (d !== '') strands.push(...strandsOf(d, here, id === undefined ? e.name : `${e.name} ${id}`));
  }
}
