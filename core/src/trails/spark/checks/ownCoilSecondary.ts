import { eachOf, idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker, nodeOf } from '../../../machine/check.ts';

/** One for each coil. */
export const ownCoilSecondary: CheckMaker = (machine) =>
  eachOf(machine, 'coil', (n, named) => ({
    id: `coil-${n}-secondary`,
    beside: { what: 'Secondaries of the coils', n },
    station: 'coils',
    label: `${named('Coil')} secondary resistance`,
    set: 'Engine still, plug lead off the coil where it comes off.',
    touch: 'Red into the coil’s tower, black to the coil’s earth.',
    watch: 'OL is open. Insulation that breaks down under voltage reads right here.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: `tower-${n}`, black: nodeOf(machine, idOf('coil', n), 'b'), bench: idOf('coil', n) },
    state: KEY_OFF,
    minutes: 1.2,
    opens: [],
    cautions: [],
  }));
