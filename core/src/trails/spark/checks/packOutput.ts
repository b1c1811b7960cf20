import { eachOf } from '../../../machine/numbered.ts';
import { outputPeakVolts } from '../dischargeSpark.ts';
import { CRANKING, type CheckMaker } from '../../../machine/check.ts';

/** One for each coil. */
export const packOutput: CheckMaker = (machine) =>
  eachOf(machine, 'coil', (n, named) => ({
    id: `pack-output-${n}`,
    station: 'pack',
    label: `Peak of the pack’s output${named('coil') === 'coil' ? '' : ` to ${named('coil')}`}`,
    set: 'All connected. Crank at full speed, plugs out or earthed.',
    touch: `Peak adapter: red to the pack’s wire to ${named('coil')}, black to the engine.`,
    watch: 'Charge and trigger good but nothing here: the pack. Good here but no spark: wire, coil, earth of the pack.',
    instrument: 'peak adapter',
    picksUp: 12,
    probe: { kind: 'figure', value: (scene) => outputPeakVolts(scene, CRANKING, n) },
    state: CRANKING,
    needs: ['pack'],
    minutes: 1.8,
    opens: [],
    cautions: ['capacitor charge', 'rotating parts'],
  }));
