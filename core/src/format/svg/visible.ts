import type { XmlElement } from '../xml-tree.js';
import { splitLength } from './lengths.js';
import { matrixOf, moved, times } from './matrix.js';
import { rulesOf, styleOf, type StyleName } from './style.js';
import { Unread } from '../unread.js';

/** An element that draws, or holds what does: with the sizes and the transform that its style gives it, and nothing else. */
export interface Visible {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly Visible[];
}

/** Elements that hold or are geometry, with what of each is kept. */
const SHAPES: Readonly<Record<string, readonly string[]>> = {
  svg: ['x', 'y', 'width', 'height', 'viewBox', 'preserveAspectRatio'],
  g: [],
  path: ['d'],
  rect: ['x', 'y', 'width', 'height', 'rx', 'ry'],
  circle: ['cx', 'cy', 'r'],
  ellipse: ['cx', 'cy', 'rx', 'ry'],
  line: ['x1', 'y1', 'x2', 'y2'],
  polyline: ['points'],
  polygon: ['points'],
};
const HOLDERS = new Set(['svg', 'g']);
/** Elements that draw nothing. */
const SILENT = new Set([
  'defs',
  'title',
  'desc',
  'metadata',
  'style',
  'namedview',
  'linearGradient',
  'radialGradient',
  'clipPath',
  'mask',
  'symbol',
  'marker',
  'pattern',
]);
/** Sizes that no shape has below 0. */
const SIZES: Readonly<Record<string, readonly string[]>> = { rect: ['width', 'height'], circle: ['r'], ellipse: ['rx', 'ry'] };

export const HIDDEN = 'hidden shape';
export const NEGATIVE = 'shape of negative size';

/** What of a drawing is seen, and how many of what were left out. Throws Unread, by its name, for what cannot be read and would change it. */
export function visibleOf(root: XmlElement): { readonly root: Visible; readonly leftOut: ReadonlyMap<string, number> } {
  const leftOut = new Map<string, number>();
  const count = (what: string, n = 1): void => {
    if (n > 0) leftOut.set(what, (leftOut.get(what) ?? 0) + n);
  };
  const rules = rulesOf(root);
  const see = (e: XmlElement, seen: boolean): Visible | null => {
    // a link round shapes is a group of them
    const name = e.name === 'a' ? 'g' : e.name;
    const kept = SHAPES[name];
    if (!kept) {
      if (!SILENT.has(name)) count(name);
      return null;
    }
    const style = styleOf(e, rules);
    if (style('display') === 'none' || ['clip-path', 'clip', 'mask'].some((p) => isSet(style(p as StyleName)))) {
      count(HIDDEN, shapesIn(e));
      return null;
    }
    const visibility = style('visibility');
    const here = visibility === undefined || visibility === 'inherit' ? seen : visibility === 'visible';
    const holds = HOLDERS.has(name);
    if (!holds && !here) {
      count(HIDDEN);
      return null;
    }
    const attributes = Object.fromEntries(
      ['id', ...kept].flatMap((key) => {
        const value = key === 'id' || key === 'd' ? e.attributes[key] : (style(key as StyleName) ?? undefined);
        return value === undefined || value === 'auto' ? [] : [[key, value]];
      }),
    );
    if (SIZES[name]?.some((key) => (splitLength(attributes[key])?.value ?? 0) < 0)) {
      count(NEGATIVE);
      return null;
    }
    const transform = transformOf(style, e);
    const children = holds ? e.children.flatMap((child) => see(child, here) ?? []) : [];
    return { name, attributes: { ...attributes, ...(transform === null ? {} : { transform }) }, children };
  };
  return { root: see(root, true) ?? { name: root.name, attributes: {}, children: [] }, leftOut };
}

const isSet = (value: string | undefined): boolean => value !== undefined && value !== 'none' && value !== 'auto';

function shapesIn(e: XmlElement): number {
  return (e.name in SHAPES && !HOLDERS.has(e.name) ? 1 : 0) + e.children.reduce((n, child) => n + shapesIn(child), 0);
}

/** Its transform as one that an attribute may say; its own attribute as it stands where no style moves it. */
function transformOf(style: (name: StyleName) => string | undefined, e: XmlElement): string | null {
  const text = style('transform');
  if (text === undefined) return null;
  const origin = style('transform-origin');
  if (origin === undefined && text === e.attributes['transform']) return text;
  const at = originOf(origin);
  return `matrix(${times(moved(at.x, at.y), times(matrixOf(text), moved(-at.x, -at.y))).join(' ')})`;
}

function originOf(text: string | undefined): { readonly x: number; readonly y: number } {
  if (text === undefined) return { x: 0, y: 0 };
  const [x, y, ...more] = text.trim().split(/\s+/).map(splitLength);
  const plain = [x, y].every((l) => l && (l.unit === '' || l.unit === 'px'));
  if (!plain || more.length > 0) throw new Unread(`transform-origin ${text}`);
  return { x: x?.value ?? 0, y: y?.value ?? 0 };
}
