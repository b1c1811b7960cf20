import type { Scene } from '../../../machine/scene.ts';
import { logistic } from '../../../random/lcg.ts';
import { KEY_ON_OPEN, type Check, type CheckMaker } from '../../../machine/check.ts';

/** Turned by hand with a meter on it: up, down, up. */
function turned(scene: Scene, node: string): Record<string, number> {
  const at = (points: 'open' | 'closed') => {
    const solved = scene.solve({ key: 'on', points });
    return Math.abs(solved.volts(node) - solved.volts('block'));
  };
  const half = scene.machine.fit.volts / 6;
  const [a, b] = [at('open'), at('closed')];
  const swings = logistic((Math.abs(a - b) - half) / (0.1 * half));
  const up = logistic((Math.min(a, b) - half / 2) / (0.1 * half));
  return { swings, 'stays up': (1 - swings) * up, 'stays down': (1 - swings) * (1 - up) };
}

/** At the sensor, and at the module: between them lies the wire. */
export const sensorSignal: CheckMaker = () => {
  const at = (id: string, station: string, node: string, where: string): Check => ({
    id,
    station,
    label: `Sensor’s signal at the ${where}, turned by hand`,
    set: 'Key on. A voltmeter on the signal wire; turn the engine slowly by hand, plugs out if it is stiff.',
    touch: `Red to the signal wire at the ${where}, black to bare metal on the engine block.`,
    watch:
      'Up, down, up as the vane passes. Always up: the sensor does not switch, or its wire is open. Always down: a short.',
    instrument: 'eyes',
    probe: { kind: 'look', sees: (scene) => turned(scene, node) },
    state: KEY_ON_OPEN,
    words: ['swings', 'stays up', 'stays down'],
    needs: ['sensor'],
    minutes: 2,
    opens: where === 'sensor' ? ['cap off'] : [],
    cautions: ['rotating parts'],
  });
  return [at('signal-sensor', 'trigger', 'signal', 'sensor'), at('signal-module', 'module', 'trg-in', 'module')];
};
