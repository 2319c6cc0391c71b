import type { Routes } from '@angular/router';
import { provideHeld } from '../../state/held';
import { buyList, parts, shop, stock } from '../../state/resources';

export const shopRoutes: Routes = [
  {
    path: '',
    providers: [...provideHeld(shop, parts, stock, buyList)],
    loadComponent: () => import('./shop-page').then((m) => m.ShopPage),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'buy' },
      { path: 'buy', title: 'Buy list · Rinnovo', loadComponent: () => import('./buy-page').then((m) => m.BuyPage) },
      { path: 'drawers', title: 'Drawers · Rinnovo', loadComponent: () => import('./drawers-page').then((m) => m.DrawersPage) },
      { path: 'tools', title: 'Tools · Rinnovo', loadComponent: () => import('./tools-page').then((m) => m.ToolsPage) },
      { path: 'settings', title: 'Settings · Rinnovo', loadComponent: () => import('./settings-page').then((m) => m.SettingsPage) },
      { path: 'people', title: 'People · Rinnovo', loadComponent: () => import('./people-page').then((m) => m.PeoplePage) },
    ],
  },
];
