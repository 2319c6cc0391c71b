/** What fields were called before, by what they are called now. */
const FIELDS: Readonly<Record<string, string>> = {
  pockets: 'levels',
  pocket: 'level',
  hollow: 'cavity',
  leadsWanted: 'leadsNeeded',
};

/** A part's outlines at their depths were called levels, which is now a word for cavities. */
export const PART_FIELDS: Readonly<Record<string, string>> = { levels: 'tiers' };

/** What stood in a field before, by that field: only words of the program, never what a person typed. */
const WORDS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  kind: {
    told: 'stated',
    addPockets: 'addLevels',
    fillPockets: 'fillLevels',
    sizePocket: 'sizeLevel',
    widenHollow: 'widenCavity',
    cutHollow: 'cutCavity',
  },
  basis: { told: 'stated' },
  cut: { hollow: 'cavity' },
  quantity: { pocketDepth: 'levelDepth' },
};

/** Ids that begin with the name of a check, a remedy or a doubt, up to their first stroke. */
const NAMED_IDS: ReadonlySet<string> = new Set(['id', 'verdict', 'option', 'doubt']);
const ID_STARTS: Readonly<Record<string, string>> = {
  hollowBehind: 'cavityBehind',
  widenHollow: 'widenCavity',
  hollowOutside: 'cavityOutside',
};

/** Labels of numbers that a step was logged with. */
const LABELS: Readonly<Record<string, string>> = {
  depthWanted: 'targetDepth',
  heightWanted: 'targetHeight',
  pocketDepth: 'levelDepth',
  hollowHere: 'cavityHere',
};

/** Numbers of the shop, by what they were called. */
const SETTINGS: Readonly<Record<string, string>> = {
  wantedHiddenEdge: 'minHiddenEdge',
  wantedWall: 'minWall',
  wantedWallAtPocket: 'minWallAtNeckPocket',
  wantedFloor: 'minFloor',
  wantedPartInRoute: 'minPartInRoute',
  wantedDepth: 'minDepth',
  wantedWindowGap: 'minWindowGap',
  wantedBehindWindow: 'minBehindWindow',
  wantedHoleOver: 'minHoleOver',
  wantedHides: 'minHides',
  wantedThreadOver: 'minThreadOver',
  wantedBodyRoom: 'minBodyRoom',
  wantedBesideHole: 'minBesideHole',
  wantedWireRoom: 'minWireRoom',
  wantedHold: 'minHold',
  wantedHoldStrap: 'minHoldStrap',
  wantedUnderPoint: 'minUnderPoint',
  wantedBesideScrew: 'minBesideScrew',
  wantedBite: 'minBite',
  polesHard: 'maxPoleOffset',
  coverHolesHard: 'maxCoverHoleOffset',
};

type Fields = Readonly<Record<string, string>>;

/** Plain data under today's names; data that has them already come out equal. What a person typed, and the ids of features, stay as they are. */
export function withNewNames(value: unknown, fields: Fields = FIELDS): unknown {
  if (Array.isArray(value)) return value.map((v) => withNewNames(v, fields));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, v]) => [fields[key] ?? key, typeof v === 'string' ? newWord(key, v) : withNewNames(v, fields)] as const),
  );
}

function newWord(field: string, word: string): string {
  return NAMED_IDS.has(field) ? newId(word) : (WORDS[field]?.[word] ?? word);
}

/** An id of a verdict, an option or a doubt: `hollowBehind/new pot 1234` is `cavityBehind/new pot 1234`. */
export function newId(id: string): string {
  const [start = '', ...rest] = id.split('/');
  return [ID_STARTS[start] ?? start, ...rest].join('/');
}

/** The kind of an operation as it is called now. */
export function newKind(kind: string): string {
  return WORDS['kind']?.[kind] ?? kind;
}

/** The numbers of a step by their labels of now. */
export function newLabels<T>(numbers: Readonly<Record<string, T>>): Readonly<Record<string, T>> {
  return renamedKeys(numbers, LABELS);
}

/** A workshop's own numbers by their names of now. */
export function newSettings<T>(own: Readonly<Record<string, T>>): Readonly<Record<string, T>> {
  return renamedKeys(own, SETTINGS);
}

function renamedKeys<T>(of: Readonly<Record<string, T>>, names: Fields): Readonly<Record<string, T>> {
  return Object.fromEntries(Object.entries(of).map(([key, v]) => [names[key] ?? key, v]));
}
