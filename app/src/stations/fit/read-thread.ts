import { boltThread, type BoltThread } from '@firm-line/core/trade/stock';
import type { Read } from '../../kit/fields/text-input';

/** The thread of a bolt or stud as it is typed; null where nothing is. */
export function readThread(text: string): Read<BoltThread | null> {
  const thread = boltThread(text);
  return thread || !text
    ? { ok: true, value: thread }
    : { ok: false, message: `"${text}" is not a thread. Enter one such as M12x1.5 or 1/2-20.` };
}
