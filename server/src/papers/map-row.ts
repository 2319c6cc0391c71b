import { layersOf, outlineAsSeen, seenSide, toBody, type SeenAs } from '@rinnovo/core/instrument';
import { bounds, pathData, type Outline } from '@rinnovo/core/shape';
import { handText, type PaperMap } from '@rinnovo/words';
import { INNER, PAGE, write, type Doc, type Row } from './page.js';

/** Height of the drawings at most, and room between two, points. */
const HIGH = 236;
const BETWEEN = 14;
/** Points in a millimetre. */
const MM = 72 / 25.4;
/** Scales that a drawing is read at: one to so many. */
const SCALES = [1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 15, 20];

const seenOf = ({ anatomy, face }: PaperMap): SeenAs => ({ handed: anatomy.handed, face, mirrored: false });
const linesOf = ({ anatomy, face }: PaperMap): readonly Outline[] => layersOf(anatomy, face).flatMap((l) => l.outlines.map((o) => o.outline));

/** Drawings side by side, all to one scale, with their numbers; null where nothing is drawn. */
export function mapRow(doc: Doc, maps: readonly PaperMap[]): Row | null {
  const drawn = maps.map((map) => ({ map, lines: linesOf(map) })).filter((d) => d.lines.length > 0);
  if (drawn.length === 0) return null;
  const cell = (INNER - (drawn.length - 1) * BETWEEN) / drawn.length;
  const boxes = drawn.map((d) => bounds(d.lines));
  const fits = (scale: number): boolean => boxes.every((b) => ((b.maxX - b.minX) * MM) / scale <= cell && ((b.maxY - b.minY) * MM) / scale <= HIGH);
  const scale = SCALES.find(fits) ?? Math.max(...boxes.map((b) => Math.max(((b.maxX - b.minX) * MM) / cell, ((b.maxY - b.minY) * MM) / HIGH)));
  const k = MM / scale;
  const high = Math.max(...boxes.map((b) => (b.maxY - b.minY) * k));
  const draw = (top: number): void => {
    drawn.forEach(({ map, lines }, i) => {
      const left = PAGE.margin + i * (cell + BETWEEN);
      const b = boxes[i] ?? { minX: 0, maxX: 0, minY: 0, maxY: 0 };
      doc.save();
      doc.translate(left + cell / 2 - (k * (b.minX + b.maxX)) / 2, top - k * b.minY).scale(k);
      doc.lineWidth(0.6 / k);
      for (const o of lines) doc.path(pathData(o)).stroke('#333');
      doc.lineWidth(2 / k);
      for (const o of heavyOf(map)) doc.path(pathData(o)).stroke('#000');
      for (const m of map.marks) number(doc, seenSide(seenOf(map)) * m.x, m.y, m.text, k);
      doc.restore();
      doc.fillColor('#111');
      write(doc, `${map.caption}, 1 : ${Number(scale.toFixed(1))}. ${handText(seenOf(map))}`, top + high + 4, { x: left, width: cell, size: 8 });
    });
  };
  return { height: high + 28, draw };
}

function heavyOf(map: PaperMap): readonly Outline[] {
  const { anatomy, heavy } = map;
  return anatomy.cavities.flatMap((c) =>
    c.levels.filter((p) => heavy.has(`${c.id}/${p.id}`)).map((p) => outlineAsSeen(toBody(anatomy, c.frame, p.outline.outline), seenOf(map))),
  );
}

/** A number in a ring, as large on the paper whatever the scale. */
function number(doc: Doc, x: number, y: number, text: string, k: number): void {
  const r = 7 / k;
  doc
    .circle(x, y, r)
    .lineWidth(1 / k)
    .fillAndStroke('#fff', '#a00');
  doc
    .fillColor('#a00')
    .font('latin 600')
    .fontSize(8 / k)
    .text(text, x - r, y - 5 / k, { width: 2 * r, align: 'center', lineBreak: false });
}
