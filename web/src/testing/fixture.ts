import { provideHttpClient, withInterceptors } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideStore } from '@ngrx/store';
import type { Anatomy } from '@rinnovo/core/instrument';
import { anatomyFromSizes, type Box } from '@rinnovo/core/testing';
import { waitForServer } from '../app/api/connection';
import { viewFeature } from '../app/state/view.feature';

const box = (width: number, height: number, y = 105): Box => ({ x: 0, y, width, height, corner: 4 });

export const anatomy: Anatomy = anatomyFromSizes(
  {
    strings: 6,
    frets: 22,
    scale: 640,
    nutToMouth: 395,
    spreadAtNut: 35.5,
    spreadAtSaddles: 52,
    body: box(320, 430, 170),
    thickness: 44,
    pocketWidth: 56,
    pocketLength: 74,
    levelDepth: 16,
    route: box(88, 22),
    routeDepth: 18,
    plate: box(118, 58),
    plateThickness: 2,
    window: box(70, 39),
    back: { ...box(40, 60, 130), x: -50 },
    backDepth: 14,
  },
  null,
);

/** A store with the view, an HTTP back end that specs answer by hand, no animations to wait for. */
export function setUp(): HttpTestingController {
  TestBed.configureTestingModule({
    providers: [
      provideStore({ [viewFeature.name]: viewFeature.reducer }),
      provideEffects(),
      provideHttpClient(withInterceptors([waitForServer])),
      provideHttpClientTesting(),
      provideRouter([]),
    ],
  });
  return TestBed.inject(HttpTestingController);
}
