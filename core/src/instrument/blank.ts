import type { Anatomy, Headstock, Neck } from './anatomy.js';

const UNKNOWN_NECK: Neck = {
  scale: null,
  scaleBass: null,
  frets: 22,
  zeroFret: false,
  squareFret: 0,
  nutToMouth: null,
  nutWidth: null,
  endWidth: null,
  radius: null,
  thicknessFirst: null,
  thicknessTwelfth: null,
};

const UNKNOWN_HEADSTOCK: Headstock = { outline: null, thickness: null, tilt: 0 };

/** An instrument of which nothing is known but that it has strings and a flat top. */
export function blankAnatomy(): Anatomy {
  return {
    format: 2,
    handed: 'right',
    frames: [],
    strings: { count: 6, spreadAtNut: null, spreadAtSaddles: null },
    neck: UNKNOWN_NECK,
    body: { outline: null, thickness: null, carve: { kind: 'flat', height: null } },
    headstock: UNKNOWN_HEADSTOCK,
    cavities: [],
    holes: [],
    plates: [],
    positions: [],
    distances: [],
    insisted: [],
  };
}
