import { z } from 'zod';

/** Kinds of spark trail. */
export const SPARK_KINDS = [
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
export const CRANK_KINDS = ['direct', 'relay', 'glow', 'pull'] as const;
export const CHARGE_KINDS = [
  'generator',
  'alternator',
  'alternator-apart',
  'stator-single',
  'stator-three',
  'lighting-coil',
] as const;

/** What brings the fuel to the carburettor: its own weight, a pump of some sort, or a bulb on a tank that stands apart. */
export const FUEL_KINDS = ['gravity', 'mechanical', 'electric', 'pulse', 'bulb'] as const;

/** What moves the spark's moment with speed and load, on a distributor. */
export const TIMING_KINDS = ['by-hand', 'weights', 'weights-vacuum', 'map'] as const;

/** What lets a petrol engine breathe and idle. */
export const AIR_KINDS = ['throttled'] as const;

/** How the engine breathes in, squeezes and lets out: by valves, or by ports and its crankcase. */
export const COMPRESSION_KINDS = ['four-stroke', 'two-stroke'] as const;

/** What stops a diesel; what is fired by a spark is stopped on its spark trail. */
export const STOP_KINDS = ['vacuum', 'cut-to-run', 'cut-to-stop', 'cable'] as const;

/** Where something may have been put in; after the switch unless said. Behind the coil: where one coil has one wire on. */
export const ADDED_PLACES = ['before the switch', 'after the switch', 'after the coil'] as const;
export const placesOn = (kind: string): readonly (typeof ADDED_PLACES)[number][] =>
  ['battery-points', 'electronic', 'conversion'].includes(kind) ? ADDED_PLACES : ADDED_PLACES.slice(0, 2);

const word = (said: string) => z.string().trim().min(1, said).max(40);

export const sparkOptions = z.object({
  ballast: z.enum(['none', 'external', 'bypassed']).default('none'),
  fused: z.boolean().default(false),
  /** What tells an electronic ignition when. */
  trigger: z.enum(['magnetic', 'hall', 'optical']).optional(),
  /** Where its module sits, and whether an engine computer commands it. */
  module: z.enum(['in the distributor', 'on a heat sink', 'commanded']).optional(),
  /** Without a distributor, on two cylinders. */
  coils: z.enum(['double-ended', 'one each']).optional(),
  /** A capacitor against radio noise on the coil's feed. */
  suppressor: z.boolean().optional(),
  /** Plugs with a resistor in them, as the book asks. */
  resistorPlugs: z.boolean().optional(),
  /** What the maker, or an earlier owner, put into the feed or behind the coil; in their order. */
  added: z
    .array(
      z.object({
        what: z.enum(['interlock', 'relay', 'alarm', 'box', 'resistor']),
        label: word('Say what it is.'),
        at: z.enum(ADDED_PLACES).optional(),
      }),
    )
    .max(4, 'Four at most.')
    .optional(),
});
export type SparkOptions = z.infer<typeof sparkOptions>;

export const crankOptions = z.object({
  /** What must be closed before the starter turns: neutral, clutch, seat, brake, tether; in their order. */
  interlocks: z.array(word('Say what the interlock is.')).max(4, 'Four at most.').default([]),
  /** What heats the air or the cylinders before a start, on a feed that the starter shares. */
  heat: z.enum(['plugs', 'intake heater']).optional(),
  /** A master switch in the battery’s live cable. */
  isolator: z.boolean().optional(),
  /** A lever that lifts a valve, so that the engine turns over easily. */
  decompressor: z.boolean().optional(),
});
export type CrankOptions = z.infer<typeof crankOptions>;

export const chargeOptions = z.object({
  /** Of a generator: whether the regulator stands between field and earth (A) or between armature and field (B). */
  field: z.enum(['A', 'B']).optional(),
  /** Of one phase: one half of each swing, or both. */
  wave: z.enum(['half', 'full']).optional(),
  /** How a permanent-magnet machine is held back: what is too much shorted, or switched off. */
  control: z.enum(['shunt', 'series']).optional(),
  /** What tells that it charges. */
  tells: z.enum(['lamp', 'ammeter', 'nothing']).optional(),
  /** What the machine takes as it runs. */
  loads: z
    .array(z.object({ label: word('Say what it is.'), watts: z.number().min(0).max(2000) }))
    .max(12, 'Twelve at most.')
    .default([]),
});
export type ChargeOptions = z.infer<typeof chargeOptions>;

export const airOptions = z.object({
  /** A valve that lets the crankcase’s vapours into the manifold. */
  breather: z.boolean().optional(),
  /** Brakes helped by the manifold’s vacuum. */
  servo: z.boolean().optional(),
  /** Weights that hold the speed by the throttle. */
  governor: z.boolean().optional(),
});
export type AirOptions = z.infer<typeof airOptions>;

export const fuelOptions = z.object({
  /** Carburettors, alike. */
  carburettors: z.number().int().min(1).max(4).default(1),
  /** A tank that breathes through a valve or a canister, not through a hole in its cap. */
  sealed: z.boolean().default(false),
  /** What makes it rich for a cold start. */
  enriching: z.enum(['choke', 'enricher']).default('choke'),
  /** A pump in the carburettor that squirts as the throttle opens. */
  accelerator: z.boolean().optional(),
  /** Oil is mixed into the fuel. */
  mixed: z.boolean().optional(),
  /** A solenoid in the carburettor that shuts its idle passages with the key. */
  idleCutOff: z.boolean().optional(),
  /** Of a tank above the carburettor: a tap that the manifold’s vacuum opens. */
  vacuumTap: z.boolean().optional(),
});
export type FuelOptions = z.infer<typeof fuelOptions>;

export const compressionOptions = z.object({
  cooling: z.enum(['water', 'air']).default('water'),
  /** Of two strokes: petals that let the mixture in and not out again. */
  reeds: z.boolean().default(false),
});
export type CompressionOptions = z.infer<typeof compressionOptions>;

export const trailFitSchema = z.discriminatedUnion('trail', [
  z.object({ trail: z.literal('spark'), kind: z.enum(SPARK_KINDS), options: sparkOptions }),
  z.object({ trail: z.literal('crank'), kind: z.enum(CRANK_KINDS), options: crankOptions }),
  z.object({ trail: z.literal('charge'), kind: z.enum(CHARGE_KINDS), options: chargeOptions }),
  z.object({ trail: z.literal('fuel'), kind: z.enum(FUEL_KINDS), options: fuelOptions }),
  z.object({ trail: z.literal('air'), kind: z.enum(AIR_KINDS), options: airOptions.default({}) }),
  z.object({ trail: z.literal('stop'), kind: z.enum(STOP_KINDS), options: z.object({}).default({}) }),
  z.object({ trail: z.literal('compression'), kind: z.enum(COMPRESSION_KINDS), options: compressionOptions }),
  z.object({ trail: z.literal('timing'), kind: z.enum(TIMING_KINDS), options: z.object({}).default({}) }),
]);
export type TrailFit = z.infer<typeof trailFitSchema>;
/** Trails that a machine can be told of. */
export type TrailId = TrailFit['trail'];

/** Heights above the sea at which engines are worked on, metres. */
export const HEIGHTS = { least: -400, most: 5000 } as const;

/** Speeds that engines idle at and may be driven to, rev/min. */
export const SPEEDS = { idle: { least: 200, most: 2500 }, top: { least: 400, most: 14_000 } } as const;

/** What is true of the whole machine, and which kind of each trail it has. */
export const fitOutShape = z.object({
  volts: z.union([z.literal(6), z.literal(12), z.literal(24)]),
  earth: z.enum(['negative', 'positive']),
  cylinders: z.union([z.literal(1), z.literal(2), z.literal(3), z.literal(4), z.literal(6), z.literal(8)]),
  marine: z.boolean().default(false),
  compressionRatio: z.number().min(3).max(23),
  /** Swept volume; what is usual for so many cylinders when it is not given. */
  litres: z.number().min(0.03).max(15).optional(),
  /** Rev/min at which it idles, and that it must not pass; what is usual for so many cylinders when not given. */
  idleRpm: z.number().min(SPEEDS.idle.least).max(SPEEDS.idle.most).optional(),
  topRpm: z.number().min(SPEEDS.top.least).max(SPEEDS.top.most).optional(),
  /** Height above the sea of the place where it works. */
  altitudeMetres: z.number().min(HEIGHTS.least).max(HEIGHTS.most).optional(),
  trails: z.array(trailFitSchema).min(1, 'Tell at least one trail.').max(8),
});
export const fitOutSchema = fitOutShape
  .refine(({ trails }) => new Set(trails.map((t) => t.trail)).size === trails.length, {
    path: ['trails'],
    message: 'A machine has one trail of each sort.',
  })
  .refine(({ idleRpm, topRpm }) => idleRpm === undefined || topRpm === undefined || idleRpm < topRpm, {
    path: ['topRpm'],
    message: 'Its top speed lies above its idle.',
  })
  .refine(
    ({ trails }) =>
      trails.every(
        (t) =>
          t.trail !== 'spark' ||
          placesOn(t.kind).includes('after the coil') ||
          !t.options.added?.some((a) => a.at === 'after the coil'),
      ),
    { path: ['trails'], message: 'On this kind nothing stands behind a single coil: choose a place in the feed.' },
  )
  .meta({ id: 'FitOut' });
export type FitOut = z.infer<typeof fitOutSchema>;
