import { figuresAt } from '../../../machine/figures.ts';
import { idOf } from '../../../machine/numbered.ts';
import { logistic } from '../../../random/lcg.ts';
import { CRANKING, hasPart, SPARK_CAUTIONS, type Check, type CheckMaker } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import { seen } from '../../../machine/seen.ts';

/** Below this a lead, damp or cracked, glows where it leaks. Ohms. */
const GLOWS = 1e6;
/** Volts that make it visible. */
const GLOWS_FROM = 2000;

/** Leads watched in the dark: a leak to earth shows itself while there is voltage to leak. */
const FROM_LEAD_TO_LEAD = 'jumps from lead to lead';

export const leadsInTheDark: CheckMaker = (machine) => leadsWatched(machine, hasPart(machine, 'lead-order'));

/** `ordered`: leads that come from one cap and lie beside one another. */
const leadsWatched = (machine: Machine, ordered: boolean): Check[] => [
  {
    id: 'leads-in-the-dark',
    station: 'plug-leads',
    label: 'Plug leads watched in the dark',
    set: 'In the dark, plug leads on, crank out of gear; a mist of water from a spray brings it out.',
    touch: 'Look along every lead and boot. Hands off.',
    watch: 'A blue glow or a snap from a lead to metal: its insulation leaks.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const shares: Record<string, number> = {};
        let sound = 1;
        if (ordered) {
          const jumps = seen((figuresAt(scene.params, 'lead-order').crossed ?? 0) > 0, 0.85);
          shares[FROM_LEAD_TO_LEAD] = jumps;
          sound -= jumps;
        }
        for (let i = 1; i <= machine.fit.cylinders; i++) {
          const { availableVolts } = scene.spark('plug lead', CRANKING, i);
          const driven = logistic((availableVolts - GLOWS_FROM) / 300);
          const leaks = figuresAt(scene.params, idOf('lead', i)).shuntOhms < GLOWS;
          // False alarms are spread over all of them.
          const glows = leaks ? seen(true, 0.85) * driven : 0.02 / machine.fit.cylinders;
          shares[`lead ${i} leaks`] = glows * sound;
          sound *= 1 - glows;
        }
        return { ...shares, 'none glows': sound };
      },
    },
    state: CRANKING,
    words: [
      'none glows',
      ...(ordered ? [FROM_LEAD_TO_LEAD] : []),
      ...Array.from({ length: machine.fit.cylinders }, (_, i) => `lead ${i + 1} leaks`),
    ],
    needs: ['lead-1'],
    minutes: 3,
    opens: [],
    cautions: SPARK_CAUTIONS.concat(machine.fit.marine ? ['marine'] : []),
  },
];
