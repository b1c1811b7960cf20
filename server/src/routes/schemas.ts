import {
  asideSchema,
  careSchema,
  causeSchema,
  complaintSchema,
  conditionsSchema,
  fixSchema,
  freeProbeSchema,
  jobBodySchema,
  photoSchema,
  readingValueSchema,
  settingSchema,
  sheetSchema,
  snagSchema,
} from '@pondu/core/schema';
import { z } from 'zod';

/** An id that the client makes, so that a lost answer may be asked for again; and when it was entered, if not just now. */
const entered = {
  id: z
    .string()
    .min(1)
    .max(64)
    .regex(/^[^\0]*$/, 'An id has no such characters.')
    .optional(),
  at: z.iso.datetime().optional(),
};

/** The fields of a schema, each to be given or left out; nothing falls back to a default. */
function partOf<S extends z.ZodRawShape>(shape: S) {
  const plain = Object.entries(shape).map(([key, field]) => [
    key,
    z.optional(field instanceof z.ZodDefault ? field.unwrap() : field),
  ]);
  return z.strictObject(
    Object.fromEntries(plain) as { [K in keyof S]: z.ZodOptional<S[K] extends z.ZodDefault<infer I> ? I : S[K]> },
  );
}

export const newJobSchema = z
  .object({
    ...entered,
    machineId: z.string().min(1, 'Choose a machine.'),
    title: z.string().max(120).default(''),
    complaint: complaintSchema,
  })
  .meta({ id: 'NewJob' });

/** A moment that any calendar can show: a shop's clock may be wrong by hours, not by centuries. */
const withinCalendars = z.iso
  .datetime()
  .refine((at) => at >= '1970' && at < '2200', 'Give a date between 1970 and 2199.');

const { title, stage, waitsFor } = jobBodySchema.shape;
export const jobPatchSchema = partOf({ title, stage, waitsFor, dueAt: withinCalendars.nullable() })
  .extend({ complaint: partOf(complaintSchema.shape).optional() })
  .strict()
  .meta({ id: 'JobPatch' });

export const newReadingSchema = conditionsSchema
  .extend({
    ...entered,
    checkId: z.string().min(1).max(80),
    /** Where the leads were, where the machine does not list the check. */
    probe: freeProbeSchema.optional(),
    /** As a person types it; or give `value`. */
    typed: z.string().max(80).optional(),
    value: readingValueSchema.optional(),
    note: z.string().max(1000).default(''),
    supersedes: z.string().max(64).optional(),
    /** Yes, the meter is on the right range: let an absurd reading stand. */
    confirmed: z.boolean().default(false),
  })
  .refine((r) => r.typed !== undefined || r.value !== undefined, { message: 'Give the reading.', path: ['typed'] })
  .meta({ id: 'NewReading' });

const own = { id: true, at: true, by: true } as const;
export const newFixSchema = fixSchema.omit(own).extend(entered).meta({ id: 'NewFix' });
export const newCauseSchema = causeSchema.omit(own).extend(entered).meta({ id: 'NewCause' });
export const newSettingSchema = settingSchema.omit(own).extend(entered).meta({ id: 'NewSetting' });
export const newSheetSchema = sheetSchema.omit(own).extend(entered).meta({ id: 'NewSheet' });
export const newAsideSchema = asideSchema.omit(own).extend(entered).meta({ id: 'NewAside' });
export const newCareSchema = careSchema.omit(own).extend(entered).meta({ id: 'NewCare' });
export const newPhotoSchema = photoSchema.omit(own).extend(entered).meta({ id: 'NewPhoto' });
export const newSnagSchema = snagSchema.omit(own).extend(entered).meta({ id: 'NewSnag' });
/** A snag as sent: with the id of one that is there, only what changes of it. */
export const snagPatchSchema = partOf(snagSchema.omit(own).shape).extend(entered);
export const closeSchema = z.object({ because: z.string().trim().max(400).default('') }).meta({ id: 'CloseJob' });

/** Conditions as they stand in an address, where every figure is text. */
export const conditionsQuerySchema = conditionsSchema.extend({
  soakMinutes: z.coerce.number().min(0).max(600).optional(),
});

/** A state of the machine, and a fault to put in, for its circuit. */
export const circuitQuerySchema = z.object({
  key: z.enum(['off', 'on', 'crank', 'run']).default('on'),
  points: z.enum(['open', 'closed']).default('closed'),
  fault: z.string().max(80).optional(),
});

export const meterQuerySchema = z.object({
  check: z.string().min(1, 'Say which check.').max(80),
  /** Draws the machine's own figures and, without `fault`, what is wrong with it: the same seed, the same machine. */
  seed: z.coerce.number().int().min(0).max(1e9).default(1),
  /** `part.mode`, or `none` for a sound machine. */
  fault: z.string().max(80).optional(),
});

const paged = {
  /** Words to look for, as beginnings of words. */
  q: z.string().max(200).default(''),
  /** `next` of the page before. */
  after: z.string().max(400).optional(),
  limit: z.coerce.number().int().min(1).max(200).default(50),
};
/** In an address there is no yes or no, only text. */
const flag = z
  .enum(['true', 'false'])
  .default('false')
  .transform((t) => t === 'true')
  .meta({ type: 'boolean' });

export const jobsQuerySchema = z.object({
  ...paged,
  stage: z.enum(['open', 'closed', 'any']).default('any'),
  /** Whether it waits for something now: what can go on, or what cannot. */
  held: z.enum(['yes', 'no', 'any']).default('any'),
  machine: z.string().max(64).optional(),
  /** Those put away, instead of those that are there. */
  away: flag,
});
export const machinesQuerySchema = z.object({ ...paged, away: flag });

/** With the photos' pictures, or without. */
export const exportQuerySchema = z.object({ photos: flag });

export const simulatedQuerySchema = z.object({ by: z.string().max(200) });
export const wantedSchema = z.object({ ids: z.array(z.string().max(64)).max(200) }).meta({ id: 'WantedBays' });

const name = z.string().trim().min(1, 'Give the device a name, such as tablet on the bench.').max(60);
const initials = z.string().trim().min(1, 'Give the initials of whoever uses it.').max(6, 'Six letters at most.');
export const namedSchema = z.object({ name, initials }).meta({ id: 'NamedDevice' });
export const enterSchema = namedSchema.extend({ key: z.string().max(100).default('') }).meta({ id: 'Enter' });
