import { byPartKind, type PartKinds } from '../part-row.js';
import { bush } from './bush.js';
import { cover } from './cover.js';
import { endPinJack } from './end-pin-jack.js';
import { ferrule } from './ferrule.js';
import { guard } from './guard.js';
import { jack } from './jack.js';
import { killSwitch } from './kill-switch.js';
import { leverSwitch } from './lever-switch.js';
import { machineScrew } from './machine-screw.js';
import { miniToggle } from './mini-toggle.js';
import { plate } from './plate.js';
import { pot } from './pot.js';
import { pushPullPot } from './push-pull-pot.js';
import { ring } from './ring.js';
import { rotarySwitch } from './rotary-switch.js';
import { strapPin } from './strap-pin.js';
import { slideSwitch } from './slide-switch.js';
import { stud } from './stud.js';
import { toggleSwitch } from './toggle-switch.js';
import { tuner } from './tuner.js';
import { wire } from './wire.js';
import { woodScrew } from './wood-screw.js';
import { capacitor } from './capacitor.js';
import { resistor } from './resistor.js';
import { preamp } from './preamp.js';
import { piezo } from './piezo.js';
import { battery } from './battery.js';
import { terminalBlock } from './terminal-block.js';
import { plugInHarness } from './plug-in-harness.js';

/** Every kind of part beside pickups, in the order in which the shelf lists them. */
export const PART_KINDS: PartKinds = byPartKind([
  pot,
  pushPullPot,
  leverSwitch,
  toggleSwitch,
  miniToggle,
  rotarySwitch,
  slideSwitch,
  killSwitch,
  jack,
  endPinJack,
  plate,
  guard,
  ring,
  cover,
  ferrule,
  bush,
  stud,
  tuner,
  strapPin,
  woodScrew,
  machineScrew,
  wire,
  capacitor,
  resistor,
  preamp,
  piezo,
  battery,
  terminalBlock,
  plugInHarness,
]);
