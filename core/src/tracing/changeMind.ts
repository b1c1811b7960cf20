import type { Check } from '../trails/checks.ts';
import type { Cells, CellReading } from './cells.ts';
import { add, outcomes, type Counted } from './counting.ts';
import type { RankedCheck } from './nextCheck.ts';

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
  const owns = counted.groups.map((group) => group.split('+').includes(repairId));
  for (const { check } of [...ranked].sort((a, b) => b.bits - a.bits).slice(0, ASKED)) {
    const { base, table, alike } = outcomes(cells, counted, check, { rough: true });
    const [all, own] = [new Float64Array(base.length), new Float64Array(base.length)];
    // Groups that read like the sound machine share its row.
    let [alikeAll, alikeOwn] = [0, 0];
    alike.forEach((mass, g) => {
      alikeAll += mass;
      if (owns[g]) alikeOwn += mass;
      if (table[g]) add(all, table[g], 1);
      if (table[g] && owns[g]) add(own, table[g], 1);
    });
    add(all, base, alikeAll);
    add(own, base, alikeOwn);
    let best: MindChanger | undefined;
    for (const [c, chance] of all.entries()) {
      const share = own[c]! / chance;
      if (chance < LIKELY || share > FALLS_TO || chance < (best?.chance ?? 0)) continue;
      best = { check, reading: cells.reading(check, c), share, chance };
    }
    if (best) found.push(best);
  }
  return found.sort((a, b) => b.chance - a.chance).slice(0, most);
}
