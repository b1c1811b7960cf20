import type { CautionId } from '@pondu/core';

/** The usual cautions, beside the check they belong to. */
export const CAUTIONS: Readonly<Record<CautionId, string>> = {
  'high tension':
    'Tens of thousands of volts. Hold leads with insulated pliers, keep a pacemaker away, give every spark a short way to earth.',
  'fuel vapour':
    'A spark and fuel vapour: wipe up spills, air the engine bay, keep testers away from plug holes of a flooded engine.',
  'rotating parts':
    'It will turn: out of gear, brake on, chocks, sleeves and hair away from fan and belts, everybody clear of blades, wheels and propeller.',
  battery:
    'Battery gas and short circuits: no flame, no ring or wrench across the posts. Earth lead off first, on last. A lithium battery is never charged as a lead one, nor at all when it is swollen or hot.',
  marine:
    'On a boat: run the blower and sniff the bilge before any spark. Fit only ignition-protected electrical parts; a road part can blow up the boat. Water to the pump before it runs. Where a licensed surveyor or electrician is required, the work is theirs.',
  'hot engine': 'Exhaust, head and plugs of an engine that has run burn the hand: let it cool, or gloves.',
  'hot coolant':
    'Hot coolant is under pressure and scalds: never open the cap of a warm engine; a rag, a quarter turn, face away.',
  'magneto by hand':
    'Magnets that are turned make sparks without any battery: plug leads off and earthed, stop switch at stop. Blades and propeller turn with it; magnets snap on to tools and fingers.',
  'drowned cylinder':
    'It may be full of water or fuel, or seized: the starter bends a rod. Plugs out and turned by hand first; keep clear of the holes.',
  'diesel may fire':
    'Nothing has to spark: a diesel that is turned may start. Hold its stop out, out of gear, everybody clear.',
  'run-away':
    'A diesel can run away on its own oil or on fuel in its intake: a board at hand to shut the intake, nobody in line with the flywheel.',
  'high-pressure jets':
    'A jet from an injection pipe goes through skin and glove, and blood poisoning follows: never a hand or a rag near it, goggles, a shield; to hospital at once if it has struck.',
  'compressed air':
    'Air in a cylinder turns the engine: the crank held, tools off the pulley, hands clear; air in slowly, goggles.',
  lifting:
    'Work underneath only on stands or a proper hoist, never on a jack alone; wheels chocked. What is heavy comes down when its last bolt is out.',
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
