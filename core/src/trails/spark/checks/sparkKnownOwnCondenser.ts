import { eachOf, idOf, withKnownGood } from '../../../machine/numbered.ts';
import { CRANKING, SPARK_CAUTIONS, type CheckMaker, overPoints, pullerCaution } from '../../../machine/check.ts';

/** A known-good condenser clipped from the stop wire to earth, the old one unhooked: one for each cylinder. */
export const sparkKnownOwnCondenser: CheckMaker = (machine) =>
  eachOf(machine, 'condenser', (n, named) => ({
    id: `spark-known-condenser-${n}`,
    station: 'condenser',
    label: withKnownGood('Spark', 'condenser', named),
    set: 'Old condenser unhooked, a good one clipped between the points’ wire and earth. Crank, out of gear.',
    touch: `Lead ${n} into the tester; tester’s clip on the engine.`,
    watch: 'If the spark comes back, the old condenser was the fault.',
    instrument: 'spark tester',
    probe: { kind: 'spark', place: 'plug lead', cylinder: n },
    state: { ...CRANKING, unplugged: [idOf('condenser', n)], clipped: [idOf('condenser', n)] },
    words: ['none', 'weak', 'good'],
    minutes: 4,
    opens: [overPoints(machine), 'condenser unhooked'],
    cautions: [...SPARK_CAUTIONS, ...pullerCaution(machine)],
  }));
