import { z } from 'zod';
import { TRAIL_NAMES } from './symptoms.ts';
import { unitsSchema } from './units.ts';

export const INSTRUMENT_IDS = [
  'voltmeter',
  'ohmmeter',
  'test lamp',
  'LED lamp',
  'spark tester',
  'feeler gauge',
  'capacitance meter',
  'peak adapter',
  'AC voltmeter',
  'ammeter',
  'clamp meter',
  'tachometer',
  'pressure gauge',
  'measuring can',
  'compression gauge',
  'leak-down tester',
  'timing light',
  'dwell meter',
  'scan reader',
  'eyes',
] as const;

export const VOCABULARY_NAMES = ['british', 'american'] as const;
export type VocabularyName = (typeof VOCABULARY_NAMES)[number];

/** The shop's choices where practitioners disagree, its rates and its instruments. */
export const houseSchema = z
  .object({
    shopName: z.string().trim().max(80).default('My workshop'),
    currency: z.string().trim().max(4).default('€'),
    ratePerHour: z.number().min(0).max(1000).default(40),
    owns: z
      .array(z.enum(INSTRUMENT_IDS))
      .default([
        'voltmeter',
        'ohmmeter',
        'test lamp',
        'spark tester',
        'feeler gauge',
        'peak adapter',
        'AC voltmeter',
        'ammeter',
        'clamp meter',
        'tachometer',
        'pressure gauge',
        'measuring can',
        'compression gauge',
        'timing light',
        'dwell meter',
        'scan reader',
        'eyes',
      ]),
    /** How sure one wants to be before a repair is called for, 0.8…0.999. */
    sureness: z.number().min(0.8, 'Between 0.8 and 0.999.').max(0.999, 'Between 0.8 and 0.999.').default(0.98),
    /** Which check comes first: what tells most for its minutes, the trail in its order, or its middle. */
    policy: z.enum(['cheapest information', 'walk in order', 'halve']).default('cheapest information'),
    /** By what a timing is set: the book, the total, or the ear. */
    timing: z.enum(['book', 'total', 'ear']).default('book'),
    /** From this price on a part is dear and is called guilty by two checks; a tenth of the machine's worth when null. */
    dearFrom: z.number().min(0).max(1e6).nullable().default(null),
    /** How often each trail lets an engine down here, against the others, where it is not what is usual. */
    trails: z.partialRecord(z.enum(TRAIL_NAMES), z.number().min(0).max(100)).default({}),
    /** Own minutes and money for a repair, keyed `part.repair`. */
    repairs: z.record(z.string(), z.object({ minutes: z.number().min(0), money: z.number().min(0) })).default({}),
    /** Units in which it measures; each device may have its own. */
    units: unitsSchema.prefault({}),
    /** Where regions say a thing differently: in whose words. */
    vocabulary: z.enum(VOCABULARY_NAMES).default('british'),
  })
  .meta({ id: 'House' });
export type House = z.infer<typeof houseSchema>;
