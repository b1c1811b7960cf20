import { hasPart, KEY_OFF, nodeOf, switching, type CheckMaker } from '../../../machine/check.ts';

export const pointsWire: CheckMaker = (machine) => [
  {
    id: 'points-wire',
    station: 'coil-minus',
    label: `Wire from coil to ${switching(machine).name}, end to end`,
    set: 'Key off, the wire off at both ends.',
    touch: 'Probes on its two ends; pull it gently.',
    watch: 'A core that parts when pulled is broken.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: 'coil-', black: nodeOf(machine, 'coil-minus', 'b'), bench: 'coil-minus' },
    state: KEY_OFF,
    minutes: 0.8,
    opens: hasPart(machine, 'condenser')
      ? ['cap off', 'condenser unhooked', 'coil leads off']
      : ['connectors apart', 'coil leads off'],
    cautions: [],
  },
];
