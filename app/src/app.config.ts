import {
  isDevMode,
  provideBrowserGlobalErrorListeners,
  provideZonelessChangeDetection,
  type ApplicationConfig,
} from '@angular/core';
import { provideRouter, withComponentInputBinding, type Routes } from '@angular/router';
import { provideServiceWorker } from '@angular/service-worker';

const routes: Routes = [
  {
    path: '',
    pathMatch: 'full',
    loadComponent: () => import('./plans/plans-page').then((m) => m.PlansPage),
    title: 'Plans · Firm Line',
  },
  {
    path: 'plan/:planId',
    loadComponent: () => import('./shell/shell').then((m) => m.Shell),
    children: [
      { path: 'measure', loadComponent: () => import('./stations/measure/measure-station').then((m) => m.MeasureStation) },
      { path: 'size', loadComponent: () => import('./stations/size/size-station').then((m) => m.SizeStation) },
      { path: 'plumb', loadComponent: () => import('./stations/plumb/plumb-station').then((m) => m.PlumbStation) },
      { path: 'route', loadComponent: () => import('./stations/route/route-station').then((m) => m.RouteStation) },
      { path: 'join', loadComponent: () => import('./stations/join/join-station').then((m) => m.JoinStation) },
      { path: 'make', loadComponent: () => import('./stations/make/make-station').then((m) => m.MakeStation) },
      { path: 'fill', loadComponent: () => import('./stations/fill/fill-station').then((m) => m.FillStation) },
      { path: '**', redirectTo: 'route' },
    ],
  },
  {
    path: 'practice',
    loadComponent: () => import('./practice/practice-page').then((m) => m.PracticePage),
    title: 'Practice · Firm Line',
  },
  { path: '**', redirectTo: '' },
];

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideZonelessChangeDetection(),
    provideRouter(routes, withComponentInputBinding()),
    provideServiceWorker('ngsw-worker.js', { enabled: !isDevMode(), registrationStrategy: 'registerWhenStable:30000' }),
  ],
};
