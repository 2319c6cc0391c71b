import { SaxesParser } from 'saxes';
import { Unread } from './unread.js';

/** An element of an XML file: name without prefix, attributes, elements inside, and what text stands right in it. */
export interface XmlElement {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly XmlElement[];
  readonly text: string;
}

interface Growing {
  readonly name: string;
  readonly attributes: Record<string, string>;
  readonly children: Growing[];
  text: string;
}

/** Elements inside one another are followed this far. */
const DEEPEST = 200;

/**
 * Reads XML strictly. Entities that the file declares itself are never resolved, nor anything outside it: such a reference is an error.
 * Throws SyntaxError with line and column, in no engine's words; Unread for what lies too deep.
 */
export function xmlTree(text: string): XmlElement {
  const parser = new SaxesParser();
  const stack: Growing[] = [];
  const roots: Growing[] = [];
  parser.on('error', () => {
    throw new SyntaxError(`line ${parser.line}, column ${parser.columnIndex + 1}`);
  });
  const say = (text: string): void => {
    const inside = stack[stack.length - 1];
    if (inside) inside.text += text;
  };
  parser.on('text', say);
  parser.on('cdata', say);
  parser.on('opentag', (tag) => {
    const local = (name: string): string => name.slice(name.indexOf(':') + 1);
    const element: Growing = { name: local(tag.name), attributes: { ...tag.attributes }, children: [], text: '' };
    stack[stack.length - 1]?.children.push(element);
    if (stack.length === 0) roots.push(element);
    stack.push(element);
    if (stack.length > DEEPEST) throw new Unread(`elements inside one another, over ${DEEPEST} deep`);
  });
  parser.on('closetag', () => stack.pop());
  parser.write(text).close();
  const [root] = roots;
  if (!root) throw new SyntaxError('line 1, column 1');
  return root;
}
