// A check width against the outline it was read on: how sure two widths make it, and drawing it as it was read. By hand.
import { bounds } from '../shape/index.js';
import type { Reading, Target } from '../quantity/index.js';
import { acceptReading, arrivedAnatomy, drawAsRead, offDrawing, outlineAt, type Anatomy } from './index.js';

const base = (): Anatomy => arrivedAnatomy({ kind: 'bolt-on solid', handed: 'right', strings: null, cover: 'guard', sizes: {}, fitted: null });
const window = (a: Anatomy): Target => ({ quantity: 'checkWidthAcross', feature: 'cover', part: a.positions[0]!.opening });

function read(a: Anatomy, across: number, along: number): Anatomy {
  const one = (quantity: 'checkWidthAcross' | 'checkWidthAlong', value: number): Reading => ({
    id: quantity,
    instrument: 'i',
    target: { ...window(a), quantity },
    value,
    limit: 0.05,
    raw: String(value),
    tool: 't',
    person: 'p',
    at: '2026-01-01T00:00:00Z',
    blind: false,
    survey: null,
    corrects: null,
  });
  return acceptReading(acceptReading(a, one('checkWidthAcross', across), []), one('checkWidthAlong', along), []);
}

const outline = (a: Anatomy) => outlineAt(a, 'cover', a.positions[0]!.opening)!;

describe('two check widths of a typical window of 70 × 39 ± 1', () => {
  it('make it as sure as they are where it is drawn as they were read', () => {
    expect([outline(read(base(), 70, 39)).limit, outline(read(base(), 70, 39)).basis.kind]).toEqual([0.05, 'readings']);
  });

  it('make it no surer than the drawing differs from them', () => {
    // 70.3 read, 70 drawn: an edge may be 0.3 off, and the reading 0.05
    expect(outline(read(base(), 70.3, 39)).limit).toBeCloseTo(0.35, 9);
    // 71.1: more than the ± 1 that it has anyway
    const off = read(base(), 71.1, 39);
    expect([outline(off).limit, outline(off).basis.kind]).toEqual([1, 'default']);
  });

  it('say by how much the drawing is off, and it is drawn as read about its middle', () => {
    const off = read(base(), 71.1, 39);
    expect(offDrawing(off, window(off))).toEqual({ drawn: 70, read: 71.1 });
    const drawn = drawAsRead(off, window(off));
    expect(offDrawing(drawn, window(drawn))).toBeNull();
    const [was, is] = [bounds([outline(off).outline]), bounds([outline(drawn).outline])];
    expect([is.minX, is.maxX]).toEqual([-35.55, 35.55]);
    expect([is.minY, is.maxY]).toEqual([was.minY, was.maxY]);
    expect([outline(drawn).limit, outline(drawn).basis.kind]).toEqual([0.05, 'readings']);
  });

  it('of which one is read: the other side keeps its doubt', () => {
    const a = base();
    const half = acceptReading(a, { ...({} as Reading), id: 'x', target: window(a), value: 71.1, limit: 0.05, corrects: null }, []);
    const drawn = drawAsRead(half, window(a));
    expect(bounds([outline(drawn).outline]).maxX).toBe(35.55);
    expect([outline(drawn).limit, outline(drawn).basis.kind]).toEqual([1, 'default']);
    expect(offDrawing(a, window(a))).toBeNull();
  });
});
