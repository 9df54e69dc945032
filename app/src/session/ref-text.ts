import type { Ref } from '@firm-line/core/plan';
import { SHOWN_KINDS } from '../stations/registry';

/** A reference as the address holds it: `line:line-r1:3`. */
export const refText = ({ kind, id, node }: Ref): string =>
  [kind, id, ...(node === undefined ? [] : [node])]
    .map((part) => encodeURIComponent(part))
    .join(':');
/** The place that an address names; null where it names none. */
export function readRef(text: string | null | undefined): Ref | null {
  const [kind, id, node] = (text ?? '').split(':').map(decode);
  const found = SHOWN_KINDS.find((one) => one === kind);
  if (!found || !id) return null;
  return {
    kind: found,
    id,
    ...(node !== undefined && /^\d+$/.test(node) ? { node: Number(node) } : {}),
  };
}
/** A part of an address as it was written; one that nobody wrote stands as it is. */
function decode(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}
