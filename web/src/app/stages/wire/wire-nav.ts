import { ChangeDetectionStrategy, Component } from '@angular/core';
import { StageNav, type StageSide } from '../../ui/stage-nav';

/** The sides of a circuit. */
@Component({
  selector: 'rn-wire-nav',
  imports: [StageNav],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<rn-stage-nav stage="wire" label="Wire" [sides]="sides" />`,
})
export class WireNav {
  protected readonly sides: readonly StageSide[] = [
    { path: [], word: 'Test sheet' },
    { path: ['circuit'], word: 'Circuit' },
    { path: ['wishes'], word: 'Wishes' },
    { path: ['response'], word: 'Response' },
  ];
}
