import type { Paper } from '@rinnovo/words';
import { heightOf, INNER, newDocument, PAGE, write, type Doc, type Row } from './page.js';
import { asOne, pairRows, rowsOf } from './rows.js';

/** A paper as a PDF on A4: who and what at its head, its blocks in their order, and on every page what it is of and which of how many it is. `made`: ISO 8601. */
export function paperPdf(paper: Paper, made: string): Promise<Buffer> {
  const { doc, whole } = newDocument(`${paper.title}: ${paper.head.instrument}`, made);
  let y = headOn(doc, paper);
  const bottom = PAGE.height - PAGE.margin - PAGE.foot / 2;
  for (const row of kept(paper.blocks.flatMap((b) => rowsOf(doc, b)))) {
    if (y + row.height > bottom && y > PAGE.margin) {
      doc.addPage();
      y = PAGE.margin;
    }
    row.draw(y);
    y += row.height;
  }
  feet(doc, paper);
  doc.end();
  return whole;
}

/** Rows that want to stand with the next one, as one with it. */
function kept(rows: readonly Row[]): readonly Row[] {
  const out: Row[] = [];
  let waiting: Row[] = [];
  for (const row of rows) {
    waiting.push(row);
    if (row.withNext) continue;
    out.push(asOne(waiting));
    waiting = [];
  }
  return waiting.length > 0 ? [...out, asOne(waiting)] : out;
}

/** The head of the first page; ends in where it ends. */
function headOn(doc: Doc, { title, head }: Paper): number {
  const half = INNER / 2;
  let y: number = PAGE.margin;
  const left = { x: PAGE.margin, width: half, size: 11, weight: '600' } as const;
  const right = { x: PAGE.margin + half, width: half, size: 9, align: 'right' } as const;
  write(doc, head.date, y, right);
  if (head.workshop !== '') {
    write(doc, head.workshop, y, left);
    y += heightOf(doc, head.workshop, left) + 1;
  }
  if (head.address !== '') {
    const small = { x: PAGE.margin, width: half, size: 8.5 };
    write(doc, head.address, y, small);
    y += heightOf(doc, head.address, small);
  }
  y += head.workshop === '' && head.address === '' ? 0 : 10;
  const big = { x: PAGE.margin, width: INNER * 0.7, size: 18, weight: '600' } as const;
  write(doc, title, y, big);
  y += heightOf(doc, title, big) + 4;
  const who: readonly (readonly [string, string])[] = [['Instrument', head.instrument], ...(head.owner === '' ? [] : [['Owner', head.owner] as const])];
  const pairs = asOne(pairRows(doc, [...who, ...head.about]));
  pairs.draw(y);
  return y + pairs.height + 4;
}

function feet(doc: Doc, { title, head }: Paper): void {
  const { start, count } = doc.bufferedPageRange();
  const of = [title, head.instrument, head.owner, head.workshop, head.date].filter(Boolean).join(' · ');
  for (let i = start; i < start + count; i++) {
    doc.switchToPage(i);
    // below the margin a text would begin a page of its own
    doc.page.margins.bottom = 0;
    const y = PAGE.height - PAGE.foot;
    write(doc, of, y, { x: PAGE.margin, width: INNER - 80, size: 7.5 });
    write(doc, `page ${i + 1} of ${count}`, y, { x: PAGE.margin + INNER - 80, width: 80, size: 7.5, align: 'right' });
  }
}
