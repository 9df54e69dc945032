/** Key of the work that tightens a joint at an end of a line or hose: its last one, or an earlier one counted from the port. */
export const tightenKey = (id: string, end: 'a' | 'b', joint?: number): string =>
  `tighten:${id}:${end}${joint === undefined ? '' : `:${joint}`}`;
