import type { Routes } from '@angular/router';
import { provideHeld } from '../../state/held';
import { instruments, parts, shop } from '../../state/resources';

export const instrumentsRoutes: Routes = [
  {
    path: '',
    providers: [...provideHeld(instruments, parts, shop)],
    children: [
      { path: '', loadComponent: () => import('./instruments-page').then((m) => m.InstrumentsPage) },
      { path: 'start', title: 'New instrument · Rinnovo', loadComponent: () => import('./start-page').then((m) => m.StartPage) },
    ],
  },
];
