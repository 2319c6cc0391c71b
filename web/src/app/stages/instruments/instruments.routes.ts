import type { Routes } from '@angular/router';
import { provideHeld } from '../../state/held';
import { instruments, jobs, parts } from '../../state/resources';

export const instrumentsRoutes: Routes = [
  {
    path: '',
    providers: [...provideHeld(instruments, jobs, parts)],
    children: [
      { path: '', loadComponent: () => import('./instruments-page').then((m) => m.InstrumentsPage) },
      { path: 'new', title: 'Describe an instrument · Rinnovo', loadComponent: () => import('./describe-page').then((m) => m.DescribePage) },
    ],
  },
];
