import { isOpenCircuit, type StateId } from '@rinnovo/core/quantity';
import type { ElectricUnit } from '@rinnovo/core/part';
import {
  elementIn,
  isPulled,
  knobOf,
  positionOf,
  type Bleed,
  type Circuit,
  type CircuitProblem,
  type DeckProblem,
  type Doubt,
  type Element,
  type FaultId,
  type Heard,
  type LineVerdict,
  type LooseEnd,
  type Lug,
  type Meaning,
  type NoCircuit,
  type NoTarget,
  type Predicted,
  type Resonance,
  type Role,
  type Setting,
  type TestLine,
  type TestStage,
  type VariantId,
} from '@rinnovo/core/wire';
import { contactProblemText, electricParts } from './electric.js';
import { fixed, withUnit } from './locale.js';
import { nameOf, upperFirst, type Names } from './names.js';

/** What an element does, by its trade name. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  pickup: 'pickup',
  volume: 'volume',
  tone: 'tone',
  blend: 'blend',
  selector: 'selector',
  mode: 'mode switch',
  kill: 'kill switch',
  'tone capacitor': 'tone capacitor',
  bleed: 'treble bleed',
  'split resistor': 'split resistor',
  jack: 'jack',
  cell: 'battery',
  preamp: 'preamp',
  'string ground': 'string ground',
  block: 'terminal block',
  other: 'part',
};

export const BLEED_WORDS: Readonly<Record<Bleed, string>> = {
  none: 'None',
  capacitor: 'Capacitor',
  'capacitor and resistor in parallel': 'Capacitor and resistor in parallel',
  'capacitor and resistor in series': 'Capacitor and resistor in series',
};

/** What an element is called: by the workshop, or by what it does for which pickup. */
export function elementName(e: Element, names: Names): string {
  if (e.name !== null) return e.name;
  if (e.place === null) return upperFirst(e.id);
  return e.does === 'pickup' ? upperFirst(nameOf(names, e.place)) : `${upperFirst(ROLE_WORDS[e.does])}, ${nameOf(names, e.place)}`;
}

const called = (circuit: Circuit, id: string, names: Names): string => {
  const e = elementIn(circuit, id);
  return e ? elementName(e, names) : id;
};

/** A terminal: `Volume, lug 2`, `Neck pickup, north start (red)`. */
export function lugName(circuit: Circuit, { element, lug }: Lug, names: Names): string {
  const e = elementIn(circuit, element);
  const coil = e?.kind === 'pickup' ? e.coils.find((c) => lug === `${c.name} start` || lug === `${c.name} finish`) : undefined;
  const colour = coil ? (lug.endsWith('start') ? coil.startColour : coil.finishColour) : null;
  const what = e?.kind === 'pot' && /^[123]/.test(lug) ? `lug ${lug}` : lug;
  return `${called(circuit, element, names)}, ${what}${colour ? ` (${colour})` : ''}`;
}

/** How a circuit stands, as one says it at the bench: `Position 2, volume pulled, tone at 0`. Everything full up and pushed is not said. */
export function settingText(circuit: Circuit, s: Setting, names: Names): string {
  const selectors = circuit.elements.filter((e) => e.kind === 'switch');
  const positions = selectors.map((e) => {
    const at = `position ${positionOf(s, e.id) + 1}`;
    return e.does === 'selector' ? at : `${elementName(e, names).toLowerCase()} ${at}`;
  });
  const pots = circuit.elements.flatMap((e): readonly string[] => {
    if (e.kind !== 'pot') return [];
    const name = elementName(e, names);
    const up = knobOf(s, e.id);
    const rest = e.does === 'blend' ? 0.5 : 1;
    return [
      ...(e.pull && isPulled(s, e.id) ? [`${name} pulled`] : []),
      ...(up === rest ? [] : [`${name} at ${fixed(up * 10, Number.isInteger(up * 10) ? 0 : 1)}`]),
    ];
  });
  const all = [...positions, ...pots, ...(s.plugged ? [] : ['unplugged'])];
  return all.length === 0 ? 'Everything full up' : upperFirst(all.join(', '));
}

/** What a response can be laid over. */
export const VARIANT_WORDS: Readonly<Record<VariantId, string>> = {
  'pots of 250 k': 'Pots of 250 kΩ',
  'pots of 500 k': 'Pots of 500 kΩ',
  'pots of 1 M': 'Pots of 1 MΩ',
  'volumes the other way': 'Volumes wired the other way (normal or independent)',
  'with a bleed': 'With a treble bleed of 680 pF',
  'without a bleed': 'Without the treble bleed',
};

/** Headings of the sheet, in the order of the work. */
export const TEST_STAGE_WORDS: Readonly<Record<TestStage, string>> = {
  part: 'Parts by themselves',
  harness: 'Harness on the bench',
  body: 'In the body',
  string: 'With one string',
};

/** What is done at each of them. */
export const TEST_STAGE_HOW: Readonly<Record<TestStage, string>> = {
  part: 'Before any joint is soldered. Hold the probes by their handles.',
  harness: 'Black probe on the sleeve, red on the tip. Pots full up, nothing plugged in.',
  body: 'Through a patch lead with its plug in the jack: red on the tip, black on the sleeve.',
  string: 'Fit one string before all the others.',
};

/** What a line of the sheet reads. */
export function lineTitle(circuit: Circuit, line: TestLine, names: Names): string {
  if (line.stage === 'part') {
    const at = /, (at .*)$/.exec(line.target.part)?.[1];
    const [a, b] = line.probes ?? [];
    const lugs = a && b ? `${a.lug} to ${b.lug}` : '';
    const what = line.target.quantity === 'partInductance' ? 'inductance, ' : '';
    return `${called(circuit, line.target.feature, names)}: ${what}${lugs}${at ? `, turned ${at.replace('at 0', 'down').replace('at half', 'half up').replace('at full', 'full up')}` : ''}`;
  }
  if (line.target.quantity === 'supplyCurrent') return line.setting.plugged ? 'Supply current, plugged in' : 'Supply current, unplugged';
  return settingText(circuit, line.setting, names);
}

/** A value of a circuit in the unit that it is read in, with the digits that a meter shows: 7.87 kΩ, 47.0 kΩ, 500 kΩ, 1.00 MΩ. */
export function circuitValue(value: number, quantity: StateId): string {
  const [number, unit] = inParts(value, quantity);
  return unit === '' ? number : withUnit(number, unit);
}

/** The unit that a reading of the sheet is kept in, and how much of it is one of the circuit's. */
function electricOfState(value: number, quantity: StateId): readonly [number, ElectricUnit] {
  if (quantity === 'partCapacitance') return [value * 1e-9, 'F'];
  if (quantity === 'partInductance') return [value, 'H'];
  return quantity === 'supplyCurrent' ? [value * 1e-3, 'A'] : [value, 'Ω'];
}

/** A number and its unit in the scale of another; an open circuit has none. */
function inParts(value: number, quantity: StateId, like = value): readonly [string, string] {
  const [of, unit] = electricOfState(value, quantity);
  return electricParts(of, unit, electricOfState(like, quantity)[0]);
}

export const LINE_VERDICT_WORDS: Readonly<Record<LineVerdict, string>> = {
  agrees: 'Agrees',
  low: 'Too low',
  high: 'Too high',
  open: 'Open',
  shorted: 'Shorted',
  'not open': 'Conducts',
};

/** What a prediction rests on, in a sentence; empty where everything was measured. */
export function restsOnText(circuit: Circuit, { typical, doubts }: Predicted, names: Names): string {
  const knobs = doubts.some((d) => d.of === 'knob') ? ' A knob between its stops is off by up to 0.15 of its turn.' : '';
  if (typical.length === 0) return knobs.trim();
  return `Rests on typical values: ${typical.map((id) => called(circuit, id, names)).join(', ')}. Meter them to narrow it.${knobs}`;
}

/** What makes a prediction unsure, by its element. */
export const unsureText = (circuit: Circuit, { element, of }: Doubt, names: Names): string => `${called(circuit, element, names)}: ${DOUBT_WORDS[of]}`;

const DOUBT_WORDS: Readonly<Record<Doubt['of'], string>> = { value: 'its value', knob: 'where its knob stands', temperature: 'the temperature' };

/** What a reading may mean, where to look first, what to exclude first. */
export function meaningText(circuit: Circuit, { fault, element, at }: Meaning, names: Names): string {
  const name = called(circuit, element, names);
  // a pickup of one coil has no name for it
  const coil = at === 'coil' ? 'the coil' : `coil ${at}`;
  switch (fault) {
    case 'coil open':
      return `${name}: ${coil} is open. Meter its leads at the switch. Exclude a dirty contact first.`;
    case 'coil shorted':
      return `${name}: ${coil} is shorted. Check its leads and the series joint. Exclude a pull that is up first.`;
    case 'way to the jack open':
      return `The ${at} of the jack is open. Check its lug and its wire. Exclude the plug and the meter lead first.`;
    case 'hot on ground':
      return 'Hot touches ground. Unsolder the hot wire at the jack and read again. Exclude a volume at 0 first.';
    case 'contact open':
      return `${name}: contact ${at} does not close. Bridge it with a wire. Exclude a dirty contact first.`;
    case 'ground lug open':
      return `${name}: lug ${at} is not joined to ground. Reflow it.`;
    case 'pull stuck':
      return `${name} reads as if ${at}. Check its switch.`;
    case 'capacitor leaks':
      return `${name} passes direct current. Unsolder one end and read again.`;
    case 'shorted turns':
      return `${name}: shorted turns in ${coil}. Compare it with its twin, then return or rewind it. Exclude a mislabelled part first.`;
    case 'hidden turns':
      return `${name}: shorted turns in ${coil}, or a weak magnet. Compare inductance and field with its twin. Exclude height and tone capacitor first.`;
    case 'leaks alone':
      return `${name} passes direct current by itself. Replace it.`;
    case 'out of phase':
      return 'Out of phase: exchange the leads of one pickup. Exclude a cover on its ground lead and reversed magnets first.';
    case 'not a pair':
      return 'No hum-cancelling pair: accept it, or turn magnet and leads of one. Exclude unequal volumes first.';
    case 'hums alone':
      return 'Buzz that falls on touching the strings is poor screening; that stays or rises is the string ground. Exclude dimmers and lamps first.';
    case 'no signal':
      return 'No signal: a lead, a contact or the hot wire is open or shorted. Read the resistance of this position first.';
    case 'dull':
      return 'Weak or dull: shorted turns, a weak magnet, or a tone that stays on. Compare the inductance with its twin.';
    case 'other position':
      return `${name} reads as position ${at}. Its contacts are mirrored, or it stands elsewhere.`;
  }
}

/** A fault by its name, where it is. */
export const faultName = (circuit: Circuit, fault: FaultId, element: string, at: string, names: Names): string =>
  `${FAULT_WORDS[fault]}: ${called(circuit, element, names)}, ${at}`;

const FAULT_WORDS: Readonly<Record<FaultId, string>> = {
  'coil open': 'Coil open',
  'coil shorted': 'Coil shorted',
  'way to the jack open': 'Wire to the jack open',
  'hot on ground': 'Hot touches ground',
  'contact open': 'Contact open',
  'ground lug open': 'Ground lug open',
  'pull stuck': 'Pull stuck',
  'capacitor leaks': 'Capacitor leaks',
  'other position': 'Other position',
  'shorted turns': 'Shorted turns',
  'hidden turns': 'Shorted turns or a weak magnet',
  'leaks alone': 'Capacitor leaks',
  'out of phase': 'Out of phase',
  'not a pair': 'No hum-cancelling pair',
  'hums alone': 'Hum',
  'no signal': 'No signal',
  dull: 'Weak or dull',
};

/** What of a circuit hangs together wrongly, by its terminals. */
export function looseEndText(circuit: Circuit, end: LooseEnd, names: Names): string {
  switch (end.kind) {
    case 'silent':
      return 'Silent: tip and sleeve are joined.';
    case 'shorted':
      return `Shorted: ${lugName(circuit, end.a, names)} and ${lugName(circuit, end.b, names)} are joined.`;
    case 'hanging':
      return `Hangs on the hot as an antenna: ${lugName(circuit, end.lug, names)} is free.`;
    case 'floating':
      return `Not connected: ${end.lugs.map((l) => lugName(circuit, l, names)).join(' and ')}.`;
  }
}

/** What is heard at a setting, in one sentence. */
export function heardText(circuit: Circuit, { coils, inPhase, humCancelling, humLeft }: Heard, names: Names): string {
  if (coils.length === 0) return 'Silent.';
  const by = new Map<string, string[]>();
  for (const c of coils) by.set(c.element, [...(by.get(c.element) ?? []), c.coil]);
  const who = [...by].map(([id, of]) => {
    const e = elementIn(circuit, id);
    const all = e?.kind === 'pickup' ? e.coils.length : 1;
    return of.length < all ? `${called(circuit, id, names)} (${of.join(', ')})` : called(circuit, id, names);
  });
  const phase = inPhase === null ? '' : inPhase ? ', in phase' : ', out of phase';
  const hum = humCancelling === null ? ', hums like one coil' : humCancelling ? ', hum-cancelling' : (humLeft ?? 1) < 0.9 ? ', hum partly cancelled' : ', hums';
  return `${who.join(' and ')}${phase}${hum}.`;
}

/** The resonance in a sentence, for whoever cannot see the curve. */
export function resonanceText(r: Resonance | null): string {
  if (r === null) return 'No signal.';
  const fallen = r.fallen === null ? '' : ` Down 3 dB at ${hertzText(r.fallen)}.`;
  if (r.hertz === null) return `No peak.${fallen}`;
  return `Peak at ${hertzText(r.hertz)}, ${withUnit(fixed(r.height, 1), 'dB')} high${r.upperBound ? ' (upper bound: coil losses unknown)' : ''}.${fallen}`;
}

export const hertzText = (hertz: number): string => (hertz >= 1000 ? withUnit(fixed(hertz / 1000, 2), 'kHz') : withUnit(fixed(hertz, 0), 'Hz'));

/** A prediction with its limits: `7.87 kΩ (6.75–9.03)`. */
export function predictedText(value: number, least: number, most: number, quantity: StateId): string {
  if (isOpenCircuit(value) || most - least <= 1e-9 * most) return circuitValue(value, quantity);
  if (isOpenCircuit(most)) return `${circuitValue(value, quantity)} or more`;
  // in one unit, so that they can be held against one another at a glance
  const [from] = inParts(least, quantity, value);
  const [to] = inParts(most, quantity, value);
  return `${circuitValue(value, quantity)} (${from}–${to})`;
}

/** Why a line has no target. */
export const NO_TARGET_WORDS: Readonly<Record<NoTarget, string>> = {
  preamp: 'The preamp lies between: no resistance to predict',
  unknown: 'Unknown: meter the pickup first',
};

/** Why a circuit cannot be kept. */
export function circuitProblemText(p: CircuitProblem): string {
  switch (p.kind) {
    case 'id twice':
      return `two parts are called ${p.element}`;
    case 'no such lug':
      return `${p.lug.element} has no lug ${p.lug.lug}`;
    case 'joined to itself':
      return `${p.lug.element}, ${p.lug.lug} is joined to itself`;
    case 'bare and joined':
      return `${p.lug.element}, ${p.lug.lug} is joined and marked as empty`;
    case 'not positive':
      return `${p.element}: ${p.value} must be more than 0`;
    case 'contacts':
      return `${p.element}: ${contactProblemText(p.problem)}`;
    case 'no coils':
      return `${p.element} has no coils`;
    case 'coil twice':
      return `${p.element}: two coils are called ${p.coil}`;
    case 'jacks':
      return p.count > 1 ? 'a circuit has one jack' : 'the jack must be called jack';
  }
}

/** Why a deck cannot be read, with its line. */
export function deckProblemText({ line, kind, text }: DeckProblem): string {
  return `Line ${line}${text === '' ? '' : ` (${text})`}: ${DECK_PROBLEMS[kind]}`;
}

/** Why a deck is no circuit that can be kept. */
export function noCircuitText({ kind, name }: NoCircuit): string {
  switch (kind) {
    case 'no such node':
      return `${name}: choose a node of the deck other than 0`;
    case 'current source':
    case 'controlled source':
      return `${name}: only coils give a signal here, no source of this kind`;
    case 'source without a coil':
      return `${name}: a source stands in a row with its coil and nothing else between`;
    case 'coil without a resistance':
      return `${name}: a coil needs a resistance in its row`;
  }
}

const DECK_PROBLEMS: Readonly<Record<DeckProblem['kind'], string>> = {
  'too long': 'too long, 500 characters at most',
  'too many lines': 'too many lines, 2000 at most',
  command: 'commands and other files are not read',
  'unknown element': 'only R, C, L, V, I and E are read',
  'too few words': 'a name, two nodes and a value are needed',
  'not a number': 'the value is not a number',
  'not positive': 'the value must be more than 0',
  'joined to itself': 'both nodes are the same',
  'name twice': 'this name is already in use',
  'nothing before it': 'nothing before it to continue',
  'nothing in it': 'the deck is empty',
  'no ground': 'nothing is joined to node 0',
};
