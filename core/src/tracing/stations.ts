import type { Complaint } from '../schema/job.ts';
import type { Belief, Weigher } from './belief.ts';
import type { PlacedReading } from './events.ts';
import type { ModelFault } from './model.ts';
import { faultShares, presentShares } from './suspects.ts';

/**
 * What is known of a station: `proven` by readings that its faults would have changed, `cleared` because something else
 * explains the complaint, though nobody measured here, or neither.
 */
export interface StationState {
  readonly id: string;
  readonly share: number;
  readonly state: 'proven' | 'cleared' | 'lost here' | 'unknown';
}

const LOST_FROM = 0.5;
/** From here on a fault is taken to be there when it is asked what readings prove besides. */
const LEADS_FROM = 0.3;
/** Cleared: brought to a small part of what it was suspected of at first. */
const CLEARED_BELOW = 0.01;
const CLEARED_FALL = 0.2;
/** A station that holds more of the belief than this is not proven, whatever was read. */
const PROVEN_BELOW = 0.05;
/** Proven: readings speak against so much of what it was suspected of. */
const PROVEN_SHARE = 0.8;
/** A fault that readings made so many times less likely than the machine without it is disproved. */
const DISPROVED = Math.log(1 / 6);

/** A reading that the leading fault makes no less likely than so much of what the sound machine would is explained by it. */
const EXPLAINED = Math.log(1 / 2);

/** Belief by station. */
export function stationShares(belief: Belief): Map<string, number> {
  const shares = new Map<string, number>();
  for (const [{ part }, mass] of presentShares(belief))
    shares.set(part.station, (shares.get(part.station) ?? 0) + mass);
  return shares;
}

function partition<T>(all: readonly T[], is: (one: T) => boolean): [T[], T[]] {
  const parts: [T[], T[]] = [[], []];
  for (const one of all) parts[is(one) ? 0 : 1].push(one);
  return parts;
}

/** What the readings alone say of a fault, whatever else would explain them. */
class Proofs {
  private readonly weigher: Weigher;
  private readonly complaint: Complaint;
  private readonly readings: readonly PlacedReading[];
  private readonly lead: ModelFault | undefined;
  /** Readings in which the leading fault shows, and those of them that it explains. */
  private readonly leading: ReadonlySet<PlacedReading>;
  private readonly explained: ReadonlySet<PlacedReading>;

  constructor(weigher: Weigher, belief: Belief, complaint: Complaint) {
    this.weigher = weigher;
    this.complaint = complaint;
    this.readings = belief.story.weighed;
    const [first] = [...faultShares(belief)].sort((a, b) => b[1] - a[1]);
    const lead = (this.lead = first && first[1] > LEADS_FROM ? first[0] : undefined);
    const leading = lead ? this.readings.filter((p) => this.shows(lead, p)) : [];
    this.leading = new Set(leading);
    this.explained = new Set(leading.filter((p) => this.log([lead!], p) > this.log([], p) + EXPLAINED));
  }

  /** Whether this fault alone would change a reading. */
  private shows(fault: ModelFault, placed: PlacedReading): boolean {
    const check = this.weigher.check(placed.reading.checkId);
    return (
      check !== undefined && this.weigher.ensemble([fault]).predict(check) !== this.weigher.ensemble([]).predict(check)
    );
  }

  /** Readings since something was last opened at a station: what was closed up again is as proven as it was left. */
  private since(station: string): readonly PlacedReading[] {
    const opening = this.readings.findLastIndex(({ reading }) => {
      const check = this.weigher.check(reading.checkId);
      return check?.station === station && check.opens.length > 0;
    });
    return opening < 0 ? this.readings : this.readings.slice(opening);
  }

  private log(faults: readonly ModelFault[], placed: PlacedReading): number {
    const check = this.weigher.check(placed.reading.checkId)!;
    return this.weigher.broughtLog(faults, placed, check, this.complaint);
  }

  /**
   * How one reading bears on a fault: its log-likelihood with the fault less that without it, on the machine with the
   * leading fault once one leads, else on the sound one. None where the fault changes nothing.
   */
  private against(fault: ModelFault, placed: PlacedReading): number {
    if (fault === this.lead || placed.repaired.has(fault.repairId) || !this.shows(fault, placed)) return 0;
    const lead = this.lead && !placed.repaired.has(this.lead.repairId) ? [this.lead] : [];
    // What the leading fault explains, one more that would read otherwise would have spoilt: nothing is played together.
    const beside = this.explained.has(placed) ? [] : lead;
    return this.log([...beside, fault], placed) - this.log(lead, placed);
  }

  /** Whether the leading fault and this one both show in a reading that the leading one does not explain. */
  private playedTogether(fault: ModelFault, placed: PlacedReading): boolean {
    return this.leading.has(placed) && !this.explained.has(placed) && this.shows(fault, placed);
  }

  disproves(fault: ModelFault): boolean {
    let sum = 0;
    // What takes no playing first: mostly it settles the matter.
    const [plain, together] = partition(
      this.since(fault.part.station),
      (placed) => !this.playedTogether(fault, placed),
    );
    for (const placed of [...plain, ...together]) {
      sum += this.against(fault, placed);
      if (sum < DISPROVED) return true;
    }
    return false;
  }
}

/** The stations of a machine as the readings leave them; `before` is what was thought before any. */
export function stationStates(weigher: Weigher, belief: Belief, before: Belief, complaint: Complaint): StationState[] {
  const [now, first] = [stationShares(belief), stationShares(before)];
  const proofs = new Proofs(weigher, belief, complaint);
  const suspected = new Map<string, [ModelFault, number][]>();
  for (const [fault, mass] of faultShares(before)) {
    const at = suspected.get(fault.part.station);
    if (at) at.push([fault, mass]);
    else suspected.set(fault.part.station, [[fault, mass]]);
  }
  const isProven = (id: string, prior: number): boolean => {
    // The likeliest first: what is left open soon settles it.
    const faults = (suspected.get(id) ?? []).sort((a, b) => b[1] - a[1]);
    let open = 0;
    for (const [fault, mass] of faults) {
      if (belief.story.repaired.has(fault.repairId) || proofs.disproves(fault)) continue;
      open += mass;
      if (open > (1 - PROVEN_SHARE) * prior) return false;
    }
    return true;
  };
  return weigher.model.machine.stations.map(({ id }) => {
    const [mass, prior] = [now.get(id) ?? 0, first.get(id) ?? 0];
    const state = (): StationState['state'] => {
      if (mass > LOST_FROM) return 'lost here';
      if (belief.story.readings.length === 0 || prior === 0) return 'unknown';
      if (mass < PROVEN_BELOW && isProven(id, prior)) return 'proven';
      return mass < CLEARED_BELOW && mass < CLEARED_FALL * prior ? 'cleared' : 'unknown';
    };
    return { id, share: mass, state: state() };
  });
}
