import type { Rows } from '../rows.ts';
import type { NodeName } from '../types.ts';

/** What happened: `at` are the accepted times, one column for each node and branch current. */
export interface Transient {
  ok: true;
  at: Float64Array;
  volts: (node: NodeName) => Float64Array;
  /** Current of a source, inductor or controlled source, first node to second. */
  amps: (id: string) => Float64Array;
  steps: number;
  rejected: number;
}

/** Every accepted step of a run as its columns. Throws on a node or a current that the network does not have. */
export function recorded(
  rows: Rows,
  times: readonly number[],
  states: readonly Float64Array[],
  rejected: number,
): Transient {
  const column = (row: number) => Float64Array.from(states, (x) => (row >= 0 ? x[row]! : 0));
  return {
    ok: true,
    at: Float64Array.from(times),
    steps: times.length - 1,
    rejected,
    volts: (node) => {
      const row = rows.node(node);
      if (Number.isNaN(row)) throw new RangeError(`No node "${node}" in this network`);
      return column(row);
    },
    amps: (id) => {
      const row = rows.branch(id);
      if (row < 0) throw new RangeError(`No current of "${id}" is kept: only of sources and inductors`);
      return column(row);
    },
  };
}
