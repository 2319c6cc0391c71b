import type { Circuit, Element, JackElement, Joint, Lug, PickupElement, PotElement, Role, SwitchElement, WiredCoil } from '../circuit.js';
import { lugKey } from '../circuit.js';
import type { ContactTable } from '../../part/index.js';
import { coilLug, lugsOf } from '../kinds/index.js';
import { markedCapacitor, markedResistor, markedTrack, USUAL_BLEED } from '../values.js';
import type { TaperId } from '../taper.js';
import type { Wish } from './wish.js';

/** The two ends of something that is wired: towards the hot, towards ground. */
export interface Ends {
  readonly hot: Lug;
  readonly ground: Lug;
}

/** A pickup as it is led out: its ends, and the joint of its coils where it has two. */
export interface LedOut extends Ends {
  readonly middle: Lug | null;
}

/** A circuit as it is put together: elements, then joints between their lugs. */
export interface Wiring {
  readonly wish: Wish;
  readonly add: (e: Element) => void;
  readonly join: (a: Lug, b: Lug) => void;
  /** To the place where the grounds meet. */
  readonly ground: (lug: Lug) => void;
  readonly done: () => Circuit;
}

export const lug = (element: string, name: string): Lug => ({ element, lug: name });

/** Begins a circuit with its jack; grounds meet at the first pot's case, and at the sleeve where there is none. */
export function wiring(wish: Wish, form: JackElement['form'] = 'mono'): Wiring {
  const elements: Element[] = [];
  const joints: Joint[] = [];
  const grounds: Lug[] = [];
  const add = (e: Element): void => {
    elements.push(e);
    if (e.kind === 'pot') grounds.push(lug(e.id, 'case'));
    if (e.kind === 'switch') grounds.push(lug(e.id, 'frame'));
  };
  const join = (a: Lug, b: Lug): void => {
    if (lugKey(a) !== lugKey(b)) joints.push({ a, b });
  };
  for (const p of wish.pickups) {
    add(p);
    if (p.cover === 'own wire') grounds.push(lug(p.id, 'shield'));
  }
  const done = (): Circuit => {
    add(element('jack', { kind: 'jack', does: 'jack', form }));
    if (!elements.some((e) => e.kind === 'metal')) {
      add(element('string ground', { kind: 'metal', does: 'string ground' }));
      grounds.push(lug('string ground', 'metal'));
    }
    const meet = grounds.find((g) => g.lug === 'case') ?? lug('jack', 'sleeve');
    for (const g of [...grounds, lug('jack', 'sleeve')]) join(g, meet);
    const joined = new Set(joints.flatMap((j) => [lugKey(j.a), lugKey(j.b)]));
    const bare = elements.flatMap((e) => lugsOf(e).map((l) => lug(e.id, l))).filter((l) => !joined.has(lugKey(l)));
    return { format: 1, elements, joints, bare };
  };
  return { wish, add, join, ground: (l) => grounds.push(l), done };
}

/** What is particular of an element; the rest is nobody's name, no place, no part. */
type Particular = Element extends infer E
  ? E extends Element
    ? Omit<E, 'id' | 'name' | 'place' | 'part'> & { readonly place?: string | null }
    : never
  : never;

export function element(id: string, of: Particular): Element {
  return { ...of, id, name: null, place: of.place ?? null, part: null };
}

/** A lead's place in the signal: towards the hot at its start (1) or its finish (−1). */
const hotEnd = (coil: WiredCoil, c: 1 | -1): string => coilLug(coil.name, c === 1 ? 'start' : 'finish');
const groundEnd = (coil: WiredCoil, c: 1 | -1): string => coilLug(coil.name, c === 1 ? 'finish' : 'start');

/** How a coil must be joined to be in phase with w·m·c of +1. */
const inPhase = ({ winding, magnet }: WiredCoil): 1 | -1 => (winding * magnet === 1 ? 1 : -1);

/** Leads a pickup out: one coil as it is; two in series and in phase with the other pickups. `reversed`: all the other way about. */
export function ledOut(w: Wiring, p: PickupElement, reversed = false): LedOut {
  const [first, second] = p.coils;
  if (!first) throw new RangeError(`a pickup without a coil: ${p.id}`);
  const turn = (c: 1 | -1): 1 | -1 => (reversed ? (c === 1 ? -1 : 1) : c);
  const one = turn(inPhase(first));
  if (!second) return { hot: lug(p.id, hotEnd(first, one)), ground: lug(p.id, groundEnd(first, one)), middle: null };
  const two = turn(inPhase(second));
  const middle = lug(p.id, groundEnd(first, one));
  w.join(middle, lug(p.id, hotEnd(second, two)));
  return { hot: lug(p.id, hotEnd(first, one)), ground: lug(p.id, groundEnd(second, two)), middle };
}

/** The coils of a pickup apart, each with its ends in phase. */
export function coilEnds(p: PickupElement): readonly Ends[] {
  return p.coils.map((c) => ({ hot: lug(p.id, hotEnd(c, inPhase(c))), ground: lug(p.id, groundEnd(c, inPhase(c))) }));
}

/** A pot of one track, with a switch on it or none. */
export function potOf(
  w: Wiring,
  id: string,
  does: Role,
  of: {
    readonly ohms: PotElement['tracks'][0]['ohms'];
    readonly taper?: TaperId;
    readonly place?: string | null;
    readonly pull?: ContactTable;
    readonly noLoad?: boolean;
  },
): void {
  w.add(
    element(id, {
      kind: 'pot',
      does,
      place: of.place ?? null,
      tracks: [{ ohms: of.ohms, taper: of.taper ?? handed(w, w.wish.taper) }],
      reverse: w.wish.leftHanded,
      noLoad: of.noLoad ?? false,
      pull: of.pull ?? null,
    }),
  );
}

/** An audio pot for a left-handed instrument has the reverse taper. */
const handed = ({ wish }: Wiring, taper: TaperId): TaperId => {
  if (!wish.leftHanded) return taper;
  return taper === 'audio 10' ? 'reverse audio 10' : taper === 'audio 15' ? 'reverse audio 15' : taper;
};

/** The outer lug towards which a knob goes up, and the other one. */
const up = ({ wish }: Wiring): '1' | '3' => (wish.leftHanded ? '1' : '3');
const down = ({ wish }: Wiring): '1' | '3' => (wish.leftHanded ? '3' : '1');

interface VolumeWish {
  readonly place?: string | null;
  readonly pull?: ContactTable;
}

/** A volume behind what is hot, with its bleed; ends in its output. Independent: the pickup on the wiper. */
export function volume(
  w: Wiring,
  id: string,
  hot: Lug | null,
  of: VolumeWish = {},
  independent = w.wish.independent,
): { readonly input: Lug; readonly output: Lug } {
  potOf(w, id, 'volume', { ohms: w.wish.volume, ...of });
  const [outer, wiper] = [lug(id, up(w)), lug(id, '2')];
  const [input, output] = independent ? [wiper, outer] : [outer, wiper];
  w.join(lug(id, down(w)), lug(id, 'case'));
  if (hot) w.join(hot, input);
  bleedOver(w, id, input, output);
  return { input, output };
}

/** A bleed over a volume, between what goes in and what comes out. */
export function bleedOver(w: Wiring, of: string, a: Lug, b: Lug): void {
  const kind = w.wish.bleed;
  if (kind === 'none') return;
  const [cap, res] = [`${of} bleed capacitor`, `${of} bleed resistor`];
  const farad = kind === 'capacitor' ? USUAL_BLEED.alone : kind === 'capacitor and resistor in parallel' ? USUAL_BLEED.parallel[0] : USUAL_BLEED.series[0];
  w.add(element(cap, { kind: 'capacitor', does: 'bleed', farad: markedCapacitor(farad), leak: null }));
  w.join(lug(cap, '1'), a);
  if (kind === 'capacitor') {
    w.join(lug(cap, '2'), b);
    return;
  }
  const parallel = kind === 'capacitor and resistor in parallel';
  w.add(element(res, { kind: 'resistor', does: 'bleed', ohms: markedResistor(parallel ? USUAL_BLEED.parallel[1] : USUAL_BLEED.series[1]) }));
  w.join(lug(res, '1'), parallel ? a : lug(cap, '2'));
  w.join(lug(res, '2'), b);
  if (parallel) w.join(lug(cap, '2'), b);
}

/** A tone: the wiper on what is hot, the outer lug by its capacitor to ground, so that full up all of the track lies between. */
export function tone(w: Wiring, id: string, hot: Lug, of: VolumeWish = {}): void {
  const cap = `${id} capacitor`;
  potOf(w, id, 'tone', { ohms: w.wish.tone, noLoad: w.wish.noLoadTone, ...of });
  w.add(element(cap, { kind: 'capacitor', does: 'tone capacitor', place: of.place ?? null, farad: w.wish.capacitor, leak: null }));
  w.join(hot, lug(id, '2'));
  w.join(lug(id, down(w)), lug(cap, '1'));
  w.join(lug(cap, '2'), lug(id, 'case'));
}

export function switchOf(w: Wiring, id: string, does: SwitchElement['does'], table: ContactTable): void {
  w.add(element(id, { kind: 'switch', does, table }));
}

/** The lug of a pole of a switch. */
export const pole = (id: string, p: string, to: number | 'C'): Lug => lug(id, `${p}.${to}`);

/** A blend's two tracks, M and N, full in the middle. */
export function blendPot(w: Wiring, id: string): void {
  const ohms = markedTrack(w.wish.volume.value);
  const tracks: PotElement['tracks'] = [
    { ohms, taper: 'M' },
    { ohms, taper: 'N' },
  ];
  w.add(element(id, { kind: 'pot', does: 'blend', tracks, reverse: w.wish.leftHanded, noLoad: false, pull: null }));
}
