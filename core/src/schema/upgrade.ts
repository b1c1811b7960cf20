import { z } from 'zod';
import { machineBodySchema } from './machine.ts';
import type { FitOut, SparkOptions } from './fitOut.ts';

/** What version 1 said of a machine: its spark trail alone, one figure beside the other. */
export type FitOutOne = Pick<FitOut, 'volts' | 'earth' | 'cylinders' | 'compressionRatio'> &
  Partial<Pick<FitOut, 'marine' | 'litres'>> &
  Partial<SparkOptions> & { layout: (FitOut['trails'][number] & { trail: 'spark' })['kind'] };

const isRecord = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null && !Array.isArray(v);

/** Keys of version 1 that are the spark trail's own; what it did not know stays beside them, to be refused by name. */
const OPTIONS = ['ballast', 'fused', 'trigger', 'module', 'coils', 'suppressor', 'added'] as const;

/** The same fit-out as version 2 says it. */
export function upgradeFitOut<F extends object>(one: F): unknown {
  if (!('layout' in one) || 'trails' in one) return one;
  const { layout, ...rest } = one as Record<string, unknown> & { layout: unknown };
  const own = (key: string) => OPTIONS.some((o) => o === key);
  const options = Object.fromEntries(Object.entries(rest).filter(([key]) => own(key)));
  const whole = Object.fromEntries(Object.entries(rest).filter(([key]) => !own(key)));
  return { ...whole, trails: [{ trail: 'spark', kind: layout, options }] };
}

/** A machine as it was stored or written by version 1, or by this one: as this one says it. */
export const upgradeMachine = (body: unknown): unknown =>
  isRecord(body) && isRecord(body['fitOut']) ? { ...body, fitOut: upgradeFitOut(body['fitOut']) } : body;

/** A machine as it lies in a shop's data or in a file, of this version or of an earlier one. */
export const storedMachineSchema = z.preprocess(upgradeMachine, machineBodySchema);
