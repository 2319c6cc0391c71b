import type { Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import { provideHeld } from '../state/held';
import * as compute from '../state/compute.effects';
import * as anatomyEditEffects from '../state/anatomy-edit.effects';
import { anatomyEditFeature } from '../state/anatomy-edit.feature';
import * as planEffects from '../state/plan.effects';
import { planFeature } from '../state/plan.feature';
import {
  anatomy,
  circuit,
  findings,
  instrument,
  jobs,
  ledger,
  lessons,
  outlines,
  parts,
  photographs,
  profiles,
  readings,
  shop,
  stock,
  surveys,
  work,
} from '../state/resources';
import { resultsFeature } from '../state/results.feature';
import { surveyFeature } from '../state/survey.feature';

/** The stages of one instrument, in the order of the work. */
export const instrumentRoutes: Routes = [
  {
    path: '',
    loadComponent: () => import('./instrument-page').then((m) => m.InstrumentPage),
    providers: [
      ...provideHeld(
        instrument,
        jobs,
        anatomy,
        circuit,
        readings,
        parts,
        stock,
        outlines,
        shop,
        work,
        ledger,
        surveys,
        findings,
        profiles,
        lessons,
        photographs,
      ),
      provideState(surveyFeature),
      provideState(planFeature),
      provideState(anatomyEditFeature),
      provideState(resultsFeature),
      provideEffects(planEffects, anatomyEditEffects, compute),
    ],
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'survey' },
      { path: 'about', title: 'About · Rinnovo', loadComponent: () => import('./about/about-page').then((m) => m.AboutPage) },
      { path: 'anatomy', title: 'Anatomy · Rinnovo', loadComponent: () => import('./anatomy/anatomy-page').then((m) => m.AnatomyPage) },
      {
        path: 'survey/inspection',
        title: 'Inspection · Rinnovo',
        loadComponent: () => import('./survey/inspection-page').then((m) => m.InspectionPage),
      },
      { path: 'survey/findings', title: 'Findings · Rinnovo', loadComponent: () => import('./survey/findings-page').then((m) => m.FindingsPage) },
      { path: 'survey/to-measure', title: 'Still to measure · Rinnovo', loadComponent: () => import('./survey/to-measure-page').then((m) => m.ToMeasurePage) },
      { path: 'survey/compare', title: 'Compare · Rinnovo', loadComponent: () => import('./survey/compare-page').then((m) => m.ComparePage) },
      { path: 'survey', title: 'Survey · Rinnovo', loadComponent: () => import('./survey/survey-page').then((m) => m.SurveyPage) },
      { path: 'fit', title: 'Fit · Rinnovo', loadComponent: () => import('./fit/fit-page').then((m) => m.FitPage) },
      { path: 'cut/holes', title: 'Holes · Rinnovo', loadComponent: () => import('./cut/holes-page').then((m) => m.HolesPage) },
      { path: 'cut', title: 'Cut · Rinnovo', loadComponent: () => import('./cut/cut-page').then((m) => m.CutPage) },
      { path: 'wire/circuit', title: 'Circuit · Rinnovo', loadComponent: () => import('./wire/circuit-page').then((m) => m.CircuitPage) },
      { path: 'wire/wishes', title: 'Wishes · Rinnovo', loadComponent: () => import('./wire/wish-page').then((m) => m.WishPage) },
      { path: 'wire/response', title: 'Response · Rinnovo', loadComponent: () => import('./wire/response-page').then((m) => m.ResponsePage) },
      { path: 'wire', title: 'Wire · Rinnovo', loadComponent: () => import('./wire/sheet-page').then((m) => m.SheetPage) },
      { path: 'order', title: 'Order · Rinnovo', loadComponent: () => import('./order/order-page').then((m) => m.OrderPage) },
      { path: 'bench', title: 'Bench · Rinnovo', loadComponent: () => import('./bench/bench-page').then((m) => m.BenchPage) },
      { path: 'record', title: 'Record · Rinnovo', loadComponent: () => import('./record/record-page').then((m) => m.RecordPage) },
    ],
  },
];
