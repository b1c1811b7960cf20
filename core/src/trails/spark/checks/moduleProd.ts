import { SPARK_CAUTIONS, type CheckMaker } from '../../../machine/check.ts';

/** The module told by hand: it proves module, feed, earth and coil without the trigger. */
export const moduleProd: CheckMaker = (machine) => [
  {
    id: 'module-prod',
    station: 'module',
    label: 'Spark when the module is triggered by hand',
    set: 'Key on, engine still, trigger wire off the module. Coil lead into the tester, its clip on the engine block.',
    touch:
      (machine.fit.trigger ?? 'magnetic') === 'magnetic'
        ? 'Touch a 1.5 V cell across the module’s trigger terminals and take it away.'
        : 'Touch the module’s signal terminal to earth and take it away.',
    watch:
      'A spark as it is taken away: module, feed, earth and coil are good, and the trigger is not. Not longer than a second at a time.',
    instrument: 'spark tester',
    probe: { kind: 'spark', place: 'coil lead', cylinder: 1 },
    state: { key: 'on', points: 'turning', told: 'by hand' },
    words: ['none', 'weak', 'good'],
    needs: ['module', 'coil-lead'],
    minutes: 4,
    opens: [],
    cautions: SPARK_CAUTIONS.concat(machine.fit.marine ? ['marine'] : []),
  },
];
