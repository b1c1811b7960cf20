import {
  causeSchema,
  complaintSchema,
  conditionsSchema,
  fixSchema,
  jobBodySchema,
  readingValueSchema,
  settingSchema,
  snagSchema,
} from '@pondu/core/schema';
import { z } from 'zod';

const clientId = z.string().min(1).max(64).optional();

export const newJobSchema = z
  .object({
    machineId: z.string().min(1, 'Choose a machine.'),
    title: z.string().max(120).default(''),
    complaint: complaintSchema,
  })
  .meta({ id: 'NewJob' });

export const jobPatchSchema = jobBodySchema
  .pick({ title: true, complaint: true, stage: true, waitsFor: true })
  .partial()
  .strict()
  .meta({ id: 'JobPatch' });

export const newReadingSchema = conditionsSchema
  .extend({
    id: clientId,
    checkId: z.string().min(1).max(80),
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

export const newFixSchema = fixSchema.omit({ id: true, at: true }).extend({ id: clientId }).meta({ id: 'NewFix' });
export const newCauseSchema = causeSchema
  .omit({ id: true, at: true })
  .extend({ id: clientId })
  .meta({ id: 'NewCause' });
export const newSettingSchema = settingSchema
  .omit({ id: true, at: true })
  .extend({ id: clientId })
  .meta({ id: 'NewSetting' });
export const newSnagSchema = snagSchema.omit({ id: true, at: true }).extend({ id: clientId }).meta({ id: 'NewSnag' });
export const closeSchema = z.object({ because: z.string().trim().max(400).default('') }).meta({ id: 'CloseJob' });
export const conditionsQuerySchema = conditionsSchema;

/** A state of the machine, and a fault to put in, for its circuit. */
export const circuitQuerySchema = z.object({
  key: z.enum(['off', 'on', 'crank', 'run']).default('on'),
  points: z.enum(['open', 'closed']).default('closed'),
  fault: z.string().max(80).optional(),
});
