import { createHash } from 'node:crypto';
import { PHOTO_BYTES, PHOTO_PIXELS, PHOTO_TYPES, type PhotoType } from '@pondu/core/schema';
import { fileTypeFromBuffer } from 'file-type';
import sharp from 'sharp';
import { notFound, Problem } from '../http/problem.ts';
import type { Store } from './database.ts';
import type { PictureRow } from './models.ts';

export const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

const isPhoto = (type: string | undefined): type is PhotoType => PHOTO_TYPES.some((t) => t === type);

/** A picture as it is kept. */
export interface Picture {
  readonly type: PhotoType;
  readonly bytes: Buffer;
}

const QUALITY = 90;
/** What a camera writes into a picture beside what is seen: where it was taken, by which device, by whom. */
const WRITTEN = ['exif', 'xmp', 'iptc', 'comments'] as const;

/**
 * Looks at a picture, whoever sends it: by its own bytes, for a name or a header proves nothing; not larger than a shop
 * needs; and without what a camera wrote into it. Throws a refusal by name.
 */
export async function pictureFrom(bytes: Buffer, called: string): Promise<Picture> {
  if (bytes.length > PHOTO_BYTES)
    throw new Problem(
      413,
      'too-large',
      `A photo may be ${PHOTO_BYTES / 1024 / 1024} MB at most. It was not kept; make it smaller.`,
    );
  const type = await pictureType(bytes, called);
  const unreadable = () =>
    new Problem(415, 'no-picture', `“${called}” cannot be read as a picture. It was not kept; choose another.`);
  const image = sharp(bytes, { limitInputPixels: false });
  const about = await image.metadata().catch(() => {
    throw unreadable();
  });
  if (about.width * about.height > PHOTO_PIXELS)
    throw new Problem(
      413,
      'too-large',
      `“${called}” has ${Math.round((about.width * about.height) / 1e6)} million pixels; ${PHOTO_PIXELS / 1e6} are the most. It was not kept; make it smaller.`,
    );
  if (!WRITTEN.some((what) => about[what] !== undefined)) return { type, bytes };
  // Turned as the camera meant it, for that goes with the rest of what it wrote.
  const turned = image.rotate();
  const clean =
    type === 'image/png'
      ? turned.png()
      : type === 'image/webp'
        ? turned.webp({ quality: QUALITY })
        : turned.jpeg({ quality: QUALITY });
  const drawn = await clean.toBuffer().catch(() => {
    throw unreadable();
  });
  return { type, bytes: drawn };
}

async function pictureType(bytes: Uint8Array, called: string): Promise<PhotoType> {
  const found = (await fileTypeFromBuffer(bytes))?.mime;
  if (isPhoto(found)) return found;
  const what = bytes.length === 0 ? 'empty' : found === undefined ? 'of no kind that is known' : `a file of ${found}`;
  throw new Problem(
    415,
    'no-picture',
    `“${called}” is ${what}. Photos are JPEG, PNG or WebP. It was not kept; choose another.`,
  );
}

export const pictureRow = (jobId: string, id: string, { type, bytes }: Picture): PictureRow => ({
  id,
  jobId,
  type,
  sha256: sha256(bytes),
  bytes,
  at: new Date().toISOString(),
});

/** As long as a photo may wait for what is said of it. */
const SAID_WITHIN_MS = 86_400_000;

/** Takes out pictures of which nothing was said within a day: what was meant to be said of them was thrown away. */
export async function dropLoosePictures(store: Store, now: number): Promise<void> {
  const before = new Date(now - SAID_WITHIN_MS).toISOString();
  await store.write((transaction) =>
    store.sequelize.query(
      `DELETE FROM pictures WHERE at < $before AND NOT EXISTS (SELECT 1 FROM job_events e
        WHERE e.job_id = pictures.job_id AND e.type = 'photo' AND json_extract(e.body, '$.photo.picture') = pictures.id)`,
      { bind: { before }, transaction },
    ),
  );
}

export async function pictureOf(store: Store, jobId: string, id: string): Promise<PictureRow> {
  const row = await store.models.pictures.findOne({ where: { id, jobId }, raw: true });
  if (!row) throw notFound('photo', id);
  return row;
}
