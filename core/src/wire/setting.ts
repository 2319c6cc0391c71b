import type { Circuit, Element } from './circuit.js';

/** How a circuit stands: the position of each switch, from 0, which knobs are pulled, each knob from 0 to 1, what hangs in the jack. What is not named: first position, pushed, full up. */
export interface Setting {
  readonly positions: Readonly<Record<string, number>>;
  readonly pulled: Readonly<Record<string, boolean>>;
  readonly knobs: Readonly<Record<string, number>>;
  readonly plugged: boolean;
}

/** Everything at its first position, pushed and full up, a lead in the jack. A blend stands in its middle. */
export function restingSetting({ elements }: Circuit): Setting {
  return {
    positions: {},
    pulled: {},
    knobs: Object.fromEntries(elements.flatMap((e) => (e.kind === 'pot' && restOf(e) !== 1 ? [[e.id, restOf(e)]] : []))),
    plugged: true,
  };
}

export const positionOf = ({ positions }: Setting, id: string): number => positions[id] ?? 0;
export const isPulled = ({ pulled }: Setting, id: string): boolean => pulled[id] ?? false;
export const knobOf = ({ knobs }: Setting, id: string): number => knobs[id] ?? 1;

/** The turn of a pot's shaft, clockwise from 0 to 1: a left-handed one goes up the other way. */
export function turnOf(setting: Setting, pot: Extract<Element, { kind: 'pot' }>): number {
  const up = knobOf(setting, pot.id);
  return pot.reverse ? 1 - up : up;
}

/** What can be set that changes what is joined: a switch with its positions, a pull with two. */
export interface Control {
  readonly element: string;
  readonly of: 'position' | 'pull';
  readonly count: number;
}

/** The switches and pulls of a circuit, in the order of its elements. */
export function controlsOf({ elements }: Circuit): readonly Control[] {
  return elements.flatMap((e): readonly Control[] => {
    if (e.kind === 'switch') return [{ element: e.id, of: 'position', count: e.table.positions.length }];
    if (e.kind === 'pot' && e.pull) return [{ element: e.id, of: 'pull', count: e.pull.positions.length }];
    return [];
  });
}

/** No more settings than this are gone through; a circuit with more is looked at by position and one pull at a time. */
export const MOST_SETTINGS = 512;

/** Every position with every pull, knobs as they stand in `base`; the last control changes first. Beyond MOST_SETTINGS: each control by itself, the others at rest. */
export function everySetting(circuit: Circuit, base: Setting = restingSetting(circuit)): readonly Setting[] {
  const controls = controlsOf(circuit);
  const count = controls.reduce((n, c) => n * c.count, 1);
  if (count > MOST_SETTINGS) return controls.flatMap((c) => Array.from({ length: c.count }, (_, i) => withControl(base, c, i)));
  return controls.reduce<readonly Setting[]>((all, c) => all.flatMap((s) => Array.from({ length: c.count }, (_, i) => withControl(s, c, i))), [base]);
}

/** A setting with one control moved. */
export function withControl(s: Setting, { element, of }: Control, to: number): Setting {
  return of === 'position' ? { ...s, positions: { ...s.positions, [element]: to } } : { ...s, pulled: { ...s.pulled, [element]: to === 1 } };
}

/** A key for maps and addresses: switches, then pulls, then knobs that are not at rest: `selector 2, volume pulled, tone at 0.5`. */
export function settingKey({ elements }: Circuit, s: Setting): string {
  const pots = elements.filter((e) => e.kind === 'pot');
  return [
    ...elements.flatMap((e) => (e.kind === 'switch' ? [`${e.id} ${positionOf(s, e.id) + 1}`] : [])),
    ...pots.flatMap((e) => (e.pull && isPulled(s, e.id) ? [`${e.id} pulled`] : [])),
    ...pots.flatMap((e) => (knobOf(s, e.id) === restOf(e) ? [] : [`${e.id} at ${knobOf(s, e.id)}`])),
    ...(s.plugged ? [] : ['unplugged']),
  ].join(', ');
}

/** Where a knob stands at rest: a blend in its middle, all others full up. */
const restOf = ({ does }: Element): number => (does === 'blend' ? 0.5 : 1);
