import { PHOTO_BYTES, PHOTO_TYPES } from '@pondu/core/schema';

/** Longest side of what is kept, pixels: a terminal's stamp can still be read. */
const LONGEST = 1800;
const QUALITY = 0.85;

export type Shrunk = { ok: true; blob: Blob } | { ok: false; message: string };

const named = PHOTO_TYPES as readonly string[];

/** By its first bytes, whatever it is called. */
async function looksLike(file: Blob): Promise<boolean> {
  const head = new Uint8Array(await file.slice(0, 12).arrayBuffer());
  const text = String.fromCharCode(...head);
  return (
    (head[0] === 0xff && head[1] === 0xd8) ||
    text.startsWith('\x89PNG') ||
    (text.startsWith('RIFF') && text.endsWith('WEBP'))
  );
}

/** A photo drawn anew at a size that goes up fast: what the camera wrote beside the picture (place, device) stays behind. */
export async function shrink(file: File): Promise<Shrunk> {
  const refuse = (why: string): Shrunk => ({ ok: false, message: `“${file.name}” ${why}` });
  if (file.size > PHOTO_BYTES)
    return refuse(`is larger than ${PHOTO_BYTES / 1024 / 1024} MB. It was not taken; make it smaller.`);
  if ((file.type && !named.includes(file.type)) || !(await looksLike(file)))
    return refuse('is no JPEG, PNG or WebP picture. It was not taken; choose another.');
  try {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(picture.width * scale));
    canvas.height = Math.max(1, Math.round(picture.height * scale));
    canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', QUALITY));
    return blob ? { ok: true, blob } : refuse('cannot be drawn here. It was not taken.');
  } catch {
    return refuse('cannot be read as a picture: it may be cut off. It was not taken.');
  }
}
