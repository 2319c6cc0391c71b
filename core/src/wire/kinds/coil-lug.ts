/** The lug of a coil's lead. */
export const coilLug = (coil: string, end: 'start' | 'finish'): string => `${coil} ${end}`;
