/** How one difference between as found and as left can be taken back. */
export interface UndoStep {
  readonly kind:
    | 'refitPart'
    | 'putInsertBack'
    | 'takeSpacerOut'
    | 'refitPlate'
    | 'cannotUnfileWindow'
    | 'cannotReturnPart'
    | 'cannotPutWoodBack'
    | 'cannotUnmakeHole'
    | 'cannotNarrowHole'
    | 'drillAgain'
    | 'readAgain';
  readonly subject: string;
  readonly part: string | null;
  readonly possible: boolean;
}
