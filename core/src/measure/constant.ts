/** Where a number comes from: a published standard, physics or geometry, common practice, or memory. */
export type Source = 'std' | 'law' | 'trade' | 'memory';

/** A number the code rests on, kept with its origin. `ref` is the heading in docs/trade/. */
export interface Constant {
  readonly value: number;
  readonly source: Source;
  readonly ref: string;
}

export function constant(value: number, source: Source, ref: string): Constant {
  return { value, source, ref };
}
