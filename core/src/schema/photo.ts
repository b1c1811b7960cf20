import { z } from 'zod';

/** A pin on a photo: where, as shares of its width and height from the upper left, and what is there. */
export const pinSchema = z.object({
  x: z.number().min(0).max(1),
  y: z.number().min(0).max(1),
  words: z.string().trim().max(120).default(''),
});
export type Pin = z.infer<typeof pinSchema>;

export const PHOTO_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const;
export type PhotoType = (typeof PHOTO_TYPES)[number];
/** Largest picture that is taken in, bytes. */
export const PHOTO_BYTES = 20 * 1024 * 1024;

/** What is said of a photo. The last one of a picture stands; the picture itself lies under its own id. */
export const photoShape = z.object({
  /** The picture's id. */
  picture: z
    .string()
    .min(1)
    .max(64)
    .regex(/^[\w-]+$/, 'Letters, figures and dashes only.'),
  station: z.string().max(80).default(''),
  words: z.string().max(400).default(''),
  pins: z.array(pinSchema).max(40).default([]),
  /** Printed on the job card. */
  onCard: z.boolean().default(false),
  /** Taken away again; the picture stays in the backup. */
  gone: z.boolean().default(false),
});
