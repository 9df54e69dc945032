/** A photograph made small enough to keep, with its smaller self for lists. */
export interface ShrunkPhoto {
  readonly picture: Blob;
  readonly small: Blob;
  readonly widthPx: number;
  readonly heightPx: number;
}
/** Longest sides, pixels: enough to read a number on a casting, and for a list. */
const PICTURE_PX = 1600;
const SMALL_PX = 320;

async function drawn(
  bitmap: ImageBitmap,
  mostPx: number,
): Promise<{ readonly blob: Blob; readonly widthPx: number; readonly heightPx: number }> {
  const scale = Math.min(1, mostPx / Math.max(bitmap.width, bitmap.height));
  const [widthPx, heightPx] = [bitmap.width, bitmap.height].map((side) =>
    Math.max(1, Math.round(side * scale)),
  ) as [number, number];
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, widthPx, heightPx);
  // Drawn anew: place, maker and time of the camera are left behind.
  return {
    blob: await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.82 }),
    widthPx,
    heightPx,
  };
}

async function opened<T>(file: Blob, use: (bitmap: ImageBitmap) => Promise<T>): Promise<T> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error('The file cannot be read as a picture. Save it as JPEG or PNG.');
  });
  try {
    return await use(bitmap);
  } finally {
    bitmap.close();
  }
}

export const photoJobs = {
  shrink: (file: Blob): Promise<ShrunkPhoto> =>
    opened(file, async (bitmap) => {
      const { blob: picture, widthPx, heightPx } = await drawn(bitmap, PICTURE_PX);
      return { picture, small: (await drawn(bitmap, SMALL_PX)).blob, widthPx, heightPx };
    }),
  /** Of one that is kept already, such as out of a file: its smaller self. */
  small: (picture: Blob): Promise<Blob> =>
    opened(picture, async (bitmap) => (await drawn(bitmap, SMALL_PX)).blob),
};
