import type { Verdict } from './verdict.js';
import { bodyInRoom } from './body-in-room.js';
import { bushingInHole } from './bushing-in-hole.js';
import { hidesHole } from './hides-hole.js';
import { holeBeside } from './hole-beside.js';
import { cavityBehind } from './cavity-behind.js';
import { jackWithPlug } from './jack-with-plug.js';
import { plateOver } from './plate-over.js';
import { pressFit } from './press-fit.js';
import { screwInWood, threadBites } from './screw-in-wood.js';
import type { Site } from './site.js';
import { sitsOnTop } from './sits-on-top.js';
import { switchInSlot } from './switch-in-slot.js';
import { threadThrough } from './thread-through.js';
import { threadsMeet } from './threads-meet.js';
import { tunerOnHeadstock } from './tuner-on-headstock.js';
import { widened } from './widened.js';
import { wiresInBore } from './wires-in-bore.js';

/** Every check of a part that is no pickup; each asks itself whether it has anything to say of this kind. */
export const HARDWARE_CHECKS: readonly ((site: Site) => readonly Verdict[])[] = [
  bushingInHole,
  hidesHole,
  threadThrough,
  bodyInRoom,
  cavityBehind,
  holeBeside,
  switchInSlot,
  jackWithPlug,
  pressFit,
  tunerOnHeadstock,
  screwInWood,
  threadBites,
  threadsMeet,
  wiresInBore,
  plateOver,
  sitsOnTop,
  widened,
];
export { siteOf, type Site } from './site.js';
