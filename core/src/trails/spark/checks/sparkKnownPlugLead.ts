import { eachOf, idOf } from '../../../machine/numbered.ts';
import { CRANKING, SPARK_CAUTIONS, type CheckMaker } from '../../../machine/check.ts';

/** A lead or boot that is known to be good, or the neighbour's, in place of this one: one for each. */
export const sparkKnownPlugLead: CheckMaker = (machine) =>
  eachOf(machine, 'lead', (n) => ({
    id: `spark-known-lead-${n}`,
    station: 'plug-leads',
    label: `Spark with a known-good lead on cylinder ${n}`,
    set: 'A good lead or boot in its place, or exchanged with its neighbour. Crank, out of gear.',
    touch: 'Its end into the tester; tester’s clip on the engine.',
    watch: 'If the spark comes back, the old lead was the fault.',
    instrument: 'spark tester',
    probe: { kind: 'spark', place: 'plug lead', cylinder: n },
    state: { ...CRANKING, clipped: [idOf('lead', n)] },
    words: ['none', 'weak', 'good'],
    needs: ['coil-1'],
    minutes: 3,
    opens: [],
    cautions: SPARK_CAUTIONS.concat(machine.fit.marine ? ['marine'] : []),
  }));
