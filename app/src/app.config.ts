import {
  ErrorHandler,
  inject,
  Injector,
  runInInjectionContext,
  provideBrowserGlobalErrorListeners,
  provideZonelessChangeDetection,
  type ApplicationConfig,
} from '@angular/core';
import { provideRouter, withComponentInputBinding, type Routes } from '@angular/router';
import { BoundaryErrorHandler } from './shell/station-boundary';
import { STATION_ROUTES } from './stations/routes';

/** What keeps a plan comes with the plan: the list of plans does without. */
const leavePlan = async (): Promise<boolean> => {
  const injector = inject(Injector);
  const { leavePlan } = await import('./shell/leave-plan');
  return runInInjectionContext(injector, leavePlan);
};

const routes: Routes = [
  {
    path: '',
    pathMatch: 'full',
    loadComponent: () => import('./plans/plans-page').then((m) => m.PlansPage),
    title: 'Plans · Firm Line',
  },
  {
    path: 'new',
    loadComponent: () => import('./set-out/set-out-page').then((m) => m.SetOutPage),
    title: 'New plan · Firm Line',
  },
  {
    path: 'plan/:planId',
    loadComponent: () => import('./shell/shell').then((m) => m.Shell),
    canDeactivate: [leavePlan],
    children: [...STATION_ROUTES, { path: '**', redirectTo: 'route' }],
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
    { provide: ErrorHandler, useClass: BoundaryErrorHandler },
  ],
};
