import { bareChoice, cavityOfRoute, isThere, partFound, placesOf, type Choice } from '../../check/index.js';
import { cautionsOf, isIrreversible, operationRow, type PlacedOperation } from '../../operation/index.js';
import { allAccepted, brokenRules, edgesOf, hindrances, inOrder, sequence } from '../../order/index.js';
import { takeBack, whyItStays } from '../../job/index.js';
import { isOfPart, kindsFor, partRow, typicalHardware, type Hardware, type HardwareKind } from '../../part/index.js';
import type { Lists } from './lists.js';

/** A function that takes what is registered, with that handed to it. */
export const handed =
  <H>(rows: H) =>
  <A extends readonly unknown[], R>(f: (rows: H, ...rest: A) => R) =>
  (...rest: A): R =>
    f(rows, ...rest);

/** Every function that asks no more than lists, with them handed to it. */
export function boundLists(lists: Lists) {
  const of = handed(lists);
  return {
    isIrreversible: of(isIrreversible),
    operationRow: of(operationRow),
    cautionsOf: of(cautionsOf),
    partRow: of(partRow),
    kindsFor: of(kindsFor),
    isOfPart: of(isOfPart),
    typicalHardware: (kind: HardwareKind, id: string, name: string, gauge: number | null = null): Hardware =>
      typicalHardware(partRow(lists, kind), id, name, gauge),
    placesOf: of(placesOf),
    isThere: of(isThere),
    partFound: of(partFound),
    cavityOfRoute: of(cavityOfRoute),
    bareChoice: <C extends Choice>(choice: C): C => bareChoice(lists, choice),
    edgesOf: of(edgesOf),
    sequence: <T extends PlacedOperation>(operations: readonly T[], tie?: (a: T, b: T) => number): readonly T[] => sequence(lists, operations, tie),
    inOrder: <T extends PlacedOperation>(operations: readonly T[]): readonly T[] => inOrder(lists, operations),
    brokenRules: of(brokenRules),
    hindrances: of(hindrances),
    allAccepted: of(allAccepted),
    takeBack: of(takeBack),
    whyItStays: of(whyItStays),
  };
}
