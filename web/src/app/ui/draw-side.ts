import { sideShadows, sideStrip, type Anatomy } from '@rinnovo/core/instrument';
import { circle, pathData } from '@rinnovo/core/shape';
import { UNKNOWN_HOLE, type DrawnPath, type Frame } from './drawing';

/** The body from the side: across its depth from the top, along as on every face; what is inside is hidden. */
export function drawSide(a: Anatomy): readonly DrawnPath[] {
  const { depth, from, to } = sideStrip(a);
  return [
    { id: 'body', kind: 'body', d: `M0 ${from}H${depth}V${to}H0Z`, title: 'Body from the side: the top is at the left' },
    ...sideShadows(a).map((s): DrawnPath => ({ id: s.id, kind: 'hidden', d: `M${s.from} ${s.along[0]}H${s.to}V${s.along[1]}H${s.from}Z`, title: s.name })),
    ...a.holes
      .filter((h) => h.face === 'side')
      .map((h): DrawnPath => ({ id: h.id, kind: 'hole', d: pathData(circle(h.diameter?.value ?? UNKNOWN_HOLE, h.at)), title: h.name })),
  ];
}

/** The strip with some room round it. */
export function frameOfSide(a: Anatomy): Frame {
  const { depth, from, to } = sideStrip(a);
  return { x: -24, y: from - 24, width: depth + 48, height: to - from + 48 };
}
