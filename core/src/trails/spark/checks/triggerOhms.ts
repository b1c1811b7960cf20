import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

export const triggerOhms: CheckMaker = () => [
  {
    id: 'trigger-ohms',
    station: 'trigger',
    label: 'Trigger coil resistance',
    set: 'Engine still, the trigger’s connector apart.',
    touch: 'Probes on the trigger’s two wires, or its wire and the engine.',
    watch: 'OL is open, far too little is shorted.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: 'trg', black: '0' },
    state: { ...KEY_OFF, unplugged: ['trigger-connector'] },
    minutes: 1,
    opens: ['connectors apart'],
    cautions: [],
  },
];
