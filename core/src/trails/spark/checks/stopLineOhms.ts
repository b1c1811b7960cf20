import { partsLike, STOP_AT_RUN, type CheckMaker } from '../../../machine/check.ts';

/** The stop line alone, unplugged from what it earths: open while the switch is at run. */
export const stopLineOhms: CheckMaker = (machine) =>
  partsLike(machine, 'stop-wire-').map((_wire, i, wires) => ({
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
      unplugged: partsLike(machine, 'connector', 'pack', 'coil-', 'points-', 'condenser-').filter(
        (id) => id !== 'pack-earth',
      ),
    },
    minutes: 1,
    opens: ['connectors apart'],
    cautions: [],
  }));
