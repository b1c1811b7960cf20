import { writeNetlist, type Element } from '../../../network/index.ts';
import type { Scene } from '../../../machine/scene.ts';
import { control, POLE_PAIRS, rectifier, windings } from '../waves.ts';
import { chargerOn, type Way, type Wired } from './rewiring.ts';

/**
 * A way of wiring, wave by wave: winding, its diodes, the unit's control, wire, battery at its volts (node `battery`).
 * `control` is where the unit stands: letting all through, or holding it back. Rev/min of the engine.
 */
export function rewired(
  scene: Scene,
  way: Way,
  rpm: number,
  wireOhms: number,
  holding: boolean,
  volts: number,
): Element[] {
  const e = chargerOn(scene, way, rpm);
  const hertz = (rpm / 60) * POLE_PAIRS;
  const phases = e.winding === 'three' ? 3 : 1;
  const back = phases === 3 ? 'star' : way.legs === 1 ? 'core' : 'leg2';
  const elements: Element[] = [
    { type: 'voltage', id: 'battery', a: 'battery', b: '0', volts },
    { type: 'resistor', id: 'wire', a: 'out', b: 'battery', ohms: wireOhms },
  ];
  elements.push(...windings(e, hertz, back));
  const legs = phases === 3 ? ['leg1', 'leg2', 'leg3'] : way.legs === 1 ? ['leg1'] : ['leg1', 'leg2'];
  const bus = way.control === 'series' ? 'bus' : 'out';
  elements.push(...rectifier(e, legs, bus, '0'));
  if (way.control === 'shunt') for (const leg of legs) elements.push(control(`shunt-${leg}`, leg, '0', holding));
  if (way.control === 'series') elements.push(control('series', bus, 'out', !holding));
  if (way.legs === 1) elements.push({ type: 'resistor', id: 'core', a: 'core', b: '0', ohms: 1e-3 });
  // A winding that hangs on its diodes alone has its middle somewhere.
  else elements.push({ type: 'resistor', id: 'middle', a: back, b: '0', ohms: 1e6 });
  return elements;
}

/** The same as a SPICE netlist, eight turns of its waves. */
export function rewiredNetlist(scene: Scene, { way, toBattery, fast }: Wired, volts: number): string {
  const wireOhms = Math.max(1e-3, toBattery.lostVolts / Math.max(0.5, fast.takenAmps));
  const hertz = (fast.rpm / 60) * POLE_PAIRS;
  const written = writeNetlist(
    `${way.label}, ${Math.round(fast.rpm)} rev/min`,
    { elements: rewired(scene, way, fast.rpm, wireOhms, false, volts), couplings: [] },
    { kind: 'tran', step: 1 / (200 * hertz), until: 8 / hertz, fromInitial: true },
  );
  if (!written.ok) throw new Error(`${written.code}: ${written.element}`);
  return written.text;
}
