import { describe, expect, it } from 'vitest';
import { BREATHING } from '../__tests__/breathingMachines.ts';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { CRANKED } from '../__tests__/crankMachines.ts';
import { FUELLED } from '../__tests__/fuelMachines.ts';
import { KINDS } from '../__tests__/kinds.ts';
import { house, machine, noFire } from '../__tests__/machines.ts';
import { SQUEEZING } from '../__tests__/squeezingMachines.ts';
import { STOPPED } from '../__tests__/stoppedMachines.ts';
import { TIMED } from '../__tests__/timedMachines.ts';
import { Scene } from '../machine/scene.ts';
import { CRANKING, RUNNING } from '../machine/state.ts';
import { seededRandom } from '../random/lcg.ts';
import type { MachineBody } from '../schema/machine.ts';
import { SYMPTOMS } from '../schema/symptoms.ts';
import { drawSound } from '../tracing/draw.ts';
import { buildModel } from '../tracing/model.ts';
import { complaintLikelihood } from './complaint.ts';
import { howItRuns } from './howItRuns.ts';

const spark = Object.entries(KINDS).map(([name, fit]) => [name, machine(fit)] as const);
const MACHINES: readonly (readonly [string, MachineBody])[] = [
  ...spark,
  ...[FUELLED, BREATHING, SQUEEZING, CRANKED, CHARGED, TIMED, STOPPED].flatMap((group) => Object.entries(group)),
];
/** A launch's eight cylinders behind a ballast that nothing bypasses: the hardest that a sound coil is asked. */
const LAUNCH = machine({ cylinders: 8, compressionRatio: 8.6, ballast: 'external' });

/** Chance that it is turned and every cylinder fires, and that it then runs on all of them. */
function runsEven(scene: Scene): number {
  const cranked = howItRuns(scene, CRANKING);
  return Math.min(cranked.turns * cranked.noneDead, howItRuns(scene, RUNNING).noneDead);
}
const middle = (body: MachineBody) => {
  const model = buildModel(body, house);
  return {
    model,
    scene: new Scene(
      model.machine,
      drawSound(model, () => 0.5),
    ),
  };
};

describe('a sound machine runs', () => {
  it.each(MACHINES)('%s, in the middle of its plates', (_name, body) => {
    expect(runsEven(middle(body).scene)).toBeGreaterThan(0.97);
  });
  /** What decides over a spark: the lowest sound battery and the weakest sound coil among them. */
  const DECIDES = /battery|coil|ballast|plug-1|points|starter|condenser/;
  it.each([...spark, ['a launch of eight', LAUNCH] as const])(
    '%s, each figure at either end of its plate',
    (_name, body) => {
      const { model, scene } = middle(body);
      for (const { part, spec, low, high, id } of model.plates.values()) {
        if (low === high || !DECIDES.test(part.id)) continue;
        for (const end of [low, high]) {
          const at = { ...scene.params, [part.id]: { ...scene.params[part.id], [spec.id]: end } };
          expect(runsEven(new Scene(model.machine, at, scene)), `${id} = ${end}`).toBeGreaterThan(0.95);
        }
      }
    },
  );
  it.each([...MACHINES, ...Object.entries(CHARGED)])(
    '%s, over its tolerances: nothing is complained of, in the mean of a dozen and hardly of any one',
    (_name, body) => {
      const { model } = middle(body);
      const random = seededRandom(11);
      const scenes = Array.from({ length: 12 }, () => new Scene(model.machine, drawSound(model, random)));
      for (const symptom of SYMPTOMS) {
        const each = scenes.map((s) => complaintLikelihood(s, { ...noFire, symptom }));
        expect(each.reduce((a, b) => a + b, 0) / each.length, symptom).toBeLessThan(0.06);
        expect(Math.max(...each), symptom).toBeLessThan(0.25);
      }
    },
  );
  it('a sound launch of eight, over its tolerances, neither fails to fire nor starts hard', () => {
    const { model } = middle(LAUNCH);
    const random = seededRandom(3);
    const scenes = Array.from({ length: 60 }, () => new Scene(model.machine, drawSound(model, random)));
    const mean = (symptom: typeof noFire.symptom) =>
      scenes.reduce((sum, s) => sum + complaintLikelihood(s, { ...noFire, symptom }), 0) / scenes.length;
    expect(mean('no-fire')).toBeLessThan(0.06);
    expect(mean('hard-start')).toBeLessThan(0.05);
    expect(mean('misses')).toBeLessThan(0.02);
  });
});
