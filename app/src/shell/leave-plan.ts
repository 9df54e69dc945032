import { inject } from '@angular/core';
import { Notices } from '../kit/notices';
import { PlanStore } from '../session/plan-store';

/** A plan is left once it is kept. Where it cannot be kept it is left all the same, at the second try. */
export async function leavePlan(): Promise<boolean> {
  const store = inject(PlanStore);
  const notices = inject(Notices);
  if (!store.isOpen() || store.saved() === 'saved' || warned === store.plan()) return true;
  if (await store.settle()) return true;
  warned = store.plan();
  notices.say(
    'This plan is not saved yet. Export it first. To leave without saving, go to the page again.',
  );
  return false;
}
let warned: unknown = null;
