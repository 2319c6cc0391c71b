import type { Bounds, Point } from '@rinnovo/core/shape';

/** A name and the thing it stands by, mm. */
export interface Label {
  readonly id: string;
  readonly text: string;
  readonly box: Bounds;
}

/** Where a name's middle is. */
export interface PlacedLabel extends Point {
  readonly id: string;
  readonly text: string;
}

/** Width of a letter of the condensed face with slack, and the height of a line, as shares of the letter size; that drawn names do not meet is checked in the browser. */
const LETTER = 0.47;
const LINE = 1.32;

/**
 * Names that do not lie on one another: each in its thing where there is room beside smaller ones, else below, above or beside it; where all is taken it is left out.
 * The largest things come first. `size` is that of the letters, mm.
 */
export function placeLabels(labels: readonly Label[], size: number): readonly PlacedLabel[] {
  const taken: Bounds[] = [];
  const out: PlacedLabel[] = [];
  for (const { id, text, box } of [...labels].sort((a, b) => area(b.box) - area(a.box))) {
    const [w, h] = [text.length * LETTER * size, LINE * size];
    const middle = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
    const roomy = box.maxX - box.minX >= w && box.maxY - box.minY >= h;
    const beside = [
      { x: middle.x, y: box.maxY + h / 2 },
      { x: middle.x, y: box.minY - h / 2 },
      { x: box.maxX + w / 2 + size / 3, y: middle.y },
      { x: box.minX - w / 2 - size / 3, y: middle.y },
    ];
    const inside = [middle, { x: middle.x, y: box.minY + h / 2 }, { x: middle.x, y: box.maxY - h / 2 }];
    // a name over something smaller would seem to be that one's
    const smaller = labels.filter((l) => l.id !== id && area(l.box) < area(box)).map((l) => l.box);
    const own = (roomy ? inside : []).filter((p) => smaller.every((s) => apart(s, around(p, w, h))));
    const free = [...own, ...beside].find((p) => taken.every((t) => apart(t, around(p, w, h))));
    if (!free) continue;
    taken.push(around(free, w, h));
    out.push({ id, text, ...free });
  }
  return out;
}

function around(p: Point, w: number, h: number): Bounds {
  return { minX: p.x - w / 2, maxX: p.x + w / 2, minY: p.y - h / 2, maxY: p.y + h / 2 };
}

function apart(a: Bounds, b: Bounds): boolean {
  return a.maxX <= b.minX || b.maxX <= a.minX || a.maxY <= b.minY || b.maxY <= a.minY;
}

function area(b: Bounds): number {
  return (b.maxX - b.minX) * (b.maxY - b.minY);
}
