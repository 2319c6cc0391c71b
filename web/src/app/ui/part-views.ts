import { isPickup, type Hardware, type Part, type SizeId } from '@rinnovo/core/part';
import { bounds, circle, type Outline } from '@rinnovo/core/shape';

/** A piece of a part as seen from the side: the face lies at 0, below is positive, mm. */
export interface SidePiece {
  readonly from: number;
  readonly to: number;
  readonly top: number;
  readonly bottom: number;
  readonly look: 'metal' | 'body' | 'open';
}

/** A length drawn beside a view: from one end to the other, at an offset that is negative above or left of it. */
export interface DimensionLine {
  readonly along: 'x' | 'y';
  readonly from: number;
  readonly to: number;
  readonly at: number;
  readonly size: string;
}

/** A part to scale: its outlines from above, and its pieces from the side, each with the lengths that matter. */
export interface PartViews {
  readonly plan: readonly { readonly outline: Outline; readonly look: 'edge' | 'opening' | 'hidden' | 'screw' }[];
  readonly side: readonly SidePiece[];
  readonly lines: readonly DimensionLine[];
}

const box = (width: number, top: number, bottom: number, look: SidePiece['look'], x = 0): SidePiece => ({
  from: x - width / 2,
  to: x + width / 2,
  top,
  bottom,
  look,
});

/** What can be drawn of a part from what is known of it. */
export function viewsOf(part: Part): PartViews {
  if (isPickup(part)) {
    const side = part.tiers.flatMap((l) =>
      l.shapes.map((s): SidePiece => {
        const b = bounds([s.outline]);
        return { from: b.minX, to: b.maxX, top: l.from, bottom: l.lowest.value, look: l.id === 'cover' ? 'body' : 'metal' };
      }),
    );
    const screws = part.screws.at.map((s) => box(part.screws.diameter, -2, part.screws.lowest.value, 'metal', s.x));
    const poles = part.poles.rows.flatMap((y) =>
      [-1, 1].map((s) => circle(part.sizes?.poleDiameter?.value ?? 4.5, { x: (s * part.poles.spacing.value) / 2, y })),
    );
    return {
      plan: [
        ...part.tiers.flatMap((l) => l.shapes.map((s) => ({ outline: s.outline, look: l.id === 'cover' ? ('edge' as const) : ('hidden' as const) }))),
        ...poles.map((outline) => ({ outline, look: 'screw' as const })),
        ...part.screws.at.map((s) => ({ outline: circle(part.screws.diameter, s), look: 'screw' as const })),
      ],
      side: [...side, ...screws],
      lines: sideLines([...side, ...screws], part.screws.lowest.value),
    };
  }
  const side = sideOf(part);
  return {
    plan: part.shape
      ? [
          { outline: part.shape.outline.outline, look: 'edge' },
          ...part.shape.openings.map((o) => ({ outline: o.shape.outline, look: 'opening' as const })),
          ...part.shape.screws.map((s) => ({ outline: circle(3, s), look: 'screw' as const })),
        ]
      : [],
    side,
    lines: side.length > 0 ? sideLines(side, Math.max(...side.map((p) => p.bottom))) : [],
  };
}

function sideLines(pieces: readonly SidePiece[], lowest: number): readonly DimensionLine[] {
  const [left, right] = [Math.min(...pieces.map((p) => p.from)), Math.max(...pieces.map((p) => p.to))];
  return [
    { along: 'x', from: left, to: right, at: lowest + 5, size: 'over all' },
    ...(lowest > 0 ? [{ along: 'y' as const, from: 0, to: lowest, at: right + 5, size: 'below' }] : []),
  ];
}

/** The pieces of a part that goes through a face, by its known sizes. */
function sideOf(part: Hardware): readonly SidePiece[] {
  const mm = (id: SizeId): number | null => part.sizes[id]?.value ?? null;
  const out: SidePiece[] = [];
  const add = (width: number | null, top: number, bottom: number, look: SidePiece['look']): void => {
    if (width !== null && bottom > top) out.push(box(width, top, bottom, look));
  };
  const bushing = mm('bushing') ?? mm('outer') ?? mm('diameter');
  const thread = mm('threadLength');
  const length = mm('length');
  if (length !== null) {
    const head = mm('flange') ?? mm('head');
    add(head, -2.5, 0, 'metal');
    add(bushing, 0, length, 'metal');
    add(mm('stringHole'), 0, length, 'open');
  } else if (bushing !== null) add(bushing, -(thread ?? 8), 0, 'metal');
  add(mm('washer') ?? mm('flange'), thread === null ? -1.5 : -thread * 0.4, thread === null ? 0 : -thread * 0.4 + 2, 'metal');
  add(mm('knob'), -(thread ?? 8) - 14, -(thread ?? 8), 'body');
  add(mm('shaft'), -(thread ?? 8) - 6, -(thread ?? 8), 'metal');
  add(mm('body') ?? mm('bodyLength') ?? mm('slotLength'), 0, mm('depthBelow') ?? 12, 'body');
  if (part.shape && out.length === 0) {
    const b = bounds([part.shape.outline.outline]);
    out.push({ from: b.minX, to: b.maxX, top: -(mm('thickness') ?? 2), bottom: 0, look: 'metal' });
  }
  return out;
}
