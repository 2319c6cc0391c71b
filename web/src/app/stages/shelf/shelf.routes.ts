import type { Routes } from '@angular/router';
import { provideHeld } from '../../state/held';
import { outlines, parts, stock } from '../../state/resources';

export const shelfRoutes: Routes = [
  {
    path: '',
    providers: [...provideHeld(parts, stock, outlines)],
    children: [
      { path: '', title: 'Part shelf · Rinnovo', loadComponent: () => import('./shelf-page').then((m) => m.ShelfPage) },
      { path: ':part', title: 'Part shelf · Rinnovo', loadComponent: () => import('./shelf-page').then((m) => m.ShelfPage) },
    ],
  },
];
