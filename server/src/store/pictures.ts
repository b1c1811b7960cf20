import { createHash } from 'node:crypto';
import { PHOTO_TYPES, type PhotoType } from '@pondu/core/schema';
import { fileTypeFromBuffer } from 'file-type';
import { notFound, Problem } from '../http/problem.ts';
import type { Store } from './database.ts';
import type { PictureRow } from './models.ts';

export const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

const isPhoto = (type: string | undefined): type is PhotoType => PHOTO_TYPES.some((t) => t === type);

/** What kind of picture these bytes are, by themselves: a name or a header proves nothing. Throws a refusal by name. */
export async function pictureType(bytes: Uint8Array, called: string): Promise<PhotoType> {
  const found = (await fileTypeFromBuffer(bytes))?.mime;
  if (isPhoto(found)) return found;
  const what = bytes.length === 0 ? 'empty' : found === undefined ? 'of no kind that is known' : `a file of ${found}`;
  throw new Problem(
    415,
    'no-picture',
    `“${called}” is ${what}. Photos are JPEG, PNG or WebP. It was not kept; choose another.`,
  );
}

export const pictureRow = (jobId: string, id: string, type: PhotoType, bytes: Buffer): PictureRow => ({
  id,
  jobId,
  type,
  sha256: sha256(bytes),
  bytes,
  at: new Date().toISOString(),
});

export async function pictureOf(store: Store, jobId: string, id: string): Promise<PictureRow> {
  const row = await store.models.pictures.findOne({ where: { id, jobId }, raw: true });
  if (!row) throw notFound('photo', id);
  return row;
}
