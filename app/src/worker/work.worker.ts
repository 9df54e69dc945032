import { serve, type Jobs } from './calls';

/** What each worker does, by the name that it is begun with. Its code is loaded for that work alone; what several share is there once. */
const WORK: Readonly<Record<string, () => Promise<Jobs>>> = {
  air: () => import('./jobs/air').then((m) => m.airJobs),
  check: () => import('./jobs/check').then((m) => m.checkJobs),
  hoses: () => import('./jobs/hoses').then((m) => m.hosesJobs),
  inspect: () => import('./jobs/inspect').then((m) => m.inspectJobs()),
  making: () => import('./jobs/making').then((m) => m.makingJobs),
  mesh: () => import('./jobs/mesh').then((m) => m.meshJobs),
  pack: () => import('./jobs/pack').then((m) => m.packJobs),
  photo: () => import('./jobs/photo').then((m) => m.photoJobs),
  'set-out': () => import('./jobs/set-out').then((m) => m.setOutJobs),
  space: () => import('./jobs/space').then((m) => m.spaceJobs()),
  ways: () => import('./jobs/ways').then((m) => m.waysJobs),
  worth: () => import('./jobs/worth').then((m) => m.worthJobs),
};

serve(WORK[self.name]!());
