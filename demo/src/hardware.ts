import { typicalHardware } from '@rinnovo/core/house';
import type { Dimension } from '@rinnovo/core/measure';
import type { Hardware, HardwareKind, PartOutline, PartShape, SizeId } from '@rinnovo/core/part';
import { circle, roundedRectangle, stadium, type Outline } from '@rinnovo/core/shape';
import { ids } from './ids.js';

type Sizes = Readonly<Partial<Record<SizeId, number>>>;

/** A part as the workshop measured it with a calliper; what is not stated stays as it usually is. */
interface Sold {
  readonly n: number;
  readonly kind: HardwareKind;
  readonly name: string;
  readonly price: number;
}

function part({ n, kind, name, price }: Sold, sizes: Sizes, more: Partial<Hardware> = {}): Hardware {
  const id = ids.part(n);
  const typical = typicalHardware(kind, id, name, more.gauge ?? null);
  const read = Object.entries(sizes).map(([size, value]): [string, Dimension] => [size, { value, limit: 0.05, basis: { kind: 'measured', tool: 'calliper' } }]);
  return { ...typical, sizes: { ...typical.sizes, ...Object.fromEntries(read) }, price, ...more };
}

const drawn = (outline: Outline): PartOutline => ({ outline, limit: 0.1, basis: { kind: 'measured', tool: 'calliper' } });
const shaped = (outline: Outline, more: Partial<Omit<PartShape, 'outline'>> = {}): PartShape => ({
  outline: drawn(outline),
  openings: [],
  screws: [],
  ...more,
});
const corners = (x: number, y: number, gauge: number): PartShape['screws'] => [-x, x].flatMap((a) => [-y, y].map((b) => ({ x: a, y: b, gauge })));

/** The parts of the invented workshop that are no pickups: all generic. */
export const hardware: readonly Hardware[] = [
  part(
    { n: 1, kind: 'pot', name: 'Pot 500 k, long bushing', price: 620 },
    { bushing: 9.4, threadLength: 9.5, body: 24.1, depthBelow: 13.2, shaft: 6, washer: 14.2, knob: 19 },
    { thread: '3/8-32', kiloohms: 500, traits: { shaftEnd: 'split', taper: 'audio' }, leadDays: 4 },
  ),
  part(
    { n: 2, kind: 'pot', name: 'Pot 500 k, short bushing', price: 590 },
    { bushing: 9.4, threadLength: 6, body: 24.1, depthBelow: 12.8, shaft: 6, washer: 14.2, knob: 19 },
    { thread: '3/8-32', kiloohms: 500, traits: { shaftEnd: 'split', taper: 'linear' }, leadDays: 4 },
  ),
  part(
    { n: 3, kind: 'pot', name: 'Small pot 250 k', price: 410 },
    { bushing: 7, threadLength: 9.5, body: 16.2, depthBelow: 11, shaft: 6, washer: 11, knob: 16 },
    { thread: 'M7 × 0.75', kiloohms: 250, traits: { shaftEnd: 'split', taper: 'audio' } },
  ),
  part(
    { n: 4, kind: 'push-pull pot', name: 'Push-pull pot 500 k', price: 1450 },
    { bushing: 9.4, threadLength: 9.5, body: 24.3, depthBelow: 31, shaft: 6, washer: 14.2, knob: 19 },
    { thread: '3/8-32', kiloohms: 500, traits: { shaftEnd: 'split' }, leadDays: 6 },
  ),
  part(
    { n: 5, kind: 'lever switch', name: 'Lever switch, open frame', price: 1900 },
    { slotLength: 28, slotWidth: 1.8, screwSpacing: 41.3, bodyLength: 55, bodyWidth: 13, depthBelow: 36 },
    { thread: '6-32' },
  ),
  part(
    { n: 6, kind: 'lever switch', name: 'Lever switch, boxed', price: 850 },
    { slotLength: 28, slotWidth: 2, screwSpacing: 41.3, bodyLength: 50, bodyWidth: 18, depthBelow: 27 },
    { thread: 'M3.5' },
  ),
  part(
    { n: 7, kind: 'toggle switch', name: 'Toggle, short body', price: 2100 },
    { bushing: 11.8, threadLength: 11, washer: 17, body: 26, depthBelow: 28 },
    { thread: '15/32-32' },
  ),
  part(
    { n: 8, kind: 'mini toggle', name: 'Mini toggle', price: 380 },
    { bushing: 6.3, threadLength: 8, washer: 9, bodyLength: 13, bodyWidth: 12, depthBelow: 14 },
    { thread: '1/4-40' },
  ),
  part(
    { n: 9, kind: 'jack', name: 'Jack, open frame', price: 540 },
    { bushing: 9.4, threadLength: 8, washer: 13, body: 23, depthBelow: 24, leafSwing: 7, plugInside: 31 },
    { thread: '3/8-32', traits: { wiring: 'mono' } },
  ),
  part(
    { n: 10, kind: 'ring', name: 'Ring, two-coil, flat low', price: 320 },
    { thickness: 4 },
    {
      shape: shaped(roundedRectangle(90, 45, 4), { openings: [{ id: 'window', shape: drawn(roundedRectangle(70.2, 39.2, 3)) }], screws: corners(41, 18.5, 3) }),
      traits: { form: 'flat' },
    },
  ),
  part(
    { n: 11, kind: 'ring', name: 'Ring, two-coil, tapered high', price: 340 },
    { thickness: 11, thicknessEnd: 7.5 },
    {
      shape: shaped(roundedRectangle(90, 45, 4), { openings: [{ id: 'window', shape: drawn(roundedRectangle(69.6, 38.6, 3)) }], screws: corners(41, 18.5, 3) }),
      traits: { form: 'tapered' },
    },
  ),
  part(
    { n: 12, kind: 'plate', name: 'Jack plate, oval', price: 480 },
    { thickness: 1.5 },
    {
      shape: shaped(stadium(28, 40), {
        openings: [{ id: 'jack', shape: drawn(circle(9.8)) }],
        screws: [
          { x: 0, y: -14.5, gauge: 4 },
          { x: 0, y: 14.5, gauge: 4 },
        ],
      }),
      traits: { form: 'flat' },
    },
  ),
  part(
    { n: 13, kind: 'ferrule', name: 'String ferrule, smooth', price: 90 },
    { outer: 8, flange: 10, length: 9.5, stringHole: 2.4 },
    { traits: { surface: 'smooth' } },
  ),
  part(
    { n: 14, kind: 'ferrule', name: 'String ferrule, knurled', price: 110 },
    { outer: 8.1, flange: 10, length: 9.5, stringHole: 2.4 },
    { traits: { surface: 'knurled' } },
  ),
  part(
    { n: 15, kind: 'bush', name: 'Post bushing, knurled', price: 260 },
    { outer: 12.6, flange: 14, length: 18 },
    { thread: 'M8 × 1.25', traits: { surface: 'knurled' } },
  ),
  part({ n: 16, kind: 'stud', name: 'Post stud', price: 300 }, { diameter: 7.9, length: 38, head: 16 }, { thread: '5/16-24' }),
  part(
    { n: 17, kind: 'tuner', name: 'Modern tuner, screwed bushing', price: 1850 },
    { bushing: 9.9, outerStep: 11, washer: 14.5, post: 6.1, headstockLeast: 11, headstockMost: 15.5, pitch: 25 },
    { traits: { fixing: 'screwed bushing' }, shape: shaped(roundedRectangle(18, 21, 4), { screws: [{ x: 6, y: 12.5, gauge: 2 }] }), leadDays: 10 },
  ),
  part(
    { n: 18, kind: 'tuner', name: 'Plain tuner, press-in bushing', price: 900 },
    { bushing: 8.7, washer: 11, post: 6.35, headstockLeast: 12, headstockMost: 15, pitch: 25 },
    {
      traits: { fixing: 'press-in bushing' },
      shape: shaped(roundedRectangle(16, 30, 3), {
        screws: [
          { x: 0, y: -12, gauge: 2 },
          { x: 0, y: 12, gauge: 2 },
        ],
      }),
    },
  ),
  part({ n: 19, kind: 'strap pin', name: 'Strap pin', price: 220 }, { length: 25, head: 7, flange: 16 }, { gauge: 8 }),
  part({ n: 20, kind: 'wood screw', name: 'Guard screw #4 × 13', price: 12 }, { length: 13, head: 5.5 }, { gauge: 4, traits: { headForm: 'oval' } }),
  part({ n: 21, kind: 'wood screw', name: 'Ring screw #3 × 20', price: 14 }, { length: 20, head: 4.8 }, { gauge: 3, traits: { headForm: 'oval' } }),
  part({ n: 22, kind: 'wood screw', name: 'Neck screw #8 × 45', price: 40 }, { length: 45, head: 8.2 }, { gauge: 8, traits: { headForm: 'oval' } }),
  part(
    { n: 23, kind: 'machine screw', name: 'Switch screw 6-32 × 12', price: 15 },
    { diameter: 3.45, length: 12, head: 6.2 },
    { thread: '6-32', traits: { headForm: 'oval' } },
  ),
  part(
    { n: 24, kind: 'machine screw', name: 'Switch screw M3.5 × 12', price: 15 },
    { diameter: 3.45, length: 12, head: 6 },
    { thread: 'M3.5', traits: { headForm: 'oval' } },
  ),
  part({ n: 25, kind: 'wire', name: 'Stranded wire, thin', price: 1 }, { diameter: 1.4 }),
  part({ n: 26, kind: 'wire', name: 'Braided lead', price: 3 }, { diameter: 2.8 }),
  part(
    { n: 27, kind: 'guard', name: 'Guard blank', price: 1500 },
    { thickness: 2.3 },
    { shape: shaped(roundedRectangle(230, 290, 6)), traits: { form: 'flat' } },
  ),
  part({ n: 28, kind: 'wood screw', name: 'Guard screw #4 × 9', price: 12 }, { length: 9, head: 5.5 }, { gauge: 4, traits: { headForm: 'oval' } }),
];
