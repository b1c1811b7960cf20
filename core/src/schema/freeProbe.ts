import { z } from 'zod';

/** A reading between any two places of the machine, or around any wire: which instrument, where, in which state. */
export const freeProbeSchema = z
  .strictObject({
    instrument: z.enum(['voltmeter', 'ohmmeter', 'test lamp', 'LED lamp', 'clamp meter', 'timing light']),
    /** The place of the live lead; of a clamp, the part whose wire it is around; of a light, the part it is held on. */
    live: z.string().min(1).max(60),
    /** The place of the other lead; empty for a clamp. */
    earth: z.string().max(60).default(''),
    state: z.enum(['key off', 'key on', 'key on, points closed', 'cranking', 'idling', 'fast']),
    /** Parts that are out of circuit meanwhile. */
    unplugged: z.array(z.string().min(1).max(60)).max(6).default([]),
    /** Of a timing light: the engine's speed, and whether a vacuum pod's hose is on. */
    rpm: z.number().min(100).max(15_000).optional(),
    hose: z.enum(['on', 'off']).optional(),
  })
  .meta({ id: 'FreeProbe' });
export type FreeProbe = z.infer<typeof freeProbeSchema>;
