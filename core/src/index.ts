export * from './quantity/index.ts';
export * from './network/index.ts';
export * from './fluids/index.ts';
export * from './ignition/index.ts';
export { BENCH_IDS, type BenchId } from './setup/benchDoings.ts';
export { cautionsOf, isGrave, type Doing } from './machine/hazards.ts';
export { CAUTION_IDS } from './schema/cautions.ts';
export { OPENING_MINUTES, TRY_IT, type CautionId, type Check, type Opening } from './trails/checks.ts';
export { shownOnWave, type WaveSetting } from './instruments/index.ts';
export { fromRuler, INSTRUMENTS, toRuler, type InstrumentId } from './instruments/index.ts';
export { Scene, type Machine, type Station } from './machine/index.ts';
export { drawSound, withFault } from './tracing/draw.ts';
export { seededRandom, type Random } from './random/lcg.ts';
export type { Belief } from './tracing/belief.ts';
export type { Model, ModelFault, ModelRepair, Plate } from './tracing/model.ts';
export { buildModel } from './tracing/model.ts';
export { minutesOf, type RankedCheck } from './tracing/nextCheck.ts';
export { passes, ruler, type Landing, type Ruler } from './tracing/ruler.ts';
export type { Evidence, Suspect } from './tracing/suspects.ts';
export { freeProbeId, type Probing } from './trails/freeProbe.ts';
export { recognised } from './tracing/recentWork.ts';
export { jobRuler } from './tracing/told.ts';
export { inWalkingOrder } from './tracing/walk.ts';
export type { StationState } from './tracing/stations.ts';
export { Tracer, type Trace } from './tracing/trace.ts';
export { simulateAhead } from './tracing/simulateAhead.ts';
export { simulatedName, trace, TracerCache, tracerFor } from './tracing/tracerCache.ts';
export { plateProblems, Unsolved, unsolved, withTracer, type PlateProblem } from './tracing/solvable.ts';
export { complaintUnshown, type Verdict } from './tracing/verdict.ts';
export { follow, provedOn, type Followed, type Following } from './practice/follow.ts';
export { drawFault, drawFaultAcross, SimulatedMeter, type Shown } from './practice/simulatedMeter.ts';
export { holesOf, type Hole } from './practice/holes.ts';
export { unsaidOf, type Unsaid } from './practice/unsaid.ts';
export { HiddenMachine, someHands, type Slips } from './practice/hiddenMachine.ts';
export { COURSE, courseLesson, type CourseLesson } from './practice/course.ts';
export { deal, NoLesson, type Dealt, type LessonWanted } from './practice/deal.ts';
export { saidOf } from './practice/ownersWords.ts';
export { adviseMove } from './practice/bestWay.ts';
export { answerMove, NoSuchMove, standsAt } from './practice/moves.ts';
export { PlayedMachine } from './practice/playedMachine.ts';
export { dueAgain, habitsOf, pastOf, type Again, type Habit, type LessonPast } from './practice/habits.ts';
export { FINDINGS, reviewOf, type Finding, type FindingId, type Review } from './practice/review.ts';
export { tutored, type Tutored } from './practice/tutor.ts';
export * from './views/lesson.ts';
export type * from './schema/index.ts';
export { traceCauses, type Causes, type JudgedCause } from './tracing/causes.ts';
export { likeliestComplaint, likelyComplaint } from './tracing/likelyComplaint.ts';
export { choose, inOrderOf, POLICIES, type Policy } from './tracing/policies.ts';
export { partCelsius, showsAt, soak, SOAK_MINUTES } from './tracing/heat.ts';
export { entryOf, tell } from './tracing/events.ts';
export { faultShares } from './tracing/suspects.ts';
export { proven, proveOut, type Proof, type ProofState } from './proving/proveOut.ts';
export {
  calibrated,
  camOf,
  dwellFromShare,
  dwellOf,
  timingShift,
  type Cam,
  type Dwell,
  type GapAndDwell,
} from './setup/dwell.ts';
export { jetFor, richerAt } from './engine/altitude.ts';
export { corrected, MIXES, oilFor } from './setup/oilMix.ts';
export { degreesAtPiston, pistonBelowTop, rimDegrees, rimMetres, topFromStop } from './engine/crankGeometry.ts';
export { settingsOf, type SetFigure } from './setup/settings.ts';
export { sheetOf } from './setup/sheets.ts';
export { hoursToFlat, judgeCells, leftByVolts } from './setup/batteryState.ts';
export { wireDrop } from './setup/wireDrop.ts';
export {
  pumpedCurve,
  pumpSays,
  turnedBackTo,
  USUAL_PULLS,
  type PumpedCurve,
  type PumpRow,
  type PumpSays,
} from './setup/vacuumAdvance.ts';
export { idleScrew, USUAL_DROP, USUAL_TURNS, type Screw, type ScrewRow, type ScrewSays } from './setup/idleMixture.ts';
export { expectedCompression, type Cranked } from './setup/expectedCompression.ts';
export { gasSays, lambdaByCo, lambdaOf, undiluted, USUAL_CO, type Gases, type GasSays } from './setup/exhaustGas.ts';
export { floatSays, mainJetAt, THROATS, USUAL_LEVERAGE, type FloatSays } from './setup/floatLevel.ts';
export { rockingOf, shimFor, turnedBetween, valvesOf, type ValveFound } from './setup/valveClearance.ts';
export { springSays, USUAL_PULL, type SpringSays } from './setup/pointsSpring.ts';
export { plugHeat, type HeatSays } from './setup/plugHeat.ts';
export { apartBy, beatsASecond, firingsATurn } from './setup/beats.ts';
export { MANNERS, mannerOf, mannerOfProbe, type Manner } from './drawing/manner.ts';
export { STATIC_WAYS, staticTiming, type StaticWay } from './setup/staticTiming.ts';
export { dwellAcross, lobesOf, condenserBy, type Lobes } from './setup/lobes.ts';
export { readCap, readOrder, swapBehind, towersOf, type Cap, type CapRead, type OrderRead } from './setup/leadMap.ts';
export {
  baseForTotal,
  lightProbe,
  lightRows,
  type Explained,
  type LightRow,
  type TimingCurve,
} from './setup/timingCurve.ts';
export { advanceAt, designCurve, type Advance, type CurveDesign, type Unfit } from './setup/curveDesign.ts';
export { edgeAt, type EdgeGap, type EdgeRead, type EdgeRow } from './setup/edgeGap.ts';
export { tapeOf, TAPE_RIM, type Tape } from './setup/tape.ts';
export {
  NOTICED,
  ROAD_STEP,
  roadLimit,
  roadVerdict,
  SCHOOLS,
  type Noticed,
  type Round,
  type School,
} from './setup/roadTest.ts';
export { before, balanceOfCarburettors, orderOfWork, type Step, type StepId } from './setup/carburettors.ts';
export { BELT_METRES, chargeSays, CUTS_OUT_AMPS, cutIn, setPoint, type ChargeSays } from './setup/chargeSet.ts';
export { drainHunt, REST_ALLOWED, type DrainHunt, type Pulled } from './setup/drainHunt.ts';
export { hoursToAQuarter } from './trails/charge/balance.ts';
export * from './setup/fasteners.ts';
export { MARGIN, sparkBench, type SparkBench, type SparkSays, type SpeedRow, type Tried } from './setup/sparkBench.ts';
export { COLD_HOURS, type Confirm, type Confirmation, type Wanted } from './proving/conditions.ts';
export { dueOf, lastRead, pacePerDay, type DueLine } from './book/due.ts';
export type { KitLine } from './book/kit.ts';
export { photosOf } from './book/photos.ts';
export type * from './book/history.ts';
export * from './views/ahead.ts';
export * from './views/book.ts';
export * from './views/setUp.ts';
export { absurd } from './tracing/plausible.ts';
export { readTyped, suits, wordsOf, type TypedReading } from './tracing/readTyped.ts';
export * from './views/advice.ts';
export type { Exciting } from './trails/charge/advice/exciting.ts';
export type { Way, WayAt, Wired } from './trails/charge/advice/rewiring.ts';
export type { UsedAlternator } from './trails/charge/advice/usedAlternators.ts';
export type { UsedStarter } from './trails/crank/advice/usedStarters.ts';
export type { Compared } from './trails/shared/usedPart.ts';
export { looksOf, PLUG_LOOKS, plugWordOf, plugWords, type PlugLook } from './trails/spark/plugWords.ts';
export { USUAL_SHARES } from './engine/trailShares.ts';
export type { Balance } from './trails/charge/balance.ts';
export * from './views/views.ts';
export * from './views/proof.ts';
export * from './views/plates.ts';
export * from './views/bay.ts';
export * from './views/model.ts';
export type * from './views/rows.ts';
export { clearingView, looksDrowned } from './views/clearing.ts';
export type { Clearing } from './engine/clearing.ts';
export { overMinutes } from './views/overMinutes.ts';
export type { Slow } from './machine/trail.ts';
export { waveforms, type Wave, type Waveforms, type WaveId, type WaveSubject } from './views/waveform.ts';
export { machineCircuit, type CircuitResult } from './views/circuit.ts';
export type { MachineState } from './machine/part.ts';
export type { Drawing, DrawnPart, DrawnWire, End, Place, Port } from './drawing/drawing.ts';
export { leadsOf, type Leads } from './drawing/leads.ts';
export type { DrawnState, Live } from './drawing/live.ts';
export type { SymbolId } from './drawing/symbol.ts';
export { drawingView, liveView, type DrawingView, type DrawnFault, type LiveView } from './views/drawing.ts';
