// The rules come in late in the app; here they are at hand, so that no spec waits for them to be read.
import '@firm-line/core/inspect';
import { inject, provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { Plan } from '@firm-line/core/plan';
import { sharing } from '../../../core/src/plan/delta';
import { demo } from '../../../core/src/testing/demo-plans';
import { DISPLAY_UNITS, SHOWN_UNITS } from '../kit/units';
import { PlanDb } from '../storage/plan-db';
import { PlanStore } from '../session/plan-store';

/** What every screen of the app is given. */
export const APP_PROVIDERS = [
  provideZonelessChangeDetection(),
  { provide: DISPLAY_UNITS, useFactory: () => inject(PlanStore).units },
  { provide: SHOWN_UNITS, useFactory: () => inject(PlanStore).shownUnits },
];

export { demo };
export const gannet = (): Plan => demo('gannet');

export async function until(holds: () => boolean): Promise<void> {
  for (let i = 0; i < 400 && !holds(); i++) await new Promise((done) => setTimeout(done, 5));
  if (!holds()) throw new Error(`Did not come about: ${holds.toString()}`);
}

/** A store with the demo plan open under an id of its own, checked and saved. */
export async function openGannet(id: string, plan = gannet()): Promise<PlanStore> {
  const db = TestBed.inject(PlanDb);
  await db.write({ ...plan, id }, 0);
  // It comes back made of the very records that went in: what was worked out of them in the spec before still holds.
  const read = db.get.bind(db);
  jest.spyOn(db, 'get').mockImplementation(async (of) => {
    const stored = await read(of);
    return stored && { ...stored, plan: sharing(plan, stored.plan) as Plan };
  });
  const store = TestBed.inject(PlanStore);
  await store.open(id);
  await until(() => store.editable() && store.isJudged() && store.saved() === 'saved');
  return store;
}
