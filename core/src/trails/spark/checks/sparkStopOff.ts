import { partsOf } from '../../../machine/numbered.ts';
import { sparkEvery } from './sparkEvery.ts';
import { CRANKING, type CheckMaker } from '../../../machine/check.ts';

/** The cheapest proof of a stop line: away with it, and see whether the spark comes back. */
export const sparkStopOff: CheckMaker = (machine) => {
  const wires = partsOf(machine, 'stop-wire').map((p) => p.id);
  if (wires.length === 0) return [];
  return sparkEvery(machine).map((check) => ({
    ...check,
    id: 'spark-stop-off',
    station: 'stop-wire',
    label: 'Spark with the stop wire unplugged',
    set: 'Stop wire unplugged at the engine. Crank, out of gear; one lead after the other.',
    watch:
      'If it fires now, the stop line was killing it. It will not stop by its switch: keep the choke or the fuel tap in reach, and plug the wire back in.',
    state: { ...CRANKING, unplugged: wires },
    minutes: check.minutes + 0.5,
    opens: ['connectors apart'],
  }));
};
