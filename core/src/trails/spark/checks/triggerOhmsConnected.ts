import { hasPart, KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

/** With the connector left on, what listens stands in parallel: quicker, less sharp, and so with a figure of its own. */
export const triggerOhmsConnected: CheckMaker = (machine) => {
  const unit = ['pack', 'module', 'computer'].find((id) => hasPart(machine, id)) ?? 'pack';
  return [
    {
      id: 'trigger-ohms-connected',
      station: 'trigger-connector',
      label: `Trigger resistance at the ${unit}, connector left on`,
      set: 'Engine still, key off, the trigger’s connector together.',
      touch: `Red to the back of the trigger’s wire on the ${unit}’s side, black to the engine.`,
      watch: `The ${unit} stands beside the coil, so it reads a little less than the coil alone; an open coil reads the ${unit}, not OL.`,
      instrument: 'ohmmeter',
      probe: { kind: 'ohms', red: 'trg-in', black: '0' },
      state: KEY_OFF,
      needs: ['trigger', 'trigger-connector'],
      minutes: 1,
      opens: [],
      cautions: [],
    },
  ];
};
