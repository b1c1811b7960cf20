import type { House } from '../schema/house.ts';
import type { Complaint, Conditions, JobEvent } from '../schema/job.ts';
import type { MachineBody } from '../schema/machine.ts';
import { Weigher, type Belief } from './belief.ts';
import { Cells } from './cells.ts';
import { buildModel, type Model, type ModelFault } from './model.ts';
import { TRY_IT, type Check } from '../trails/checks.ts';
import { count, countTwo, information, outcomeTable, soundShare, unshownShare } from './counting.ts';
import { opened, rankChecks, type RankedCheck } from './nextCheck.ts';
import { afterwards, type Afterwards } from './afterwards.ts';
import { askFirst } from './askFirst.ts';
import { perMinute } from './repairCost.ts';
import { foundBy, type Found } from './found.ts';
import { byHandFirst, handFirst } from './handFirst.ts';
import { Latest } from './latest.ts';
import { mindChangers, type MindChanger } from './changeMind.ts';
import { SOAK_MINUTES } from './heat.ts';
import { cannotBeAsked, oddTwice, readSince, settled } from './offered.ts';
import { inOrderOf } from './policies.ts';
import { seenBroken } from './seenBroken.ts';
import { AT_ODDS_FROM, faultShares, rankSuspects, strayReadings, type Stray, type Suspect } from './suspects.ts';
import { stationStates, type StationState } from './stations.ts';
import { suspectLines, type SuspectLine } from './suspectLines.ts';
import { trailBelief } from './trailBelief.ts';
import { judge, repairShares, type TrailShare, type Verdict } from './verdict.ts';

export interface Trace {
  readonly suspects: readonly Suspect[];
  /** The same by what would put them right. */
  readonly lines: readonly SuspectLine[];
  /** What readings showed to be wrong, whether or not it explains the complaint. */
  readonly found: readonly Found[];
  readonly stations: readonly StationState[];
  readonly verdict: Verdict | { kind: 'wait' };
  /** What else is surely wrong and is put right after what the verdict calls, in this order. */
  readonly afterwards: readonly Afterwards[];
  /** Best first; the second and third are the alternatives. Every check that was not done yet. */
  readonly ranked: readonly RankedCheck[];
  /** Belief that nothing on this trail is wrong (any more). */
  readonly sound: number;
  /** Belief that what is complained of is not there. */
  readonly unshown: number;
  readonly outside: number;
  /** Belief by trail, told or not. */
  readonly trails: readonly TrailShare[];
  /** Readings that fit nothing well, most at odds first. */
  readonly atOdds: readonly Stray[];
  readonly opened: readonly string[];
  /** Nobody has turned it by hand yet, and its starter might bend a rod. */
  readonly byHandFirst: boolean;
  /** Readings that would take the lead from the leading repair. */
  readonly mindChangers: readonly MindChanger[];
  /** Where a reading is at odds with the rest: the check that would settle whether it missed its mark. */
  readonly settles: Check | undefined;
  /** What the best check tells now, and what one would tell after a soak; only where heat brings the trouble on. */
  readonly soak: { readonly check: Check; readonly bitsNow: number; readonly bitsAfter: number } | undefined;
}

const SUSPECTS_SHOWN = 8;
const BELIEFS_KEPT = 12;
/** Verdicts that wait while the fault is away: what would settle it cannot be seen now. */
const UNSETTLED: ReadonlySet<string> = new Set(['check', 'nothing left to check', 'likeliest left']);
/** Below this no check tells anything worth its walk, bits. */
const WORTH_ASKING = 0.001;

/** All that is simulated of one machine: what a house rule of rates or sureness does not change. */
export class Simulation {
  readonly model: Model;
  readonly weigher: Weigher;
  readonly cells: Cells;
  /** Beliefs by the facts that they rest on; the least lately asked go first. */
  readonly believed = new Latest<string, Belief>(BELIEFS_KEPT);

  constructor(machine: MachineBody, house: House) {
    this.model = buildModel(machine, house);
    this.weigher = new Weigher(this.model);
    this.cells = new Cells(this.weigher);
  }
  /** Machines and house rules with the same one share what is simulated. */
  static keyOf = ({ fitOut, plates }: MachineBody, { owns, repairs, trails }: House): string =>
    JSON.stringify([fitOut, plates, owns, repairs, trails]);
}

/** One machine, ready to be traced: predictions are made once and kept. Same input, same answer. */
export class Tracer {
  readonly model: Model;
  readonly weigher: Weigher;
  private readonly cells: Cells;
  private readonly house: House;
  private readonly believed: Latest<string, Belief>;
  private readonly dearFrom: number;
  private readonly strayed = new WeakMap<Belief, readonly Stray[]>();
  private readonly found = new WeakMap<Belief, readonly Found[]>();

  constructor(machine: MachineBody, house: House, simulation = new Simulation(machine, house)) {
    this.house = house;
    this.dearFrom = house.dearFrom ?? machine.worth / 10;
    this.model = simulation.model;
    this.weigher = simulation.weigher;
    this.cells = simulation.cells;
    this.believed = simulation.believed;
  }

  /** Asked again of the same facts, as card, ruler and suspects do, it is the same belief. */
  belief(complaint: Complaint, events: readonly JobEvent[]): Belief {
    const facts = JSON.stringify([complaint, events]);
    return this.believed.of(facts, () => this.weigher.weighAll(complaint, events));
  }

  /** Checks in the order of what they tell per minute. */
  rank(belief: Belief, complaint: Complaint, now: Conditions): readonly RankedCheck[] {
    const counted = count(this.weigher, belief, now, complaint);
    const ranked = rankChecks(
      this.weigher,
      this.cells,
      belief,
      counted,
      this.notOffered(belief, complaint),
      readSince(belief, complaint),
    );
    const walked = inOrderOf(this.house.policy, this.model, belief, ranked);
    const inOrder = byHandFirst(complaint, belief.story) ? handFirst(this.model.machine, walked) : walked;
    // Put right, then tried: before anything is measured again the engine itself is asked, where it may be mended at all.
    return soundShare(belief) < MENDED_FROM ? inOrder : [...inOrder].sort((a, b) => tries(b) - tries(a));
  }

  /** Done, and what this engine cannot be asked as it is. */
  private notOffered(belief: Belief, complaint: Complaint): ReadonlySet<string> {
    const done = settled(belief, this.strays(belief, complaint), complaint);
    return new Set([...done, ...cannotBeAsked(this.model.checks, complaint, belief.story)]);
  }

  /** Looked for once a belief: ranking, a soak's ranking and the trace itself all ask. */
  private strays(belief: Belief, complaint: Complaint): readonly Stray[] {
    let known = this.strayed.get(belief);
    if (!known) this.strayed.set(belief, (known = strayReadings(this.weigher, belief, complaint)));
    return known;
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
    const untried = ranked[0] !== undefined && tries(ranked[0]) > 0;
    if (
      now.faultPresent === 'no' &&
      !telling &&
      !untried &&
      UNSETTLED.has(verdict.kind === 'fix' ? verdict.why : verdict.kind)
    )
      return { kind: 'wait' };
    if (verdict.kind === 'sound' && untried) return { kind: 'check' };
    // Read twice, a figure that no sound machine shows is no slip that may be passed over.
    if (verdict.kind === 'sound' && oddTwice(this.weigher, belief, this.strays(belief, complaint)))
      return { kind: 'outside', share: belief.outside };
    if (verdict.kind === 'check') {
      const shares = repairShares(this.model, belief, this.house);
      const found = () => this.foundIn(belief, complaint);
      const nextCosts = (ranked[0]?.minutes ?? 0) * perMinute(this.house);
      return seenBroken(this.weigher, belief, shares, this.dearFrom, found, nextCosts) ?? verdict;
    }
    if (verdict.kind !== 'fix') return verdict;
    const { model, weigher, house, dearFrom } = this;
    const separation = (one: readonly ModelFault[], other: readonly ModelFault[], check: Check) =>
      this.separation(one, other, check);
    return askFirst({ model, weigher, house, dearFrom, belief, complaint, ranked, separation }, verdict) ?? verdict;
  }

  /** Looked for once a belief: the verdict and the trace itself both ask. */
  private foundIn(belief: Belief, complaint: Complaint): readonly Found[] {
    let known = this.found.get(belief);
    if (!known) this.found.set(belief, (known = foundBy(this.weigher, belief, complaint)));
    return known;
  }

  /** Whether the reading most at odds missed its mark: what would tell the account with it from the one without it. */
  private settling(
    complaint: Complaint,
    events: readonly JobEvent[],
    belief: Belief,
    ranked: readonly RankedCheck[],
    readingId: string | undefined,
  ): Check | undefined {
    const odd = belief.story.readings.find((r) => r.reading.id === readingId)?.reading;
    if (!odd) return undefined;
    const top = (b: Belief) => [...faultShares(b)].sort((a, c) => c[1] - a[1])[0]?.[0];
    const without = top(
      this.belief(
        complaint,
        events.filter((e) => e.type !== 'reading' || e.reading.id !== readingId),
      ),
    );
    const within = top(belief);
    const again = this.weigher.check(odd.checkId);
    if (!without || !within || without.repairId === within.repairId) return again;
    let best: { check: Check; rate: number } | undefined;
    for (const { check, minutes } of ranked) {
      const rate = this.separation([within], [without], check) / minutes;
      if (rate > (best?.rate ?? 0.02)) best = { check, rate };
    }
    return best?.check ?? again;
  }

  private soaked(belief: Belief, complaint: Complaint, now: Conditions, ranked: readonly RankedCheck[]): Trace['soak'] {
    if (complaint.pattern !== 'hot' || now.faultPresent === 'yes') return undefined;
    const after = this.rank(belief, complaint, {
      faultPresent: 'unknown',
      warmth: 'hot',
      soakMinutes: SOAK_MINUTES,
    })[0];
    if (!after) return undefined;
    const bitsNow = ranked.find((r) => r.check === after.check)?.bits ?? 0;
    return after.bits > bitsNow * 1.2 ? { check: after.check, bitsNow, bitsAfter: after.bits } : undefined;
  }

  trace(complaint: Complaint, events: readonly JobEvent[], now: Conditions): Trace {
    const belief = this.belief(complaint, events);
    const ranked = this.rank(belief, complaint, now);
    const atOdds = this.strays(belief, complaint)
      .filter((r) => r.chance > AT_ODDS_FROM)
      .sort((a, b) => b.chance - a.chance);
    const leading = repairShares(this.model, belief, this.house)[0];
    const verdict = this.verdict(belief, complaint, now, ranked);
    const called = verdict.kind === 'fix' ? verdict.repair.id : undefined;
    return {
      mindChangers: leading
        ? mindChangers(this.cells, count(this.weigher, belief, now, complaint), ranked, called ?? leading.repair.id)
        : [],
      settles: this.settling(complaint, events, belief, ranked, atOdds[0]?.readingId),
      soak: this.soaked(belief, complaint, now, ranked),
      suspects: rankSuspects(this.weigher, belief, complaint, this.house, SUSPECTS_SHOWN),
      lines: suspectLines(this.model, belief, this.house, SUSPECTS_SHOWN, called),
      found: this.foundIn(belief, complaint),
      stations: stationStates(this.weigher, belief, this.before(complaint), complaint),
      verdict,
      afterwards: called === undefined ? [] : afterwards(this.model, belief, called),
      ranked,
      sound: soundShare(belief),
      unshown: unshownShare(belief),
      outside: belief.outside,
      trails: trailBelief(belief),
      atOdds,
      opened: [...opened(belief, this.weigher)],
      byHandFirst: byHandFirst(complaint, belief.story),
    };
  }

  /** How well one check tells two accounts apart, 0…1 bit, each being as likely as the other. */
  separation(one: readonly ModelFault[], other: readonly ModelFault[], check: Check): number {
    return information(this.cells, countTwo(this.weigher.ensemble(one), this.weigher.ensemble(other)), check);
  }

  /** What was thought before any reading. */
  private before(complaint: Complaint): Belief {
    return this.belief(complaint, []);
  }
}

/** Less likely mended than this, the engine need not be asked again what a reading has just shown. */
const MENDED_FROM = 0.02;
const tries = (ranked: RankedCheck): number => Number(ranked.check.id === TRY_IT);
