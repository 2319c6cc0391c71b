// Every text that the program shows, found in its sources: words/, the web's templates and code, the server's problems and papers.
// Nothing is listed by hand: what is a text is told by where it stands.
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { parseTemplate } from '@angular/compiler';
import ts from 'typescript';
import { root } from './say.mjs';

/** Attributes that are read or heard. */
const READ_ATTRIBUTES = new Set(['aria-label', 'aria-description', 'placeholder', 'title', 'alt', 'label', 'hint', 'matTooltip', 'what', 'word', 'name-of']);
/** Elements whose text is a label or a heading. */
const LABELS = new Set([
  'mat-label',
  'label',
  'th',
  'button',
  'h1',
  'h2',
  'h3',
  'h4',
  'legend',
  'dt',
  'mat-option',
  'mat-checkbox',
  'mat-radio-button',
  'mat-slide-toggle',
]);

/** The files of a folder with an ending, specs and what serves them left out; sorted. */
function filesIn(folder, endings) {
  return readdirSync(path.join(root, folder), { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile() && endings.some((x) => e.name.endsWith(x)) && !/\.(spec|bench)\.ts$/.test(e.name))
    .map((e) => path.relative(root, path.join(e.parentPath ?? e.path, e.name)))
    .filter((f) => !/\/(testing|db)\//.test(f))
    .sort();
}

const read = (file) => readFileSync(path.join(root, file), 'utf8');
const squeeze = (text) => text.replace(/[ \t\r\n]+/g, ' ').trim();
const isWords = (text) => /\p{L}{2}/u.test(text.replace(/\{[^}]*\}/g, ''));

/** A literal in code: a sentence, a phrase, or a word that begins like a label. */
function looksShown(text) {
  const plain = text.replace(/\{[^}]*\}/g, '').trim();
  if (/^(\/|\[|#|\.|@|https?:|[a-z-]+\/)/.test(plain) || /^[A-Z][a-z]+[A-Z]/.test(plain)) return false;
  if (/[=;<>]|\p{L}\(|^\d* ?(px|ms|mm)$|^d+ M/u.test(plain)) return false;
  if (/[MLHVAZ][-{\d]/.test(text) && !/\p{Ll}{3,}/u.test(plain)) return false;
  return /\p{L}{2,}[^\p{L}]*\s.*\p{L}/u.test(plain) || /^\p{Lu}\p{Ll}{2,}[.:!?…]?$/u.test(plain) || /\p{L}.*[.:!?…]$/u.test(plain);
}

/** The text of a literal or a template, with what is put into it in braces. */
function textOf(node, source) {
  if (ts.isStringLiteralLike(node)) return node.text;
  if (!ts.isTemplateExpression(node)) return null;
  return node.head.text + node.templateSpans.map((s) => `{${short(s.expression.getText(source))}}${s.literal.text}`).join('');
}

const short = (expression) => {
  const e = squeeze(expression);
  return e.length > 24 ? '…' : e.replace(/[{}]/g, '');
};

/** Where a literal is no text: a type, a key, something compared, looked up, imported or thrown at a programmer. */
function isCode(node) {
  const p = node.parent;
  if (!p) return true;
  if (ts.isImportDeclaration(p) || ts.isExportDeclaration(p) || ts.isLiteralTypeNode(p) || ts.isExternalModuleReference(p)) return true;
  if (ts.isCaseClause(p) || ts.isElementAccessExpression(p) || ts.isComputedPropertyName(p)) return true;
  if ((ts.isPropertyAssignment(p) || ts.isPropertySignature(p) || ts.isMethodDeclaration(p)) && p.name === node) return true;
  if (ts.isBinaryExpression(p) && /[=!<>]==?$/.test(p.operatorToken.getText())) return true;
  if (ts.isBinaryExpression(p) && p.operatorToken.kind === ts.SyntaxKind.InKeyword) return true;
  if (ts.isNewExpression(p) && /Error$|Set$|RegExp$/.test(p.expression.getText()) && p.expression.getText() !== 'ProblemError') return true;
  if (ts.isCallExpression(p) && p.expression !== node && CODE_CALLS.test(p.expression.getText())) return true;
  if (ts.isPropertyAssignment(p) && CODE_FIELDS.has(p.name.getText().replace(/['"]/g, ''))) return true;
  if (ts.isVariableDeclaration(p) && p.type && /Id\b|Kind\b/.test(p.type.getText())) return true;
  if (ts.isArrayLiteralExpression(p) && (ts.isAsExpression(p.parent) || (ts.isNewExpression(p.parent) && /Set$/.test(p.parent.expression.getText()))))
    return true;
  return isCodeInside(p);
}

const CODE_CALLS =
  /(querySelector(All)?|closest|createAction|createFeature|createElement|setAttribute|getAttribute|addEventListener|startsWith|endsWith|includes|replaceAll|replace|split|join|test|match|get|header|where\w*|select|orderBy|raw|transaction|insert|first|setting|leaf|sum|readRoute|load|font|useFont|registerFont|localeCompare|toLocaleString|DateTimeFormat|NumberFormat|inject|viewChild)$/;
const CODE_FIELDS = new Set(
  'selector templateUrl styleUrl styles path kind id op key source quantity feature axis on face side of type format mode code unit of frame set basis name-id class width height role providedIn appearance'.split(
    ' ',
  ),
);

function isCodeInside(p) {
  if (ts.isConditionalExpression(p) || ts.isParenthesizedExpression(p) || ts.isTemplateSpan(p) || ts.isAsExpression(p)) return isCode(p);
  return false;
}

/** How a text is found again: the declaration it stands in, then the names on the way to it. */
function idOf(node) {
  const names = [];
  for (let n = node.parent; n && !ts.isSourceFile(n); n = n.parent) {
    if (ts.isPropertyAssignment(n)) names.unshift(n.name.getText().replace(/['"]/g, ''));
    else if (ts.isVariableDeclaration(n) || ts.isFunctionDeclaration(n) || ts.isMethodDeclaration(n) || ts.isPropertyDeclaration(n))
      names.unshift(n.name?.getText() ?? '');
    else if (ts.isCaseClause(n)) names.unshift(n.expression.getText().replace(/['"]/g, ''));
  }
  return names.filter((x) => x !== '' && x.length < 60).join('.');
}

/** The texts in a file of code. `all`: every literal that is no code is one, as in words/. */
function fromCode(file, all) {
  const source = ts.createSourceFile(file, read(file), ts.ScriptTarget.Latest, true);
  const found = [];
  const visit = (node) => {
    if (ts.isDecorator(node)) {
      found.push(...fromDecorator(node, file, source));
      return;
    }
    const text = textOf(node, source);
    if (text !== null) {
      const shown = all ? isWords(text) && !/^[a-z]+([A-Z][a-z]*)+$/.test(text) : looksShown(text);
      if (shown && !isCode(node))
        found.push(entry(file, source.getLineAndCharacterOfPosition(node.getStart(source)).line + 1, idOf(node), squeeze(text), 'text'));
      if (ts.isTemplateExpression(node)) node.templateSpans.forEach((s) => visit(s.expression));
      return;
    }
    ts.forEachChild(node, visit);
  };
  ts.forEachChild(source, visit);
  return found;
}

function fromDecorator(node, file, source) {
  const found = [];
  const visit = (n) => {
    if (ts.isPropertyAssignment(n) && n.name.getText(source) === 'template' && ts.isStringLiteralLike(n.initializer)) {
      const line = source.getLineAndCharacterOfPosition(n.initializer.getStart(source)).line;
      found.push(...fromTemplate(file, n.initializer.text, line));
    }
    ts.forEachChild(n, visit);
  };
  visit(node);
  return found;
}

/** The texts of a template: what stands between tags, what is read out, and the literals inside expressions. */
function fromTemplate(file, template, firstLine) {
  const { nodes } = parseTemplate(template, file, { preserveWhitespaces: false });
  const found = [];
  const add = (node, text, kind, id) => {
    const plain = squeeze(text);
    if (isWords(plain)) found.push(entry(file, firstLine + node.sourceSpan.start.line + 1, id, plain, kind));
  };
  const literals = (node, expression, id) => {
    for (const [before, , text] of expression.matchAll(/(.{0,4})(?<!\w)'((?:[^'\\]|\\.)*)'/g) ?? []) {
      void before;
      if (looksShown(text)) add(node, text.replace(/\\'/g, "'"), 'text', id);
    }
  };
  const visit = (node, element) => {
    const kind = LABELS.has(element) ? 'label' : 'text';
    const name = node.constructor.name.replace(/^_?(Tmpl)?(Ast)?/, '').replace(/\$?\d*$/, '');
    if (name === 'Text') add(node, node.value, kind, element);
    if (name === 'BoundText') {
      const raw = node.sourceSpan.toString();
      add(
        node,
        raw.replace(/\{\{([\s\S]*?)\}\}/g, (_, e) => `{${short(e)}}`),
        kind,
        element,
      );
      for (const [, e] of raw.matchAll(/\{\{([\s\S]*?)\}\}/g)) literals(node, e, element);
    }
    for (const a of node.attributes ?? []) if (READ_ATTRIBUTES.has(a.name)) add(a, a.value, 'label', `${node.name ?? element}[${a.name}]`);
    for (const a of node.inputs ?? [])
      if (READ_ATTRIBUTES.has(a.name)) literals(a, a.sourceSpan.toString().replace(/^[^=]*=/, ''), `${node.name ?? element}[${a.name}]`);
    const inner = node.name && name === 'Element' ? node.name : element;
    for (const key of ['children', 'branches', 'cases', 'groups']) for (const child of node[key] ?? []) visit(child, inner);
    for (const key of ['empty', 'placeholder', 'loading', 'error']) if (node[key]) visit(node[key], inner);
  };
  for (const n of nodes) visit(n, '');
  return found;
}

const entry = (file, line, id, text, kind) => ({ id: `${path.basename(file)}#${id}`, place: `${file}:${line}`, text, kind, screen: screenOf(file) });

const STAGES = {
  instruments: 'Instruments',
  about: 'About',
  anatomy: 'Anatomy',
  survey: 'Survey',
  fit: 'Fit',
  cut: 'Cut',
  order: 'Order',
  bench: 'Bench',
  record: 'Record',
  shelf: 'Part shelf',
  shop: 'Shop',
};

/** On which screen a text is read, by the folder its file is in. */
function screenOf(file) {
  const stage = /stages\/(\w+)\//.exec(file)?.[1];
  if (stage) return STAGES[stage] ?? stage;
  if (file.startsWith('web/')) return 'On every screen';
  if (file.startsWith('words/')) return `In many places: ${path.basename(file, '.ts')}`;
  return 'Answers and papers of the server';
}

/** Every text with its id, its place (file and line) and the screen it is read on, in the order of screens, files and lines. */
export function everyText() {
  const web = filesIn('web/src/app', ['.ts']).flatMap((f) => fromCode(f, false));
  const pages = filesIn('web/src/app', ['.html']).flatMap((f) => fromTemplate(f, read(f), 0));
  const words = filesIn('words/src', ['.ts']).flatMap((f) => fromCode(f, true));
  const server = filesIn('server/src', ['.ts']).flatMap((f) => fromCode(f, false));
  const order = [...Object.values(STAGES), 'On every screen'];
  const rank = ({ screen }) => (order.includes(screen) ? order.indexOf(screen) : screen.startsWith('In') ? 50 : 60);
  const line = ({ place }) => Number(place.split(':')[1]);
  const file = ({ place }) => place.split(':')[0];
  return [...web, ...pages, ...words, ...server].sort(
    (a, b) => rank(a) - rank(b) || a.screen.localeCompare(b.screen) || file(a).localeCompare(file(b)) || line(a) - line(b),
  );
}
