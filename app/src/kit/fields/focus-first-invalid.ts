/** Goes to the first field of a form that holds what was not taken; true where there is one, so that nothing is kept without it. */
export function focusFirstInvalid(event: Event): boolean {
  const field = (event.target as HTMLElement | null)?.querySelector<HTMLElement>(
    '[aria-invalid=true]',
  );
  field?.focus();
  return Boolean(field);
}
