import type { StateId } from '@rinnovo/core/quantity';

interface StateWords {
  readonly name: string;
  /** How it is measured, in two lines. */
  readonly how: readonly [string, string];
}

export const STATE_WORDS: Readonly<Record<StateId, StateWords>> = {
  stopSign: {
    name: 'Stop sign',
    how: ['Look and press lightly before tuning.', 'A line that opens under the thumb is a crack in the wood.'],
  },
  symptom: {
    name: 'Symptom while played',
    how: ['Play every string open, at the first frets and from the 12th up.', 'While it hums, touch the strings and turn each control.'],
  },
  humidity: {
    name: 'Relative humidity',
    how: ['Leave the hygrometer beside the instrument for an hour.', '±3 % at best. Check it over a saturated salt slurry (75 %).'],
  },
  temperature: { name: 'Temperature', how: ['In the shade, beside the instrument.', 'Cold copper reads low: 0.39 % per °C.'] },
  relief: { name: 'Relief', how: ['Hold the string down at the first and last fret. Feeler at the 7th or 8th.', 'Type a back bow with a minus.'] },
  reliefTreble: {
    name: 'Relief on the treble side',
    how: ['Hold the first string down at the first and last fret.', 'More than 0.15 mm from the bass side is twist.'],
  },
  reliefAt: {
    name: 'Relief along the neck',
    how: ['Straight edge over the first and last fret.', 'Feeler at each of these frets.'],
  },
  action: {
    name: 'Action at the 12th fret',
    how: ['From the fret crown to the underside of the open string, in playing position.', 'Tuned to pitch.'],
  },
  nutGap: { name: 'Gap over the first fret', how: ['Hold the string down between the 2nd and 3rd fret.', 'Feeler between the first fret and the string.'] },
  saddleTravel: {
    name: 'Saddle travel used',
    how: ['The used part of the travel, in percent.', '0 is the lowest position, 100 the highest.'],
  },
  edgeGap: {
    name: 'Outer string to the edge of the fingerboard',
    how: ['At the last fret, from the string to the edge of the fingerboard.', 'The difference between both edges shows where the neck points.'],
  },
  intonation: { name: 'Intonation at the 12th fret', how: ['Compare the note fretted at the 12th with the harmonic. Use new strings.', 'Sharp is positive.'] },
  pickupHeight: { name: 'Pole to string', how: ['Hold the string down at the last fret.', 'From the pole to the underside of the outer string.'] },
  resistance: {
    name: 'Resistance',
    how: ['Across the jack, this pickup alone, all pots fully up.', 'Subtract the resistance of the test leads. Note the temperature.'],
  },
  groundResistance: {
    name: 'Resistance to the sleeve of the jack',
    how: ['One probe on the metal, one on the sleeve of the jack.', 'Subtract the resistance of the test leads.'],
  },
  jointGap: {
    name: 'Gap in the neck joint',
    how: ['The thickest feeler that enters between heel and neck pocket.', 'Screws tight. If the gap opens under the hand, type the open gap.'],
  },
  rodTurns: {
    name: 'Remaining rod turns',
    how: ['Only if it is known: never turn a rod to its stop to find out.', 'An eighth of a turn tells whether it bites. Leave this empty.'],
  },
  fretRock: { name: 'High fret', how: ['Rocker over three frets, feeler under its raised end.', 'No rocking: type 0, or leave it empty.'] },
  fretHeight: { name: 'Remaining fret height', how: ['From the fingerboard beside the fret to its crown.', 'At the lowest point under a string.'] },
  fretEnds: { name: 'Fret ends', how: ['Run a finger along both edges of the fingerboard.', 'In a dry room, first wait two weeks at 50 to 60 %.'] },
  stringsOverTop: {
    name: 'String height over the top at the bridge',
    how: ['From the top to the underside of the strings, in front of the bridge.', 'In the middle of the bridge.'],
  },
  saddleShown: { name: 'Saddle height above the bridge', how: ['From the top of the bridge to the crown of the saddle.', 'In the middle.'] },
  planeOverBridge: {
    name: 'Fret plane over the bridge',
    how: ['Straight edge on the frets, reaching to the bridge.', 'Above the top of the bridge is positive, below is negative.'],
  },
  bridgeLift: {
    name: 'Feeler depth under the bridge',
    how: ['Push a 0.1 mm feeler under the back edge without force.', 'If it enters only the gap in the lacquer, type 0.'],
  },
  rodFeel: { name: 'Rod response', how: ['Strings slack, an eighth of a turn each way.', 'Leave a rod alone that turns freely without effect.'] },
  looseFrets: { name: 'Loose frets', how: ['Press the ends of each fret and tap along it.', 'A loose fret moves or sounds dull. Check before any filing.'] },
  jointLine: {
    name: 'Line at the neck joint',
    how: [
      'Shine a light along the corner of the neck pocket or the heel.',
      'Flex the neck gently. A line in the lacquer stays closed, a crack in the wood opens.',
    ],
  },
  screws: { name: 'Screws', how: ['Turn each back until it drops into its thread, then drive it by hand.', 'Force none.'] },
  finish: { name: 'Finish', how: ['Use a raking light on every face.', 'Feel where a stand or a strap has been.'] },
  topShape: { name: 'Shape of the top', how: ['Straight edge across the top, behind and in front of the bridge.', 'Check the braces with a mirror.'] },
  topCrack: { name: 'Cracks in the top', how: ['Press lightly beside the line.', 'A crack opens in dry air and closes in damp air.'] },
  tremoloRest: {
    name: 'Tremolo return',
    how: ['Tune. Dive and read the tuner. Pull and read the tuner.', 'Remove the arm before turning the body over.'],
  },
  poleOffset: {
    name: 'Outer pole offset from its string',
    how: ['Look straight down on the pickup.', 'Distance from the outer string to the centre of its pole.'],
  },
  breakAngle: {
    name: 'Break angle',
    how: ['Angle of the string behind the nut and behind the saddle.', 'Compare with the angles of a set square.'],
  },
  tuners: { name: 'Tuners', how: ['Turn each by hand both ways and pull on its post.', 'Check screws and bushings by hand.'] },
  pairResistance: {
    name: 'Resistance of two pickups together',
    how: ['Across the jack, both selected, all pots fully up.', 'In parallel it reads less than either alone.'],
  },
  toneResistance: {
    name: 'Resistance with the tone down',
    how: ['Across the jack, this pickup alone, its tone fully down.', 'It must not change: the capacitor passes no direct current.'],
  },
  inductance: {
    name: 'Inductance',
    how: ['Only with a meter that reads it, at its lowest test frequency.', 'At the leads, out of the circuit.'],
  },
  splitState: {
    name: 'Coils as switched',
    how: ['How switch or pull stood when the resistance was read.', 'Read it in the other position too.'],
  },
  saddleRoom: {
    name: 'Saddle room for intonation',
    how: ['Look along the saddle screw.', 'At its end the scale, the bridge or the spring is asked first.'],
  },
  bridgeOffset: {
    name: 'Bridge off the centre line',
    how: ['From the middle of the outer saddles to the centre line of the neck.', 'Towards the treble side is positive.'],
  },
  partResistance: {
    name: 'Resistance of a part',
    how: ['The part by itself, nothing soldered to it.', 'Hold the probes by their handles: a hand reads about 1 MΩ.'],
  },
  partInductance: {
    name: 'Inductance',
    how: ['The pickup by itself, on a meter that reads it.', 'At the same frequency as its twin.'],
  },
  partCapacitance: { name: 'Capacitance', how: ['The part by itself, on a meter that reads it.', 'Film is usually within 10 % of its mark.'] },
  harnessResistance: {
    name: 'Resistance of the harness',
    how: ['On the bench: black on the sleeve, red on the tip.', 'Pots fully up, nothing plugged in.'],
  },
  jackResistance: {
    name: 'Resistance at the jack',
    how: ['In the body, through a patch lead with its plug in.', 'Black on the sleeve, red on the tip.'],
  },
  tapAt: { name: 'Tap test', how: ['Into a small amplifier, turned low.', 'Touch the pole pieces lightly with a screwdriver.'] },
  stringAt: { name: 'One string', how: ['Fit one string before the rest.', 'Play it in every position.'] },
  supplyCurrent: {
    name: 'Supply current',
    how: ['The meter in place of one battery clip.', 'With a plug in the jack, then without.'],
  },
  tapTest: {
    name: 'Tap test',
    how: ['Plug into an amplifier turned low. Tap the poles with a screwdriver.', 'A silent pickup is open, shorted, or not selected.'],
  },
  shieldResistance: {
    name: 'Shield resistance, corner to corner',
    how: ['Hold the probes flat in two far corners of the cavity.', 'Paint under 10 kΩ shields. A return path needs a wire beside it.'],
  },
  supply: { name: 'Supply under load', how: ['At the preamp terminals, plugged in and switched on.', 'A battery without load shows nothing.'] },
};
