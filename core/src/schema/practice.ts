import { z } from 'zod';
import { freeProbeSchema } from './freeProbe.ts';
import { houseSchema } from './house.ts';
import { complaintSchema, conditionsSchema, readingValueSchema, recentWorkSchema } from './job.ts';
import { machineBodySchema } from './machine.ts';
import { storedMachineSchema } from './upgrade.ts';

/** What makes a lesson harder than one fault that is there all the time. */
export const TWISTS = [
  'two faults',
  'comes and goes',
  'off its plate',
  'bypassed before',
  'part fitted yesterday',
  'a helper reads',
] as const;
export type Twist = (typeof TWISTS)[number];

/** Seeds are shown and typed: few figures. */
export const MOST_SEED = 9999;

/** A shop's own lesson as a file: who opens it plays the same machine. */
export const lessonFileSchema = z
  .object({
    format: z.literal('pondu-lesson'),
    version: z.literal(1),
    machine: storedMachineSchema,
    twists: z.array(z.enum(TWISTS)).max(TWISTS.length),
    seed: z.number().int().min(1).max(MOST_SEED),
    /** Those that a teacher chose; drawn from the seed where they are left out. */
    faults: z.array(z.string().max(80)).min(1).max(2).optional(),
  })
  .meta({ id: 'LessonFile' });
export type LessonFile = z.infer<typeof lessonFileSchema>;

/** What is asked for: a lesson of the course, or a machine with twists and a seed, or with faults that a teacher chose. */
export const lessonAskSchema = z
  .object({
    course: z.number().int().min(1).max(99).optional(),
    machineId: z.string().min(1).max(64).optional(),
    twists: z.array(z.enum(TWISTS)).max(TWISTS.length).default([]),
    seed: z.number().int().min(1).max(MOST_SEED).optional(),
    /** Chosen by a teacher: `part.mode`. */
    faults: z.array(z.string().max(80)).min(1).max(2).optional(),
    file: lessonFileSchema.optional(),
  })
  .refine((a) => [a.course, a.machineId, a.file].filter((of) => of !== undefined).length === 1, {
    message: 'Name a lesson of the course, a machine, or send a lesson’s file: one of the three.',
    path: ['machineId'],
  })
  .meta({ id: 'LessonAsk' });
export type LessonAsk = z.infer<typeof lessonAskSchema>;

export const ASKED = ['since', 'before'] as const;
export const WAYS_TO_WAIT = ['run', 'warm', 'stand'] as const;

/** One thing that a learner does. */
export const moveAskSchema = z
  .discriminatedUnion('kind', [
    z.object({
      kind: z.literal('check'),
      checkId: z.string().min(1).max(80),
      probe: freeProbeSchema.optional(),
      /** That its cautions were read. */
      understood: z.boolean().default(false),
    }),
    /** Run it, warm the part with a heat gun, or let it stand. */
    z.object({ kind: z.literal('wait'), how: z.enum(WAYS_TO_WAIT), minutes: z.number().int().min(1).max(240) }),
    z.object({ kind: z.literal('ask'), what: z.enum(ASKED) }),
    z.object({ kind: z.literal('fit'), repairId: z.string().min(1).max(80) }),
    z.object({ kind: z.literal('hint') }),
    /** It is given back to its owner: found, or given up. */
    z.object({ kind: z.literal('end') }),
  ])
  .meta({ id: 'MoveAsk' });
export type MoveAsk = z.infer<typeof moveAskSchema>;

export const hintSchema = z.discriminatedUnion('step', [
  z.object({ step: z.literal('trail'), trail: z.string() }),
  z.object({ step: z.literal('half'), trail: z.string(), half: z.enum(['source', 'use']), station: z.string() }),
  z.object({ step: z.literal('check'), checkId: z.string(), label: z.string() }),
  /** What was read says enough: this is what to put right. */
  z.object({ step: z.literal('repair'), repairId: z.string(), label: z.string() }),
  z.object({ step: z.literal('none') }),
]);
export type Hint = z.infer<typeof hintSchema>;

export const moveAnswerSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('reading'),
    value: readingValueSchema,
    conditions: conditionsSchema,
    /** Cautions that were passed over though they had been told. */
    passedOver: z.array(z.string()),
  }),
  /** Nothing was done: these must be read first. */
  z.object({ kind: z.literal('refused'), cautions: z.array(z.string()).min(1) }),
  /** Nothing was done: what is to be touched is not on this machine, whatever its book says. */
  z.object({ kind: z.literal('not there') }),
  /** `ran`: whether the engine did what it was asked to, where it should run. */
  z.object({ kind: z.literal('waited'), ran: z.boolean() }),
  /** What the owner says to what was asked. */
  z.object({ kind: z.literal('told'), what: z.enum(ASKED), words: z.string(), recent: z.array(recentWorkSchema) }),
  z.object({ kind: z.literal('fitted'), what: z.string() }),
  z.object({ kind: z.literal('hint'), hint: hintSchema }),
  z.object({ kind: z.literal('over') }),
]);
export type MoveAnswer = z.infer<typeof moveAnswerSchema>;

export const moveSchema = z
  .object({
    ask: moveAskSchema,
    answer: moveAnswerSchema,
    /** What it took. */
    minutes: z.number().min(0),
    money: z.number().min(0),
  })
  .meta({ id: 'Move' });
export type Move = z.infer<typeof moveSchema>;

/** A lesson as its learner may see it. */
export const lessonSchema = z
  .object({
    course: z.number().int().nullable(),
    machine: machineBodySchema,
    house: houseSchema,
    twists: z.array(z.enum(TWISTS)),
    seed: z.number().int(),
    /** Set by a teacher, not drawn. */
    set: z.boolean(),
    /** As its owner brings it; what he is asked for comes out later. */
    complaint: complaintSchema,
  })
  .meta({ id: 'Lesson' });
export type Lesson = z.infer<typeof lessonSchema>;

/** One step of a way to the end: what was done, what it took, and how much belief then lay on what is wrong. */
export const stepSchema = z.object({
  kind: z.enum(['check', 'fit', 'other']),
  ref: z.string(),
  label: z.string(),
  minutes: z.number(),
  money: z.number(),
  belief: z.number(),
});
export type WayStep = z.infer<typeof stepSchema>;

const hiddenFaultSchema = z.object({ id: z.string(), part: z.string(), how: z.string(), repairId: z.string() });

/** What nobody sees before the lesson is over. */
export const truthSchema = z.object({
  faults: z.array(hiddenFaultSchema).min(1),
  /** What an earlier owner did to it that has nothing to do with the complaint. */
  besides: z.array(hiddenFaultSchema),
  /** Of its figures; the moves draw from it too. */
  figures: z.number().int(),
  /** All that its owner knows, if he is asked. */
  knows: complaintSchema,
  /** The machine as it really is, where a plate is not as the book says. */
  real: machineBodySchema.nullable(),
  best: z.array(stepSchema),
});
export type Truth = z.infer<typeof truthSchema>;
