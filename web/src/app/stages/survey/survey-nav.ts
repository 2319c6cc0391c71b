import { ChangeDetectionStrategy, Component } from '@angular/core';
import { StageNav, type StageSide } from '../../ui/stage-nav';

/** The sides of a survey. */
@Component({
  selector: 'rn-survey-nav',
  imports: [StageNav],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<rn-stage-nav stage="survey" label="Survey" [sides]="sides" />`,
})
export class SurveyNav {
  protected readonly sides: readonly StageSide[] = [
    { path: [], word: 'Dimensions' },
    { path: ['inspection'], word: 'Inspection' },
    { path: ['findings'], word: 'Findings' },
    { path: ['to-measure'], word: 'Still to measure' },
    { path: ['compare'], word: 'Compare' },
  ];
}
