import { eachOf, idOf, withKnownGood } from '../../../machine/numbered.ts';
import { CRANKING, SPARK_CAUTIONS, type CheckMaker, hasPart } from '../../../machine/check.ts';

/** A coil that is known to be good, or the neighbour's, in place of this one: one for each coil. */
export const sparkKnownCoil: CheckMaker = (machine) =>
  eachOf(machine, 'coil', (n, named) => ({
    id: `spark-known-coil-${n}`,
    station: 'coils',
    label: withKnownGood('Spark', 'coil', named),
    set: 'Hook up a good coil of the same kind, or exchange it with its neighbour. Crank, out of gear.',
    touch: 'Its lead into the tester; tester’s clip on the engine.',
    watch: 'If the spark comes back, the old coil was the fault; if not, what drives it.',
    instrument: 'spark tester',
    probe: { kind: 'spark', place: 'plug lead', cylinder: n },
    state: { ...CRANKING, clipped: [idOf('coil', n)] },
    words: ['none', 'weak', 'good'],
    minutes: hasPart(machine, 'points-1') && !hasPart(machine, 'switch') ? 20 : 7,
    opens: [],
    cautions: SPARK_CAUTIONS.concat(machine.fit.marine ? ['marine'] : []),
  }));
