import { KEY_OFF, STOP_AT_RUN, type CheckMaker } from '../../../machine/check.ts';

export const stopSwitchOhms: CheckMaker = () => [
  {
    id: 'stop-switch',
    station: 'stop-switch',
    label: 'Stop switch alone, at run',
    set: 'Engine still, the wire off the switch, switch at run, tether clip on.',
    touch: 'Red to the switch’s terminal, black to its earth.',
    watch: 'OL at run, nearly nothing at stop: work it a few times, and pull the tether.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: 'stop-1', black: '0', bench: 'stop-switch' },
    state: STOP_AT_RUN,
    minutes: 3,
    opens: [],
    cautions: [],
  },
  {
    id: 'stop-switch-stops',
    station: 'stop-switch',
    label: 'Stop switch alone, at stop',
    set: 'Engine still, the wire off the switch, switch at stop; then the tether pulled.',
    touch: 'Red to the switch’s terminal, black to its earth.',
    watch: 'Next to nothing at stop. OL: it does not earth any more.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: 'stop-1', black: '0', bench: 'stop-switch' },
    state: KEY_OFF,
    minutes: 3,
    opens: [],
    cautions: [],
  },
];
