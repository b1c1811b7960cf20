import { writeNetlist, type Element } from '../../../network/index.ts';
import type { Scene } from '../../../machine/scene.ts';
import { chargerOn, type Way, type Wired } from './rewiring.ts';

/** Pairs of poles under such a flywheel. */
const POLE_PAIRS = 6;
const SHUNT_ON_OHMS = 0.02;

/** About three quarters of a volt at some amperes. */
const junction = (id: string, a: string, b: string): Element => ({
  type: 'diode',
  id,
  a,
  b,
  saturationAmps: 1e-9,
  emission: 1.3,
  seriesOhms: 2e-3,
});

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
  const henries = e.reactanceOhms / (2 * Math.PI * hertz);
  const phases = e.winding === 'three' ? 3 : 1;
  const back = phases === 3 ? 'star' : way.legs === 1 ? 'core' : 'leg2';
  const elements: Element[] = [
    { type: 'voltage', id: 'battery', a: 'battery', b: '0', volts },
    { type: 'resistor', id: 'wire', a: 'out', b: 'battery', ohms: wireOhms },
  ];
  for (let k = 0; k < phases; k++) {
    const [source, inside, leg] = [`e${k + 1}`, `l${k + 1}`, `leg${k + 1}`];
    elements.push(
      {
        type: 'voltage',
        id: source,
        a: source,
        b: back,
        volts: 0,
        wave: {
          kind: 'sine',
          offset: 0,
          amplitude: e.emfVolts * Math.SQRT2,
          hertz,
          delay: -k / (3 * hertz),
          damping: 0,
        },
      },
      { type: 'resistor', id: `winding${k + 1}`, a: source, b: inside, ohms: e.ohms },
      { type: 'inductor', id: `coil${k + 1}`, a: inside, b: leg, henries },
    );
  }
  const legs = phases === 3 ? ['leg1', 'leg2', 'leg3'] : way.legs === 1 ? ['leg1'] : ['leg1', 'leg2'];
  const bus = way.control === 'series' ? 'bus' : 'out';
  for (const leg of legs) {
    elements.push(junction(`up-${leg}`, leg, bus));
    if (way.legs > 1) elements.push(junction(`down-${leg}`, '0', leg));
    if (way.control === 'shunt')
      elements.push({
        type: 'switch',
        id: `shunt-${leg}`,
        a: leg,
        b: '0',
        closed: holding,
        onOhms: SHUNT_ON_OHMS,
        offOhms: 1e6,
      });
  }
  if (way.control === 'series')
    elements.push({
      type: 'switch',
      id: 'series',
      a: bus,
      b: 'out',
      closed: !holding,
      onOhms: SHUNT_ON_OHMS,
      offOhms: 1e6,
    });
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
