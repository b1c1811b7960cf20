import { houseSchema, storedMachineSchema } from '@pondu/core/schema';
import {
  drawFaultAcross,
  HiddenMachine,
  minutesOf,
  seededRandom,
  Tracer,
  type Conditions,
  type JobEvent,
  type ModelFault,
} from '@pondu/core';
import { KINDS } from './kinds.ts';
import { calibrationError, complaintOf, handsFor } from './tracing.ts';

const DRAWN = Number(process.env['BENCH_DRAWN'] ?? 60);
const MOST = 30;
const NOW: Conditions = { warmth: 'unknown', faultPresent: 'yes' };
const AT = '2026-01-01T00:00:00Z';
const mean = (values: readonly number[]) => Number((values.reduce((a, b) => a + b, 0) / values.length).toFixed(4));

interface Traced {
  fault: ModelFault;
  /** The most suspected trail is the fault's own before the third check. */
  rightTrail: boolean;
  right: boolean;
  named: string;
  share: number;
  minutes: number;
}

/** One complaint of a whole machine, traced to a verdict. */
function traced(tracer: Tracer, fault: ModelFault, seed: number): Traced | undefined {
  const hidden = new HiddenMachine(tracer.model, [fault], seededRandom(seed), handsFor(seed));
  const complaint = complaintOf(hidden);
  if (!complaint) return undefined;
  const events: JobEvent[] = [];
  const open = new Set<never>();
  let [minutes, rightTrail] = [0, false];
  for (;;) {
    const { verdict, ranked, trails } = tracer.trace(complaint, events, NOW);
    if (events.length <= 2) rightTrail = trails[0]?.trail === fault.trail;
    const check = verdict.kind === 'second check' ? verdict.check : ranked[0]?.check;
    if ((verdict.kind !== 'check' && verdict.kind !== 'second check') || !check || events.length >= MOST) {
      const named = verdict.kind === 'fix' ? verdict.repair.id : verdict.kind;
      return {
        fault,
        rightTrail,
        named,
        right: named === fault.repairId,
        share: 'share' in verdict ? verdict.share : 0,
        minutes,
      };
    }
    minutes += minutesOf(check, open);
    const reading = {
      ...NOW,
      id: `${events.length}`,
      checkId: check.id,
      typed: '',
      note: '',
      at: AT,
      value: hidden.read(check),
    };
    events.push({ type: 'reading', reading });
  }
}

/** Complaints drawn from any fault of any trail of a whole machine, as often as trails and faults come. */
export function acrossTrails(): object {
  const house = houseSchema.parse({});
  return Object.fromEntries(
    Object.entries(KINDS)
      .filter(([name]) => name.includes('all its trails'))
      .map(([name, fitOut]) => {
        const tracer = new Tracer(storedMachineSchema.parse({ name, kind: 'boat', worth: 2000, fitOut }), house);
        const random = seededRandom(77);
        const runs = Array.from({ length: DRAWN }, (_, k) =>
          traced(tracer, drawFaultAcross(tracer.model, random), 900 + k),
        ).flatMap((r) => r ?? []);
        const wrong = runs.filter((r) => !r.right).map((r) => `${r.fault.id} → ${r.named}`);
        process.stderr.write(`${name}: done\n`);
        return [
          name,
          {
            runs: runs.length,
            rightTrailBeforeThirdCheck: mean(runs.map((r) => Number(r.rightTrail))),
            rightRepair: mean(runs.map((r) => Number(r.right))),
            calibrationError: Number(calibrationError(runs).toFixed(4)),
            meanMinutes: mean(runs.map((r) => r.minutes)),
            wrong,
          },
        ];
      }),
  );
}
