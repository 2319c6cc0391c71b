import type { Circuit } from '../circuit.js';
import { wired } from '../netlist.js';
import { restingSetting, type Setting } from '../setting.js';
import { circuitFrom } from './as-circuit.js';
import { searched } from './search.js';
import { taskOf } from './task-of.js';
import { heardAt, heardKey, type CoilTree } from './voice-at.js';
import { heardIn, type CircuitWish, type PickupVoice, type Voice, type WishRow } from './wish.js';

/** A circuit that does what was wished, proved by what it does. */
export interface Solution {
  readonly circuit: Circuit;
  /** Its joints, those that every such circuit has counted in. */
  readonly joints: number;
  /** Switches and pulls that its wires go through. */
  readonly through: readonly string[];
  /** Coils that float in some position, by pickup and coil. */
  readonly floating: readonly { readonly pickup: string; readonly coil: string }[];
}

/** What building came to. `whole`: all ways were gone through, so that none is none. */
export interface Built {
  readonly solutions: readonly Solution[];
  readonly whole: boolean;
}

/** So many more tries for fewer joints once a circuit is found. */
const AFTER = 20_000;
/** So many tries until a search gives up without an answer. */
export const MOST_TRIES = 400_000;

/**
 * Circuits for a wish, the fewest joints first: first through one pole at a time, then through two one after the other, then through all of them. Yields the number of
 * tries so far. Throws RangeError for a wish that names what is not there.
 */
export function* building(wish: CircuitWish, most = MOST_TRIES): Generator<number, Built> {
  const made = taskOf(wish);
  const poles = made.task.poles.length;
  let tries = 0;
  let whole = true;
  for (const through of [1, 2, poles].filter((n, i, all) => all.indexOf(n) === i && n <= Math.max(1, poles))) {
    const search = searched(made.task, { through, tries: most - tries, after: AFTER });
    let step = search.next();
    while (!step.done) {
      yield tries + step.value;
      step = search.next();
    }
    tries += step.value.tries;
    whole = step.value.whole;
    const solutions = step.value.circuits.map((joined): Solution => {
      const circuit = circuitFrom(wish, made, joined);
      return {
        circuit,
        joints: circuit.joints.length,
        through: wish.elements.flatMap((e) =>
          joined.joints.flat().some((n) => isSwitched(wish, e.id, made.lugs[n]?.lug) && made.lugs[n]?.element === e.id) ? [e.id] : [],
        ),
        floating: joined.floating.flatMap((i) => coilOf(made.lugs[made.task.carriers[i]?.nodes[0] ?? 0])),
      };
    });
    const proved = solutions.filter((s) => unlike(wish, s.circuit).length === 0);
    if (proved.length !== solutions.length) throw new Error('a circuit was built that does not do what was wished');
    if (proved.length > 0 || !whole) return { solutions: proved, whole };
  }
  return { solutions: [], whole };
}

function isSwitched({ elements }: CircuitWish, id: string, lug: string | undefined): boolean {
  const e = elements.find((x) => x.id === id);
  const table = e?.kind === 'switch' ? e.table : e?.kind === 'pot' ? e.pull : null;
  return lug !== undefined && (table?.lugs.includes(lug) ?? false);
}

const coilOf = (lug: { readonly element: string; readonly lug: string } | null | undefined): Solution['floating'] =>
  lug ? [{ pickup: lug.element, coil: lug.lug.replace(/ (start|finish)$/, '') }] : [];

/** The setting of a row: knobs at rest. */
export function settingOfRow(circuit: Circuit, { at }: WishRow): Setting {
  const rest = restingSetting(circuit);
  const pots = new Set(circuit.elements.flatMap((e) => (e.kind === 'pot' ? [e.id] : [])));
  const [pulls, switches] = [true, false].map((pot) => Object.entries(at).filter(([id]) => pots.has(id) === pot));
  return { ...rest, positions: Object.fromEntries(switches ?? []), pulled: Object.fromEntries((pulls ?? []).map(([id, n]) => [id, n === 1])) };
}

/** Rows of a wish that a circuit does not do, by their numbers. */
export function unlike(wish: CircuitWish, circuit: Circuit): readonly number[] {
  const on = wired(circuit);
  return wish.rows.flatMap((row, i) => (heardKey(heardAt(circuit, settingOfRow(circuit, row), on)) === heardKey(wishedOf(row.voice)) ? [] : [i]));
}

/** A voice as what is heard. */
export function wishedOf(voice: Voice): CoilTree | 'silent' {
  const heard = heardIn(voice).map((p) => pickupOf(p));
  const [only] = heard;
  return heard.length === 0 || !only ? 'silent' : heard.length === 1 ? only : flat({ kind: voice.joined, of: heard });
}

function pickupOf({ pickup, coils, joined, partly }: PickupVoice): CoilTree {
  const all = coils.map((c): CoilTree => ({ kind: 'coil', pickup, coil: c.coil, turned: c.turned }));
  const [only] = all;
  return all.length === 1 && only ? only : { kind: partly === null ? joined : 'series', of: all };
}

/** Series in series is one series. */
const flat = (h: CoilTree): CoilTree => (h.kind === 'coil' ? h : { ...h, of: h.of.flatMap((x) => (x.kind === h.kind ? x.of : [x])) });
