/** Largest file taken from a camera, and the longest side kept: enough to read small stamping. */
export const largestFile = 12 * 1024 * 1024;
const longestSide = 2400;

export type Shrunk = { readonly ok: true; readonly picture: Blob } | { readonly ok: false; readonly message: string };

/** Makes a photograph smaller in the browser; drawing it anew leaves its metadata behind. */
export async function shrink(file: File): Promise<Shrunk> {
  if (!/^image\/(jpeg|png|webp)$/.test(file.type))
    return { ok: false, message: `${file.name} is no JPEG, PNG or WebP picture` };
  if (file.size > largestFile) return { ok: false, message: `${file.name} is larger than 12 MB` };
  try {
    const image = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const scale = Math.min(1, longestSide / Math.max(image.width, image.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(image.width * scale));
    canvas.height = Math.max(1, Math.round(image.height * scale));
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    image.close();
    const picture = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', 0.86));
    return picture ? { ok: true, picture } : { ok: false, message: `${file.name} could not be made smaller` };
  } catch {
    return { ok: false, message: `${file.name} cannot be read as a picture` };
  }
}
