import type { Source } from '../measure/index.js';

/** One of the shop's numbers, with the range in which it makes sense and where it comes from. */
export interface SettingRow {
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly unit: 'mm' | 'min' | 'h' | 'count' | 'weight' | 'mm/min' | 'coin' | 'share';
  readonly source: Source;
  readonly ref: string;
}

const mm = (value: number, min: number, max: number, source: Source, ref: string): SettingRow => ({ value, min, max, unit: 'mm', source, ref });
const minutes = (value: number): SettingRow => ({ value, min: 0, max: 600, unit: 'min', source: 'memory', ref: 'Minutes to start with' });
const weight = (value: number): SettingRow => ({ value, min: 0, max: 100, unit: 'weight', source: 'trade', ref: 'Ranking of remedies' });

/** The shop's numbers as they start; each can be changed within its range. */
export const DEFAULT_SETTINGS = {
  limitTemplate: mm(0.1, 0, 1, 'memory', 'Limits of planned work'),
  limitPlannedDepth: mm(0.2, 0, 1, 'memory', 'Limits of planned work'),
  limitPlateBack: mm(0.2, 0, 2, 'memory', 'Limits of planned work'),
  minHiddenEdge: mm(1.5, 0, 10, 'trade', 'Hidden edge'),
  minWall: mm(5, 0, 30, 'trade', 'Walls and floors'),
  minWallAtNeckPocket: mm(10, 0, 30, 'trade', 'Walls and floors'),
  minWallAtStud: mm(10, 0, 30, 'trade', 'Walls and floors'),
  minFloor: mm(5, 0, 30, 'trade', 'Walls and floors'),
  minPartInRoute: mm(0.5, 0, 5, 'trade', 'Part in its route'),
  minDepth: mm(1, 0, 5, 'trade', 'Part in its route'),
  minWindowGap: mm(0.3, 0, 3, 'trade', 'Part in its route'),
  minBehindWindow: mm(0.5, 0, 5, 'trade', 'Part in its route'),
  polesWithin: mm(1, 0, 5, 'trade', 'Poles under strings'),
  maxPoleOffset: mm(2.5, 0, 8, 'trade', 'Poles under strings'),
  minHoleOver: mm(0.2, 0, 2, 'trade', 'Parts in holes'),
  mostKnobPlayPushed: mm(0.15, 0, 1, 'memory', 'Knobs on shafts'),
  mostKnobPlayScrewed: mm(0.5, 0, 1, 'memory', 'Knobs on shafts'),
  minHides: mm(0.5, 0, 5, 'memory', 'Parts in holes'),
  nutAndWasher: mm(2.5, 0, 8, 'memory', 'Parts in holes'),
  minThreadOver: mm(0.5, 0, 5, 'memory', 'Parts in holes'),
  minBodyRoom: mm(1, 0, 10, 'memory', 'Parts in holes'),
  minBesideHole: mm(3, 0, 20, 'memory', 'Parts in holes'),
  minWireRoom: mm(0.5, 0, 5, 'memory', 'Parts in holes'),
  filmThickness: mm(0.15, 0, 0.5, 'memory', 'Press fits'),
  pressSmoothLeast: mm(0.02, 0, 0.5, 'memory', 'Press fits'),
  pressSmoothMost: mm(0.08, 0, 0.5, 'memory', 'Press fits'),
  pressKnurlLeast: mm(0.1, 0, 0.5, 'memory', 'Press fits'),
  pressKnurlMost: mm(0.25, 0, 1, 'memory', 'Press fits'),
  minHold: mm(8, 0, 40, 'trade', 'Screws in wood'),
  minHoldNeck: mm(12, 0, 40, 'memory', 'Screws in wood'),
  minHoldStrap: mm(20, 0, 40, 'trade', 'Screws in wood'),
  minUnderPoint: mm(3, 0, 20, 'trade', 'Screws in wood'),
  minBesideScrew: mm(2, 0, 10, 'memory', 'Screws in wood'),
  minScrewPlay: mm(0.3, 0, 3, 'trade', 'Screws in wood'),
  minHeadSeat: mm(1, 0, 6, 'memory', 'Screws in wood'),
  maxStudProud: mm(3, 0, 20, 'memory', 'Screws in wood'),
  minBite: mm(0.3, 0, 3, 'memory', 'Screws in wood'),
  maxCoverHoleOffset: mm(0.3, 0, 3, 'memory', 'Cover holes'),
  placementPlay: mm(0.5, 0, 5, 'memory', 'Best placement'),
  strengthLeast: mm(2, 0, 10, 'memory', 'Least wood for strength'),
  routeSide: mm(1, 0, 5, 'memory', 'Route from part'),
  routeEarEnd: mm(2.5, 0, 8, 'memory', 'Route from part'),
  routeEarSide: mm(1.25, 0, 5, 'memory', 'Route from part'),
  routeUnder: mm(1.5, 0, 5, 'trade', 'Route from part'),
  routeUnderScrews: mm(2, 0, 8, 'memory', 'Route from part'),
  wellDiameter: mm(6, 3, 12, 'memory', 'Route from part'),
  passDepth: mm(6, 1, 12, 'trade', 'Passes'),
  bearingContact: mm(4, 2, 12, 'law', 'First pass'),
  templateThickness: mm(12, 3, 40, 'memory', 'First pass'),
  straightEdge: mm(0.8, 0, 10, 'memory', 'Depth set-ups'),
  boringShare: { value: 0.7, min: 0.1, max: 1, unit: 'share', source: 'memory', ref: 'Bulk' },
  leaveForTemplateBit: mm(1.5, 0, 5, 'trade', 'Bulk'),
  minutesTrace: minutes(10),
  minutesTemplate: minutes(30),
  minutesBore: minutes(15),
  minutesPass: minutes(6),
  minutesSetUp: minutes(4),
  minutesWells: minutes(8),
  minutesTestFit: minutes(10),
  minutesSwap: minutes(40),
  minutesHole: minutes(8),
  minutesPlug: minutes(12),
  minutesFill: minutes(45),
  minutesStrings: minutes(15),
  minutesElectronics: minutes(20),
  minutesPlate: minutes(60),
  waitForGlue: { value: 720, min: 0, max: 10_080, unit: 'min', source: 'memory', ref: 'Waiting for glue' },
  limitDrill: mm(0.1, 0, 1, 'memory', 'Limits of planned work'),
  ratePerHour: { value: 6000, min: 0, max: 100_000, unit: 'coin', source: 'memory', ref: 'Prices to start with' },
  lateHour: { value: 22, min: 0, max: 24, unit: 'h', source: 'memory', ref: 'Late and long days' },
  dayHours: { value: 8, min: 1, max: 24, unit: 'h', source: 'memory', ref: 'Late and long days' },
  weightOwner: weight(32),
  weightReversible: weight(16),
  weightHidden: weight(8),
  weightTools: weight(4),
  weightTime: weight(2),
  weightMoney: weight(1),
  weightRisk: weight(1),
} as const satisfies Readonly<Record<string, SettingRow>>;

export type SettingKey = keyof typeof DEFAULT_SETTINGS;

/** Every setting's value in force. */
export type Settings = Readonly<Record<SettingKey, number>>;

export const SETTING_KEYS = Object.keys(DEFAULT_SETTINGS) as readonly SettingKey[];

/** The starting values with the shop's own on top. */
export function settingsWith(own: Readonly<Partial<Record<SettingKey, number>>> = {}): Settings {
  const pairs = SETTING_KEYS.map((k): [SettingKey, number] => [k, own[k] ?? DEFAULT_SETTINGS[k].value]);
  return Object.fromEntries(pairs) as Record<SettingKey, number>;
}
