/** A short digest of figures and words in order: FNV-1a, 32 bit (Fowler, Noll and Vo). Same list, same digest. */
export function fnv32(values: readonly (string | number)[]): string {
  let hash = 0x811c9dc5;
  for (const c of values.join('|')) hash = Math.imul(hash ^ c.codePointAt(0)!, 0x01000193) >>> 0;
  return hash.toString(16).padStart(8, '0');
}
