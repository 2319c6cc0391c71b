import { SaxesParser } from 'saxes';

/** An element of an XML file: name without prefix, attributes, elements inside. Text is left out. */
export interface XmlElement {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly XmlElement[];
}

interface Growing {
  readonly name: string;
  readonly attributes: Record<string, string>;
  readonly children: Growing[];
}

/**
 * Reads XML strictly. Entities that the file declares itself are never resolved, nor anything outside it: such a reference is an error.
 * Throws SyntaxError with line and column.
 */
export function xmlTree(text: string): XmlElement {
  const parser = new SaxesParser();
  const stack: Growing[] = [];
  const roots: Growing[] = [];
  parser.on('error', (error) => {
    throw new SyntaxError(error.message);
  });
  parser.on('opentag', (tag) => {
    const local = (name: string): string => name.slice(name.indexOf(':') + 1);
    const element: Growing = { name: local(tag.name), attributes: { ...tag.attributes }, children: [] };
    stack[stack.length - 1]?.children.push(element);
    if (stack.length === 0) roots.push(element);
    stack.push(element);
  });
  parser.on('closetag', () => stack.pop());
  parser.write(text).close();
  const [root] = roots;
  if (!root) throw new SyntaxError('there is nothing in it');
  return root;
}
