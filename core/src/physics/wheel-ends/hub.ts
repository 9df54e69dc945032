/** How a hub's nut is drawn up. */
export const HUB_SCHOOLS = ['feel', 'figure', 'end-play'] as const;
export type HubSchool = (typeof HUB_SCHOOLS)[number];
export const HUB_KINDS = ['adjustable', 'unit', 'spacer'] as const;
export type HubKind = (typeof HUB_KINDS)[number];

/** End play where the maker gives no figure, mm. Common practice. */
export const END_PLAY_MM = { least: 0.03, most: 0.13 } as const;

/** The three schools side by side: what each is, what it is for, and where it kills. Common practice; the sheet wins. */
export const HUB_TABLE: readonly {
  readonly school: HubSchool;
  readonly name: string;
  readonly how: string;
  readonly fits: string;
  readonly beware: string;
}[] = [
  {
    school: 'feel',
    name: 'Seat, back off, set end play',
    how: 'Tighten while turning the wheel until the bearings seat. Back off until play just begins, then to the nearest lock.',
    fits: 'Two adjustable taper bearings, no spacer between.',
    beware: 'Back off only to find the play: half a turn of a 1-14 nut is 0.9 mm.',
  },
  {
    school: 'figure',
    name: 'Maker’s torque',
    how: 'Seat while turning, back off if the sheet says so, then tighten to torque and angle. New nut, pin or tab.',
    fits: 'Unit hubs and hubs with a spacer, clamped solid.',
    beware: 'Never back off: a loose unit hub comes off with the wheel.',
  },
  {
    school: 'end-play',
    name: 'Measured end play',
    how: 'Dial gauge on the hub face, pull and push: 0.03 to 0.13 mm if the maker gives no figure. Lock, then measure again.',
    fits: 'Taper bearings, with a dial gauge to hand.',
    beware: 'Measure after locking: a tab can take up the play.',
  },
];

export type HubFault = 'backed-off' | 'loose' | 'tight' | 'lock';
/** The first thing that is wrong with a hub as it was done; null: nothing, or nothing measured. Limits are the sheet's where it gives them. */
export function hubFault(hub: {
  readonly kind: HubKind;
  readonly school: HubSchool;
  readonly endPlayMm: number | null;
  readonly sheetMm: { readonly least: number; readonly most: number } | null;
  readonly newLock: boolean | null;
}): HubFault | null {
  if (hub.kind !== 'adjustable' && hub.school !== 'figure') return 'backed-off';
  const { least, most } =
    hub.sheetMm ?? (hub.kind === 'adjustable' ? END_PLAY_MM : { least: 0, most: END_PLAY_MM.most });
  if (hub.endPlayMm !== null && hub.endPlayMm > most + 1e-9) return 'loose';
  if (hub.endPlayMm !== null && hub.endPlayMm < least - 1e-9) return 'tight';
  return hub.newLock === false ? 'lock' : null;
}
