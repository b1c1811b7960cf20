import { z } from 'zod';

const figure = z.number().min(-1e6).max(1e6);
/** How the tip of a plug looks after a run under load and a clean cut. */
export const TIPS = ['blistered', 'white', 'brown', 'dry soot', 'wet'] as const;
export type Tip = (typeof TIPS)[number];
const clearances = z.object({ wanted: figure.optional(), found: z.array(figure).max(12) });
/** So many pairs of figures a bench takes. */
export const MOST_PAIRS = 20;
const cylinder = z.number().int().min(1).max(12);

/** What a set-up bench took down, one shape a bench. Figures SI, angles of the crank in degrees, before top positive. */
export const sheetBodySchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('points'),
    /** Gap with the dwell that was read at it. */
    pairs: z.array(z.object({ gapMetres: figure, dwellDegrees: figure })).max(2),
    /** Lobe by lobe, gap in metres, in their order around the shaft. */
    lobes: z.array(figure).max(12),
    lost: z.enum(['none', 'moving', 'fixed']),
    /** Pull of the spring at the contact, newtons. */
    pullNewtons: figure.optional(),
  }),
  z.object({ kind: z.literal('top'), before: figure, after: figure }),
  z.object({
    kind: z.literal('leads'),
    order: z.array(cylinder).min(2).max(12),
    turns: z.enum(['clockwise', 'anticlockwise']),
    first: z.number().int().min(0).max(11),
    /** Cylinder whose lead stands at each tower, clockwise from the tower that is called first. */
    found: z.array(cylinder).max(12),
  }),
  z.object({
    kind: z.literal('road'),
    rounds: z
      .array(
        z.object({
          degrees: figure,
          noticed: z
            .array(z.enum(['knock', 'hesitation', 'surge', 'hot start slow', 'kicks back', 'runs hot', 'pulls well']))
            .max(7),
          words: z.string().max(200).default(''),
        }),
      )
      .max(40),
    school: z.enum(['book', 'total', 'ear']).default('book'),
  }),
  z.object({
    kind: z.literal('carburettor'),
    done: z.array(z.string().max(20)).max(12),
    overruled: z.array(z.object({ step: z.string().max(20), why: z.string().trim().min(1).max(200) })).max(12),
    read: z.array(figure).max(4),
    shows: z.enum(['vacuum', 'flow']).default('vacuum'),
  }),
  /** What was seen to before the job closes, ticked by hand. */
  z.object({ kind: z.literal('prove'), confirmed: z.array(z.enum(['water', 'bypass'])).max(2) }),
  /** When it last ran: for how many minutes, and since when it stands; not at all while it still runs. */
  z.object({
    kind: z.literal('heat'),
    ranMinutes: z.number().min(0).max(1440),
    stoppedAt: z.iso.datetime().nullable(),
  }),
  z.object({
    kind: z.literal('drain'),
    restAmps: figure,
    /** What still flowed as circuit after circuit was taken out and left out. */
    pulled: z.array(z.object({ circuit: z.string().trim().min(1).max(40), amps: figure })).max(40),
    all: z.boolean().default(false),
  }),
  z.object({
    kind: z.literal('battery'),
    celsius: figure,
    /** What a hydrometer showed of each cell, in their order. */
    cells: z.array(z.number().min(1).max(1.4)).max(12),
    restVolts: figure.optional(),
  }),
  /** The moment with the engine standing: where its points part, degrees of the crank before top as the mark shows it. */
  z.object({
    kind: z.literal('static'),
    way: z.enum(['lamp', 'ohmmeter', 'paper']),
    shown: figure,
    wanted: figure.optional(),
  }),
  /** A vacuum advance on a hand pump, the engine held at one speed. */
  z.object({
    kind: z.literal('pump'),
    rows: z.array(z.object({ pullPascal: figure, degrees: figure })).max(MOST_PAIRS),
    holds: z.boolean().default(true),
  }),
  /** An idle mixture screw: turns out, and the speed at each, rev/min. */
  z.object({
    kind: z.literal('mixture'),
    rows: z.array(z.object({ turns: figure, rpm: figure })).max(MOST_PAIRS),
    screw: z.enum(['fuel', 'air']).default('fuel'),
  }),
  /** Timing found by a vacuum gauge or by ear, and where that ended: degrees of the crank before top as the mark shows it. */
  z.object({
    kind: z.literal('found'),
    by: z.enum(['gauge', 'ear']),
    shown: figure,
    bestPascal: figure.optional(),
  }),
  /** Clearances of the valves as they were found, cylinder by cylinder, metres. */
  z.object({
    kind: z.literal('valves'),
    warmth: z.enum(['cold', 'hot']),
    inlet: clearances,
    exhaust: clearances,
    leftAsWanted: z.boolean().default(false),
  }),
  /** A float: its height off the bench, or the fuel in a clear tube; metres from the joint. */
  z.object({ kind: z.literal('float'), by: z.enum(['height', 'tube']), found: figure, wanted: figure }),
  /** Exhaust gas at idle; per cent of the dry gas, unburnt fuel in ppm as hexane. */
  z.object({
    kind: z.literal('gas'),
    co: figure,
    co2: figure.optional(),
    o2: figure.optional(),
    hcPpm: figure.optional(),
  }),
  /** Plug by plug, how its tip looks, and whether mixture and timing had been set before. */
  z.object({ kind: z.literal('tips'), tips: z.array(z.enum(TIPS)).max(12), ruledOut: z.boolean() }),
  z.object({
    kind: z.literal('charging'),
    celsius: figure,
    holds: figure.optional(),
    cutsIn: figure.optional(),
    beltMetres: figure.optional(),
  }),
]);
export type SheetBody = z.infer<typeof sheetBodySchema>;
export type SheetKind = SheetBody['kind'];
export type SheetOf<K extends SheetKind> = Extract<SheetBody, { kind: K }>;
