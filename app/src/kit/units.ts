import { InjectionToken, signal, type Signal } from '@angular/core';
import type { UnitSystem } from '@firm-line/core/lib/units';

/** The system in which lengths are shown and typed: whoever opens a plan says it; the kit knows no plan. */
export const DISPLAY_UNITS = new InjectionToken<Signal<UnitSystem>>('units of display', {
  providedIn: 'root',
  factory: () => signal('metric'),
});
