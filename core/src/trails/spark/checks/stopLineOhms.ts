import { partsOf } from '../../../machine/numbered.ts';
import { STOP_AT_RUN, type CheckMaker } from '../../../machine/check.ts';

/** What else the line may be tied to. */
const TIED = ['connector', 'pack'] as const;

/** The stop line alone, unplugged from what it earths: open while the switch is at run. */
export const stopLineOhms: CheckMaker = (machine) =>
  partsOf(machine, 'stop-wire').map((_wire, i, wires) => ({
    id: `stop-line-${i + 1}`,
    station: 'stop-wire',
    label: wires.length > 1 ? `Stop line ${i + 1} to earth, switch at run` : 'Stop line to earth, switch at run',
    set: 'Engine still, stop wire unplugged from the ignition, switch at run, tether clip on.',
    touch: 'Red to the stop wire on the switch’s side, black to bare metal on the engine.',
    watch: 'OL at run. Anything less kills the spark. It goes to nearly nothing at stop.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: `stop-${i + 1}`, black: '0' },
    // All that the line is tied to, so that only the line is met.
    state: {
      ...STOP_AT_RUN,
      unplugged: [...partsOf(machine, 'coil', 'points', 'condenser').map((p) => p.id), ...TIED],
    },
    minutes: 1,
    opens: ['connectors apart'],
    cautions: [],
  }));
