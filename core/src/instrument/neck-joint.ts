import type { StartingKind } from './starting-kind.js';

/** How a neck is joined: with screws that come out, or for good. */
export type NeckJoint = 'bolted' | 'set';

const BY_KIND: Readonly<Partial<Record<StartingKind, NeckJoint>>> = {
  'bolt-on solid': 'bolted',
  bass: 'bolted',
  'set-neck solid': 'set',
  'semi-hollow': 'set',
  'flat-top acoustic': 'set',
};

/** How the neck of an instrument is joined: as somebody said, else as its kind usually is; null where neither tells. */
export function neckJointOf({
  kind,
  identity,
}: {
  readonly kind: StartingKind;
  readonly identity: Partial<Readonly<Record<string, { readonly value: string }>>>;
}): NeckJoint | null {
  const said = identity['neckJoint']?.value ?? '';
  if (/bolt|screw/i.test(said)) return 'bolted';
  if (/set|glued|through|tenon|mortise|dovetail/i.test(said)) return 'set';
  return BY_KIND[kind] ?? null;
}
