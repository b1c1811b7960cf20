import { z } from 'zod';

/** Kinds of spark trail. */
export const LAYOUT_IDS = [
  'battery-points',
  'electronic',
  'conversion',
  'points-coils',
  'flywheel-magneto',
  'rotating-magneto',
  'capacitor-discharge',
  'battery-discharge',
  'coil-on-plug',
] as const;

/** Where something may have been put in; after the switch unless said. Behind the coil: where one coil has one wire on. */
export const ADDED_PLACES = ['before the switch', 'after the switch', 'after the coil'] as const;
export const placesOn = (layout: string): readonly (typeof ADDED_PLACES)[number][] =>
  ['battery-points', 'electronic', 'conversion'].includes(layout) ? ADDED_PLACES : ADDED_PLACES.slice(0, 2);

/** What kind of each trail the machine has, one figure at a time. */
export const fitOutShape = z.object({
  layout: z.enum(LAYOUT_IDS),
  volts: z.union([z.literal(6), z.literal(12)]),
  earth: z.enum(['negative', 'positive']),
  cylinders: z.union([z.literal(1), z.literal(2), z.literal(3), z.literal(4), z.literal(6), z.literal(8)]),
  ballast: z.enum(['none', 'external', 'bypassed']),
  fused: z.boolean(),
  marine: z.boolean().default(false),
  /** What tells an electronic ignition when. */
  trigger: z.enum(['magnetic', 'hall', 'optical']).optional(),
  /** Where its module sits, and whether an engine computer commands it. */
  module: z.enum(['in the distributor', 'on a heat sink', 'commanded']).optional(),
  /** Without a distributor, on two cylinders. */
  coils: z.enum(['double-ended', 'one each']).optional(),
  /** A capacitor against radio noise on the coil's feed. */
  suppressor: z.boolean().optional(),
  /** What the maker, or an earlier owner, put into the feed or behind the coil; in their order. */
  added: z
    .array(
      z.object({
        what: z.enum(['interlock', 'relay', 'alarm', 'box', 'resistor']),
        label: z.string().trim().min(1, 'Say what it is.').max(40),
        at: z.enum(ADDED_PLACES).optional(),
      }),
    )
    .max(4, 'Four at most.')
    .optional(),
  compressionRatio: z.number().min(3).max(14),
});
/** What kind of each trail the machine has; the layout is built from it. */
export const fitOutSchema = fitOutShape
  .refine(
    ({ layout, added }) =>
      placesOn(layout).includes('after the coil') || !added?.some((a) => a.at === 'after the coil'),
    { path: ['added'], message: 'On this kind nothing stands behind a single coil: choose a place in the feed.' },
  )
  .meta({ id: 'FitOut' });
export type FitOut = z.infer<typeof fitOutSchema>;

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
  })
  .meta({ id: 'MachineBody' });
export type MachineBody = z.infer<typeof machineBodySchema>;
