import { figuresAt, figuresIfAny, withFigures } from '../../machine/figures.ts';
import { triggerPeakVolts } from './generated.ts';
import type { AsFound, Known, MachineParams } from '../../machine/known.ts';

const CRANK = { key: 'crank', points: 'turning' } as const;
/** Below these a sensor, and a module or a computer, does not work; of six-volt machines half. */
const SENSOR_FROM = 4;
export const MODULE_FROM = 6.2;
/** Swing of a signal that a module takes for one. */
const SWING = 2;

const volts = (scene: Known, node: string, points: 'open' | 'closed', earth = 'block'): number => {
  const at = scene.solve({ ...CRANK, points });
  return Math.abs(at.volts(node) - at.volts(earth));
};

/** Swing of the sensor's signal at the module as the vane passes, cranking. Volts. */
const signalSwing = (scene: Known): number =>
  Math.abs(volts(scene, 'trg-in', 'open') - volts(scene, 'trg-in', 'closed'));

/**
 * What follows from a trigger or a supply that fails: a sensor without its volts gives no signal, and a module that is
 * not told, or not fed, fires nothing. Settled once, before anyone measures.
 */
export function settleModule(found: AsFound, params: MachineParams): MachineParams {
  const least = found(params).machine.fit.volts / 12;
  let settled = params;
  const putModule = (figure: 'untold' | 'unfed') => {
    settled = withFigures(settled, 'module', { ...figuresAt(settled, 'module'), [figure]: 1 });
  };
  // The lowest it sees: the coil drawing its current as well.
  const fed = (node: string, earth?: string) => volts(found(settled), node, 'closed', earth);
  const sensor = figuresIfAny(params, 'sensor');
  if (sensor && fed('sensor+') < SENSOR_FROM * least) settled = withFigures(settled, 'sensor', { ...sensor, unfed: 1 });
  const scene = found(settled);
  const told = sensor
    ? signalSwing(scene) > SWING * least
    : triggerPeakVolts(scene, CRANK, 'trg-in') > figuresAt(params, 'module').triggerVolts;
  const commanded = (figuresIfAny(params, 'computer')?.dead ?? 0) < 0.5;
  if (!told || !commanded) putModule('untold');
  if (fed('module+', 'module-') < MODULE_FROM * least) putModule('unfed');
  return settled;
}

/** A computer that commands the coils itself: without its sensor it commands nothing. */
export function settleComputer(found: AsFound, params: MachineParams): MachineParams {
  const scene = found(params);
  const computer = figuresAt(params, 'computer');
  if (triggerPeakVolts(scene, CRANK, 'trg-in') > computer.triggerVolts) return params;
  return withFigures(params, 'computer', { ...computer, untold: 1 });
}
