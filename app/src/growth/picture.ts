/** A picture that was chosen, small enough to keep. */
export interface Picture {
  /** As a data address. */
  url: string;
  widthPx: number;
  heightPx: number;
}

/** Longest side that is kept: a fish of a few centimetres is then still hundreds of pixels. */
const LONGEST_PX = 1600;
const QUALITY = 0.82;

/**
 * Read a picture from a file and make it smaller, in the browser alone.
 * @throws Error in words where it is none
 */
export async function readPicture(file: Blob): Promise<Picture> {
  const bitmap = await createImageBitmap(file).catch(() => {
    throw new Error('This picture cannot be read. Choose a JPEG or PNG.');
  });
  const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
  const widthPx = Math.round(bitmap.width * scale);
  const heightPx = Math.round(bitmap.height * scale);
  const canvas = document.createElement('canvas');
  canvas.width = widthPx;
  canvas.height = heightPx;
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, widthPx, heightPx);
  bitmap.close();
  return { url: canvas.toDataURL('image/jpeg', QUALITY), widthPx, heightPx };
}
