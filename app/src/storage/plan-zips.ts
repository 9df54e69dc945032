import { inject, Injectable } from '@angular/core';
import { photosOf } from '@firm-line/core/stations/fit/log';
import { fileStem, PlanFileError, writePlan, type Plan } from '@firm-line/core/plan';
import { Notices } from '../kit/notices';
import { saveFile } from '../kit/save-file';
import { PlanChecks } from '../worker/plan-checks';
import { Photos } from './photos';
import { MOST_ZIP_BYTES, unzipPlan, zipPlan } from './plan-zip';

/** Plans with their photographs, in and out of one file. */
@Injectable({ providedIn: 'root' })
export class PlanZips {
  private readonly checks = inject(PlanChecks);
  private readonly photos = inject(Photos);
  private readonly notices = inject(Notices);

  /** The plan in such a file; its photographs are kept first, so that a plan that is shown has them. Throws PlanFileError. */
  async read(file: File, signal?: AbortSignal): Promise<Plan> {
    if (file.size > MOST_ZIP_BYTES)
      throw new PlanFileError([
        {
          path: '',
          message: `The file holds ${Math.round(file.size / 1e6)} MB; ${MOST_ZIP_BYTES / 1e6} MB is the limit.`,
        },
      ]);
    const { text, photos } = unzipPlan(new Uint8Array(await file.arrayBuffer()));
    const plan = await this.checks.read(text, signal);
    let bad = 0;
    for (const [digest, bytes] of photos) {
      signal?.throwIfAborted();
      const taken = await this.photos
        .take(digest, new Blob([bytes as BlobPart], { type: 'image/jpeg' }))
        .catch(() => false);
      if (!taken) bad++;
    }
    if (bad)
      this.notices.say(
        `${bad} of ${photos.size} photographs in ${file.name} were left out: damaged, or no room for them.`,
      );
    return plan;
  }

  /** Hands out a plan with its photographs; those that this browser does not have are said. */
  async export(plan: Plan): Promise<void> {
    const wanted = photosOf(plan.log);
    const found = new Map<string, Uint8Array>();
    for (const { digest } of wanted) {
      const blob = await this.photos.get(digest);
      if (blob) found.set(digest, new Uint8Array(await blob.arrayBuffer()));
    }
    saveFile(
      `${fileStem(plan)}.firmline.zip`,
      zipPlan(writePlan(plan), found) as BlobPart,
      'application/zip',
    );
    if (found.size < wanted.length)
      this.notices.say(
        `${wanted.length - found.size} of ${wanted.length} photographs are not in this browser, and not in the file.`,
      );
  }
}
