import { createActionGroup, createFeature, createReducer, on, props } from '@ngrx/store';

/** Which survey is looked at; null: the open one, else the newest. */
export interface SurveyFeature {
  readonly chosen: string | null;
}

export const surveyActions = createActionGroup({ source: 'survey', events: { 'Look at': props<{ survey: string | null }>() } });

export const surveyFeature = createFeature({
  name: 'survey',
  reducer: createReducer<SurveyFeature>(
    { chosen: null },
    on(surveyActions.lookAt, (_, { survey }): SurveyFeature => ({ chosen: survey })),
  ),
});
