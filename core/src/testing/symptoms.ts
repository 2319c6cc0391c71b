import { startingAnatomy } from '../instrument/index.js';
import type { StateId } from '../quantity/index.js';
import type { RuleId, Surveyed } from '../survey/index.js';
import { plainAnatomy } from './plan.js';

// What a technician is told, as readings, and what the trade answers. Common practice, no source. Written down before the rules that find it.

const [place] = plainAnatomy().positions;

/** Two pickups, the neck's of two coils, the bridge's of one; a 500 k pot; a tremolo, active. */
const electric: Surveyed = {
  anatomy: {
    ...plainAnatomy(),
    positions: [
      { ...place!, id: 'nk', at: { x: 0, y: 60 } },
      { ...place!, id: 'br', at: { x: 0, y: 200 } },
    ],
  },
  kind: 'bolt-on solid',
  fitted: ['tremolo', 'active'],
  wired: {
    coils: {
      nk: [
        { ohms: 3950, henry: 2.2 },
        { ohms: 3900, henry: 2.2 },
      ],
      br: [{ ohms: 6200, henry: 2.6 }],
    },
    pots: [500_000],
  },
};

export const INSTRUMENTS = {
  electric,
  /** Nobody knows its parts. */
  unknown: { ...electric, wired: { coils: {}, pots: [] } },
  acoustic: { anatomy: startingAnatomy('flat-top acoustic'), kind: 'flat-top acoustic', fitted: [] },
} as const satisfies Readonly<Record<string, Surveyed>>;

/** A reading: of what, where, how much. Several places with one value: `1 2 3` of strings or frets. */
export type Told = readonly [quantity: StateId, at: string, value: number];
type On = keyof typeof INSTRUMENTS;

const heard = (symptom: string): Told => ['symptom', symptom, 1];
const strings = (quantity: StateId, value: number, ...n: readonly number[]): readonly Told[] => n.map((i): Told => [quantity, `string ${i}`, value]);
const ALL = [1, 2, 3, 4, 5, 6];
const frets = (quantity: StateId, ...at: readonly (readonly [number, number])[]): readonly Told[] => at.map(([n, v]): Told => [quantity, `fret ${n}`, v]);
const jack = (nk: number, br: number): readonly Told[] => [
  ['resistance', 'nk', nk],
  ['resistance', 'br', br],
];

const buzzLow = heard('buzz at frets 1 to 5');
const buzzHigh = heard('buzz from the 12th up');
const oneNote = heard('buzz at one note');
const sour = heard('sour first-position chords');
const alike = heard('all fretted notes sharp alike');
const stays = heard('hum that does not fall on touching strings');
const metal = heard('hum that rises on touching any metal');
const slips = heard('first string slips off');
const flat = heard('flat after a bend');
const weak = heard('one string weak');
const together = heard('two pickups together thin');

/** Each rule of the trade by itself, in its order, and the finding that it is. */
export const ALONE: readonly (readonly [On, readonly Told[], RuleId])[] = [
  // electrical
  ['electric', jack(496_000, 6100), 'coilOpen'],
  ['electric', jack(3e6, 3e6), 'jackOpen'],
  ['electric', jack(2, 1), 'hotShorted'],
  ['electric', [heard('silent only with its cover on')], 'coverShorts'],
  ['electric', jack(3870, 6100), 'halfCoil'],
  ['electric', jack(1950, 6100), 'quarterCoil'],
  ['electric', [...jack(7720, 6100), ['pairResistance', 'nk/br', 6110]], 'pairIsOne'],
  ['electric', [...jack(7720, 6100), ['pairResistance', 'nk/br', 13_800]], 'pairIsSum'],
  ['electric', [together], 'outOfPhase'],
  ['electric', [heard('two pickups together hum like one')], 'notReversed'],
  ['electric', jack(7497, 5940), 'coldCopper'],
  ['electric', [heard('weak and dull at a right resistance')], 'weakDull'],
  ['electric', [...jack(6500, 6100), ['inductance', 'nk', 3.1]], 'turnsShorted'],
  ['electric', [heard('volume at 0 dull, not silent')], 'volumeDull'],
  ['electric', [heard('either volume silences both together')], 'volumesCoupled'],
  ['electric', [...jack(7720, 6100), ['toneResistance', 'nk', 4200]], 'capLeaky'],
  ['electric', [heard('tone control does nothing')], 'toneDead'],
  ['electric', [heard('crackle on turning')], 'crackle'],
  ['electric', [heard('hum that falls on touching strings')], 'humFalls'],
  ['electric', [stays], 'humStays'],
  ['electric', [metal], 'hotOnMetal'],
  ['electric', [heard('hum that nulls as it is turned')], 'humNulls'],
  ['electric', [heard('hum only with a second amplifier or computer')], 'earthLoop'],
  ['electric', [['stopSign', 'tingle from the strings', 1]], 'stopNow'],
  ['electric', [heard('dies when the plug moves')], 'plugLoose'],
  ['electric', [heard('squeal that stops with a hand on the cover')], 'squeal'],
  ['electric', [['supply', 'battery', 6.9]], 'cellLow'],
  ['electric', [heard('cell empty in days')], 'cellDrains'],
  ['electric', [weak], 'stringWeak'],
  ['electric', [heard('low strings warble, sour above the 12th')], 'warble'],
  ['acoustic', [heard('one string quiet through the piezo')], 'piezoQuiet'],
  // neck, frets, nut, action
  ['electric', [heard('buzz on open strings only')], 'buzzOpen'],
  ['electric', [buzzLow], 'buzzLowFrets'],
  ['electric', [buzzHigh], 'buzzHighFrets'],
  ['electric', [oneNote], 'buzzOneNote'],
  ['electric', [['looseFrets', 'neck', 1]], 'fretsLoose'],
  ['electric', [...strings('action', 2.4, ...ALL), ...strings('saddleTravel', 2, ...ALL), ['relief', 'neck', 0.2]], 'neckAngle'],
  ['electric', [...strings('action', 0.9, ...ALL), ...strings('saddleTravel', 98, ...ALL)], 'overAngled'],
  ['electric', [['humidity', 'room', 33]], 'roomDry'],
  ['electric', [['rodFeel', 'neck', 1]], 'rodFree'],
  [
    'electric',
    [
      ['relief', 'neck', 0.1],
      ['reliefTreble', 'neck', 0.35],
    ],
    'twist',
  ],
  ['electric', [sour], 'sourFirst'],
  ['electric', [alike], 'allSharp'],
  ['electric', [...strings('intonation', 12, 6), ...strings('saddleRoom', 2, 6)], 'sharpAtEnd'],
  ['electric', [heard('intonation that changes as the strings age')], 'stringsOld'],
  ['electric', [heard('sharp after a bend or dive')], 'sharpAfterBend'],
  ['electric', [flat], 'flatAfterBend'],
  ['electric', [['tremoloRest', 'tremolo', 1]], 'tremoloSticks'],
  ['electric', [heard('sitar tone on an open string')], 'sitar'],
  ['electric', [slips], 'stringSlips'],
  ['electric', [['bridgeOffset', 'neck', 1.5]], 'bridgeOff'],
  ['electric', [['fretEnds', 'neck', 2]], 'fretEndsDry'],
  ['electric', [['fretEnds', 'neck', 3]], 'fretEndsBevel'],
  ['electric', [heard('dead note with clean frets')], 'deadNote'],
  ['electric', [heard('rattle in the neck')], 'neckRattle'],
  ['electric', [['jointLine', 'neck', 1]], 'jointLine'],
  // acoustic and structure
  [
    'acoustic',
    [
      ['planeOverBridge', 'bridge', -3],
      ['saddleShown', 'bridge', 1.2],
    ],
    'neckReset',
  ],
  ['acoustic', [['stringsOverTop', 'bridge', 10]], 'topSunken'],
  ['acoustic', [['topShape', 'bridge', 1]], 'bellyUp'],
  ['acoustic', [['bridgeLift', 'bridge', 9]], 'bridgeLifting'],
  ['acoustic', [heard('buzz at one pitch on any string')], 'bodyBuzz'],
  ['acoustic', [['topCrack', 'bridge', 1]], 'crackMoves'],
  ['electric', [['stopSign', 'headstock break', 1]], 'stopNow'],
  // hardware, wood, finish
  ['electric', [['screws', 'body', 1]], 'screwStripped'],
  ['electric', [['screws', 'body', 2]], 'screwBinds'],
  ['electric', [heard('knob scrapes, pot turns with it')], 'knobScrapes'],
  ['electric', [heard('strings break at one place')], 'stringsBreak'],
  ['electric', [['screws', 'body', 3]], 'bushLoose'],
  ['electric', [['finish', 'body', 1]], 'finishTacky'],
  ['electric', [['finish', 'body', 2]], 'finishBloom'],
  ['electric', [['finish', 'body', 3]], 'finishCraters'],
];

/** Two things told at once: what stands by itself, and after a colon what comes of it. */
export const PAIRS: readonly (readonly [On, readonly Told[], readonly string[]])[] = [
  ['electric', [['relief', 'neck', 0.6], ...strings('action', 2.4, ...ALL)], ['reliefHigh: actionHigh']],
  ['electric', [['relief', 'neck', 0.6], buzzHigh], ['reliefHigh: buzzHighFrets']],
  // more bow than a rod takes is looked at before any angle
  [
    'electric',
    [['relief', 'neck', 3], ...strings('action', 2.6, ...ALL), ...strings('saddleTravel', 0, ...ALL)],
    ['neckBeyondRod: neckAngle saddleAtEnd actionHigh'],
  ],
  ['electric', [['relief', 'neck', 3], buzzHigh], ['neckBeyondRod: buzzHighFrets']],
  ['electric', [...strings('nutGap', 0.4, 2), sour], ['nutHigh: sourFirst']],
  // high slots fade up the neck: notes that are sharp alike are the nut's place
  ['electric', [...strings('nutGap', 0.4, 2), alike], ['nutHigh', 'allSharp']],
  // the slot of one string never explains another
  ['electric', [...strings('nutGap', 0.4, 3), ...strings('intonation', 9, 1, 2)], ['nutHigh', 'intonationOff']],
  ['electric', [...strings('nutGap', 0.4, 2), ...strings('intonation', 9, 2)], ['nutHigh: intonationOff']],
  ['electric', [...strings('nutGap', 0, 4), heard('buzz on open strings only')], ['nutLow: buzzOpen']],
  ['electric', [...strings('action', 0.8, ...ALL), heard('buzz everywhere')], ['actionLow: buzzEverywhere']],
  ['electric', [['relief', 'neck', -0.2], buzzLow], ['backBow: buzzLowFrets']],
  [
    'electric',
    [
      ['humidity', 'room', 30],
      ['relief', 'neck', -0.2],
    ],
    ['roomDry: backBow'],
  ],
  [
    'electric',
    [
      ['humidity', 'room', 66],
      ['relief', 'neck', -0.2],
    ],
    ['roomWet: backBow'],
  ],
  [
    'electric',
    [
      ['humidity', 'room', 30],
      ['fretEnds', 'neck', 2],
    ],
    ['roomDry: fretEndsDry'],
  ],
  [
    'electric',
    [
      ['jointGap', 'neck', 0.4],
      ['screws', 'body', 1],
    ],
    ['screwStripped: jointOpen'],
  ],
  [
    'electric',
    [
      ['jointGap', 'neck', 0.4],
      ['edgeGap', 'bass edge', 4],
      ['edgeGap', 'treble edge', 2.8],
    ],
    ['jointOpen: neckShifted'],
  ],
  [
    'electric',
    [
      ['bridgeOffset', 'neck', 1.5],
      ['edgeGap', 'bass edge', 4],
      ['edgeGap', 'treble edge', 2.8],
    ],
    ['bridgeOff: neckShifted'],
  ],
  ['electric', [['edgeGap', 'bass edge', 4], ['edgeGap', 'treble edge', 2.8], slips], ['neckShifted: stringSlips']],
  ['electric', [['bridgeOffset', 'neck', 1.5], slips], ['bridgeOff: stringSlips']],
  ['electric', [...frets('fretRock', [7, 0.08]), oneNote], ['spotLevel: buzzOneNote']],
  ['electric', [...frets('fretHeight', [4, 1.2], [5, 0.95], [6, 1.2]), oneNote], ['fretWorn: buzzOneNote']],
  ['electric', [['looseFrets', 'neck', 1], ...frets('fretRock', [7, 0.08])], ['fretsLoose: spotLevel']],
  ['electric', [['looseFrets', 'neck', 1], oneNote], ['fretsLoose: buzzOneNote']],
  ['electric', [['groundResistance', 'bridge', 400], stays], ['groundOpen: humStays']],
  ['electric', [metal, stays], ['hotOnMetal: humStays']],
  ['electric', [['poleOffset', 'nk/treble', 2], weak], ['polesOff: stringWeak']],
  ['electric', [['breakAngle', 'nut', 1], weak], ['breakNut: stringWeak']],
  ['electric', [['pickupHeight', 'nk/bass', 1.2], heard('low strings warble, sour above the 12th')], ['pickupNear: warble']],
  ['electric', [['pickupHeight', 'nk/bass', 4], heard('weak and dull at a right resistance')], ['pickupFar: weakDull']],
  ['electric', [['tuners', 'neck', 1], flat], ['tunersLoose: flatAfterBend']],
  ['electric', [['jointGap', 'neck', 0.4], flat], ['jointOpen: flatAfterBend']],
  ['electric', [...jack(470_000, 6100), ['tapTest', 'nk', 1]], ['coilOpen: tapSilent']],
  ['electric', [...jack(10, 6100), ['tapTest', 'nk', 1]], ['coilShorted: tapSilent']],
  ['electric', [...jack(470_000, 6100), ['tapTest', 'br', 1]], ['coilOpen', 'tapSilent']],
  ['electric', [['supply', 'battery', 6.5], heard('distorts or fades')], ['cellLow: activeFades']],
  ['electric', [['rodFeel', 'neck', 1], heard('rattle in the neck')], ['rodFree: neckRattle']],
  ['electric', [...jack(3870, 6100), ['splitState', 'nk', 1]], ['splitOn: halfCoil']],
  ['electric', [...jack(1950, 6100), ['splitState', 'nk', 2]], ['parallelOn: quarterCoil']],
  [
    'electric',
    [...strings('action', 0.9, ...ALL), ...strings('saddleTravel', 98, ...ALL), heard('buzz everywhere')],
    ['overAngled: saddleAtEnd actionLow buzzEverywhere'],
  ],
  [
    'acoustic',
    [
      ['humidity', 'room', 30],
      ['topCrack', 'bridge', 1],
    ],
    ['roomDry: crackMoves'],
  ],
];

/** Readings that cannot both be, and what is read again. */
export const CONTRADICTIONS: readonly (readonly [On, readonly Told[], string, StateId])[] = [
  ['electric', [heard('hum that falls on touching strings'), ['groundResistance', 'bridge', 900]], 'fallsThoughOpen', 'groundResistance'],
  ['electric', [heard('hum that falls on touching strings'), stays], 'fallsAndStays', 'symptom'],
  ['electric', [stays, ['groundResistance', 'bridge', 0.5]], 'staysThoughGrounded', 'groundResistance'],
  [
    'electric',
    [
      ['relief', 'neck', 0.8],
      ['reliefAt', 'fret 7', 0.1],
    ],
    'reliefTwice',
    'relief',
  ],
  [
    'electric',
    [
      ['stopSign', 'loose neck joint', 1],
      ['jointGap', 'neck', 0],
    ],
    'jointTight',
    'jointGap',
  ],
  ['electric', [heard('buzz on open strings only'), buzzLow], 'openOnly', 'symptom'],
  ['electric', [sour, alike], 'fadesAndAlike', 'symptom'],
  ['electric', [sour, ...strings('nutGap', 0.1, ...ALL)], 'sourThoughLow', 'nutGap'],
  ['electric', [['tapTest', 'nk', 0], ...jack(496_000, 6100)], 'heardThoughDead', 'tapTest'],
  [
    'electric',
    [
      ['humidity', 'room', 66],
      ['fretEnds', 'neck', 2],
    ],
    'dryEndsInDamp',
    'humidity',
  ],
  [
    'acoustic',
    [
      ['stopSign', 'sinking top', 1],
      ['stringsOverTop', 'bridge', 15],
    ],
    'sunkenYetHigh',
    'stringsOverTop',
  ],
  [
    'acoustic',
    [
      ['stopSign', 'lifting bridge', 1],
      ['bridgeLift', 'bridge', 0],
    ],
    'liftsYetDown',
    'bridgeLift',
  ],
  [
    'electric',
    [
      ['stopSign', 'rod at its end', 1],
      ['rodTurns', 'neck', 1.5],
    ],
    'endYetTurns',
    'rodFeel',
  ],
  ['electric', [heard('weak and dull at a right resistance'), ...jack(12, 12)], 'rightYetDead', 'resistance'],
  ['electric', [['splitState', 'nk', 1], ...jack(7720, 6100)], 'splitYetWhole', 'splitState'],
];

/** What may come from either of several, and the readings that tell them apart, the first to be taken first. */
export const TIES: readonly (readonly [On, readonly Told[], RuleId, readonly RuleId[], StateId])[] = [
  ['electric', [oneNote], 'buzzOneNote', ['fretsLoose', 'spotLevel'], 'looseFrets'],
  // both read, both outside: neither is upstream of the other
  [
    'electric',
    [oneNote, ...frets('fretRock', [7, 0.08]), ...frets('fretHeight', [4, 1.2], [5, 0.95], [6, 1.2])],
    'buzzOneNote',
    ['spotLevel', 'fretWorn'],
    'fretRock',
  ],
  ['electric', [buzzHigh], 'buzzHighFrets', ['neckBeyondRod', 'reliefHigh', 'jointOpen', 'fretsLoose'], 'relief'],
  // the relief is right: it is not the relief
  ['electric', [buzzHigh, ['relief', 'neck', 0.2]], 'buzzHighFrets', ['jointOpen', 'fretsLoose'], 'jointGap'],
  ['electric', [buzzLow], 'buzzLowFrets', ['backBow', 'reliefLow', 'spotLevel'], 'relief'],
  ['electric', [flat], 'flatAfterBend', ['tunersLoose', 'jointOpen'], 'tuners'],
  ['electric', [slips], 'stringSlips', ['bridgeOff', 'neckShifted', 'edgeNarrow'], 'bridgeOffset'],
  ['electric', [weak], 'stringWeak', ['polesOff', 'pickupFar', 'breakNut'], 'poleOffset'],
  ['electric', [heard('weak and dull at a right resistance')], 'weakDull', ['pickupFar', 'turnsShorted'], 'pickupHeight'],
  ['electric', [stays], 'humStays', ['hotOnMetal', 'groundOpen'], 'symptom'],
  ['electric', [stays, metal, ['groundResistance', 'bridge', 400]], 'humStays', ['hotOnMetal', 'groundOpen'], 'groundResistance'],
  ['electric', [['tapTest', 'nk', 1]], 'tapSilent', ['coilOpen', 'coilShorted'], 'resistance'],
  ['electric', strings('action', 2.4, ...ALL), 'actionHigh', ['reliefHigh', 'neckAngle'], 'relief'],
  ['electric', strings('intonation', 9, 1, 2), 'intonationOff', ['nutHigh', 'actionHigh', 'reliefHigh'], 'nutGap'],
  ['electric', [heard('buzz everywhere')], 'buzzEverywhere', ['actionLow', 'backBow', 'reliefLow'], 'action'],
];
