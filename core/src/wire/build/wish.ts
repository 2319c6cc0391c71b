import type { Element } from '../circuit.js';
import type { Bleed } from '../presets/index.js';

/** One coil that is heard; `turned`: against the others. */
export interface HeardAs {
  readonly coil: string;
  readonly turned: boolean;
}

export const TOGETHER = ['series', 'parallel'] as const;
export type Together = (typeof TOGETHER)[number];

/** What of a pickup is heard, and how its coils lie together. */
export interface PickupVoice {
  readonly pickup: string;
  readonly coils: readonly HeardAs[];
  readonly joined: Together;
  /** The coil that is only partly split off, by a resistor; null: none. */
  readonly partly: string | null;
}

/** What is heard at one setting. */
export interface Voice {
  readonly pickups: readonly PickupVoice[];
  readonly joined: Together;
  /** Past volume and tone to the jack. */
  readonly direct: boolean;
  /** Tones that act; null: all of them. */
  readonly tones: readonly string[] | null;
}

/** What a wish says of one setting: switches by their position from 0, pulls 0 or 1; what is not named is at 0. */
export interface WishRow {
  readonly at: Readonly<Record<string, number>>;
  readonly voice: Voice;
}

/** How the coils of a pickup come out of it. */
export const LED_OUT = ['coils apart', 'joint led out', 'ends only'] as const;
export type LedOut = (typeof LED_OUT)[number];

/** What a circuit shall do, and what there is to do it with: elements without their wires. */
export interface CircuitWish {
  readonly format: 1;
  readonly elements: readonly Element[];
  /** By pickup; of one coil it says nothing. */
  readonly ledOut: Readonly<Record<string, LedOut>>;
  /** The pickup that a volume or tone serves, by the pot; one that is not named serves all. */
  readonly serves: Readonly<Record<string, string>>;
  readonly rows: readonly WishRow[];
  /** Volumes with the pickup on the wiper. */
  readonly independent: boolean;
  readonly toneAt: 'pickup side' | 'output side';
  readonly bleed: Bleed;
}

export const SILENCE: Voice = { pickups: [], joined: 'parallel', direct: false, tones: null };

/** What of a voice is heard: pickups of which no coil is heard left out. */
export const heardIn = ({ pickups }: Voice): readonly PickupVoice[] => pickups.filter((p) => p.coils.length > 0);
