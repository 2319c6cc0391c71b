import type { StepKind } from '@rinnovo/core/operation';
import { fixed, withUnit } from '../locale.js';
import type { StepWords } from './row.js';

/** Steps that several kinds of operation have. */
export const SHARED: Readonly<Record<StepKind, StepWords>> = {
  layOutClamps: { card: () => 'Lay out clamps, release film, tape and cauls before the glue is opened.', logged: 'clamps laid out' },
  unplug: {
    card: () => 'Unplug the router.',
    logged: 'router unplugged',
  },
  changeBit: {
    card: (n) => `Fit the ${n['bit']}.`,
    logged: 'bit fitted',
  },
  bore: {
    card: (n) => (n['holes'] === 1 ? `Bore with the ${n['bit']}.` : `Set the stop. Bore ${n['holes']} holes with the ${n['bit']}.`),
    logged: 'bored',
  },
  takePlateOff: {
    card: () => 'Remove the plate. Keep its screws in order.',
    logged: 'plate removed',
  },
  unsolder: {
    card: () => 'Note the lead colours, then unsolder the leads.',
    logged: 'leads unsoldered',
  },
  tryPart: {
    card: (n) => (n['part'] === '' ? 'Test-fit the part. It must drop in and lie flat.' : `Test-fit ${n['part']} with its screws and springs, plate on.`),
    logged: 'part test-fitted',
  },
  solder: {
    card: () => 'Solder the leads by their confirmed colours.',
    logged: 'leads soldered',
  },
  backBoard: {
    card: () => 'Clamp a backing board at the exit.',
    logged: 'backing board clamped',
  },
  waitForGlue: {
    card: () => 'Let the glue cure.',
    logged: 'glue cured',
  },
  levelPlug: {
    card: () => 'Trim the plug and scrape it flush.',
    logged: 'dowel trimmed flush',
  },
  deepenTo: {
    card: (n) => `Deepen ${n['level'] ?? 'the floor'} in light passes. Measure between passes.`,
    logged: 'cut deeper',
  },
  markOut: {
    card: (n) =>
      n['holes'] === undefined
        ? 'Mark both ends and the line between them. Tape along it. Check what it crosses.'
        : `Drill the template: ${n['holes']} holes, ${withUnit(fixed(Number(n['pitch']), 2), 'mm')} apart. Lay its first hole on ${fixed(Number(n['x']), 1)} across, ${fixed(Number(n['y']), 1)} along. Align it square to the centre line and fix it.`,
    logged: 'marked out',
  },
};
