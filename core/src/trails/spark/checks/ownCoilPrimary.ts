import { eachOf, idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker, nodeOf, hasPart } from '../../../machine/check.ts';

/** Coil of a cylinder's own, its wire off: one for each. */
export const ownCoilPrimary: CheckMaker = (machine) =>
  // On a coil over its plug a driver stands before the primary: nothing is read there.
  machine.fit.spark === 'coil-on-plug'
    ? []
    : eachOf(machine, 'coil', (n, named) => ({
        id: `coil-${n}-primary`,
        beside: { what: 'Primaries of the coils', n },
        station: 'coils',
        label: `${named('Coil')} primary resistance`,
        set: 'Engine still, the coil’s small wires off. Short the probes first and subtract what they read.',
        touch: 'Probes on the two ends of its primary: its small terminals, or the terminal and the coil’s earth.',
        watch: 'A low winding is half lead: subtract the probes. Shorted turns do not show here.',
        instrument: 'ohmmeter',
        probe: {
          kind: 'ohms',
          red: nodeOf(machine, idOf('coil', n), 'a'),
          black: nodeOf(machine, idOf('coil', n), 'b'),
          bench: idOf('coil', n),
        },
        state: KEY_OFF,
        minutes: 1,
        opens:
          hasPart(machine, 'flywheel') && hasPart(machine, 'points-1')
            ? ['flywheel off', 'condenser unhooked']
            : ['connectors apart'],
        cautions: [],
      }));
