import { InjectionToken, signal, type Signal } from '@angular/core';
import { shownUnits, type ShownUnits, type UnitSystem } from '@firm-line/core/lib/units';

/** The system in which lengths are shown and typed: whoever opens a plan says it; the kit knows no plan. */
export const DISPLAY_UNITS = new InjectionToken<Signal<UnitSystem>>('units of display', {
  providedIn: 'root',
  factory: () => signal('metric'),
});
/** The unit in which figures of every other kind are shown and typed. */
export const SHOWN_UNITS = new InjectionToken<Signal<ShownUnits>>('units of each kind', {
  providedIn: 'root',
  factory: () => signal(shownUnits('metric')),
});
