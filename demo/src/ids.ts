/** Fixed identifiers, so that the demo is the same on every machine. */
const id = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

export const ids = {
  ada: id(1),
  ben: id(2),
  owner: id(3),
  first: id(11),
  second: id(12),
  bass: id(13),
  left: id(14),
  acoustic: id(15),
  fanned: id(16),
  crate: id(17),
  jobFirst: id(21),
  jobSecond: id(22),
  wideTwoCoil: id(31),
  slimTwoCoil: id(32),
  slimSingle: id(33),
  calliper: id(41),
  depthGauge: id(42),
  rule: id(43),
  forstner32: id(44),
  forstner6: id(45),
  straight6: id(46),
  templateShort: id(47),
  templateLong: id(48),
  reading: (n: number): string => id(100 + n),
} as const;
