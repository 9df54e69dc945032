import {
  checkAnswers,
  defaultsFor,
  VEHICLES,
  type Answers,
  type Ask,
} from '@firm-line/core/proposals/set-out';
import type { UnitSystem } from '@firm-line/core/lib/units';

/** What was said so far, and in what text it was typed. It outlives a reload, not the tab. */
export interface Draft {
  readonly answers: Answers;
  readonly said: readonly Ask[];
  readonly typed: Partial<Record<Ask, string | undefined>>;
  readonly units: UnitSystem | null;
}
const KEY = 'firm-line-set-out';

/** The draft of this tab; null where there is none or it cannot be read. */
export function readDraft(): Draft | null {
  try {
    const { answers, said, typed, units } = JSON.parse(
      sessionStorage.getItem(KEY) ?? 'null',
    ) as Draft;
    if (!VEHICLES.includes(answers.vehicle)) return null;
    const whole = { ...defaultsFor(answers.vehicle), ...answers };
    checkAnswers(whole);
    const known = (Array.isArray(said) ? said : []).filter((ask) => ask in whole);
    return {
      answers: whole,
      said: known,
      typed: typed ?? {},
      units: units === 'inch' || units === 'metric' ? units : null,
    };
  } catch {
    return null;
  }
}
export function writeDraft(draft: Draft | null): void {
  try {
    if (draft) sessionStorage.setItem(KEY, JSON.stringify(draft));
    else sessionStorage.removeItem(KEY);
  } catch {
    // A browser that keeps nothing loses the draft with a reload, and nothing else.
  }
}
