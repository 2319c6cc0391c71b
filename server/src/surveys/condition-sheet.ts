import { createRequire } from 'node:module';
import path from 'node:path';
import { layersOf, seenSide, type Anatomy } from '@rinnovo/core/instrument';
import { bounds, pathData } from '@rinnovo/core/shape';
import { handText, type ConditionSheet } from '@rinnovo/words';
import PDFDocument from 'pdfkit';

const FONTS = path.join(path.dirname(createRequire(import.meta.url).resolve('@fontsource/ibm-plex-sans/package.json')), 'files');
/** The ranges into which the shipped font is cut; what none of them has is set in the first. */
const CUTS: readonly (readonly [string, RegExp])[] = [
  ['latin-ext', /[\u0100-\u02AF\u1E00-\u1EFF]/],
  ['greek', /[\u0370-\u03FF]/],
  ['cyrillic', /[\u0400-\u045F\u0490-\u0491]/],
];

const PAGE = { width: 595.28, height: 841.89, margin: 42 };
const INNER = PAGE.width - 2 * PAGE.margin;
/** Height of the map on the sheet, points. */
const MAP = 260;

type Doc = InstanceType<typeof PDFDocument>;

/** A condition sheet as a PDF on A4; the same survey gives the same bytes. `made`: ISO 8601. */
export function conditionSheetPdf(words: ConditionSheet, anatomy: Anatomy, made: string): Promise<Buffer> {
  const sheet = inThisFont(words);
  const doc = new PDFDocument({
    size: 'A4',
    margin: PAGE.margin,
    bufferPages: true,
    info: { Title: sheet.title, CreationDate: new Date(made), Producer: 'rinnovo', Creator: 'rinnovo' },
  });
  for (const weight of ['400', '600'])
    for (const cut of ['latin', ...CUTS.map(([name]) => name)])
      doc.registerFont(`${cut} ${weight}`, path.join(FONTS, `ibm-plex-sans-${cut}-${weight}-normal.woff`));
  const chunks: Buffer[] = [];
  const whole = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (c: Buffer) => chunks.push(c));
    doc.on('end', () => {
      resolve(Buffer.concat(chunks));
    });
    doc.on('error', reject);
  });
  doc.fillColor('#111');
  line(doc, sheet.title, 18, '600');
  doc.moveDown(0.4);
  pairs(doc, [...sheet.identity, ...sheet.conditions]);
  heading(doc, 'Findings');
  map(doc, sheet, anatomy);
  if (sheet.findings.length === 0) line(doc, 'Every reading is within its target.', 9);
  for (const [i, f] of sheet.findings.entries()) {
    room(doc, 26);
    line(doc, `${i + 1}  ${f.text} (${f.severity})`, 9, '600');
    if (f.detail !== '') line(doc, f.detail, 8.5);
  }
  heading(doc, `Readings (${sheet.readings.length})`);
  table(
    doc,
    ['Reading', 'Value', 'Target', 'Result', 'Person and time'],
    [176, 74, 100, 84, INNER - 434],
    sheet.readings.map((r) => [r.what, r.value, r.target, r.result, r.by]),
  );
  if (sheet.skipped.length > 0) {
    heading(doc, 'Not measured');
    for (const [what, reason] of sheet.skipped) {
      room(doc, 14);
      line(doc, `${what}: ${reason}`, 9);
    }
  }
  room(doc, 50);
  doc.moveDown(1.5);
  line(doc, sheet.signature, 10, '600');
  footers(doc, sheet.title);
  doc.end();
  return whole;
}

/** The paper's font has no narrow no-break space and would draw a box for it: a thin space stands there instead. */
function inThisFont<T>(value: T): T {
  if (typeof value === 'string') return value.replaceAll('\u202f', '\u2009') as T;
  if (Array.isArray(value)) return value.map(inThisFont) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, inThisFont(v as unknown)])) as T;
}

/** One text in as many pieces as it needs cuts of the font. */
function line(
  doc: Doc,
  text: string,
  size: number,
  weight: '400' | '600' = '400',
  at?: { readonly x: number; readonly y: number; readonly width: number },
): void {
  const pieces = cut(text);
  doc.fontSize(size);
  pieces.forEach(([name, piece], i) => {
    const options = { continued: i < pieces.length - 1, width: at?.width ?? INNER };
    doc.font(`${name} ${weight}`);
    if (i === 0 && at) doc.text(piece, at.x, at.y, options);
    else doc.text(piece, options);
  });
}

function cut(text: string): readonly (readonly [string, string])[] {
  const out: [string, string][] = [];
  for (const c of text) {
    const name = CUTS.find(([, has]) => has.test(c))?.[0] ?? 'latin';
    const last = out.at(-1);
    if (last?.[0] === name || (last && c === ' ')) last[1] += c;
    else out.push([name, c]);
  }
  return out.length === 0 ? [['latin', ' ']] : out;
}

/** A new page where less than this is left, points. */
function room(doc: Doc, height: number): void {
  if (doc.y + height <= PAGE.height - PAGE.margin - 20) return;
  doc.addPage();
  doc.y = PAGE.margin;
}

function heading(doc: Doc, text: string): void {
  room(doc, 40);
  doc.x = PAGE.margin;
  doc.moveDown(0.8);
  line(doc, text, 12, '600', { x: PAGE.margin, y: doc.y, width: INNER });
  doc.moveDown(0.2);
}

function pairs(doc: Doc, list: readonly (readonly [string, string])[]): void {
  const half = INNER / 2;
  for (let i = 0; i < list.length; i += 2) {
    room(doc, 16);
    const top = doc.y;
    const ends = [0, 1].map((k) => {
      const [label, value] = list[i + k] ?? ['', ''];
      if (label === '') return top;
      line(doc, label, 8.5, '400', { x: PAGE.margin + k * half, y: top, width: 100 });
      line(doc, value, 9, '600', { x: PAGE.margin + k * half + 102, y: top, width: half - 110 });
      return doc.y;
    });
    doc.y = Math.max(top + 13, ...ends);
  }
  doc.x = PAGE.margin;
}

function map(doc: Doc, sheet: ConditionSheet, anatomy: Anatomy): void {
  const outlines = layersOf(anatomy, 'top').flatMap((l) => l.outlines);
  if (outlines.length === 0) return;
  room(doc, MAP + 24);
  const seen = { handed: anatomy.handed, face: 'top', mirrored: false } as const;
  line(doc, handText(seen), 8.5);
  const b = bounds(outlines.map((o) => o.outline));
  const scale = Math.min(MAP / (b.maxY - b.minY), INNER / (b.maxX - b.minX));
  const top = doc.y + 4;
  doc.save();
  doc.translate(PAGE.margin + INNER / 2 - (scale * (b.minX + b.maxX)) / 2, top - scale * b.minY).scale(scale);
  doc.lineWidth(0.6 / scale);
  for (const o of outlines) doc.path(pathData(o.outline)).stroke('#333');
  for (const [i, f] of sheet.findings.entries()) {
    if (!f.at) continue;
    const r = 7 / scale;
    const x = seenSide(seen) * f.at.x;
    doc
      .circle(x, f.at.y, r)
      .lineWidth(1 / scale)
      .fillAndStroke('#fff', '#a00');
    doc
      .fillColor('#a00')
      .font('latin 600')
      .fontSize(8 / scale)
      .text(String(i + 1), x - r, f.at.y - 5 / scale, { width: 2 * r, align: 'center', lineBreak: false });
  }
  doc.restore();
  doc.fillColor('#111');
  doc.x = PAGE.margin;
  doc.y = top + MAP + 8;
}

function table(doc: Doc, head: readonly string[], widths: readonly number[], rows: readonly (readonly string[])[]): void {
  const draw = (cells: readonly string[], weight: '400' | '600'): void => {
    doc.font(`latin ${weight}`).fontSize(8);
    const height = Math.max(...cells.map((c, i) => doc.heightOfString(c, { width: (widths[i] ?? 60) - 6 }))) + 4;
    room(doc, height);
    const top = doc.y;
    let x = PAGE.margin;
    for (const [i, c] of cells.entries()) {
      if (c !== '') line(doc, c, 8, weight, { x, y: top, width: (widths[i] ?? 60) - 6 });
      x += widths[i] ?? 60;
    }
    doc.y = top + height;
    doc
      .moveTo(PAGE.margin, doc.y - 2)
      .lineTo(PAGE.margin + INNER, doc.y - 2)
      .lineWidth(0.3)
      .stroke('#bbb');
  };
  draw(head, '600');
  for (const r of rows) draw(r, '400');
  doc.x = PAGE.margin;
}

function footers(doc: Doc, title: string): void {
  const { start, count } = doc.bufferedPageRange();
  for (let i = start; i < start + count; i++) {
    doc.switchToPage(i);
    // below the margin a text would begin a page of its own
    doc.page.margins.bottom = 0;
    line(doc, `${title}, page ${i + 1} of ${count}`, 7.5, '400', { x: PAGE.margin, y: PAGE.height - 30, width: INNER });
  }
}
