import { INSTRUMENTS } from '../instruments/index.ts';
import { Scene } from '../machine/scene.ts';
import type { ReadingValue } from '../schema/job.ts';
import { drawSound } from '../tracing/draw.ts';
import { withBad } from './withBad.ts';
import { passes } from '../tracing/ruler.ts';
import type { Tracer } from '../tracing/trace.ts';

/** Whether a check passes on a machine of middling figures with one fault, 0.6 of the way to its worst. */
export function passesWith(tracer: Tracer, checkId: string, faultId: string): boolean {
  const check = tracer.weigher.check(checkId);
  if (!check) throw new Error(`No check ${checkId}`);
  const fault = tracer.model.faults.find((f) => f.id === faultId);
  if (!fault) throw new Error(`No fault ${faultId}`);
  const sound = drawSound(tracer.model, () => 0.5);
  const scene = new Scene(tracer.model.machine, withBad(tracer.model, sound, fault, 0.6));
  const outcome = INSTRUMENTS[check.instrument].observe(scene, check);
  const value = ((): ReadingValue => {
    if (outcome.kind === 'category')
      return { kind: 'word', word: Object.entries(outcome.shares).sort((a, b) => b[1] - a[1])[0]![0] };
    return outcome.value > (INSTRUMENTS[check.instrument].limit ?? Infinity)
      ? { kind: 'open' }
      : { kind: 'number', value: outcome.value };
  })();
  return passes(tracer.weigher, check, value);
}
