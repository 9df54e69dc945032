import { inject, Injectable } from '@angular/core';
import type { Photo } from '@firm-line/core/plan';
import { Calls } from '../worker/calls';
import type { photoJobs } from '../worker/jobs/photo';
import { createPhotoWorker } from '../worker/workers';
import { newId } from './new-id';
import { PlanDb } from './plan-db';

/** Most bytes of one file that is brought: far over any camera. */
const MOST_BYTES = 60_000_000;
const hex = (bytes: ArrayBuffer): string =>
  [...new Uint8Array(bytes)].map((b) => b.toString(16).padStart(2, '0')).join('');

/** By what a picture holds; over plain HTTP, where the browser gives no digests, by a name of its own. */
async function sha256Hex(picture: Blob): Promise<string> {
  return crypto.subtle
    ? hex(await crypto.subtle.digest('SHA-256', await picture.arrayBuffer())).slice(0, 32)
    : `photo-${newId()}`;
}

/** Photographs of this browser: shrunk beside the page one after another, kept by digest before they are shown. */
@Injectable({ providedIn: 'root' })
export class Photos {
  private readonly db = inject(PlanDb);
  private readonly calls = new Calls<typeof photoJobs>(
    createPhotoWorker,
    'Shrinking the photograph',
  );
  private last: Promise<unknown> = Promise.resolve();

  /** Shrinks and keeps a photograph. Throws a sentence that names the file; nothing is half kept. */
  keep(file: File): Promise<Photo> {
    const kept = this.last.then(() => this.keepNow(file));
    this.last = kept.catch(() => undefined);
    return kept;
  }
  private async keepNow(file: File): Promise<Photo> {
    if (file.size > MOST_BYTES)
      throw new Error(
        `${file.name} holds ${Math.round(file.size / 1e6)} MB; ${MOST_BYTES / 1e6} MB is the limit.`,
      );
    try {
      const { picture, small, widthPx, heightPx } = await this.calls.call('shrink', file);
      const digest = await sha256Hex(picture);
      await this.db.keepPhoto({ digest, picture, small });
      return { digest, widthPx, heightPx, bytes: picture.size };
    } catch (error) {
      throw new Error(`${file.name}: ${whyNotKept(error)}`, { cause: error });
    }
  }

  /** A kept photograph, or its smaller self; undefined where this browser does not have it. */
  async get(digest: string, which: 'picture' | 'small' = 'picture'): Promise<Blob | undefined> {
    return (await this.db.photo(digest))?.[which];
  }
  /** Stores an imported photo; false if its content does not match the digest. */
  async take(digest: string, picture: Blob): Promise<boolean> {
    if (crypto.subtle && !digest.startsWith('photo-') && (await sha256Hex(picture)) !== digest)
      return false;
    await this.db.keepPhoto({ digest, picture, small: await this.calls.call('small', picture) });
    return true;
  }
}

/** Why a photograph was not kept, as a sentence. */
export function whyNotKept(error: unknown): string {
  const { name, message, inner } = error as Error & { readonly inner?: Error };
  return name === 'QuotaExceededError' || inner?.name === 'QuotaExceededError'
    ? 'This browser has no room for more photographs. Nothing was lost: export the plan with its photographs, then make room.'
    : message;
}
