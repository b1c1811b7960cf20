import type { House } from '../schema/house.ts';
import type { Complaint, Conditions, JobEvent } from '../schema/job.ts';
import type { MachineBody } from '../schema/machine.ts';
import { Weigher, type Belief } from './belief.ts';
import { Cells } from './cells.ts';
import { buildModel, type Model, type ModelFault } from './model.ts';
import type { Check } from '../checks/index.ts';
import { count, countTwo, information, opened, outcomeTable, rankChecks, type RankedCheck } from './nextCheck.ts';
import { rankSuspects, stationStates, strayReadings, type StationState, type Suspect } from './suspects.ts';
import { judge, type Verdict } from './verdict.ts';

export interface Trace {
  readonly suspects: readonly Suspect[];
  readonly stations: readonly StationState[];
  readonly verdict: Verdict | { kind: 'wait' };
  /** Best first; the second and third are the alternatives. Every check that was not done yet. */
  readonly ranked: readonly RankedCheck[];
  /** Belief that nothing on this trail is wrong (any more). */
  readonly sound: number;
  readonly outside: number;
  /** Readings that fit nothing well, most at odds first. */
  readonly atOdds: readonly { readingId: string; chance: number }[];
  readonly opened: readonly string[];
}

const SUSPECTS_SHOWN = 8;
const AT_ODDS_FROM = 0.5;
/** Below this no check tells anything worth its walk, bits. */
const WORTH_ASKING = 0.001;

/** One machine, ready to be traced: predictions are made once and kept. Same input, same answer. */
export class Tracer {
  readonly model: Model;
  readonly weigher: Weigher;
  private readonly cells: Cells;
  private readonly house: House;
  private readonly first = new Map<string, Belief>();

  constructor(machine: MachineBody, house: House) {
    this.house = house;
    this.model = buildModel(machine, house);
    this.weigher = new Weigher(this.model);
    this.cells = new Cells(this.weigher);
  }

  belief(complaint: Complaint, events: readonly JobEvent[]): Belief {
    return this.weigher.weighAll(complaint, events);
  }

  /** Checks in the order of what they tell per minute. */
  rank(belief: Belief, complaint: Complaint, now: Conditions): RankedCheck[] {
    const counted = count(this.weigher, belief, now, complaint);
    const stray = new Map(strayReadings(this.weigher, belief, complaint).map((r) => [r.readingId, r.chance]));
    return rankChecks(this.weigher, this.cells, belief, counted, settled(belief, stray));
  }

  verdict(
    belief: Belief,
    complaint: Complaint,
    now: Conditions,
    ranked: readonly RankedCheck[],
  ): Verdict | { kind: 'wait' } {
    const counted = count(this.weigher, belief, now, complaint);
    const verdict = judge(this.model, belief, this.house, ranked, (r) => outcomeTable(this.cells, counted, r.check));
    const telling = ranked.some((r) => r.bits > WORTH_ASKING * 20);
    if (now.faultPresent === 'no' && !telling && (verdict.kind === 'check' || verdict.kind === 'nothing left to check'))
      return { kind: 'wait' };
    return verdict;
  }

  trace(complaint: Complaint, events: readonly JobEvent[], now: Conditions): Trace {
    const belief = this.belief(complaint, events);
    const ranked = this.rank(belief, complaint, now);
    return {
      suspects: rankSuspects(this.weigher, belief, complaint, this.house, SUSPECTS_SHOWN),
      stations: stationStates(this.weigher, belief, this.before(complaint)),
      verdict: this.verdict(belief, complaint, now, ranked),
      ranked,
      sound: belief.weighed.reduce((sum, w) => sum + (w.remaining.length ? 0 : w.mass), 0),
      outside: belief.outside,
      atOdds: strayReadings(this.weigher, belief, complaint)
        .filter((r) => r.chance > AT_ODDS_FROM)
        .sort((a, b) => b.chance - a.chance),
      opened: [...opened(belief, this.weigher)],
    };
  }

  /** How well one check tells two accounts apart, 0…1 bit, each being as likely as the other. */
  separation(one: readonly ModelFault[], other: readonly ModelFault[], check: Check): number {
    return information(this.cells, countTwo(this.weigher.ensemble(one), this.weigher.ensemble(other)), check);
  }

  /** What was thought before any reading. */
  private before(complaint: Complaint): Belief {
    const key = `${complaint.symptom}|${complaint.pattern}`;
    let known = this.first.get(key);
    if (!known) this.first.set(key, (known = this.belief(complaint, [])));
    return known;
  }
}

/** A reading this likely to have missed its mark is worth taking once more. */
const REPEAT_FROM = 0.2;

/**
 * Checks that are not offered: done since the last repair, while the fault was there. One whose reading looks like a
 * slip of the probe is offered once more.
 */
function settled(belief: Belief, stray: ReadonlyMap<string, number>): Set<string> {
  const { readings, repaired } = belief.story;
  const since = readings.filter((p) => p.repaired.size === repaired.size && p.reading.faultPresent !== 'no');
  const times = new Map<string, number>();
  for (const { reading } of since) times.set(reading.checkId, (times.get(reading.checkId) ?? 0) + 1);
  const doubtful = (id: string, checkId: string) => (stray.get(id) ?? 0) > REPEAT_FROM && times.get(checkId) === 1;
  return new Set(since.filter((p) => !doubtful(p.reading.id, p.reading.checkId)).map((p) => p.reading.checkId));
}

const TRACERS_KEPT = 6;
const tracers = new Map<string, Tracer>();

/** The tracer of this machine under these house rules; the last few are kept, with what they have simulated. */
export function tracerFor(machine: MachineBody, house: House): Tracer {
  const key = JSON.stringify([machine.fitOut, machine.plates, house]);
  const tracer = tracers.get(key) ?? new Tracer(machine, house);
  tracers.delete(key);
  tracers.set(key, tracer);
  for (const oldest of tracers.keys()) if (tracers.size > TRACERS_KEPT) tracers.delete(oldest);
  return tracer;
}

/** Pure: suspects, next check and verdict from the machine, what was complained of, and what has happened. */
export function trace(
  machine: MachineBody,
  complaint: Complaint,
  events: readonly JobEvent[],
  house: House,
  now: Conditions = { warmth: 'unknown', faultPresent: 'unknown' },
): Trace {
  return tracerFor(machine, house).trace(complaint, events, now);
}
