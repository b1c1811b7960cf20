import { eachOf, idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

/** From the pack's end, through the wire and the coil's primary: one for each coil. */
export const coilWireOhms: CheckMaker = (machine) =>
  eachOf(machine, 'coil', (n, named) => ({
    id: `coil-wire-${n}-ohms`,
    station: 'coil-wires',
    label: `Ohms from the pack through ${named('coil') === 'coil' ? 'the coil' : named('coil')} to earth`,
    set: 'Engine still, the coil’s wire off the pack.',
    touch: `Red to the wire that goes to ${named('coil')}, black to the engine.`,
    watch: 'A fraction of an ohm. OL: measure again at the coil itself, to tell wire from coil.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: `out-${n}`, black: '0' },
    state: KEY_OFF,
    needs: [idOf('coil-wire', n)],
    minutes: 1,
    opens: ['connectors apart'],
    cautions: ['capacitor charge'],
  }));
