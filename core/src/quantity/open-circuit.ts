/** What a meter tells as OL: more than it can tell, Ω. A number beyond every range, so that it compares as what it is. */
export const OPEN = 1e9;

/** Did the meter show OL? */
export const isOpenCircuit = (value: number): boolean => value >= OPEN;
