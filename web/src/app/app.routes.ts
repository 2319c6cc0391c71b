import type { Routes } from '@angular/router';

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'instruments' },
  {
    path: 'instruments',
    title: 'Instruments · Rinnovo',
    loadChildren: () => import('./stages/instruments/instruments.routes').then((m) => m.instrumentsRoutes),
  },
  { path: 'shelf', loadChildren: () => import('./stages/shelf/shelf.routes').then((m) => m.shelfRoutes) },
  { path: 'shop', loadChildren: () => import('./stages/shop/shop.routes').then((m) => m.shopRoutes) },
  { path: 'i/:instrument', loadChildren: () => import('./stages/instrument.routes').then((m) => m.instrumentRoutes) },
  { path: '**', title: 'Page not found · Rinnovo', loadComponent: () => import('./shell/not-here').then((m) => m.NotHere) },
];
