import type { HoleFace, HoleKind } from '@rinnovo/core/instrument';
import type { StateTool } from '@rinnovo/core/quantity';

/** What is chosen from a list, by its id: what a hole is for, on which face, how something is known, how the owner was asked. */
export const HOLE_KIND_WORDS: Readonly<Record<HoleKind, string>> = {
  screw: 'screw',
  string: 'string',
  stud: 'stud',
  pot: 'pot',
  switch: 'switch',
  jack: 'jack',
  tuner: 'tuner',
  wire: 'wire',
  other: 'other',
};

export const FACE_WORDS: Readonly<Record<HoleFace, string>> = {
  top: 'top',
  back: 'back',
  side: 'side',
  'headstock front': 'headstock, front',
  'headstock back': 'headstock, back',
  fingerboard: 'fingerboard',
};

export const FACT_BASIS_WORDS = { seen: 'seen', stated: 'stated', guessed: 'guessed' } as const;

export const CONSENT_WORDS = { 'in person': 'in person', 'by phone': 'by phone', 'in writing': 'in writing' } as const;

/** What reads a state of the instrument. */
export const STATE_TOOL_WORDS: Readonly<Record<StateTool, string>> = {
  eye: 'eye',
  ear: 'ear',
  finger: 'finger',
  hygrometer: 'hygrometer',
  thermometer: 'thermometer',
  'feeler gauge': 'feeler gauge',
  'string gauge': 'string action gauge',
  calliper: 'calliper',
  rule: 'rule',
  tuner: 'tuner',
  meter: 'meter',
  'simulated meter': 'simulated meter',
  'rod key': 'truss rod key',
  rocker: 'fret rocker',
};

/** What of a part is chosen from a list. */
export const TRAIT_VALUE_WORDS: Readonly<Record<string, string>> = {
  split: 'split',
  solid: 'solid',
  'push-on': 'pushing on',
  'set screw': 'a set screw',
  linear: 'linear',
  audio: 'audio',
  'reverse audio': 'reverse audio',
  one: 'one',
  two: 'two',
  blend: 'two, for a blend',
  clockwise: 'clockwise',
  anticlockwise: 'anticlockwise, left-handed',
  'on its track': 'on its track',
  'no load': 'off its track (no-load)',
  'no port': 'none',
  port: 'there is one',
  mono: 'mono',
  switched: 'switched',
  stereo: 'stereo',
  flat: 'flat',
  arched: 'arched',
  tapered: 'tapered',
  smooth: 'smooth',
  knurled: 'knurled',
  'press-in bushing': 'press-in bushing',
  'screwed bushing': 'screw-in bushing',
  countersunk: 'countersunk',
  oval: 'oval',
  round: 'round',
};
