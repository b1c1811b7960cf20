import { z } from 'zod';
import { bookSchema } from './book.ts';
import { fitOutSchema } from './fitOut.ts';

export const plateSourceSchema = z.enum(['manual', 'pattern part', 'measured on a good one', 'typical']);

/** A figure the machine should have, in SI units (volt, ohm, farad, metre…). */
export const plateValueSchema = z
  .object({
    low: z.number(),
    high: z.number(),
    source: plateSourceSchema,
    note: z.string().max(400).default(''),
  })
  .refine((v) => v.low <= v.high, {
    message: 'The band is upside down: the lower figure is above the upper one.',
    path: ['low'],
  })
  .meta({ id: 'PlateValue' });
export type PlateValue = z.infer<typeof plateValueSchema>;

export const machineBodySchema = z
  .object({
    name: z.string().trim().min(1, 'Give the machine a name.').max(80),
    kind: z.enum(['car', 'tractor', 'boat', 'motorcycle', 'ATV', 'engine on a stand']),
    maker: z.string().trim().max(80).default(''),
    year: z.string().trim().max(20).default(''),
    worth: z.number().min(0).max(1e7).default(2000),
    firingOrder: z
      .string()
      .trim()
      .max(40)
      .regex(/^(\d+([-, ]\d+)*)?$/, 'Write the firing order as numbers, such as 1-3-4-2.')
      .default(''),
    notes: z.string().max(4000).default(''),
    fitOut: fitOutSchema,
    /** Keyed `part.figure`, such as `coil.primaryOhms`; a figure that is not here is typical. */
    plates: z.record(z.string().max(80), plateValueSchema).default({}),
    book: bookSchema.optional(),
  })
  .meta({ id: 'MachineBody' });
export type MachineBody = z.infer<typeof machineBodySchema>;
