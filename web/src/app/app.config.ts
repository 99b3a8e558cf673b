import { loadMaterials, materialsFeature } from './state/materials';
import { type ApplicationConfig, isDevMode, provideZonelessChangeDetection } from '@angular/core';
import { MAT_RIPPLE_GLOBAL_OPTIONS } from '@angular/material/core';
import { provideRouter, withComponentInputBinding, withRouterConfig } from '@angular/router';
import { provideServiceWorker } from '@angular/service-worker';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore } from '@ngrx/store';
import { routes } from './app.routes';
import * as changes from './state/changes';
import { childrenFeature, loadChildren } from './state/children';
import { dayFeature, keepSheet, loadDay } from './state/day';
import { hold } from './state/prefetch';
import { householdFeature, loadHousehold } from './state/household';
import { outboxFeature } from './state/outbox';
import { loadProgress, progressFeature } from './state/progress';
import { loadWeek, weekFeature } from './state/week';
import { sendWrites } from './state/writes';
import { runFeature } from './state/run';
import { keepRun, loadEvidence, loadLastTime } from './state/run-effects';

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideRouter(
      routes,
      withComponentInputBinding(),
      withRouterConfig({ paramsInheritanceStrategy: 'always' }),
    ),
    // Waves under a finger cost a slow device a picture or two of every tap at the tray.
    { provide: MAT_RIPPLE_GLOBAL_OPTIONS, useValue: { disabled: true } },
    // What opens the application where the server does not answer; it needs a secure address.
    provideServiceWorker('ngsw-worker.js', {
      enabled: !isDevMode(),
      registrationStrategy: 'registerWhenStable:10000',
    }),
    provideStore(),
    provideState(householdFeature),
    provideState(childrenFeature),
    provideState(dayFeature),
    provideState(progressFeature),
    provideState(outboxFeature),
    provideState(runFeature),
    provideState(materialsFeature),
    provideState(weekFeature),
    provideEffects(changes, {
      loadHousehold,
      loadChildren,
      loadDay,
      keepSheet,
      loadProgress,
      loadEvidence,
      loadLastTime,
      loadMaterials,
      loadWeek,
      keepRun,
      hold,
      sendWrites,
    }),
  ],
};
