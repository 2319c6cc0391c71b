import type { XmlElement } from '../xml-tree.js';
import { Unread } from '../unread.js';

/** What of a style changes which outlines there are and where. */
const MATTERS = ['display', 'visibility', 'clip-path', 'clip', 'mask', 'transform', 'transform-origin'] as const;
export type StyleName = (typeof MATTERS)[number] | (typeof SIZES)[number];
/** Sizes that a style may set beside the attribute of the same name. */
const SIZES = ['x', 'y', 'width', 'height', 'rx', 'ry', 'cx', 'cy', 'r'] as const;
/** What would change them and is not read. */
const UNREAD = ['translate', 'rotate', 'scale', 'd', 'offset-path', 'zoom'] as const;
const ALL = new Set<string>([...MATTERS, ...SIZES, ...UNREAD]);

type Declared = ReadonlyMap<string, string>;

/** A rule of a style sheet with a selector of one element: its name, classes, id. */
interface Rule {
  readonly name: string | null;
  readonly id: string | null;
  readonly classes: readonly string[];
  readonly says: Declared;
}

/** The style sheets of a drawing, as far as they matter. Throws Unread for a rule that matters and whose selector is not read. */
export function rulesOf(root: XmlElement): readonly Rule[] {
  const rules: Rule[] = [];
  const collect = (e: XmlElement): void => {
    if (e.name === 'style') rules.push(...parse(e.text));
    for (const child of e.children) collect(child);
  };
  collect(root);
  return rules;
}

/** A rule or a block of rules; in it the innermost braces. */
const BLOCK = /([^{}]*)\{((?:[^{}]|\{[^{}]*\})*)\}/g;
const ONE = /^(\*|[a-z][\w-]*)?((?:[.#][\w-]+)*)$/i;

function parse(text: string): readonly Rule[] {
  const plain = text.replace(/\/\*[\s\S]*?\*\//g, '').replace(/<!--|-->/g, '');
  return [...plain.matchAll(BLOCK)].flatMap(([, before = '', body = '']): readonly Rule[] => {
    const selector = (before.split(';').at(-1) ?? '').trim().replace(/\s+/g, ' ');
    if (selector.startsWith('@')) {
      const inner = [...body.matchAll(/\{([^{}]*)\}/g)].flatMap(([, b = '']) => [...declared(b).keys()]);
      if (selector !== '@font-face' && (inner.length > 0 || declared(body).size > 0)) throw new Unread(`style sheet rule ${selector}`);
      return [];
    }
    const says = declared(body);
    if (says.size === 0) return [];
    return selector.split(',').map((one) => {
      const m = ONE.exec(one.trim());
      if (!m || one.trim() === '') throw new Unread(`style sheet rule ${one.trim()}`);
      const marks = [...(m[2] ?? '').matchAll(/([.#])([\w-]+)/g)];
      const of = (sign: string): readonly string[] => marks.flatMap(([, s, word]) => (s === sign && word !== undefined ? [word] : []));
      return { name: m[1] === undefined || m[1] === '*' ? null : m[1], id: of('#')[0] ?? null, classes: of('.'), says };
    });
  });
}

/** The declarations that matter; of one that is said twice the later. */
function declared(body: string): Declared {
  return new Map(
    body.split(';').flatMap((d): readonly (readonly [string, string])[] => {
      const [name = '', ...value] = d.split(':');
      const key = name.trim().toLowerCase();
      return ALL.has(key) && value.length > 0
        ? [
            [
              key,
              value
                .join(':')
                .replace(/!important/i, '')
                .trim(),
            ],
          ]
        : [];
    }),
  );
}

/** What is said of an element: by its own style before the sheets, by those before its attributes; the more particular rule before the others. Throws Unread by name. */
export function styleOf(e: XmlElement, rules: readonly Rule[]): (name: StyleName) => string | undefined {
  const classes = new Set((e.attributes['class'] ?? '').split(/\s+/));
  const weight = (r: Rule): number => (r.id === null ? 0 : 10_000) + 100 * r.classes.length + (r.name === null ? 0 : 1);
  const meant = rules
    .filter((r) => (r.name === null || r.name === e.name) && (r.id === null || r.id === e.attributes['id']) && r.classes.every((c) => classes.has(c)))
    .map((r, i) => ({ r, i }))
    .sort((a, b) => weight(b.r) - weight(a.r) || b.i - a.i)
    .map(({ r }) => r.says);
  const said = [declared(e.attributes['style'] ?? ''), ...meant];
  for (const name of UNREAD) if (said.some((s) => s.has(name) && s.get(name) !== 'none')) throw new Unread(`${name} in a style`);
  return (name) => said.find((s) => s.has(name))?.get(name) ?? e.attributes[name];
}
