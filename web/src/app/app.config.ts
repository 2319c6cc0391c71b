import { provideHttpClient, withFetch, withInterceptors } from '@angular/common/http';
import { provideAppInitializer, provideZonelessChangeDetection, type ApplicationConfig } from '@angular/core';
import { provideRouter, withComponentInputBinding, withInMemoryScrolling } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideStore } from '@ngrx/store';
import { waitForServer } from './api/connection';
import { behindTheBox, keptUntilAnswered } from './api/outbox';
import { routes } from './app.routes';
import { adoptLocale } from './shell/adopt-locale';
import { provideHeld } from './state/held';
import { people } from './state/resources';
import { viewFeature } from './state/view.feature';

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideAppInitializer(adoptLocale),
    provideRouter(routes, withComponentInputBinding(), withInMemoryScrolling({ scrollPositionRestoration: 'top' })),
    provideHttpClient(withFetch(), withInterceptors([keptUntilAnswered, waitForServer, behindTheBox])),
    provideStore({ [viewFeature.name]: viewFeature.reducer }),
    provideEffects(),
    ...provideHeld(people),
  ],
};
