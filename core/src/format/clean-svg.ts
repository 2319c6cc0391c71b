import { xmlTree, type XmlElement } from './xml-tree.js';

/** Elements that hold or are geometry, with what of each is kept. */
const SHAPES: Readonly<Record<string, readonly string[]>> = {
  svg: ['width', 'height', 'viewBox'],
  g: [],
  path: ['d'],
  rect: ['x', 'y', 'width', 'height', 'rx', 'ry'],
  circle: ['cx', 'cy', 'r'],
  ellipse: ['cx', 'cy', 'rx', 'ry'],
  line: ['x1', 'y1', 'x2', 'y2'],
  polyline: ['points'],
  polygon: ['points'],
};

/**
 * An SVG file with nothing in it but its shapes: no script, style, text, picture, link or reference is left, so it may be stored and opened anywhere.
 * The outlines read from it are those of the file. Throws SyntaxError for what is not XML, RangeError for what is not SVG.
 */
export function cleanSvg(text: string): string {
  const root = xmlTree(text);
  if (root.name !== 'svg') throw new RangeError(`${root.name} is no SVG`);
  return written({ ...root, attributes: { ...root.attributes, xmlns: NAMESPACE } });
}

const NAMESPACE = 'http://www.w3.org/2000/svg';

function written(e: XmlElement): string {
  // a link round shapes is a group of them
  const name = e.name === 'a' ? 'g' : e.name;
  const kept = SHAPES[name];
  if (!kept) return '';
  const attributes = [...(name === 'svg' ? ['xmlns'] : []), 'id', 'transform', ...kept]
    .flatMap((key) => {
      const value = e.attributes[key];
      return value === undefined ? [] : [` ${key}="${escaped(value)}"`];
    })
    .join('');
  const inside = e.children.map(written).join('');
  return inside === '' ? `<${name}${attributes}/>` : `<${name}${attributes}>${inside}</${name}>`;
}

function escaped(value: string): string {
  return value.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/"/g, '&quot;');
}
