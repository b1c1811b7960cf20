import { z } from 'zod';

export const INSTRUMENT_IDS = [
  'voltmeter',
  'ohmmeter',
  'test lamp',
  'LED lamp',
  'spark tester',
  'feeler gauge',
  'capacitance meter',
  'eyes',
] as const;

/** The shop's choices where practitioners disagree, its rates and its instruments. */
export const houseSchema = z
  .object({
    shopName: z.string().trim().max(80).default('My workshop'),
    currency: z.string().trim().max(4).default('€'),
    ratePerHour: z.number().min(0).max(1000).default(40),
    owns: z
      .array(z.enum(INSTRUMENT_IDS))
      .default(['voltmeter', 'ohmmeter', 'test lamp', 'spark tester', 'feeler gauge', 'eyes']),
    /** How sure one wants to be before a repair is called for, 0.8…0.999. */
    sureness: z.number().min(0.8, 'Between 0.8 and 0.999.').max(0.999, 'Between 0.8 and 0.999.').default(0.98),
    /** Own minutes and money for a repair, keyed `part.repair`. */
    repairs: z.record(z.string(), z.object({ minutes: z.number().min(0), money: z.number().min(0) })).default({}),
  })
  .meta({ id: 'House' });
export type House = z.infer<typeof houseSchema>;
