import { clearingOf, type Clearing } from '../engine/clearing.ts';
import { saidOf } from '../engine/complaint.ts';
import type { Complaint, JobEvent } from '../schema/job.ts';
import { middleScene } from '../tracing/middle.ts';
import { allPlugs } from '../trails/spark/plugWords.ts';
import type { Model } from '../tracing/model.ts';

/** How this machine is cleared when it has drowned, every figure in the middle of its band. Null where nothing drowns. */
export const clearingView = (model: Model, celsius: number): Clearing | null => clearingOf(middleScene(model), celsius);

/** What is read of plugs and of a try that says so. */
const DROWNED: ReadonlySet<string> = new Set([allPlugs('wet or sooty'), 'dripping', 'catches and clears']);

/** Whether a job speaks of an engine that has drowned: by what is complained of, or by what was seen. */
export const looksDrowned = (complaint: Complaint, events: readonly JobEvent[]): boolean =>
  saidOf(complaint).includes('floods') ||
  events.some((e) => e.type === 'reading' && e.reading.value.kind === 'word' && DROWNED.has(e.reading.value.word));
