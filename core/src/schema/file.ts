import { z } from 'zod';
import { houseSchema } from './house.ts';
import { JOB_LIMITS } from './limits.ts';
import { PHOTO_TYPES } from './photo.ts';
import { jobBodySchema, jobEventSchema, snagSchema } from './job.ts';
import { machineBodySchema } from './machine.ts';

export const FILE_FORMAT = 'pondu';
export const FILE_VERSION = 2;
/** Versions that are read; the earlier ones are brought up to this one. */
export const READ_VERSIONS = [1, FILE_VERSION] as const;

/** A picture within a file, base64; its hash is looked at as it is read. */
export const pictureFileSchema = z.object({
  id: z.string().min(1).max(64),
  type: z.enum(PHOTO_TYPES),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
  base64: z.base64(),
});
export type PictureFile = z.infer<typeof pictureFileSchema>;

export const jobFileSchema = jobBodySchema.extend({
  id: z.string().min(1).max(64),
  events: z.array(jobEventSchema).max(JOB_LIMITS.events),
  snags: z.array(snagSchema).max(JOB_LIMITS.snags).default([]),
  pictures: z.array(pictureFileSchema).max(JOB_LIMITS.pictures).optional(),
});
export type JobFile = z.infer<typeof jobFileSchema>;

/** A `.pondu.json`: machines with their jobs, and the shop's rules if they are wanted along. */
export const ponduFileSchema = z
  .object({
    format: z.literal(FILE_FORMAT, { error: 'This is not a Pondu file: it does not say "format": "pondu".' }),
    version: z.literal(READ_VERSIONS, { error: 'This file was written by another version of Pondu.' }),
    machines: z.array(
      z.object({ id: z.string().min(1).max(64), machine: machineBodySchema, jobs: z.array(jobFileSchema).default([]) }),
    ),
    house: houseSchema.optional(),
  })
  .meta({ id: 'PonduFile' });
export type PonduFile = z.infer<typeof ponduFileSchema>;
