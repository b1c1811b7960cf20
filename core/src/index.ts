export * from './quantity/index.ts';
export {
  floatingNodes,
  solveOperatingPoint,
  type Element,
  type OperatingPoint,
  type SolveResult,
} from './network/index.ts';
export { OPENING_MINUTES, type CautionId, type Check, type Opening } from './checks/index.ts';
export { fromRuler, INSTRUMENTS, toRuler, type InstrumentId } from './instruments/index.ts';
export type { Layout, Station } from './layouts/index.ts';
export { seededRandom, type Random } from './random/lcg.ts';
export type { Belief } from './tracing/belief.ts';
export type { Model, ModelFault, ModelRepair, Plate } from './tracing/model.ts';
export { buildModel } from './tracing/model.ts';
export { minutesOf, type RankedCheck } from './tracing/nextCheck.ts';
export { passes, ruler, type Landing, type Ruler } from './tracing/ruler.ts';
export type { Evidence, StationState, Suspect } from './tracing/suspects.ts';
export { trace, Tracer, tracerFor, type Trace } from './tracing/trace.ts';
export type { Verdict } from './tracing/verdict.ts';
export { HiddenMachine } from './practice/hiddenMachine.ts';
export type * from './schema/index.ts';
export { traceCauses, type Causes, type JudgedCause } from './tracing/causes.ts';
export { tell } from './tracing/events.ts';
export { faultShares } from './tracing/suspects.ts';
export { proven, proveOut, type Proof, type ProofState } from './proving/proveOut.ts';
export { settingsOf, timingShift, type SetFigure } from './setup/settings.ts';
export { absurd } from './tracing/plausible.ts';
export { readTyped, wordsOf, type TypedReading } from './tracing/readTyped.ts';
export * from './views/views.ts';
