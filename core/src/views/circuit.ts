import { solveOperatingPoint, writeNetlist, type Element } from '../network/index.ts';
import type { MachineState } from '../machine/part.ts';
import { middleScene } from '../tracing/middle.ts';
import type { Model } from '../tracing/model.ts';

export type CircuitResult =
  | { ok: true; text: string; elements: readonly Element[] }
  | { ok: false; code: 'unknown-fault' | 'not-solved' | 'cannot-be-written' };

/**
 * This machine in one state as a SPICE netlist, its figures in the middle of their bands, sound or with one fault of
 * middle severity. What SPICE has no card for is written as what it is at this operating point.
 */
export function machineCircuit(title: string, model: Model, state: MachineState, faultId?: string): CircuitResult {
  const fault = model.faults.find((f) => f.id === faultId);
  if (faultId !== undefined && !fault) return { ok: false, code: 'unknown-fault' };
  const scene = middleScene(model, fault);
  const elements = scene.elements(state);
  const at = solveOperatingPoint(elements);
  if (!at.ok) return { ok: false, code: 'not-solved' };
  const standing = (e: Element) => ({ volts: at.volts(e.a) - at.volts(e.b), amps: at.amps(e.id) });
  const words = [
    title,
    `key ${state.key}`,
    `points ${state.points}`,
    fault ? `${fault.part.label} ${fault.mode.label}` : 'sound',
  ];
  const written = writeNetlist(words.join(', '), { elements, couplings: [] }, { kind: 'op' }, standing);
  return written.ok ? { ok: true, text: written.text, elements } : { ok: false, code: 'cannot-be-written' };
}
