import { BEHIND_WINDOW } from './behind-window.js';
import { BODY_IN_ROOM } from './body-in-room.js';
import { BUSHING_IN_HOLE } from './bushing-in-hole.js';
import { CAVITY_BEHIND } from './cavity-behind.js';
import { COVER_FITS } from './cover-fits.js';
import { CUT_BY_ITSELF } from './cut-by-itself.js';
import { CUTTER_IN_CORNER } from './cutter-in-corner.js';
import { DEPTH_COUNTS } from './depth-counts.js';
import { FLOORS } from './floor.js';
import { HIDDEN_EDGE } from './hidden-edge.js';
import { HIDES_HOLE } from './hides-hole.js';
import { HOLE_BESIDE } from './hole-beside.js';
import { HOLE_STRIPPED } from './hole-stripped.js';
import { JACK_WITH_PLUG } from './jack-with-plug.js';
import { KNOB_ON_SHAFT } from './knob-on-shaft.js';
import { LEADS } from './leads.js';
import { OLD_HOLE_OUTSIDE } from './old-hole-outside.js';
import { PART_IN_ROUTE } from './part-in-route.js';
import { PLATE_OVER } from './plate-over.js';
import { PLATE_SCREW_IN_AIR } from './plate-screw-in-air.js';
import { POLES_UNDER_STRINGS } from './poles-under-strings.js';
import { PRESS_FIT } from './press-fit.js';
import type { CheckRow } from './row.js';
import { SCREW_IN_WOOD } from './screw-in-wood.js';
import { SITS_ON_TOP } from './sits-on-top.js';
import { SWITCH_IN_SLOT } from './switch-in-slot.js';
import { THREAD_THROUGH } from './thread-through.js';
import { THREADS_MEET } from './threads-meet.js';
import { TRAVEL } from './travel.js';
import { TUNER_ON_HEADSTOCK } from './tuner-on-headstock.js';
import { UNDER_STRINGS } from './under-strings.js';
import { WALLS } from './wall.js';
import { WIDENED } from './widened.js';
import { WINDOW_GAP } from './window-gap.js';
import { WIRES_IN_BORE } from './wires-in-bore.js';

/** Every check, in the order in which verdicts of the same gravity stand. */
export const CHECKS: readonly CheckRow[] = [
  ...PART_IN_ROUTE,
  ...WINDOW_GAP,
  ...BEHIND_WINDOW,
  ...HIDDEN_EDGE,
  ...WALLS,
  ...FLOORS,
  ...CUTTER_IN_CORNER,
  ...PLATE_SCREW_IN_AIR,
  ...POLES_UNDER_STRINGS,
  ...COVER_FITS,
  ...TRAVEL,
  ...UNDER_STRINGS,
  ...LEADS,
  ...BUSHING_IN_HOLE,
  ...HIDES_HOLE,
  ...KNOB_ON_SHAFT,
  ...THREAD_THROUGH,
  ...BODY_IN_ROOM,
  ...CAVITY_BEHIND,
  ...HOLE_BESIDE,
  ...SWITCH_IN_SLOT,
  ...JACK_WITH_PLUG,
  ...PRESS_FIT,
  ...TUNER_ON_HEADSTOCK,
  ...SCREW_IN_WOOD,
  ...HOLE_STRIPPED,
  ...DEPTH_COUNTS,
  ...THREADS_MEET,
  ...WIRES_IN_BORE,
  ...PLATE_OVER,
  ...OLD_HOLE_OUTSIDE,
  ...SITS_ON_TOP,
  ...WIDENED,
  ...CUT_BY_ITSELF,
];
