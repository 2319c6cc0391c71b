/** What of an instrument is known by documents of its own: its wood and metal, its wires, what is strung on it, what lies on its wood. */
export const ASPECTS = ['anatomy', 'circuit', 'strung', 'surface'] as const;
export type Aspect = (typeof ASPECTS)[number];

/** How far each aspect of an instrument is known, by the number of its newest document; 0: nothing of it. */
export type Revisions = Readonly<Record<Aspect, number>>;

/** The revisions of an instrument of which so much is known, and nothing else. */
export function knownAt(known: Partial<Revisions>): Revisions {
  return { anatomy: 0, circuit: 0, strung: 0, surface: 0, ...known };
}

/** Is an instrument as it was, in every aspect? */
export function sameRevisions(a: Revisions, b: Revisions): boolean {
  return ASPECTS.every((aspect) => a[aspect] === b[aspect]);
}

/** The aspects in which two states of an instrument differ. */
export function changedAspects(a: Revisions, b: Revisions): readonly Aspect[] {
  return ASPECTS.filter((aspect) => a[aspect] !== b[aspect]);
}
