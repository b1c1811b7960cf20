import { STOP_KINDS } from '../schema/fitOut.ts';
import type { MachineBody } from '../schema/machine.ts';
import { cranked } from './crankMachines.ts';

/** A diesel of each kind of stop trail. */
export const STOPPED: Readonly<Record<string, MachineBody>> = Object.fromEntries(
  STOP_KINDS.map((kind) => [
    kind,
    cranked(
      [
        { trail: 'crank', kind: 'glow', options: { interlocks: [], heat: 'plugs' } },
        { trail: 'stop', kind, options: {} },
      ],
      { compressionRatio: 20 },
    ),
  ]),
);
