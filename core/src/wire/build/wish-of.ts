import { lugKey, type Circuit, type Lug } from '../circuit.js';
import { eachByItself, join, netlistOf, rootOf, wired } from '../netlist.js';
import type { Bleed } from '../presets/index.js';
import { everySetting, type Setting } from '../setting.js';
import { netsOf } from './as-circuit.js';
import { atOf } from './row-at.js';
import { stagesOf, type Stages, type Tone, type Volume } from './terminals.js';
import { heardAt, type CoilTree } from './voice-at.js';
import { SILENCE, type CircuitWish, type LedOut, type PickupVoice, type Voice, type WishRow } from './wish.js';

/** What a circuit does, as a wish, and the rows of it that cannot be said: what lies between the pickups there is neither series nor parallel. */
export interface WishRead {
  readonly wish: CircuitWish;
  readonly unsaid: readonly WishRow['at'][];
}

/** Reads from a circuit what it does in every setting: where one begins to wish from what is there, or from a preset. `ledOut`: what is known of the pickups. */
export function wishOf(circuit: Circuit, ledOut: Readonly<Record<string, LedOut>> = {}): WishRead {
  const elements = circuit.elements.filter((e) => e.does !== 'bleed');
  const plain: CircuitWish = { format: 1, elements, ledOut, serves: {}, rows: [], independent: false, toneAt: 'pickup side', bleed: bleedOf(circuit) };
  const near = netOf(circuit);
  const serves = servesOf(plain, near);
  const before: CircuitWish = { ...plain, serves };
  const stages = stagesOf(before);
  const onPickup = (v: Volume, l: Lug): boolean => v.of !== null && near(l).some((x) => x.element === v.of);
  const wish: CircuitWish = {
    ...before,
    independent: stages.volumes.some((v) => v.pot.does === 'volume' && onPickup(v, { element: v.pot.id, lug: '2' })),
    toneAt: stages.tones.some((t) => atOutput(t, stages, near)) ? 'output side' : 'pickup side',
  };
  const kills = new Set(elements.flatMap((e) => (e.does === 'kill' ? [e.id] : [])));
  const settings = everySetting({ ...circuit, elements: circuit.elements.filter((e) => !kills.has(e.id)) });
  const on = wired(circuit);
  const read = settings.map((s) => {
    const at = atOf({ elements: elements.filter((e) => !kills.has(e.id)) }, s);
    const heard = heardAt(circuit, s, on);
    return { at, voice: heard === 'bridged' ? null : { ...sayable(heard, stages), ...atControls(circuit, s, stages) } };
  });
  return {
    wish: { ...wish, rows: read.map(({ at, voice }) => ({ at, voice: voice ?? SILENCE })) },
    unsaid: read.flatMap(({ at, voice }) => (voice === null ? [at] : [])),
  };
}

/** The lugs that a lug hangs together with by joints alone. */
function netOf({ joints }: Circuit): (lug: Lug) => readonly Lug[] {
  const lugs = [...new Map(joints.flatMap(({ a, b }) => [a, b]).map((l) => [lugKey(l), l])).values()];
  const of = new Map(lugs.map((l, i) => [lugKey(l), i]));
  const nets = netsOf(
    lugs.length,
    joints.map(({ a, b }) => [of.get(lugKey(a)) ?? 0, of.get(lugKey(b)) ?? 0]),
  );
  return (lug) => nets.find((n) => n.includes(of.get(lugKey(lug)) ?? -1))?.flatMap((i) => lugs[i] ?? []) ?? [];
}

/** One of several volumes serves a pickup where that alone lies on it; a tone where it lies on such a volume, or on one pickup. */
function servesOf(wish: CircuitWish, near: (lug: Lug) => readonly Lug[]): CircuitWish['serves'] {
  const { pickups, volumes, tones } = stagesOf(wish);
  if (pickups.length < 2) return {};
  const only = (lugs: readonly Lug[]): string | null => {
    const ids = [...new Set(lugs.map((l) => l.element))].filter((id) => pickups.some((p) => p.id === id));
    return ids.length === 1 ? (ids[0] ?? null) : null;
  };
  const pots = volumes.filter((v) => v.pot.does === 'volume');
  const ofVolume = (pots.length > 1 ? pots : []).flatMap((v) => {
    const p = only(near(v.input)) ?? only(near(v.output));
    return p === null ? [] : [[v.pot.id, p] as const];
  });
  const serves = new Map(ofVolume);
  const ofTone = tones.flatMap((t) => {
    const here = near({ element: t.pot.id, lug: '2' });
    const onVolume = here.map((l) => serves.get(l.element)).find((x) => x !== undefined);
    const p = onVolume ?? (pots.length > 1 ? only(here) : null);
    return p === null ? [] : [[t.pot.id, p] as const];
  });
  const resistors = wish.elements.flatMap((e) => {
    const p = e.kind === 'resistor' && e.does === 'split resistor' ? pickups.find((x) => e.id === `${x.id} split resistor`) : undefined;
    return p ? [[e.id, p.id] as const] : [];
  });
  return Object.fromEntries([...ofVolume, ...ofTone, ...resistors]);
}

function atOutput(t: Tone, { volumes }: Stages, near: (lug: Lug) => readonly Lug[]): boolean {
  const here = near({ element: t.pot.id, lug: '2' }).map(lugKey);
  return volumes.some((v) => here.includes(lugKey(v.output)) && !here.includes(lugKey(v.input)));
}

function bleedOf({ elements }: Circuit): Bleed {
  const kinds = new Set(elements.flatMap((e) => (e.does === 'bleed' ? [e.kind] : [])));
  if (kinds.size === 0) return 'none';
  return kinds.has('resistor') ? 'capacitor and resistor in parallel' : 'capacitor';
}

/** Which tones act that are chosen by position, and whether the signal goes past the volume. */
function atControls(circuit: Circuit, s: Setting, { volumes, tones }: Stages): Pick<Voice, 'tones' | 'direct'> {
  const n = netlistOf(wired(circuit), s);
  const parents = eachByItself(n.count);
  for (const v of volumes) join(parents, n.nodeOf(v.input), n.nodeOf(v.output));
  for (const e of circuit.elements) if (e.kind === 'preamp') join(parents, n.nodeOf({ element: e.id, lug: 'in' }), n.nodeOf({ element: e.id, lug: 'out' }));
  const at = (l: Lug): number => rootOf(parents, n.nodeOf(l));
  const tip = at({ element: 'jack', lug: 'tip' });
  const master = volumes.find((v) => v.of === null);
  const free = tones.filter((t) => t.of === null);
  const acting = free.filter((t) => at({ element: t.pot.id, lug: '2' }) === tip);
  const direct = master !== undefined && at(master.output) !== tip;
  return { direct, tones: direct || acting.length === free.length ? null : acting.map((t) => t.pot.id) };
}

/** What is heard as pickups with their coils, which lie together one way. */
function sayable(heard: CoilTree | 'silent', stages: Stages): Voice {
  if (heard === 'silent') return SILENCE;
  const leaves = (h: CoilTree): readonly Extract<CoilTree, { kind: 'coil' }>[] => (h.kind === 'coil' ? [h] : h.of.flatMap(leaves));
  const groups = heard.kind === 'coil' ? [heard] : heard.of;
  const pickups = stages.pickups.map((p) => p.id).filter((id) => leaves(heard).some((l) => l.pickup === id));
  const [only] = pickups;
  if (pickups.length === 1 && only !== undefined)
    return { ...SILENCE, pickups: [ofPickup(only, leaves(heard), heard.kind === 'parallel' ? 'parallel' : 'series')] };
  const voices = pickups.map((pickup): PickupVoice => {
    const own = groups.filter((g) => leaves(g).some((l) => l.pickup === pickup));
    const [inner] = own;
    const joined = own.length === 1 && inner && inner.kind !== 'coil' ? inner.kind : heard.kind;
    return ofPickup(pickup, own.flatMap(leaves), joined === 'parallel' ? 'parallel' : 'series');
  });
  return { ...SILENCE, pickups: voices, joined: heard.kind === 'series' ? 'series' : 'parallel' };
}

function ofPickup(pickup: string, coils: readonly Extract<CoilTree, { kind: 'coil' }>[], joined: PickupVoice['joined']): PickupVoice {
  return { pickup, coils: coils.map(({ coil, turned }) => ({ coil, turned })), joined, partly: null };
}
