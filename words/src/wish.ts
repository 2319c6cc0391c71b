import {
  elementIn,
  heardIn,
  type Change,
  type Circuit,
  type CircuitWish,
  type Effect,
  type LedOut,
  type PickupElement,
  type PickupVoice,
  type Solution,
  type Together,
  type Voice,
  type WishProblem,
  type WishRow,
} from '@rinnovo/core/wire';
import { elementName } from './circuit.js';
import { upperFirst, type Names } from './names.js';

export const TOGETHER_WORDS: Readonly<Record<Together, string>> = { series: 'series', parallel: 'parallel' };

export const LED_OUT_WORDS: Readonly<Record<LedOut, string>> = {
  'coils apart': 'Both ends of each coil',
  'joint led out': 'Hot, joint of the coils, ground',
  'ends only': 'Hot and ground alone',
};

/** What a pull or a small switch can do. */
export const EFFECT_WORDS: Readonly<Record<Effect['do'], string>> = {
  nothing: 'The same as pushed',
  split: 'split',
  'partly split': 'partly split',
  'coils in parallel': 'coils in parallel',
  reverse: 'turned round',
  add: 'added',
  'all in series': 'All pickups in series',
  direct: 'Straight to the jack',
  kill: 'Silent',
};

const asCircuit = ({ elements }: Pick<CircuitWish, 'elements'>): Circuit => ({ format: 1, elements, joints: [], bare: [] });

/** What an element of a wish is called. */
function called(wish: Pick<CircuitWish, 'elements'>, id: string, names: Names): string {
  const e = elementIn(asCircuit(wish), id);
  return e ? elementName(e, names) : id;
}

/** An effect on one pickup: `Neck pickup: split, north coil stays`. */
export function effectText(wish: CircuitWish, effect: Effect, names: Names): string {
  const what = EFFECT_WORDS[effect.do];
  if (!('pickup' in effect)) return what;
  return `${called(wish, effect.pickup, names)}: ${what}${'stays' in effect ? `, ${effect.stays} coil stays` : ''}`;
}

/** Where the switches of a row stand: `Position 2, volume pulled`. */
export function rowText(wish: CircuitWish, { at }: Pick<WishRow, 'at'>, names: Names): string {
  const switches = wish.elements.flatMap((e): readonly string[] => {
    if (e.kind !== 'switch' || e.does === 'kill') return [];
    const position = `position ${(at[e.id] ?? 0) + 1}`;
    return [e.does === 'selector' ? position : `${elementName(e, names).toLowerCase()} ${position}`];
  });
  const pulls = wish.elements.flatMap((e) => (e.kind === 'pot' && at[e.id] === 1 ? [`${elementName(e, names)} pulled`] : []));
  const all = [...switches, ...pulls];
  return all.length === 0 ? 'Always' : upperFirst(all.join(', '));
}

/** What is wished for a setting, in one sentence. */
export function voiceText(wish: CircuitWish, voice: Voice, names: Names): string {
  const heard = heardIn(voice);
  if (heard.length === 0) return 'Silent.';
  const who = heard.map((v) => pickupVoiceText(wish, v, names)).join(' and ');
  const together = heard.length > 1 ? `, in ${voice.joined}` : '';
  const coils = heard.flatMap((v) => v.coils);
  const phase = coils.length < 2 ? '' : coils.every((c) => c.turned === coils[0]?.turned) ? ', in phase' : ', out of phase';
  const past = voice.direct ? ', past volume and tone' : '';
  return `${who}${together}${phase}${humText(wish, heard)}${past}.`;
}

function pickupVoiceText(wish: CircuitWish, { pickup, coils, joined, partly }: PickupVoice, names: Names): string {
  const name = called(wish, pickup, names);
  const all = pickupOf(wish, pickup)?.coils.length ?? 1;
  if (all < 2) return name;
  if (partly !== null) return `${name} (${partly} coil partly split)`;
  return coils.length < 2 ? `${name} (${coils.map((c) => c.coil).join()} coil)` : `${name} (coils in ${joined})`;
}

const pickupOf = ({ elements }: CircuitWish, id: string): PickupElement | undefined =>
  elements.find((e): e is PickupElement => e.kind === 'pickup' && e.id === id);

/** With the signal one way about, a coil hums as its magnet has it [law]. */
function humText(wish: CircuitWish, heard: readonly PickupVoice[]): string {
  if (heard.some((v) => v.partly !== null)) return '';
  const signs = heard.flatMap((v) => v.coils.map((c) => (pickupOf(wish, v.pickup)?.coils.find((x) => x.name === c.coil)?.magnet ?? 1) * (c.turned ? -1 : 1)));
  const left = Math.abs(signs.reduce((a, b) => a + b, 0));
  return left === 0 ? ', hum-cancelling' : left < signs.length ? ', hum partly cancelled' : ', hums';
}

/** What is wrong with a wish, where it stands. */
export function wishProblemText(wish: CircuitWish, p: WishProblem, names: Names): string {
  const row = (i: number): string => {
    const r = wish.rows[i];
    return r ? rowText(wish, r, names) : `row ${i + 1}`;
  };
  switch (p.kind) {
    case 'no pickups':
      return 'There is no pickup.';
    case 'no jack':
      return 'There is no jack. Add one to the circuit.';
    case 'no rows':
      return 'Nothing is said of any position.';
    case 'too many settings':
      return `More than ${p.most} settings of switches and pulls. Use fewer.`;
    case 'too many terminals':
      return `More than ${p.most} terminals. Use fewer or smaller switches.`;
    case 'said twice':
      return `${row(p.row)}: said twice.`;
    case 'not said':
      return `${rowText(wish, p, names)}: nothing is said of it.`;
    case 'no such position':
      return `${called(wish, p.element, names)} has ${p.positions} positions, not ${p.position + 1}.`;
    case 'no such switch':
      return `${row(p.row)}: there is no switch ${p.element}.`;
    case 'no such coil':
      return `${row(p.row)}: there is no ${p.coil === null ? 'pickup' : `coil ${p.coil}`} of ${p.pickup}.`;
    case 'heard twice':
      return `${row(p.row)}: ${called(wish, p.pickup, names)} is said twice.`;
    case 'no resistor':
      return `${row(p.row)}: a partial split needs a resistor for ${called(wish, p.pickup, names)}.`;
    case 'partly what':
      return `${row(p.row)}: only two coils in series and in phase can be partly split.`;
    case 'series behind volumes':
      return `${row(p.row)}: pickups with volumes of their own cannot lie in series.`;
    case 'not both of a blend':
      return `${row(p.row)}: a blend brings both of its pickups.`;
    case 'volumes of all':
      return `Only one volume can serve all pickups: ${p.pots.map((id) => called(wish, id, names)).join(', ')}.`;
    case 'no value':
      return `${called(wish, p.element, names)}: no value is known. Meter it, or state it under Circuit.`;
  }
}

/** A change that makes a wish possible. */
export function mendText(wish: CircuitWish, c: Change, names: Names): string {
  switch (c.kind) {
    case 'cover apart':
      return `${called(wish, c.pickup, names)}: give the cover a ground wire of its own`;
    case 'all leads out':
      return `${called(wish, c.pickup, names)}: lead out both ends of each coil`;
    case 'another pole':
      return `${called(wish, c.element, names)}: a switch of ${c.poles} poles`;
    case 'push-pull': {
      const rows = c.rows.flatMap((i) => wish.rows[i] ?? []).map((r) => rowText(wish, r, names));
      return `one more push-pull, pulled at: ${rows.join('; ')}`;
    }
  }
}

/** What a wish rests on that cannot be: in a word, from the change that would mend it. */
export function becauseText(wish: CircuitWish, c: Change, names: Names): string {
  switch (c.kind) {
    case 'cover apart':
      return `The cover of ${called(wish, c.pickup, names)} is on a lead.`;
    case 'all leads out':
      return `${called(wish, c.pickup, names)} has too few leads.`;
    case 'another pole':
      return `All poles of ${called(wish, c.element, names)} are used up.`;
    case 'push-pull':
      return 'No pole is free in that position.';
  }
}

/** What a circuit goes through, and which coils float in it. */
export function solutionText(wish: CircuitWish, { joints, through, floating }: Solution, names: Names): string {
  const by = through.length === 0 ? 'no switch' : through.map((id) => called(wish, id, names)).join(', ');
  const loose = floating.map((f) => `${called(wish, f.pickup, names)}, ${f.coil}`);
  return `${joints} joints through ${by}.${loose.length > 0 ? ` Not connected in some position: ${loose.join('; ')}.` : ''}`;
}
