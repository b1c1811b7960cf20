import type { Complaint, Happening } from '../schema/job.ts';
import type { ModelFault } from './model.ts';

/** A kind of part and its ways of failing; all of them where none is named. */
type Hit = readonly [kind: string, modes?: readonly string[]];
/** By how much it makes what it does likelier; judgement. */
const FACTOR = 8;

/** What befell a machine, and what that does to it. */
const DOES: Readonly<Record<Happening, readonly Hit[]>> = {
  'under water': [
    ['engine to be turned', ['locked', 'stiff']],
    ['fuel tank', ['watered']],
    ['starter motor'],
    ['starter solenoid'],
    ['connector'],
    ['distributor cap', ['damp', 'tracked']],
    ['wire', ['corroded']],
    ['start wire', ['corroded']],
    ['breaker points', ['burnt']],
  ],
  'stood in the wet': [
    ['engine to be turned', ['locked', 'stiff']],
    ['fuel tank', ['watered']],
    ['distributor cap', ['damp', 'tracked']],
    ['connector', ['dirty']],
    ['wire', ['corroded']],
  ],
  'jump leads reversed': [
    ['alternator', ['diode-open', 'diode-shorted']],
    ['regulator', ['dead']],
    ['regulator-rectifier', ['dead', 'leaks']],
    ['fuse', ['blown']],
    ['charge wire', ['broken']],
    ['ignition module', ['dead']],
    ['engine computer', ['dead']],
    ['battery-fed pack', ['dead']],
    ['generator', ['no-residual']],
  ],
  overheated: [
    ['head gasket'],
    ['piston rings'],
    ['engine to be turned', ['stiff']],
    ['float', ['boils', 'boiled-dry']],
  ],
};

export function happenedWeight({ happened = [] }: Complaint, { part, mode }: ModelFault): number {
  const hit = happened.some((h) =>
    DOES[h].some(([kind, modes]) => part.kind.kind === kind && (modes?.includes(mode.id) ?? true)),
  );
  return hit ? FACTOR : 1;
}
