import { KEY_ON_OPEN, touch, type CheckMaker } from '../../../machine/check.ts';

export const moduleTerminal: CheckMaker = (machine) => [
  {
    id: 'module-terminal',
    station: 'coil-minus',
    label: 'Volts at the module’s terminal for the coil, key on',
    set: 'Key on, engine still.',
    touch: touch(machine, 'switched', 'block'),
    watch:
      'Through the whole primary: the same as at the coil. Nothing here but all of it at the coil: the wire between.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'switched', earth: 'block' },
    state: KEY_ON_OPEN,
    minutes: 1.2,
    opens: machine.fit.module === 'on a heat sink' || machine.fit.module === 'commanded' ? [] : ['cap off'],
    cautions: [],
  },
];
