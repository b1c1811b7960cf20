import { z } from 'zod';
import { CAUTION_IDS } from './cautions.ts';
import { freeProbeSchema } from './freeProbe.ts';
import { photoShape } from './photo.ts';
import { sheetBodySchema } from './sheet.ts';
import { STAGES } from './stages.ts';
import { SYMPTOMS } from './symptoms.ts';

/** Work that was done before it began: at which station, what, and how long ago. */
export const recentWorkSchema = z
  .object({
    station: z.string().min(1).max(80),
    what: z.enum(['new', 'disturbed', 'wired']),
    ago: z.enum(['just before', 'days', 'weeks']),
  })
  .meta({ id: 'RecentWork' });
export type RecentWork = z.infer<typeof recentWorkSchema>;

export const HAPPENINGS = ['under water', 'stood in the wet', 'jump leads reversed', 'overheated'] as const;
export type Happening = (typeof HAPPENINGS)[number];

export const complaintSchema = z
  .object({
    symptom: z.enum(SYMPTOMS),
    /** Where it does two things: it turns slowly, and its lamp stays on. */
    also: z.enum(SYMPTOMS).optional(),
    pattern: z.enum(['constant', 'hot', 'cold', 'damp', 'now-and-then']),
    words: z.string().max(2000).default(''),
    since: z.string().max(200).default(''),
    /** Repairs and parts just before it began: recent parts are suspects. */
    before: z.string().max(1000).default(''),
    /** The same by station: it weighs as evidence. */
    recent: z.array(recentWorkSchema).max(12).optional(),
    /** What befell the whole machine before it began. */
    happened: z.array(z.enum(HAPPENINGS)).max(HAPPENINGS.length).optional(),
  })
  .meta({ id: 'Complaint' });
export type Complaint = z.infer<typeof complaintSchema>;

export const readingValueSchema = z
  .discriminatedUnion('kind', [
    z.object({ kind: z.literal('number'), value: z.number() }),
    z.object({ kind: z.literal('open') }),
    z.object({ kind: z.literal('word'), word: z.string().min(1).max(80) }),
  ])
  .meta({ id: 'ReadingValue' });
export type ReadingValue = z.infer<typeof readingValueSchema>;

export const conditionsSchema = z.object({
  warmth: z.enum(['cold', 'hot', 'unknown']).default('unknown'),
  faultPresent: z.enum(['yes', 'no', 'unknown']).default('unknown'),
  /** Minutes that the part had been run or heated, where a soak test was timed. */
  soakMinutes: z.number().min(0).max(600).optional(),
  /** What it was put through meanwhile, where a proof asks for it. */
  under: z.enum(['wet', 'load', 'ten minutes']).optional(),
});
export type Conditions = z.infer<typeof conditionsSchema>;

/** Who wrote it down, and on which device; absent on a machine without devices that are known by name. */
export const bySchema = z.object({ device: z.string().max(60), initials: z.string().max(6) });
export type By = z.infer<typeof bySchema>;

export const readingSchema = conditionsSchema
  .extend({
    id: z.string().min(1).max(64),
    checkId: z.string().min(1).max(80),
    /** Where the leads were, where it is none of the machine's listed checks. */
    probe: freeProbeSchema.optional(),
    value: readingValueSchema,
    /** As typed, so that nothing entered is lost in conversion. */
    typed: z.string().max(80).default(''),
    note: z.string().max(1000).default(''),
    at: z.iso.datetime(),
    /** The reading that this one corrects. */
    supersedes: z.string().max(64).optional(),
    by: bySchema.optional(),
  })
  .meta({ id: 'Reading' });
export type Reading = z.infer<typeof readingSchema>;

export const fixSchema = z
  .object({
    id: z.string().min(1).max(64),
    /** `part.repair`; empty for work that the model does not know. */
    repairId: z.string().max(80).default(''),
    what: z.string().trim().min(1, 'Say what was done.').max(400),
    how: z.enum(['replaced', 'cleaned', 'adjusted', 'adapted', 'bypassed']),
    parts: z.string().max(400).default(''),
    /** Number on the part or its box, and where it came from. */
    partNumber: z.string().max(80).optional(),
    source: z.string().max(120).optional(),
    /** The machine's meter when it was fitted. */
    meter: z.number().min(0).max(1e7).optional(),
    minutes: z.number().min(0).max(10000).default(0),
    money: z.number().min(0).max(1e6).default(0),
    temporary: z.boolean().default(false),
    /** Of what was adapted or bypassed: how it is wired now, from where to where. */
    wiring: z.string().trim().max(1000).optional(),
    /** And the way of wiring its regulator that was worked out for this machine, by its id. */
    way: z.string().max(60).optional(),
    at: z.iso.datetime(),
    by: bySchema.optional(),
  })
  .meta({ id: 'Fix' });
export type Fix = z.infer<typeof fixSchema>;

/** Why a failed part failed, as the mechanic found it. */
export const causeSchema = z
  .object({
    id: z.string().min(1).max(64),
    faultId: z.string().max(80),
    cause: z.string().trim().min(1, 'Say what the cause was, or that it is age and wear.').max(200),
    found: z.enum(['found', 'ruled out', 'not looked for']),
    note: z.string().max(1000).default(''),
    at: z.iso.datetime(),
    by: bySchema.optional(),
  })
  .meta({ id: 'Cause' });
export type Cause = z.infer<typeof causeSchema>;

export const settingSchema = z
  .object({
    id: z.string().min(1).max(64),
    /** `part.figure`. */
    figure: z.string().max(80),
    foundAt: z.number().nullable().default(null),
    leftAt: z.number(),
    /** As a person typed them: inches stay inches. */
    foundTyped: z.string().max(40).optional(),
    leftTyped: z.string().max(40).optional(),
    warmth: z.enum(['cold', 'hot', 'unknown']).optional(),
    with: z.string().max(60).optional(),
    at: z.iso.datetime(),
    by: bySchema.optional(),
  })
  .meta({ id: 'Setting' });
export type Setting = z.infer<typeof settingSchema>;

/** What a bench of the set-up took down; the last of a kind stands. */
export const sheetSchema = z
  .object({ id: z.string().min(1).max(64), body: sheetBodySchema, at: z.iso.datetime(), by: bySchema.optional() })
  .meta({ id: 'Sheet' });
export type Sheet = z.infer<typeof sheetSchema>;

export const photoSchema = photoShape
  .extend({ id: z.string().min(1).max(64), at: z.iso.datetime(), by: bySchema.optional() })
  .meta({ id: 'Photo' });
export type Photo = z.infer<typeof photoSchema>;

/** A check that was tried and told nothing: out of reach, or nobody could say what it showed. */
export const asideSchema = z
  .object({
    id: z.string().min(1).max(64),
    checkId: z.string().min(1).max(80),
    note: z.string().max(1000).default(''),
    at: z.iso.datetime(),
    by: bySchema.optional(),
  })
  .meta({ id: 'Aside' });
export type Aside = z.infer<typeof asideSchema>;

/** Cautions that were read and understood, and of what: a check, a repair or a bench, by its id. */
export const careSchema = z
  .object({
    id: z.string().min(1).max(64),
    cautions: z.array(z.enum(CAUTION_IDS)).min(1).max(CAUTION_IDS.length),
    about: z.string().max(80).default(''),
    at: z.iso.datetime(),
    by: bySchema.optional(),
  })
  .meta({ id: 'Care' });
export type Care = z.infer<typeof careSchema>;

export const snagSchema = z
  .object({
    id: z.string().min(1).max(64),
    what: z.string().trim().min(1, 'Say what was noticed.').max(400),
    weight: z.enum(['danger', 'reliability', 'looks']),
    done: z.boolean().default(false),
    at: z.iso.datetime(),
    by: bySchema.optional(),
  })
  .meta({ id: 'Snag' });
export type Snag = z.infer<typeof snagSchema>;

export const stageSchema = z.enum(STAGES);
export type Stage = z.infer<typeof stageSchema>;

/** Everything that happened on a job, oldest first. Facts only: beliefs are derived. */
export const jobEventSchema = z.discriminatedUnion('type', [
  z.object({ type: z.literal('reading'), reading: readingSchema }),
  z.object({ type: z.literal('fix'), fix: fixSchema }),
  z.object({ type: z.literal('cause'), cause: causeSchema }),
  z.object({ type: z.literal('setting'), setting: settingSchema }),
  z.object({ type: z.literal('sheet'), sheet: sheetSchema }),
  z.object({ type: z.literal('photo'), photo: photoSchema }),
  z.object({ type: z.literal('aside'), aside: asideSchema }),
  z.object({ type: z.literal('care'), care: careSchema }),
]);
export type JobEvent = z.infer<typeof jobEventSchema>;

export const jobBodySchema = z
  .object({
    title: z.string().trim().max(120).default(''),
    complaint: complaintSchema,
    stage: stageSchema.default('complaint'),
    /** What the job waits for, if it does. */
    waitsFor: z.enum(['', 'part', 'hot soak', 'cold start', 'helper', 'dry day', 'owner']).default(''),
    /** Since when it waits for that. */
    waitsSince: z.iso.datetime().nullable().optional(),
    /** When it can go on, where that is known. */
    dueAt: z.iso.datetime().nullable().optional(),
    openedAt: z.iso.datetime(),
    closedAt: z.iso.datetime().nullable().default(null),
    closedBecause: z.string().max(400).default(''),
  })
  .meta({ id: 'JobBody' });
export type JobBody = z.infer<typeof jobBodySchema>;
