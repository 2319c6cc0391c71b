import type { Circuit, Lug } from '../circuit.js';
import type { Setting } from '../setting.js';

/** A circuit as it would be with one thing wrong, and where that is. */
export interface Faulty {
  readonly circuit: Circuit;
  readonly setting: Setting;
  readonly element: string;
  /** The coil, the lug, the position. */
  readonly at: string;
}

/** A kind of single fault that a resistance tells of: every way in which a circuit can have it at a setting. */
export interface FaultRow {
  readonly id: FaultId;
  readonly ways: (circuit: Circuit, setting: Setting) => readonly Faulty[];
}

export type FaultId =
  | 'coil open'
  | 'coil shorted'
  | 'way to the jack open'
  | 'hot on ground'
  | 'contact open'
  | 'ground lug open'
  | 'pull stuck'
  | 'other position'
  | 'capacitor leaks'
  // of a part by itself
  | 'shorted turns'
  | 'hidden turns'
  | 'leaks alone'
  // by ear
  | 'out of phase'
  | 'not a pair'
  | 'hums alone'
  | 'no signal'
  | 'dull';

/** A circuit without one of its joints. */
export const withoutJoint = (circuit: Circuit, index: number): Circuit => ({ ...circuit, joints: circuit.joints.filter((_, i) => i !== index) });
/** A circuit with two lugs joined. */
export const withJoint = (circuit: Circuit, a: Lug, b: Lug): Circuit => ({ ...circuit, joints: [...circuit.joints, { a, b }] });
