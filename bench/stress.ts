import {
  buildModel,
  follow,
  HiddenMachine,
  seededRandom,
  Tracer,
  type Check,
  type House,
  type MachineBody,
  type Random,
  type RankedCheck,
} from '@pondu/core';
import { calibrationError, complaintOf } from './tracing.ts';

/** Worse machines and clumsier hands than the model assumes. */
const WORSE = { stretch: 2, misprobe: 0.08, wrongPlates: 0.1, wrongBy: 1.5, cannotTell: 0.2 } as const;
const MOST = 40;

/** The machine as it really is: one plate figure in ten is that of another variant. */
function anotherVariant(machine: MachineBody, house: House, random: Random): MachineBody {
  const plates = { ...machine.plates };
  for (const { id, spec, low, high, range } of buildModel(machine, house).plates.values()) {
    if (spec.hidden || random() > WORSE.wrongPlates) continue;
    const by = random() < 0.5 ? WORSE.wrongBy : 1 / WORSE.wrongBy;
    const within = (v: number) => Math.min(range.high, Math.max(range.low, v * by));
    plates[id] = { low: within(low), high: within(high), source: 'measured on a good one', note: '' };
  }
  return { ...machine, plates };
}

/** Takes what is proposed, but for looks that nothing could be made of. */
function groping(random: Random) {
  const given = new Set<string>();
  return (_belief: unknown, ranked: readonly RankedCheck[]): Check | undefined => {
    for (const { check } of ranked) {
      if (given.has(check.id)) continue;
      if (check.instrument !== 'eyes' || random() > WORSE.cannotTell) return check;
      given.add(check.id);
    }
    return ranked[0]?.check;
  };
}

/** Every `every`th fault of a kind once, as assumed and under stress. */
export function stressOf(machine: MachineBody, house: House, dearFrom: number, every: number) {
  const tracer = new Tracer(machine, house);
  const runs: { right: boolean; share: number; wrongDear: boolean; name: string }[] = [];
  tracer.model.faults.forEach((fault, k) => {
    if (k % every) return;
    const random = seededRandom(7000 + k);
    const real = buildModel(anotherVariant(machine, house, random), house);
    const own = real.faults.find((f) => f.id === fault.id)!;
    const hidden = new HiddenMachine(real, [own], random, WORSE);
    const complaint = complaintOf(hidden);
    if (!complaint) return;
    const { named, share } = follow(tracer, complaint, hidden, { most: MOST, choose: groping(random) });
    const right = named === fault.repairId;
    const dear = !right && (tracer.model.repairs.get(named)?.money ?? 0) >= dearFrom;
    runs.push({ right, share, wrongDear: dear, name: `${fault.id} → ${named}` });
  });
  const part = (of: (r: (typeof runs)[number]) => boolean) => Number((runs.filter(of).length / runs.length).toFixed(4));
  const meanShare = runs.reduce((sum, r) => sum + r.share, 0) / runs.length;
  return {
    runs: runs.length,
    rightRepair: part((r) => r.right),
    wrongDear: part((r) => r.wrongDear),
    meanBelief: Number(meanShare.toFixed(4)),
    calibrationError: Number(calibrationError(runs).toFixed(4)),
    wrong: runs.filter((r) => !r.right).map((r) => r.name),
  };
}
