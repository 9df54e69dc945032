import { inject, type Type } from '@angular/core';
import type { RedirectFunction, Routes, UrlMatcher } from '@angular/router';
import { LastPage } from './last-page';
import { STATIONS, type PageEntry } from './registry';

type Load = () => Promise<Type<unknown>>;
interface Loads {
  readonly station: Load;
  readonly pages?: Readonly<Record<string, Load>>;
}
const measure: Load = () => import('./measure/places-page').then((m) => m.PlacesPage);

/** How each station and each of its pages is loaded. */
const LOADS: Readonly<Record<string, Loads>> = {
  measure: {
    station: () => import('./measure/measure-station').then((m) => m.MeasureStation),
    pages: {
      first: measure,
      places: measure,
      vehicle: measure,
      frame: () => import('./measure/frame-page').then((m) => m.FramePage),
      closes: () => import('./measure/closes-page').then((m) => m.ClosesPage),
    },
  },
  size: { station: () => import('./size/size-station').then((m) => m.SizeStation) },
  plumb: { station: () => import('./plumb/plumb-station').then((m) => m.PlumbStation) },
  route: { station: () => import('./route/route-station').then((m) => m.RouteStation) },
  join: { station: () => import('./join/join-station').then((m) => m.JoinStation) },
  make: {
    station: () => import('./make/make-station').then((m) => m.MakeStation),
    pages: {
      card: () => import('./make/line-card-page').then((m) => m.LineCardPage),
      cuts: () => import('./make/cuts-page').then((m) => m.CutsPage),
      list: () => import('./make/list-page').then((m) => m.ListPage),
      kits: () => import('./make/kits-page').then((m) => m.KitsPage),
      brackets: () => import('./make/brackets-page').then((m) => m.BracketsPage),
      tags: () => import('./make/tags-page').then((m) => m.TagsPage),
    },
  },
  fit: {
    station: () => import('./fit/fit-station').then((m) => m.FitStation),
    pages: {
      tasks: () => import('./fit/tasks-page').then((m) => m.TasksPage),
      calipers: () => import('./fit/calipers-page').then((m) => m.CalipersPage),
      wheels: () => import('./fit/wheels-page').then((m) => m.WheelsPage),
      parking: () => import('./fit/parking-page').then((m) => m.ParkingPage),
      wires: () => import('./fit/wires-page').then((m) => m.WiresPage),
      loads: () => import('./fit/loads-page').then((m) => m.LoadsPage),
      log: () => import('./fit/log-page').then((m) => m.LogPage),
      sheets: () => import('./fit/sheets-page').then((m) => m.SheetsPage),
    },
  },
  fill: {
    station: () => import('./fill/fill-station').then((m) => m.FillStation),
    pages: {
      plan: () => import('./fill/plan-page').then((m) => m.PlanPage),
      run: () => import('./fill/run-page').then((m) => m.RunPage),
      fluids: () => import('./fill/fluids-page').then((m) => m.FluidsPage),
    },
  },
  prove: {
    station: () => import('./prove/prove-station').then((m) => m.ProveStation),
    pages: {
      rounds: () => import('./prove/rounds-page').then((m) => m.RoundsPage),
      curve: () => import('./prove/curve-page').then((m) => m.CurvePage),
      stops: () => import('./prove/stops-page').then((m) => m.StopsPage),
      sign: () => import('./prove/sign-page').then((m) => m.SignPage),
      compare: () => import('./prove/compare-page').then((m) => m.ComparePage),
    },
  },
};
const component = (load: Load) => load as () => Promise<never>;

/** One part of an address that is one of these pages; which one is given to the page as `page`. */
const pageAmong =
  (paths: readonly string[]): UrlMatcher =>
  (segments) => {
    const [segment] = segments;
    return segment && segments.length === 1 && paths.includes(segment.path)
      ? { consumed: [segment], posParams: { page: segment } }
      : null;
  };
/** Pages of a station as routes: those of one component are one route, so that going between them keeps it. */
function pageRoutes(station: string, pages: readonly PageEntry[]): Routes {
  const loads = LOADS[station]!.pages!;
  return [...new Set(pages.map(({ path }) => loads[path]!))].map((load) => ({
    matcher: pageAmong(pages.flatMap(({ path }) => (loads[path] === load ? [path] : []))),
    loadComponent: component(load),
  }));
}
/** The page a station was left on, or that shows what the address chooses. */
const lastPage =
  (station: string): RedirectFunction =>
  ({ queryParams }) =>
    inject(LastPage).of(station, queryParams['at'] as string | undefined);

/** The stations as child routes of a plan, their pages as child routes of theirs; what is no page leads to the last one. */
export const STATION_ROUTES: Routes = STATIONS.map(({ path, pages }) => ({
  path,
  loadComponent: component(LOADS[path]!.station),
  children: pages.length
    ? [
        ...pageRoutes(path, pages),
        { path: '', pathMatch: 'full' as const, redirectTo: lastPage(path) },
        { path: '**', redirectTo: lastPage(path) },
      ]
    : [],
}));
