/** A machine thread: its outside diameter and its pitch, mm. */
export interface Thread {
  readonly major: number;
  readonly pitch: number;
  /** std: published in ASME B1.1 (inch) or ISO 261 (metric), values from memory. */
  readonly source: 'ASME B1.1' | 'ISO 261';
}

const inch = (major: number, turns: number): Thread => ({ major: major * 25.4, pitch: 25.4 / turns, source: 'ASME B1.1' });
const metric = (major: number, pitch: number): Thread => ({ major, pitch, source: 'ISO 261' });

/** The threads that instruments have. Numbered ones by 0.060 + 0.013 in × number [std: ASME B1.1, ISO 261, from memory]. 6-32 is 3.505 × 0.794. */
export const THREADS = {
  '3-48': inch(0.099, 48),
  '4-40': inch(0.112, 40),
  '6-32': inch(0.138, 32),
  '8-32': inch(0.164, 32),
  '10-32': inch(0.19, 32),
  '1/4-40': inch(0.25, 40),
  '5/16-24': inch(0.3125, 24),
  '3/8-32': inch(0.375, 32),
  '15/32-32': inch(0.46875, 32),
  'M2.5': metric(2.5, 0.45),
  M3: metric(3, 0.5),
  'M3.5': metric(3.5, 0.6),
  M4: metric(4, 0.7),
  M5: metric(5, 0.8),
  M6: metric(6, 1),
  'M7 × 0.75': metric(7, 0.75),
  'M8 × 0.75': metric(8, 0.75),
  'M8 × 1.25': metric(8, 1.25),
  'M9 × 0.75': metric(9, 0.75),
} as const satisfies Readonly<Record<string, Thread>>;

export type ThreadId = keyof typeof THREADS;
export const THREAD_IDS = Object.keys(THREADS) as readonly ThreadId[];

/** Pairs that look alike and destroy each other: two free turns by hand, or it is not that thread [memory: docs/trade/part.md, Threads that look alike]. */
export const LOOK_ALIKES: readonly (readonly [ThreadId, ThreadId])[] = [
  ['6-32', 'M3.5'],
  ['4-40', 'M3'],
  ['3-48', 'M2.5'],
  ['8-32', 'M4'],
  ['10-32', 'M5'],
  ['3/8-32', 'M9 × 0.75'],
  ['5/16-24', 'M8 × 1.25'],
];

/** Do two threads look alike without being the same? */
export function looksAlike(a: ThreadId, b: ThreadId): boolean {
  return LOOK_ALIKES.some(([p, q]) => (p === a && q === b) || (p === b && q === a));
}
