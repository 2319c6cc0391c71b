import { pathData } from '@rinnovo/core/shape';
import { PAPERS, RULE, SHEET, tilesFor, type PaperId, type TemplateDrawing, type TemplateLayer, type Tile, type Tiling, wholeOf } from '@rinnovo/core/cut';
import { fixed, seenText } from '@rinnovo/words';
import { shopDocument, type Doc } from '../papers/page.js';

/** Points in a millimetre. */
const MM = 72 / 25.4;

/** How each layer is drawn: width in mm, and a dash. */
const LOOKS: Readonly<Record<TemplateLayer, { readonly width: number; readonly dash?: number }>> = {
  route: { width: 0.35 },
  wells: { width: 0.25 },
  'old cavity': { width: 0.18, dash: 1.5 },
  plate: { width: 0.25, dash: 4 },
  openings: { width: 0.18, dash: 4 },
  screws: { width: 0.18 },
  panel: { width: 0.3 },
  holes: { width: 0.25 },
};

/** Lines to align by, mm. */
const LINE = 0.15;

/** What is printed beside the drawing, and by how much each axis is drawn larger. */
export interface TemplatePrint {
  readonly paper: PaperId;
  readonly title: string;
  readonly scale: { readonly x: number; readonly y: number };
  /** ISO 8601: the same template gives the same bytes. */
  readonly made: string;
}

/** The document's catalogue, which the library ends itself and does not tell of in its types. */
interface WithRoot {
  readonly _root: { readonly data: { ViewerPreferences?: unknown } };
}

/** A template true to scale as a PDF: sheets with overlap and cross-hairs, a map of them, centre line and bridge line, places to prick through, and 100 mm rules in both directions on every sheet. */
export function templatePdf(drawing: TemplateDrawing, print: TemplatePrint): Promise<Buffer> {
  const [width, height] = PAPERS[print.paper];
  const { doc, whole } = shopDocument(print.title, print.made, { size: [width * MM, height * MM], margin: 0, autoFirstPage: false });
  // the viewer is asked not to fit the page to the paper
  (doc as unknown as WithRoot)._root.data.ViewerPreferences = doc.ref({ PrintScaling: 'None' });
  const tiling = tilesFor(drawing.box, print.paper, wholeOf(drawing));
  for (const tile of tiling.tiles) {
    doc.addPage();
    sheet(doc, drawing, tiling, tile, print);
  }
  doc.end();
  return whole;
}

function sheet(doc: Doc, drawing: TemplateDrawing, tiling: Tiling, tile: Tile, print: TemplatePrint): void {
  const { margin } = SHEET;
  doc.save();
  doc.scale(MM * print.scale.x, MM * print.scale.y);
  doc.rect(margin, margin, tiling.width, tiling.height).clip();
  doc.translate(margin - tile.x, margin - tile.y);
  for (const { layer, outline } of drawing.outlines) {
    const { width, dash } = LOOKS[layer];
    doc.path(pathData(outline)).lineWidth(width);
    if (dash === undefined) doc.undash();
    else doc.dash(dash, { space: dash / 2 });
    doc.strokeColor(layer === 'old cavity' ? '#777' : '#000').stroke();
  }
  doc.undash().strokeColor('#000').lineWidth(LINE);
  for (const l of drawing.lines) {
    doc.dash(6, { space: 1.5 });
    doc.moveTo(l.from.x, l.from.y).lineTo(l.to.x, l.to.y).stroke();
  }
  doc.undash();
  for (const p of drawing.pricks) cross(doc, p.x, p.y, 2.5);
  // the corners that neighbouring sheets share
  for (const x of [tile.x + SHEET.overlap / 2, tile.x + tiling.width - SHEET.overlap / 2])
    for (const y of [tile.y + SHEET.overlap / 2, tile.y + tiling.height - SHEET.overlap / 2]) cross(doc, x, y, 4);
  doc.restore();
  rules(doc, tiling, print);
  words(doc, drawing, tiling, tile, print);
}

function cross(doc: Doc, x: number, y: number, half: number): void {
  doc
    .moveTo(x - half, y)
    .lineTo(x + half, y)
    .moveTo(x, y - half)
    .lineTo(x, y + half)
    .stroke();
}

/** The check rules: their ends are what is measured. */
function rules(doc: Doc, tiling: Tiling, print: TemplatePrint): void {
  const { margin } = SHEET;
  doc.save();
  doc.scale(MM * print.scale.x, MM * print.scale.y);
  doc.lineWidth(0.2).strokeColor('#000');
  const y = margin + tiling.height + 6;
  const x = margin + tiling.width + 6;
  doc.moveTo(margin, y).lineTo(margin + RULE, y);
  doc.moveTo(x, margin).lineTo(x, margin + RULE);
  for (let i = 0; i <= RULE; i += 10) {
    const tick = i % 50 === 0 ? 3 : 1.5;
    doc.moveTo(margin + i, y - tick).lineTo(margin + i, y + tick);
    doc.moveTo(x - tick, margin + i).lineTo(x + tick, margin + i);
  }
  doc.stroke();
  doc.restore();
}

function words(doc: Doc, drawing: TemplateDrawing, tiling: Tiling, tile: Tile, print: TemplatePrint): void {
  const { margin } = SHEET;
  const at = { x: margin * MM, y: (margin + tiling.height + 10.5) * MM };
  const many = tiling.tiles.length > 1 ? ` · sheet ${tile.row + 1}.${tile.column + 1} of ${tiling.rows}.${tiling.columns}` : '';
  const corrected = print.scale.x !== 1 || print.scale.y !== 1 ? ` · corrected × ${fixed(print.scale.x, 4)} across, ${fixed(print.scale.y, 4)} along` : '';
  doc.fillColor('#000').font('latin 600').fontSize(9);
  const { seen } = drawing;
  const hand = `${seenText({ ...seen, mirrored: false })}${seen.mirrored ? ' · MIRRORED' : ''}`;
  doc.text(`${print.title} · ${hand}${many}${corrected}`, at.x, at.y, { width: 150 * MM, lineBreak: false });
  doc.font('latin 400').fontSize(7.5);
  doc.text(
    'Print at 100 %, without fitting to the page. Measure both rules: 100 mm end to end. If not, type the readings and print the corrected sheet.',
    at.x,
    at.y + 12,
    {
      width: 150 * MM,
    },
  );
  doc.fontSize(6.5);
  for (const l of drawing.lines) {
    const [lx, ly] = [l.from.x - tile.x + margin, l.from.y - tile.y + margin];
    if (lx >= margin - 0.1 && lx <= margin + tiling.width && ly >= margin - 0.1 && ly <= margin + tiling.height)
      doc.text(l.name, (lx + 1) * MM, (ly + 0.6) * MM, { lineBreak: false });
  }
  if (tiling.tiles.length > 1) map(doc, tiling, tile);
}

/** Which sheet this is among the others. */
function map(doc: Doc, tiling: Tiling, tile: Tile): void {
  const [w, h] = [5 * MM, 7 * MM];
  const left = (SHEET.margin + tiling.width) * MM - tiling.columns * w;
  const top = (SHEET.margin + tiling.height + 3) * MM;
  doc.lineWidth(0.5);
  for (const t of tiling.tiles) {
    const here = t.row === tile.row && t.column === tile.column;
    doc.rect(left + t.column * w, top + t.row * h * 0.6, w, h * 0.6);
    if (here) doc.fillAndStroke('#bbb', '#000');
    else doc.stroke();
  }
  doc.fillColor('#000');
}
