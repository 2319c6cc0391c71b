import type { Circuit } from '@rinnovo/core/wire';
import type { Anatomy, Difference, StartingKind } from '@rinnovo/core/instrument';
import type { CauseId, KeptNumber, MishapId, UndoStep } from '@rinnovo/core/job';
import type { OperationKind, SettingKey, Settings } from '@rinnovo/core/operation';
import type { BuyLine } from '@rinnovo/core/order';
import type { Part, StockItem, Tool } from '@rinnovo/core/part';
import type { Reading } from '@rinnovo/core/quantity';
import type { Outline } from '@rinnovo/core/shape';
import type { Profile, RuleId, Severity, Survey } from '@rinnovo/core/survey';

/** Someone who works here or owns an instrument. */
export interface Person {
  readonly id: string;
  readonly name: string;
  readonly role: 'technician' | 'owner';
}

export interface Instrument {
  readonly id: string;
  readonly label: string;
  readonly maker: string;
  readonly model: string;
  readonly serial: string;
  readonly owner: string | null;
  readonly notes: string;
  readonly kind: StartingKind;
  /** What was seen, stated or guessed of it; what nobody said is not there. */
  readonly identity: Partial<Readonly<Record<IdentityKey, IdentityFact>>>;
  readonly archived: boolean;
}

/** What an instrument is known by beside its label. */
export const IDENTITY_KEYS = [
  'year',
  'neckJoint',
  'bodyWood',
  'neckWood',
  'boardWood',
  'finish',
  'weight',
  'balance',
  'colour',
  'electronics',
  'bridge',
  'routing',
] as const;
export type IdentityKey = (typeof IDENTITY_KEYS)[number];

/** One thing known of an instrument, and why. */
export interface IdentityFact {
  readonly value: string;
  readonly basis: 'seen' | 'stated' | 'guessed';
  readonly why: string;
}

/** An instrument without what a list or a row has beside it. */
export function plainInstrument(i: Instrument): Instrument {
  const { id, label, maker, model, serial, owner, notes, kind, identity, archived } = i;
  return { id, label, maker, model, serial, owner, notes, kind, identity, archived };
}

/** A drawing file, as it is kept: of an SVG nothing but its shapes. */
export interface DrawingSource {
  readonly file: string;
  readonly kind: 'svg' | 'dxf';
  readonly text: string;
}

/** Longest text of a drawing that is kept with its outline, letters. */
export const LONGEST_SOURCE = 8_000_000;

/** An outline that is kept in the drawer to be used again, like a template of plywood. */
export interface KeptOutline {
  readonly id: string;
  readonly name: string;
  readonly outline: Outline;
  /** How far its edge may be off, mm. */
  readonly limit: number;
  /** The drawing that it is from; its text is asked for by itself. */
  readonly file: string | null;
  readonly archived: boolean;
  readonly version: number;
}

/** An instrument as a list shows it. */
export interface FoundInstrument extends Instrument {
  readonly ownerName: string | null;
  /** Title of its active job. */
  readonly job: string | null;
  /** When that is due, ISO date. */
  readonly due: string | null;
  /** How far that is; null without a job. */
  readonly progress: JobProgress | null;
  /** Where the words of the search were found beside what it is called. */
  readonly found: readonly Mention[];
}

/** How far a job is: places of its plan, those that are decided, operations still to do and done; and decisions that wait for their part, or for the owner's consent. */
export interface JobProgress {
  readonly places: number;
  readonly decided: number;
  readonly open: number;
  readonly done: number;
  readonly parts: number;
  readonly consents: number;
}

/** Where something was said of an instrument. */
export const MENTIONS = ['job', 'finding', 'reason', 'part', 'step'] as const;

export interface Mention {
  readonly kind: (typeof MENTIONS)[number];
  readonly text: string;
}

/** One state of an instrument's anatomy. */
export interface AnatomyRevision {
  readonly instrument: string;
  readonly revision: number;
  readonly document: Anatomy;
  /** A restored one is as an earlier one was. */
  readonly cause: 'correction' | 'work' | 'restore';
  readonly entry: string | null;
  readonly person: string;
  readonly at: string;
}

/** What is known of an instrument's circuit; revision 0 and no document: nothing yet. */
export interface CircuitRevision {
  readonly instrument: string;
  readonly revision: number;
  readonly document: Circuit | null;
  readonly cause: 'correction' | 'work' | 'restore' | null;
  readonly person: string | null;
  readonly at: string | null;
}

/** Where a part or a material went in, or a part is planned: how many of it, when last; null: planned. */
export interface UsedIn {
  readonly instrument: string;
  readonly label: string;
  readonly title: string;
  readonly amount: number;
  readonly at: string | null;
}

/** An instrument as it was found, and what work has changed on it since. */
export interface AsFound {
  readonly found: AnatomyRevision;
  readonly changes: readonly Difference[];
}

/** A reading as the server tells it: while its target is being read again blind, the value is withheld. */
export interface ShownReading extends Omit<Reading, 'value' | 'raw'> {
  readonly value: number | null;
  readonly raw: string | null;
}

/** A second reading that is under way. */
export interface BlindSession {
  readonly id: string;
  readonly instrument: string;
  readonly target: Reading['target'];
  readonly tool: string;
  readonly zeroed: true;
}

/** What leads back from a decision whose work has begun. */
export interface ReturnPlan {
  readonly operations: readonly OperationKind[];
  readonly stays: readonly UndoStep[];
  readonly minutes: number;
  /** What was there, in the instrument as it would be again. */
  readonly numbers: readonly KeptNumber[];
}

/** A picture that was taken of a step; its bytes are asked for by themselves. */
export interface Photograph {
  readonly id: string;
  readonly instrument: string;
  readonly operation: string;
  readonly step: string;
  readonly width: number;
  readonly height: number;
  readonly removed: boolean;
  readonly person: string;
  readonly at: string;
  readonly version: number;
}

/** What a mishap taught, for whoever does the same work next. */
export interface Lesson {
  readonly id: string;
  readonly kind: OperationKind;
  readonly mishap: MishapId;
  readonly cause: CauseId | null;
  readonly lesson: string;
  readonly instrument: string;
  readonly label: string;
  readonly at: string;
}

/** A part of the shelf as the server tells it; put away it is kept for the instruments that have it. */
export interface KeptPart {
  readonly part: Part;
  readonly archived: boolean;
  readonly version: number;
}

/** A job that something of the buy list holds up, with what its waiting places are called. */
export interface WaitingJob {
  readonly title: string;
  readonly instrument: string;
  readonly label: string;
  readonly places: Readonly<Record<string, string>>;
}

/** A line of the buy list with the jobs that wait. */
export interface BuyListLine extends BuyLine {
  readonly jobs: Readonly<Record<string, WaitingJob>>;
}

/** An instrument came to another owner, or its owner to another role, while a job was done. */
export interface OwnerChange {
  readonly was: string | null;
  /** It was a client's. */
  readonly wasClients: boolean;
  readonly now: string | null;
  readonly person: string;
  /** ISO 8601. */
  readonly at: string;
}

/** What lies in a drawer, as the server tells it. */
export interface KeptStock {
  readonly item: StockItem;
  readonly version: number;
  /** How many of them are kept, by decision. */
  readonly reserved: Readonly<Record<string, number>>;
}

/** How the workshop writes numbers, dates and money. */
export interface KeptLocale {
  readonly locale: string;
  readonly timeZone: string;
  readonly currency: string;
  readonly version: number;
}

export interface Shop {
  readonly version: number;
  readonly settings: Settings;
  readonly own: Readonly<Partial<Record<SettingKey, number>>>;
  readonly tools: readonly Tool[];
  /** By the ids of the tools. */
  readonly toolVersions: Readonly<Record<string, number>>;
}

export interface Page<T> {
  readonly items: readonly T[];
  /** Give it back as `after` for the next page; null on the last one. */
  readonly next: string | null;
}

/** A survey as the server tells it. */
export interface KeptSurvey extends Survey {
  readonly version: number;
}

/** Something found: by a rule and accepted, or seen by a person and pinned to a feature. With a job it is a task of that job. */
export interface KeptFinding {
  readonly id: string;
  readonly instrument: string;
  readonly survey: string | null;
  /** The rule that was accepted; null for what a person found. */
  readonly rule: RuleId | null;
  readonly feature: string | null;
  readonly text: string;
  readonly severity: Severity;
  readonly job: string | null;
  readonly done: boolean;
  readonly withdrawn: boolean;
  readonly person: string;
  readonly at: string;
  readonly version: number;
}

export interface KeptProfile extends Profile {
  readonly at: string;
  readonly archived: boolean;
  readonly version: number;
}
