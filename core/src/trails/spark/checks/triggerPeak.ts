import { triggerPeakVolts } from '../generated.ts';
import { CRANKING, hasPart, type Check, type CheckMaker } from '../../../machine/check.ts';

/** At the coil unplugged, and at the pack with all connected: between them lies the connector. */
export const triggerPeak: CheckMaker = (machine) => {
  const unit = ['pack', 'module', 'computer'].find((id) => hasPart(machine, id)) ?? 'pack';
  const open: Check['state'] = { ...CRANKING, unplugged: ['trigger-connector'] };
  const at = (id: string, node: 'trg' | 'trg-in', state: Check['state']): Pick<Check, 'id' | 'probe' | 'state'> => ({
    id,
    probe: { kind: 'figure', value: (scene) => triggerPeakVolts(scene, state, node) },
    state,
  });
  const common: Pick<Check, 'instrument' | 'picksUp' | 'cautions' | 'needs'> = {
    instrument: 'peak adapter',
    picksUp: 0.1,
    cautions: ['rotating parts'],
    needs: ['trigger'],
  };
  return [
    {
      ...common,
      ...at('trigger-peak-open', 'trg', open),
      station: 'trigger',
      label: 'Trigger peak, unplugged',
      set: 'Trigger’s connector apart. Crank at full speed, plugs out or earthed.',
      touch: 'Peak adapter: red to the trigger’s wire, black to its other wire or the engine.',
      watch: 'Right ohms but a low peak: too far from its magnet, or weak magnets.',
      minutes: 1.5,
      opens: ['connectors apart'],
    },
    {
      ...common,
      ...at(`trigger-peak-${unit}`, 'trg-in', CRANKING),
      station: unit,
      label: `Trigger peak at the ${unit}, connected`,
      set: 'All connected. Crank at full speed, plugs out or earthed.',
      touch: `Peak adapter: red to the trigger’s wire on the ${unit}’s side of its connector, black to the engine.`,
      watch: 'Good unplugged but low here: the connector.',
      minutes: 1.8,
      opens: [],
    },
  ];
};
