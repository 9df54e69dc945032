/** The day it is, `2026-12-01`. */
export const today = (): string => new Date().toISOString().slice(0, 10);
