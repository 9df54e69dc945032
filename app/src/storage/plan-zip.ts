import { MOST_PLAN_BYTES, PlanFileError } from '@firm-line/core/plan';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';

/** Most bytes of a plan with its photographs, packed or not. */
export const MOST_ZIP_BYTES = 600_000_000;
const PLAN_NAME = 'plan.firmline.json';
const photoName = (digest: string): string => `photos/${digest}.jpg`;
const fault = (message: string): PlanFileError => new PlanFileError([{ path: '', message }]);

/** A plan file and its photographs in one; pictures are packed as they are. */
export function zipPlan(text: string, photos: ReadonlyMap<string, Uint8Array>): Uint8Array {
  const files: Zippable = { [PLAN_NAME]: strToU8(text) };
  for (const [digest, bytes] of photos) files[photoName(digest)] = [bytes, { level: 0 }];
  return zipSync(files);
}

/** What such a file holds. Throws PlanFileError where it is none, is too big when it is unpacked, or holds no plan. */
export function unzipPlan(bytes: Uint8Array): {
  readonly text: string;
  readonly photos: ReadonlyMap<string, Uint8Array>;
} {
  let total = 0;
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        const isPlan = name === PLAN_NAME;
        if (!isPlan && !/^photos\/[\w-]{1,80}\.jpg$/.test(name)) return false;
        total += originalSize;
        if (total > MOST_ZIP_BYTES || (isPlan && originalSize > 2 * MOST_PLAN_BYTES))
          throw fault(`${name} is too large when unpacked.`);
        return true;
      },
    });
  } catch (error) {
    throw error instanceof PlanFileError
      ? error
      : fault('This file cannot be unpacked. It is damaged, or not a zip file.');
  }
  const plan = files[PLAN_NAME];
  if (!plan) throw fault(`There is no ${PLAN_NAME} in it.`);
  const photos = new Map(
    Object.entries(files).flatMap(([name, content]) =>
      name === PLAN_NAME ? [] : [[name.slice('photos/'.length, -'.jpg'.length), content] as const],
    ),
  );
  return { text: strFromU8(plan), photos };
}
