import type { Routes } from '@angular/router';
import { provideHeld } from '../../state/held';
import { instruments, parts } from '../../state/resources';

export const instrumentsRoutes: Routes = [
  {
    path: '',
    providers: [...provideHeld(instruments, parts)],
    children: [
      { path: '', loadComponent: () => import('./instruments-page').then((m) => m.InstrumentsPage) },
      { path: 'start', title: 'New instrument · Rinnovo', loadComponent: () => import('./start-page').then((m) => m.StartPage) },
      { path: 'new', title: 'New instrument by sizes · Rinnovo', loadComponent: () => import('./describe-page').then((m) => m.DescribePage) },
    ],
  },
];
