import { KEY_OFF, type Check, type CheckMaker } from '../../../machine/check.ts';

/** End to end, then to earth, both ends off. */
export const signalWireOhms: CheckMaker = () => {
  const at = (id: string, label: string, touch: string, watch: string, red: string, black: string): Check => ({
    id,
    station: 'sensor-wires',
    label,
    set: 'Key off, the signal wire off at the sensor and at the module.',
    touch,
    watch,
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red, black, bench: 'sensor-signal' },
    state: KEY_OFF,
    minutes: 1.5,
    opens: ['cap off', 'connectors apart'],
    cautions: [],
  });
  return [
    at(
      'signal-wire',
      'Sensor’s signal wire, end to end',
      'One probe on each end; move the wire as you read.',
      'Nearly nothing, and steady.',
      'signal',
      'trg-in',
    ),
    at(
      'signal-wire-earth',
      'Sensor’s signal wire to earth',
      'Red to the wire, black to bare metal on the engine block.',
      'OL. Near nothing: it has rubbed through.',
      'trg-in',
      'block',
    ),
  ];
};
