import { z } from 'zod';

/** What is to be done every so often, by date, by the machine's own meter, or both. */
export const serviceSchema = z
  .object({
    id: z.string().min(1).max(64),
    what: z.string().trim().min(1, 'Say what is to be done.').max(160),
    everyMonths: z.number().int().min(1).max(600).nullable().default(null),
    everyMeter: z.number().min(1).max(1e6).nullable().default(null),
    lastAt: z.iso.date().nullable().default(null),
    lastMeter: z.number().min(0).max(1e7).nullable().default(null),
  })
  .refine((s) => s.everyMonths !== null || s.everyMeter !== null, {
    message: 'Say after how many months, or after how much on its meter.',
    path: ['everyMonths'],
  });
export type Service = z.infer<typeof serviceSchema>;

/** A wire as it was found, and as the book has it: what its label says. */
export const wireLabelSchema = z.object({
  id: z.string().min(1).max(64),
  from: z.string().trim().min(1, 'Say where it comes from.').max(80),
  to: z.string().trim().min(1, 'Say where it goes.').max(80),
  is: z.string().trim().max(40).default(''),
  book: z.string().trim().max(40).default(''),
});
export type WireLabel = z.infer<typeof wireLabelSchema>;

/** What the machine's book keeps besides its jobs. */
export const bookSchema = z
  .object({
    meter: z.enum(['hours', 'miles', 'km']).default('hours'),
    /** What the meter stood at, oldest first. */
    read: z
      .array(z.object({ at: z.iso.date(), value: z.number().min(0).max(1e7) }))
      .max(400)
      .default([]),
    services: z.array(serviceSchema).max(60).default([]),
    wires: z.array(wireLabelSchema).max(200).default([]),
    /** Ids of its open snags, as somebody put them; what is not named follows by weight. */
    snagOrder: z.array(z.string().max(64)).max(400).default([]),
  })
  .meta({ id: 'Book' });
export type Book = z.infer<typeof bookSchema>;
export const EMPTY_BOOK: Book = bookSchema.parse({});
