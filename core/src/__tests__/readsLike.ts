import { INSTRUMENTS } from '../instruments/index.ts';
import { Scene } from '../machine/scene.ts';
import { INSTRUMENT_IDS } from '../schema/house.ts';
import type { MachineBody } from '../schema/machine.ts';
import { drawSound } from '../tracing/draw.ts';
import { withBad } from './withBad.ts';
import { buildModel } from '../tracing/model.ts';
import { house } from './machines.ts';

/** What a check shows on a machine with every figure in the middle of its band, sound or with one fault: a number in SI, or its likeliest word. */
export function readsLike(body: MachineBody, checkId: string, faultId?: string, severity = 0.6): number | string {
  const model = buildModel(body, { ...house, owns: [...INSTRUMENT_IDS] });
  const check = [...model.checks, ...model.beyond].find((c) => c.id === checkId);
  if (!check) throw new Error(`No check "${checkId}"`);
  const fault = model.faults.find((f) => f.id === faultId);
  if (faultId !== undefined && !fault) throw new Error(`No fault "${faultId}"`);
  const sound = drawSound(model, () => 0.5);
  const scene = new Scene(model.machine, fault ? withBad(model, sound, fault, severity) : sound);
  const seen = INSTRUMENTS[check.instrument].observe(scene, check);
  if (seen.kind === 'number') return seen.value;
  return Object.entries(seen.shares).sort((a, b) => b[1] - a[1])[0]![0];
}
