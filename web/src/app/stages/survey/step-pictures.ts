import type { StateId } from '@rinnovo/core/quantity';

/** A small drawing of how something is measured: what is there, and heavier what is read. 200 wide, 100 high. */
export interface StepDrawing {
  readonly there: string;
  readonly read: string;
}

/** A fret is a bump on the board. */
const frets = (y: number, ...xs: readonly number[]): string => xs.map((x) => `M${x - 4} ${y}Q${x} ${y - 9} ${x + 4} ${y}`).join('');
/** Two arrow heads with a line between, upright. */
const upright = (x: number, from: number, to: number): string =>
  `M${x} ${from}V${to}M${x - 3} ${from + 5}L${x} ${from}L${x + 3} ${from + 5}M${x - 3} ${to - 5}L${x} ${to}L${x + 3} ${to - 5}`;
const level = (y: number, from: number, to: number): string =>
  `M${from} ${y}H${to}M${from + 5} ${y - 3}L${from} ${y}L${from + 5} ${y + 3}M${to - 5} ${y - 3}L${to} ${y}L${to - 5} ${y + 3}`;
const press = (x: number, y: number): string => `M${x} ${y - 22}V${y - 3}M${x - 4} ${y - 9}L${x} ${y - 3}L${x + 4} ${y - 9}`;
const board = 'M10 78H190V92H10Z';
const nut = 'M8 78V62H16V78';
const bridge = 'M6 80H194M60 80V68H150V80M100 68V52H108V68';
const meter = 'M20 24H80V84H20ZM28 32H72V52H28ZM50 66m-8 0a8 8 0 1 0 16 0a8 8 0 1 0 -16 0';
const pickup = 'M120 78V66H160V78M130 66V60H134V66M146 66V60H150V66';

const onLugs: StepDrawing = {
  there: `${meter}M120 50H180M120 50m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0M180 50m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0`,
  read: 'M80 60Q100 60 118 52M80 74Q140 96 178 54',
};
const atJack: StepDrawing = { there: `${meter}M150 40m-14 0a14 14 0 1 0 28 0a14 14 0 1 0 -28 0M150 54V84`, read: 'M80 60Q110 70 146 40M80 74Q120 96 150 80' };
const byTap: StepDrawing = { there: `M10 78H110${pickup}M160 78H190`, read: 'M148 58L172 14L180 18L156 62M126 52L118 44M122 60L112 58' };

export const STEP_DRAWINGS: Readonly<Record<StateId, StepDrawing>> = {
  stopSign: { there: 'M10 60L90 46H150L184 20V54L150 68H92L10 84Z', read: 'M84 48L92 58L86 66L96 68' },
  symptom: { there: `${board}${frets(78, 40, 80, 120, 160)}M10 60H190`, read: 'M60 54Q70 46 80 54T100 54T120 54T140 54M66 68Q74 74 82 68T98 68' },
  humidity: {
    there: 'M100 50m-36 0a36 36 0 1 0 72 0a36 36 0 1 0 -72 0M72 30L78 36M100 14V22M128 30L122 36',
    read: 'M100 50L116 28M96 50a4 4 0 1 0 8 0a4 4 0 1 0 -8 0',
  },
  temperature: { there: 'M94 14a6 6 0 0 1 12 0V66a14 14 0 1 1 -12 0ZM112 24H120M112 36H120M112 48H120', read: 'M100 40V70M96 76a4 4 0 1 0 8 0a4 4 0 1 0 -8 0' },
  relief: { there: `M10 70Q100 92 190 70M10 86Q100 108 190 86M16 66L184 66${press(16, 66)}${press(184, 66)}`, read: upright(100, 66, 81) },
  reliefTreble: { there: 'M10 60Q100 82 190 60M10 72Q100 96 190 72M16 50L184 50', read: `${upright(100, 50, 71)}M150 30H186V40H150Z` },
  reliefAt: { there: `M10 70Q100 92 190 70M10 86Q100 108 190 86M10 62H190`, read: `${upright(50, 62, 77)}${upright(100, 62, 81)}${upright(150, 62, 77)}` },
  action: { there: `${board}${frets(78, 40, 70, 100, 130, 160)}M10 62L190 48`, read: upright(100, 55, 73) },
  nutGap: { there: `${board}${nut}${frets(78, 60, 110, 160)}M12 60L134 72L190 66${press(134, 72)}`, read: upright(60, 65, 74) },
  saddleTravel: { there: 'M40 86H160M60 86V20H140V86M76 44H124V66H76ZM100 20V44M100 66V86', read: upright(150, 22, 84) },
  edgeGap: { there: 'M40 4V96M160 4V96M52 4V96M76 4V96M100 4V96M124 4V96M148 4V96M40 84H160', read: `${level(40, 40, 52)}${level(40, 148, 160)}` },
  intonation: {
    there: `${board}${frets(78, 40, 70, 100, 130)}M10 62L100 72L190 50${press(94, 70)}`,
    read: 'M150 20m-16 0a16 16 0 1 0 32 0a16 16 0 1 0 -32 0M150 22V8',
  },
  pickupHeight: { there: `M10 78H110${frets(78, 40, 70, 100)}${pickup}M10 60L94 70L190 44${press(92, 70)}`, read: upright(132, 49, 60) },
  resistance: atJack,
  partResistance: onLugs,
  partCapacitance: onLugs,
  partInductance: onLugs,
  harnessResistance: atJack,
  jackResistance: atJack,
  supplyCurrent: onLugs,
  groundResistance: { there: `${meter}M130 20H184V34H130ZM150 74m-12 0a12 12 0 1 0 24 0a12 12 0 1 0 -24 0`, read: 'M80 60Q110 50 150 30M80 74Q110 92 144 80' },
  jointGap: { there: 'M10 40H110V80H60V96H10M112 34H190V96H60', read: 'M111 20V80M107 14H115L111 22Z' },
  rodTurns: { there: 'M10 60H110M110 50H130V70H110ZM130 60H150', read: 'M120 36a24 24 0 1 1 -20 12M94 44L100 48L104 40' },
  fretRock: { there: `${board}M46 78Q50 69 54 78M96 78Q100 64 104 78M146 78Q150 69 154 78M44 58L156 72L154 64L46 50Z`, read: upright(52, 60, 72) },
  fretHeight: { there: 'M20 80H180M70 80Q70 40 100 40Q130 40 130 80M94 80V96H106V80', read: upright(150, 40, 80) },
  fretEnds: { there: 'M30 20H160V80H30ZM50 16V84M80 16V84M110 16V84M140 16V84', read: 'M60 92H150M144 88L150 92L144 96M50 84V88M80 84V88M110 84V88' },
  stringsOverTop: { there: `${bridge}M6 30L104 50`, read: upright(40, 37, 80) },
  saddleShown: { there: `${bridge}M6 30L104 50`, read: upright(120, 52, 68) },
  planeOverBridge: { there: `${bridge}M6 56H96${frets(62, 14, 30, 46)}M6 62H54V80`, read: `M6 56H140${upright(130, 56, 68)}` },
  bridgeLift: { there: 'M6 80H194M60 80V66H130Q146 66 150 78L150 72V66', read: 'M190 76H146M152 72L146 76L152 80' },
  rodFeel: { there: 'M10 60H110M110 50H130V70H110ZM130 60H150M120 70V92', read: 'M104 92H136M108 88L104 92L108 96M132 88L136 92L132 96' },
  looseFrets: { there: `${board}${frets(78, 40, 80, 160)}M116 72Q120 62 124 72`, read: `${press(120, 64)}M110 82L104 88M130 82L136 88` },
  jointLine: { there: 'M10 40H110V80H60V96H10M110 40V80H190V96', read: 'M110 40L106 50L113 58L107 68L110 80' },
  screws: { there: 'M30 40H170V60H30ZM30 60V96H170V60', read: 'M88 24H112L106 34V84L100 92L94 84V34ZM94 48H106M94 60H106M94 72H106' },
  finish: { there: 'M20 30H180V90H20Z', read: 'M10 14L60 44M20 10L70 40M80 60a6 6 0 1 0 12 0a6 6 0 1 0 -12 0M120 72a4 4 0 1 0 8 0a4 4 0 1 0 -8 0' },
  topShape: { there: 'M10 70Q60 84 96 70Q140 50 190 70M90 68V60H112V62', read: 'M10 58H190M60 58V76M140 58V60' },
  topCrack: { there: 'M20 10H180V90H20ZM80 40a20 20 0 1 0 40 0a20 20 0 1 0 -40 0', read: 'M100 60L96 68L103 76L99 90' },
  tremoloRest: { there: 'M60 70H150V78H60ZM110 78V96H130V78M60 70L54 76L60 82', read: 'M150 74L186 44M180 30Q194 44 188 60' },
  poleOffset: {
    there: 'M40 20H160V80H40ZM60 50m-6 0a6 6 0 1 0 12 0a6 6 0 1 0 -12 0M140 50m-6 0a6 6 0 1 0 12 0a6 6 0 1 0 -12 0M52 4V96M148 4V96',
    read: `${level(50, 52, 60)}${level(50, 140, 148)}`,
  },
  breakAngle: { there: 'M10 80H110V64H118V80H190M10 40L114 62', read: 'M114 62L176 92M114 62L176 75M160 71Q164 78 160 84' },
  tuners: {
    there: 'M20 30H120V70H20ZM60 50m-10 0a10 10 0 1 0 20 0a10 10 0 1 0 -20 0M120 50H150',
    read: 'M150 36H176V64H150ZM182 34Q192 50 182 66M182 34L180 41M182 34L189 37',
  },
  tapTest: byTap,
  tapAt: byTap,
  stringAt: byTap,
  shieldResistance: {
    there: 'M20 20H180V90H20ZM30 30H170V80H30',
    read: 'M36 74L50 50M164 36L150 60M36 74m-3 0a3 3 0 1 0 6 0a3 3 0 1 0 -6 0M164 36m-3 0a3 3 0 1 0 6 0a3 3 0 1 0 -6 0',
  },
  pairResistance: {
    there: `${meter}M130 34m-12 0a12 12 0 1 0 24 0a12 12 0 1 0 -24 0M160 66m-12 0a12 12 0 1 0 24 0a12 12 0 1 0 -24 0`,
    read: 'M80 60Q100 40 118 34M142 34L152 56M80 74Q120 92 148 70',
  },
  toneResistance: { there: `${meter}M150 50m-24 0a24 24 0 1 0 48 0a24 24 0 1 0 -48 0`, read: 'M150 50L134 66M128 72L132 78M80 60Q100 50 128 60' },
  inductance: { there: `${meter}M110 50H120M180 50H190`, read: 'M120 50q8 -22 15 0q8 -22 15 0q8 -22 15 0q8 -22 15 0M80 60Q96 50 110 50' },
  splitState: { there: `M10 78H110${pickup}M160 78H190M130 20H150V40H130Z`, read: 'M140 40V54M136 48L140 54L144 48' },
  saddleRoom: { there: 'M20 60H180V72H20ZM40 60V40M160 60V40M120 60V34H140V60', read: level(28, 124, 158) },
  bridgeOffset: { there: 'M100 4V96M70 60H150V76H70Z', read: level(48, 100, 110) },
  supply: { there: `${meter}M130 30H180V84H130ZM142 24H150V30M162 24H170V30`, read: 'M80 60Q100 50 130 44M80 74Q100 84 130 70' },
};
