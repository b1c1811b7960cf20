import type { CautionId } from '@pondu/core';

/** The usual cautions, beside the check they belong to. */
export const CAUTIONS: Readonly<Record<CautionId, string>> = {
  'high tension':
    'Tens of thousands of volts. Hold leads with insulated pliers, keep a pacemaker away, give every spark a short way to earth.',
  'fuel vapour':
    'A spark and fuel vapour: wipe up spills, air the engine bay, keep testers away from plug holes of a flooded engine.',
  'rotating parts':
    'It will turn: out of gear, brake on, chocks, sleeves and hair away from fan and belts, water clear of a propeller.',
  battery:
    'Battery gas and short circuits: no flame, no ring or wrench across the posts. Earth lead off first, on last.',
  marine:
    'On a boat: run the blower and sniff the bilge before any spark. Fit only ignition-protected electrical parts; a road part can blow up the boat. Water to the pump before it runs. Where a licensed surveyor or electrician is required, the work is theirs.',
  'exhaust gas': 'Carbon monoxide kills without a smell: doors open, or the exhaust led outside.',
  'capacitor charge':
    'A power pack gives hundreds of volts and keeps them: never hold its wires while cranking, short its store through a resistor before touching, one hand away.',
  'flywheel puller':
    'Draw a flywheel with its own puller, never hammer the crank’s end; eyes covered. Torque and key anew, or it shears again and the flywheel can come off.',
  'jumping the starter':
    'Fed past key, neutral and clutch switch the engine turns whatever gear it is in: out of gear, wheels chocked, propeller and belts clear, a fused lead, never two spanners.',
  'turning a locked engine':
    'Water or fuel in a cylinder does not compress: take every plug out before it is turned again, keep clear of the holes, never force it with the starter.',
  'full field':
    'Full field drives the volts up at once: lamps and radio off, a few seconds only, low revs, never with the battery off.',
  'charging battery':
    'A battery that is charged gives off explosive gas and acid mist: no spark, open air, goggles. One that boils is disconnected, not topped up running.',
  'open fuel':
    'Open petrol: engine and coil cold, nothing that sparks or glows near, a metal can set down and not held, an extinguisher in reach, doors open. Wipe up before the key is turned.',
  'starting fluid':
    'Starting fluid burns at once: one short whiff, nobody’s face over the intake, never with glow plugs or an intake heater, never on a diesel that might run away, never to drive on.',
  'hot coil': 'Coil, ballast and plugs may be hot enough to burn.',
};
