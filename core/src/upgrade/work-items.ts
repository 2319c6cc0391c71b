import type { Act, OperationKind, WorkItem } from '../operation/index.js';

/** A choice as it was written while its work was a bare list of acts: who did what was told by their kinds. */
export interface ChoiceOf3 {
  readonly kind: string;
  readonly cut?: string;
  readonly place?: { readonly on: string };
  readonly returns?: boolean;
  readonly work?: readonly (Act | PlugAct)[];
}

/** A hole made narrower by a plug: one act then, two operations now. */
interface PlugAct {
  readonly kind: 'sizeHole';
  readonly hole: string;
  readonly by: 'plug';
  readonly diameter: Extract<Act, { readonly kind: 'sizeHole' }>['diameter'];
}

const CUTS: Readonly<Record<string, OperationKind>> = {
  deepen: 'deepenRoute',
  channel: 'cutChannel',
  row: 'drillRow',
  relief: 'cutCavity',
  cavity: 'cutCavity',
};

/**
 * The work of a choice under the operations that do it. `option`: the one that was decided on, where one was; it alone tells a thicker cover from a spacer.
 * A plug in one act is a plug and a hole.
 */
export function workItems(choice: ChoiceOf3, option = ''): readonly WorkItem[] {
  const acts = choice.work ?? [];
  const cut = choice.cut === undefined ? undefined : CUTS[choice.cut];
  if (cut) return acts.length === 0 ? [] : [{ kind: cut, does: acts as readonly Act[] }];
  const moves = acts.some((a) => a.kind === 'moveHole');
  const pairs = acts.flatMap((a): readonly (readonly [OperationKind, Act])[] => {
    if (a.kind === 'sizeHole' && a.by === 'plug')
      return [
        ['plugHole', { kind: 'closeHole', hole: a.hole }],
        ['drillHole', { ...a, by: 'drill' }],
      ];
    if (a.kind === 'moveHole' && choice.place?.on !== 'face')
      return [
        ['plugHole', { kind: 'closeHole', hole: a.hole }],
        ['drillHole', a],
      ];
    return [[doneBy(a, choice, option, moves), a]];
  });
  const kinds = [...new Set(pairs.map(([kind]) => kind))];
  return kinds.map((kind) => ({ kind, does: pairs.flatMap(([k, act]) => (k === kind ? [act] : [])) }));
}

function doneBy(act: Act, { place, returns }: ChoiceOf3, option: string, moves: boolean): OperationKind {
  switch (act.kind) {
    case 'sizeHole':
      if (act.by === 'sleeve') return returns ? 'takeSleeveOut' : 'fitSleeve';
      return moves || place?.on === 'face' || returns ? 'drillHole' : 'openHole';
    case 'closeHole':
      return 'plugHole';
    case 'moveHole':
    case 'addHole':
      return 'drillHole';
    case 'deepenHole':
      return 'deepenBore';
    case 'raiseCover':
      if (option.startsWith('thickerCover')) return 'makePlate';
      return returns ? 'takeSpacerOut' : 'fitSpacer';
    case 'raisePickup':
      return returns ? 'takeSpacerOut' : 'fitSpacer';
    case 'sizePlate':
    case 'setPlate':
      return returns ? 'refitPlate' : 'makePlate';
    case 'sizeWindow':
      return 'openWindow';
    case 'sizeLevel':
      return 'openSlot';
    case 'addLevels':
    case 'addCavity':
      return 'widenCavity';
    case 'trimPickup':
      return 'trimPart';
    case 'changeCover':
      return 'changeCover';
    case 'glueHole':
      return 'glueIn';
    case 'fillLevels':
      return 'fillRoute';
    case 'setDepth':
      return 'deepenRoute';
    case 'fitPart':
      return 'fitPart';
    case 'fitHardware':
      return 'fitHardware';
    case 'setInsert':
      return act.fitted ? 'putInsertBack' : 'takeOffInsert';
  }
}
