// Traced drawings for the suite and the pictures.

/** A plate as somebody traced it, with an opening and a stray line. */
export const PLATE = `<svg xmlns="http://www.w3.org/2000/svg" width="120mm" height="60mm" viewBox="0 0 120 60"><g transform="translate(5 5)">
<path d="M0 4C0 1.8 1.8 0 4 0H90L105 14V30L78 50H4C1.8 50 0 48.2 0 46Z"/><rect x="15" y="6" width="70" height="39" rx="3.5"/><path d="M1 1L5 5"/></g></svg>`;
