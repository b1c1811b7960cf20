import { ballastOhms } from './ballastOhms.ts';
import { ballastVolts } from './ballastVolts.ts';
import { batteryCranking } from '../../shared/checks/batteryCranking.ts';
import { batteryRest } from '../../shared/checks/batteryRest.ts';
import { bodyDrop } from './bodyDrop.ts';
import { chargeCoilOhms } from './chargeCoilOhms.ts';
import { chargePeakLoaded } from './chargePeakLoaded.ts';
import { chargePeakOpen } from './chargePeakOpen.ts';
import { checkLamp } from './checkLamp.ts';
import { clampDrop } from '../../shared/checks/clampDrop.ts';
import { coilAirGap } from './coilAirGap.ts';
import { coilCommand } from './coilCommand.ts';
import { coilFeedClosed } from './coilFeedClosed.ts';
import { coilFeedCranking } from './coilFeedCranking.ts';
import { coilFeedOpen } from './coilFeedOpen.ts';
import { coilLeadOhms } from './coilLeadOhms.ts';
import { coilMinusClosed } from './coilMinusClosed.ts';
import { coilMinusOpen } from './coilMinusOpen.ts';
import { coilPrimary } from './coilPrimary.ts';
import { coilSecondary } from './coilSecondary.ts';
import { coilWireOhms } from './coilWireOhms.ts';
import { commandSignal } from './commandSignal.ts';
import { condenserCapacitance } from './condenserCapacitance.ts';
import { condenserInsulation } from './condenserInsulation.ts';
import { connectorOhms } from './connectorOhms.ts';
import { cylinderDrop } from './cylinderDrop.ts';
import { feedToEarth } from '../../shared/checks/feedToEarth.ts';
import { feedVolts } from '../../shared/checks/feedVolts.ts';
import { flywheelKey } from './flywheelKey.ts';
import { fuseVolts } from '../../shared/checks/fuseVolts.ts';
import { impulseRunning } from './impulseRunning.ts';
import { impulseSnap } from './impulseSnap.ts';
import { lampCranking } from './lampCranking.ts';
import { leadOrderLook } from './leadOrder.ts';
import { leadsInTheDark } from './leadsInTheDark.ts';
import { ledCranking } from './ledCranking.ts';
import { lookBallast } from './lookBallast.ts';
import { lookCap } from './lookCap.ts';
import { lookClamps } from '../../shared/checks/lookClamps.ts';
import { lookCoil } from './lookCoil.ts';
import { lookConnectors } from './lookConnectors.ts';
import { lookFuse } from '../../shared/checks/lookFuse.ts';
import { lookLeads } from './lookLeads.ts';
import { lookOwnPoints } from './lookOwnPoints.ts';
import { lookPlugs } from './lookPlugs.ts';
import { lookPoints } from './lookPoints.ts';
import { lookRotor } from './lookRotor.ts';
import { lookSensor } from './lookSensor.ts';
import { lookStop } from './lookStop.ts';
import { lookWarningLamp } from '../../shared/checks/lookWarningLamp.ts';
import { newFuse } from '../../shared/checks/newFuse.ts';
import { neighbours } from '../../shared/checks/neighbours.ts';
import { lookWires } from '../../shared/checks/lookWires.ts';
import { magnetPull } from './magnetPull.ts';
import { magnets } from './magnets.ts';
import { moduleEarthDrop } from './moduleEarthDrop.ts';
import { moduleEarthOhms } from './moduleEarthOhms.ts';
import { moduleFeedVolts } from './moduleFeedVolts.ts';
import { moduleProd } from './moduleProd.ts';
import { moduleTerminal } from './moduleTerminal.ts';
import { ownCoilPrimary } from './ownCoilPrimary.ts';
import { ownCoilSecondary } from './ownCoilSecondary.ts';
import { ownCondenser } from './ownCondenser.ts';
import { otherPlugs } from './newPlugs.ts';
import { ownPointsGap } from './ownPointsGap.ts';
import { ownPointsOhms } from './ownPointsOhms.ts';
import { packEarthOhms } from './packEarthOhms.ts';
import { packFeedVolts } from './packFeedVolts.ts';
import { packOutput } from './packOutput.ts';
import { pickupGap } from './pickupGap.ts';
import { plugDeposit } from './plugDeposit.ts';
import { plugGap } from './plugGap.ts';
import { plugInsulation } from './plugInsulation.ts';
import { plugLeadOhms } from './plugLeadOhms.ts';
import { plugResistor } from './plugResistor.ts';
import { plugType } from './plugType.ts';
import { pointsDrop } from './pointsDrop.ts';
import { pointsGap } from './pointsGap.ts';
import { pointsInsulation } from './pointsInsulation.ts';
import { pointsLineToEarth } from './pointsLineToEarth.ts';
import { pointsTerminal } from './pointsTerminal.ts';
import { pointsWire } from './pointsWire.ts';
import { revCounterOff } from './revCounterOff.ts';
import { rotorJump } from './rotorJump.ts';
import { rotorTurns } from './rotorTurns.ts';
import { scanCounts } from './scanCounts.ts';
import { scanRpm } from './scanRpm.ts';
import { sensorFeedVolts } from './sensorFeedVolts.ts';
import { sensorSignal } from './sensorSignal.ts';
import { shaftPlay } from './shaftPlay.ts';
import { signalWireOhms } from './signalWireOhms.ts';
import { sparkCoilLead } from './sparkCoilLead.ts';
import { sparkEvery } from './sparkEvery.ts';
import { sparkKnownCoil } from './sparkKnownCoil.ts';
import { sparkKnownCondenser } from './sparkKnownCondenser.ts';
import { sparkKnownLead } from './sparkKnownLead.ts';
import { sparkKnownModule } from './sparkKnownModule.ts';
import { sparkKnownOwnCondenser } from './sparkKnownOwnCondenser.ts';
import { sparkKnownPlugLead } from './sparkKnownPlugLead.ts';
import { sparkOne } from './sparkOne.ts';
import { sparkPlugLead } from './sparkPlugLead.ts';
import { sparkPolarity } from './sparkPolarity.ts';
import { sparkStopOff } from './sparkStopOff.ts';
import { stopLineAtStop, stopLineOhms } from './stopLineOhms.ts';
import { stopSwitchOhms } from './stopSwitchOhms.ts';
import { hydrometer } from '../../shared/checks/hydrometer.ts';
import { strapDrop } from '../../shared/checks/strapDrop.ts';
import { supplyDrops } from '../../shared/checks/supplyDrops.ts';
import { supplyGone } from '../../shared/checks/supplyGone.ts';
import { suppressorOhms } from './suppressorOhms.ts';
import { switchVolts } from '../../shared/checks/switchVolts.ts';
import { timingMarks } from './timingMarks.ts';
import { triggerGap } from './triggerGap.ts';
import { triggerOhms } from './triggerOhms.ts';
import { triggerOhmsConnected } from './triggerOhmsConnected.ts';
import { triggerPeak } from './triggerPeak.ts';
import { watchPoints } from './watchPoints.ts';
import type { CheckMaker } from '../../../machine/check.ts';

/** Checks of the spark trail and of the battery's own path, in the order in which one walks it. */
export const SPARK_CHECKS: readonly CheckMaker[] = [
  lookClamps,
  lookWires,
  lookWarningLamp,
  neighbours,
  lookFuse,
  newFuse,
  lookBallast,
  lookCoil,
  lookLeads,
  lookStop,
  lookConnectors,
  batteryRest,
  hydrometer,
  batteryCranking,
  clampDrop,
  feedVolts,
  fuseVolts,
  switchVolts,
  supplyGone,
  supplyDrops,
  feedToEarth,
  suppressorOhms,
  ballastVolts,
  ballastOhms,
  coilFeedClosed,
  coilFeedOpen,
  coilFeedCranking,
  coilMinusOpen,
  coilPrimary,
  coilSecondary,
  coilMinusClosed,
  lampCranking,
  ledCranking,
  moduleFeedVolts,
  moduleTerminal,
  moduleEarthDrop,
  moduleEarthOhms,
  pickupGap,
  sensorFeedVolts,
  sensorSignal,
  lookSensor,
  signalWireOhms,
  checkLamp,
  commandSignal,
  scanRpm,
  scanCounts,
  coilCommand,
  moduleProd,
  sparkKnownModule,
  pointsLineToEarth,
  pointsTerminal,
  pointsWire,
  pointsGap,
  lookPoints,
  pointsDrop,
  pointsInsulation,
  condenserInsulation,
  condenserCapacitance,
  watchPoints,
  sparkKnownCondenser,
  bodyDrop,
  strapDrop,
  sparkCoilLead,
  revCounterOff,
  sparkKnownLead,
  sparkPolarity,
  coilLeadOhms,
  lookCap,
  rotorTurns,
  rotorJump,
  lookRotor,
  shaftPlay,
  impulseSnap,
  impulseRunning,
  magnetPull,
  timingMarks,
  flywheelKey,
  magnets,
  chargeCoilOhms,
  chargePeakOpen,
  connectorOhms,
  chargePeakLoaded,
  triggerOhms,
  triggerOhmsConnected,
  triggerPeak,
  triggerGap,
  stopLineOhms,
  stopLineAtStop,
  stopSwitchOhms,
  sparkStopOff,
  packFeedVolts,
  packOutput,
  packEarthOhms,
  coilWireOhms,
  ownPointsGap,
  lookOwnPoints,
  ownPointsOhms,
  ownCondenser,
  sparkKnownOwnCondenser,
  coilAirGap,
  ownCoilPrimary,
  ownCoilSecondary,
  sparkKnownCoil,
  sparkPlugLead,
  sparkOne,
  sparkEvery,
  cylinderDrop,
  ...otherPlugs,
  plugLeadOhms,
  leadOrderLook,
  leadsInTheDark,
  sparkKnownPlugLead,
  plugInsulation,
  lookPlugs,
  plugDeposit,
  plugGap,
  plugType,
  plugResistor,
];
