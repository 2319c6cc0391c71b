/** The resistance between two leads of a pickup, as a meter told it, Ω. */
export interface LeadReading {
  readonly a: string;
  readonly b: string;
  readonly ohms: number;
}

/** Where the meter swung when steel was lifted off a coil's poles, with the red probe on that lead and the black one on the coil's other. */
export interface Swing {
  readonly red: string;
  readonly to: 'up' | 'down';
}

/** What a pickup's leads were found by. */
export interface LeadsFound {
  /** The day, `2026-12-01`. */
  readonly day: string;
  readonly readings: readonly LeadReading[];
  readonly swings: readonly Swing[];
}
