import { KEY_ON_OPEN, touch, type CheckMaker } from '../../../machine/check.ts';

export const sensorFeedVolts: CheckMaker = (machine) => [
  {
    id: 'sensor-feed',
    station: 'sensor-wires',
    label: 'Feed at the sensor, key on',
    set: 'Key on, engine still.',
    touch: touch(machine, 'sensor+', 'block'),
    watch: 'What the module gives it. Nothing: its wire, or the module’s own feed.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'sensor+', earth: 'block' },
    state: KEY_ON_OPEN,
    needs: ['sensor'],
    minutes: 1.2,
    opens: ['cap off'],
    cautions: [],
  },
];
