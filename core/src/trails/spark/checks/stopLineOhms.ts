import type { Machine } from '../../../machine/machine.ts';
import { partsOf } from '../../../machine/numbered.ts';
import { KEY_OFF, STOP_AT_RUN, type CheckMaker, type Check } from '../../../machine/check.ts';

/** What else the line may be tied to. */
const TIED = ['connector', 'pack'] as const;
const tiedTo = (machine: Machine): string[] => [
  ...partsOf(machine, 'coil', 'points', 'condenser').map((p) => p.id),
  ...TIED,
];

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
      unplugged: tiedTo(machine),
    },
    minutes: 1,
    opens: ['connectors apart'],
    cautions: [],
  }));

/** And at stop: from the ignition's end, wire and switch together. */
export const stopLineAtStop: CheckMaker = (machine) =>
  partsOf(machine, 'stop-wire').map((wire, i, wires): Check => ({
    id: `stop-line-${i + 1}-stops`,
    station: 'stop-switch',
    label: wires.length > 1 ? `Stop line ${i + 1} to earth, switch at stop` : 'Stop line to earth, switch at stop',
    set: 'Engine still, stop wire unplugged from the ignition, switch at stop or tether pulled.',
    touch: 'Red to the stop wire’s end, black to bare metal on the engine.',
    watch: 'Next to nothing. OL: wire broken, or the switch does not earth it.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: wire.nodes['a']!, black: '0' },
    state: { ...KEY_OFF, unplugged: tiedTo(machine) },
    minutes: 1,
    opens: ['connectors apart'],
    cautions: [],
  }));
