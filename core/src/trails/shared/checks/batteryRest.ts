import { KEY_OFF, earthPost, touch, type CheckMaker } from '../../../machine/check.ts';

export const batteryRest: CheckMaker = (machine) => [
  {
    id: 'battery-rest',
    station: 'battery',
    label: 'Battery volts, at rest',
    set: 'Key off, lights off.',
    touch: touch(machine, 'post', earthPost(machine)),
    watch: 'Settle a moment; read to a tenth.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'post', earth: earthPost(machine) },
    state: KEY_OFF,
    needs: ['battery'],
    minutes: 0.8,
    opens: [],
    cautions: ['battery'],
  },
];
