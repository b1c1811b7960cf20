import { ballastOhms } from './ballastOhms.ts';
import { ballastVolts } from './ballastVolts.ts';
import { batteryCranking } from './batteryCranking.ts';
import { batteryRest } from './batteryRest.ts';
import { bodyDrop } from './bodyDrop.ts';
import { clampDrop } from './clampDrop.ts';
import { coilFeedClosed } from './coilFeedClosed.ts';
import { coilFeedCranking } from './coilFeedCranking.ts';
import { coilFeedOpen } from './coilFeedOpen.ts';
import { coilLeadOhms } from './coilLeadOhms.ts';
import { coilMinusClosed } from './coilMinusClosed.ts';
import { coilMinusOpen } from './coilMinusOpen.ts';
import { coilPrimary } from './coilPrimary.ts';
import { coilSecondary } from './coilSecondary.ts';
import { condenserCapacitance } from './condenserCapacitance.ts';
import { condenserInsulation } from './condenserInsulation.ts';
import { cylinderDrop } from './cylinderDrop.ts';
import { feedToEarth } from './feedToEarth.ts';
import { feedVolts } from './feedVolts.ts';
import { fuseVolts } from './fuseVolts.ts';
import { lampCranking } from './lampCranking.ts';
import { ledCranking } from './ledCranking.ts';
import { lookBallast } from './lookBallast.ts';
import { lookCap } from './lookCap.ts';
import { lookClamps } from './lookClamps.ts';
import { lookCoil } from './lookCoil.ts';
import { lookFuse } from './lookFuse.ts';
import { lookLeads } from './lookLeads.ts';
import { lookPlugs } from './lookPlugs.ts';
import { lookPoints } from './lookPoints.ts';
import { lookRotor } from './lookRotor.ts';
import { lookWarningLamp } from './lookWarningLamp.ts';
import { lookWires } from './lookWires.ts';
import { plugGap } from './plugGap.ts';
import { plugInsulation } from './plugInsulation.ts';
import { plugLeadOhms } from './plugLeadOhms.ts';
import { pointsDrop } from './pointsDrop.ts';
import { pointsGap } from './pointsGap.ts';
import { pointsInsulation } from './pointsInsulation.ts';
import { pointsLineToEarth } from './pointsLineToEarth.ts';
import { pointsTerminal } from './pointsTerminal.ts';
import { pointsWire } from './pointsWire.ts';
import { rotorJump } from './rotorJump.ts';
import { sparkCoilLead } from './sparkCoilLead.ts';
import { sparkEvery } from './sparkEvery.ts';
import { sparkKnownCondenser } from './sparkKnownCondenser.ts';
import { sparkKnownLead } from './sparkKnownLead.ts';
import { sparkPlugLead } from './sparkPlugLead.ts';
import { sparkPolarity } from './sparkPolarity.ts';
import { strapDrop } from './strapDrop.ts';
import { switchVolts } from './switchVolts.ts';
import { watchPoints } from './watchPoints.ts';
import type { Layout } from '../layouts/index.ts';
import type { Check, CheckMaker } from './check.ts';

/** The one place that lists the checks, in the order in which one walks the trail. */
const MAKERS: readonly CheckMaker[] = [
  lookClamps,
  lookWires,
  lookWarningLamp,
  lookFuse,
  lookBallast,
  lookCoil,
  lookLeads,
  batteryRest,
  batteryCranking,
  clampDrop,
  feedVolts,
  fuseVolts,
  switchVolts,
  feedToEarth,
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
  sparkKnownLead,
  sparkPolarity,
  coilLeadOhms,
  lookCap,
  rotorJump,
  lookRotor,
  sparkPlugLead,
  sparkEvery,
  cylinderDrop,
  plugLeadOhms,
  plugInsulation,
  lookPlugs,
  plugGap,
];

export const checksOf = (layout: Layout): Check[] => MAKERS.flatMap((make) => make(layout));

export { OPENING_MINUTES, CRANKING, KEY_OFF, KEY_ON_CLOSED, KEY_ON_OPEN } from './check.ts';
export type { CautionId, Check, CheckMaker, Opening, Probe } from './check.ts';
