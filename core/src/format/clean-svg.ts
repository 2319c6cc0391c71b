import { visibleOf, type Visible } from './svg/visible.js';
import { xmlTree } from './xml-tree.js';

/**
 * An SVG file with nothing in it but the shapes that are seen: no script, style, text, picture, link or reference is left, so it may be stored and opened anywhere.
 * The outlines read from it are those of the file. Throws SyntaxError for what is not XML, RangeError for what is not SVG, Unread for what is not read.
 */
export function cleanSvg(text: string): string {
  const file = xmlTree(text);
  if (file.name !== 'svg') throw new RangeError(`${file.name} is no SVG`);
  const { root } = visibleOf(file);
  return written({ ...root, attributes: { xmlns: 'http://www.w3.org/2000/svg', ...root.attributes } });
}

/** In this order, whatever order the file has. */
const FIRST = ['xmlns', 'id', 'transform'];

function written({ name, attributes, children }: Visible): string {
  const keys = [...FIRST.filter((key) => key in attributes), ...Object.keys(attributes).filter((key) => !FIRST.includes(key))];
  const said = keys.map((key) => ` ${key}="${escaped(attributes[key] ?? '')}"`).join('');
  const inside = children.map(written).join('');
  return inside === '' ? `<${name}${said}/>` : `<${name}${said}>${inside}</${name}>`;
}

function escaped(value: string): string {
  return value.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/"/g, '&quot;');
}
