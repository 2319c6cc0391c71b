import type { SettingKey } from './settings.js';
import type { StepKind } from './steps.js';

/** The stages of a job, in the order in which work of one is done before work of the next where nothing else decides. */
export const PHASES = [
  'survey',
  'strip',
  'fill',
  'cut',
  'fit in bare wood',
  'finish',
  'cure',
  'shield',
  'wire outside',
  'assemble',
  'string',
  'set up',
  'hand over',
] as const;
export type Phase = (typeof PHASES)[number];

/** Where it is done: work at one place is kept together where the rules leave it free, in this order. */
export const STATIONS = ['bench', 'iron', 'router', 'drill press', 'hand drill', 'vice'] as const;
export type Station = (typeof STATIONS)[number];

/** A kind of operation, as data. Its cards are in gate/, its sentences in words/. */
export interface OperationRow {
  readonly kind: string;
  readonly phase: Phase;
  /** Can it be taken back: wood that is cut cannot, and needs clear to cut; a part that is cut down only by another part. */
  readonly undo: 'yes' | 'part' | 'no';
  readonly station: Station;
  /** It changes nothing, and may be put into a job by hand. */
  readonly byHand?: true;
  /** The shop's numbers that add up to its working time. */
  readonly minutes: readonly SettingKey[];
  /** The step that does it: once that is logged, what the operation does counts as done. Null where only its end does. */
  readonly takes: StepKind | null;
  /** What it takes something away from that does not grow again. */
  readonly takesFrom?: 'wood' | 'plate' | 'part';
  /** Like ones at like places are done step by step together: all are drilled before the first is tried. */
  readonly together?: true;
  /** It is marked out on the wood, and two measures of it are read back, before it is cut. */
  readonly markedOut?: true;
  /** Are its levels cut all at once, or one after the other? What was read of an operation that broke off tells which. */
  readonly levels?: 'together' | 'in turn';
}
