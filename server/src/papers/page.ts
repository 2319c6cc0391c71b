import { createRequire } from 'node:module';
import path from 'node:path';
import PDFDocument from 'pdfkit';

export type Doc = InstanceType<typeof PDFDocument>;
export type Weight = '400' | '600';

/** A4, points [std: ISO 216]. */
export const PAGE = { width: 595.28, height: 841.89, margin: 42, foot: 30 } as const;
export const INNER = PAGE.width - 2 * PAGE.margin;

/** A piece of a page that is never cut in two: how high it is, points, and how it is drawn from its top. */
export interface Row {
  readonly height: number;
  readonly draw: (top: number) => void;
  /** It stands on the page of the one after it. */
  readonly withNext?: boolean;
}

const FONTS = path.join(path.dirname(createRequire(import.meta.url).resolve('@fontsource/ibm-plex-sans/package.json')), 'files');
/** The ranges into which the shipped font is cut; what none of them has is set in the first. */
const CUTS: readonly (readonly [string, RegExp])[] = [
  ['latin-ext', /[\u0100-\u02AF\u1E00-\u1EFF]/],
  ['greek', /[\u0370-\u03FF]/],
  ['cyrillic', /[\u0400-\u045F\u0490-\u0491]/],
];

/** An empty document of the workshop: its fonts by range and weight, and its bytes once it is ended. `made`: ISO 8601; the same paper gives the same bytes. */
export function shopDocument(title: string, made: string, layout: PDFKit.PDFDocumentOptions): { readonly doc: Doc; readonly whole: Promise<Buffer> } {
  const info = { Title: title, CreationDate: new Date(made), Producer: 'rinnovo', Creator: 'rinnovo' };
  const doc = new PDFDocument({ ...layout, info });
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
  return { doc, whole };
}

/** An empty paper, A4. */
export function newDocument(title: string, made: string): { readonly doc: Doc; readonly whole: Promise<Buffer> } {
  const paper = shopDocument(title, made, { size: 'A4', margin: PAGE.margin, bufferPages: true });
  paper.doc.fillColor('#111');
  return paper;
}

/** Where a text goes and how it looks, points. */
export interface Setting {
  readonly x: number;
  readonly width: number;
  readonly size: number;
  readonly weight?: Weight;
  readonly align?: 'left' | 'right';
}

/** How high a text stands in its column, points. */
export function heightOf(doc: Doc, text: string, { width, size, weight = '400' }: Setting): number {
  return doc.font(`latin ${weight}`).fontSize(size).heightOfString(inThisFont(text), { width });
}

/** Writes a text from a top on, in as many pieces as it needs cuts of the font. */
export function write(doc: Doc, text: string, top: number, { x, width, size, weight = '400', align = 'left' }: Setting): void {
  const pieces = cut(inThisFont(text));
  doc.fontSize(size);
  pieces.forEach(([name, piece], i) => {
    const options = { continued: i < pieces.length - 1, width, align };
    doc.font(`${name} ${weight}`);
    if (i === 0) doc.text(piece, x, top, options);
    else doc.text(piece, options);
  });
}

/** The paper's font has no narrow no-break space, boxes and arrows: what is like them stands there instead. */
function inThisFont(text: string): string {
  return text.replaceAll('\u202f', '\u2009').replaceAll('□', '[  ]').replaceAll('✓', '[x]');
}

function cut(text: string): readonly (readonly [string, string])[] {
  const out: [string, string][] = [];
  for (const c of text) {
    const name = CUTS.find(([, has]) => has.test(c))?.[0] ?? 'latin';
    const last = out.at(-1);
    // only the first cut has a space: one in another cut is no glyph at all
    if (last?.[0] === name) last[1] += c;
    else out.push([name, c]);
  }
  return out.length === 0 ? [['latin', ' ']] : out;
}
