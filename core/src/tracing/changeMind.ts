import type { Check } from '../trails/checks.ts';
import type { Cells, CellReading } from './cells.ts';
import { outcomeTable, type Counted, type RankedCheck } from './nextCheck.ts';

/** A reading that would change what is thought of the leading suspect. */
export interface MindChanger {
  readonly check: Check;
  /** The reading, or the stretch of the ruler in which it lies. */
  readonly reading: CellReading;
  /** What the leading repair's share would fall to. */
  readonly share: number;
  /** Chance of such a reading, as things are thought now. */
  readonly chance: number;
}

/** Only what would really change it: below half, and not by a one-in-a-thousand slip. */
const FALLS_TO = 0.5;
const LIKELY = 0.003;
const ASKED = 30;

/** For the repair that leads: the readings of checks not made yet that would take the lead from it, likeliest first. */
export function mindChangers(
  cells: Cells,
  counted: Counted,
  ranked: readonly RankedCheck[],
  repairId: string,
  most = 3,
): MindChanger[] {
  const found: MindChanger[] = [];
  for (const { check } of [...ranked].sort((a, b) => b.bits - a.bits).slice(0, ASKED)) {
    const table = outcomeTable(cells, counted, check);
    const rows = [...table.values()];
    const owns = [...table.keys()].map((group) => group.split('+').includes(repairId));
    const size = rows[0]?.length ?? 0;
    let best: MindChanger | undefined;
    for (let c = 0; c < size; c++) {
      let [all, own] = [0, 0];
      for (const [g, row] of rows.entries()) {
        all += row[c]!;
        if (owns[g]) own += row[c]!;
      }
      if (all < LIKELY || own / all > FALLS_TO || all < (best?.chance ?? 0)) continue;
      best = { check, reading: cells.reading(check, c), share: own / all, chance: all };
    }
    if (best) found.push(best);
  }
  return found.sort((a, b) => b.chance - a.chance).slice(0, most);
}
