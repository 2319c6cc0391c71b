// Traced drawings for the suite and the pictures.

/** A plate as somebody traced it, with an opening and a stray line. */
export const PLATE = `<svg xmlns="http://www.w3.org/2000/svg" width="120mm" height="60mm" viewBox="0 0 120 60"><g transform="translate(5 5)">
<path d="M0 4C0 1.8 1.8 0 4 0H90L105 14V30L78 50H4C1.8 50 0 48.2 0 46Z"/><rect x="15" y="6" width="70" height="39" rx="3.5"/><path d="M1 1L5 5"/></g></svg>`;

/** A route for a wide pickup with an ear on each side, 88 × 40.5, as it came off a plywood template. */
export const TRACED = `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="50mm" viewBox="-50 -25 100 50"><path d="M-30.95 -20.25H30.95A4.8 4.8 0 0 1 35.75 -15.45V-6.5H39.2A4.8 4.8 0 0 1 44 -1.7V1.7A4.8 4.8 0 0 1 39.2 6.5H35.75V15.45A4.8 4.8 0 0 1 30.95 20.25H-30.95A4.8 4.8 0 0 1 -35.75 15.45V6.5H-39.2A4.8 4.8 0 0 1 -44 1.7V-1.7A4.8 4.8 0 0 1 -39.2 -6.5H-35.75V-15.45A4.8 4.8 0 0 1 -30.95 -20.25Z"/></svg>`;

/** The same with the ear on its left longer, as it is seen: from 6.5 to 12 towards the bottom. */
export const TRACED_ONE_EAR = `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="50mm" viewBox="-50 -25 100 50"><path d="M-30.95 -20.25H30.95A4.8 4.8 0 0 1 35.75 -15.45V-6.5H39.2A4.8 4.8 0 0 1 44 -1.7V1.7A4.8 4.8 0 0 1 39.2 6.5H35.75V15.45A4.8 4.8 0 0 1 30.95 20.25H-30.95A4.8 4.8 0 0 1 -35.75 15.45V12H-39.2A4.8 4.8 0 0 1 -44 7.2V-1.7A4.8 4.8 0 0 1 -39.2 -6.5H-35.75V-15.45A4.8 4.8 0 0 1 -30.95 -20.25Z"/></svg>`;
