/** Where a circuit that is traced and not saved yet lies. */
export const circuitDraft = (instrument: string): string => `circuit/${instrument}`;
/** Where a wish lies. */
export const wishDraft = (instrument: string): string => `wish/${instrument}`;
