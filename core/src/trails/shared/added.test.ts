import { describe, expect, it } from 'vitest';
import { passesWith } from '../../__tests__/alarm.ts';
import { house, machine } from '../../__tests__/machines.ts';
import { CRANKING, KEY_ON_CLOSED } from '../checks.ts';
import { solveTransient } from '../../network/index.ts';
import { ADDED_PLACES } from '../../schema/fitOut.ts';
import { storedMachineSchema, type FitOutOne } from '../../schema/upgrade.ts';
import { drawSound } from '../../tracing/draw.ts';
import { Tracer } from '../../tracing/trace.ts';
import { Scene } from '../../machine/scene.ts';

type At = (typeof ADDED_PLACES)[number];
const fitted = (...added: NonNullable<FitOutOne['added']>) => new Tracer(machine({ added }), house);
const middle = (tracer: Tracer) =>
  new Scene(
    tracer.model.machine,
    drawSound(tracer.model, () => 0.5),
  );
const coilAmps = (tracer: Tracer) => {
  const solved = middle(tracer).solve(KEY_ON_CLOSED);
  const { primaryOhms } = middle(tracer).params['coil']!;
  return Math.abs(solved.volts('coil+') - solved.volts('coil-')) / primaryOhms!;
};

describe.each(ADDED_PLACES)('something put in %s', (at: At) => {
  const boxed = fitted({ what: 'box', label: 'Tin box', at });
  it('is a station of its own, next to where it stands', () => {
    const ids = boxed.model.machine.stations.map((s) => s.id);
    const before = { 'before the switch': 'feed', 'after the switch': 'coil-feed', 'after the coil': 'coil-minus' }[at];
    expect(ids[ids.indexOf('added-1') - 1]).toBe(before);
  });
  it('sound, lets the machine fire; open, it stops it, and its own drop shows it', () => {
    const none = (scene: Scene) => {
      const spark = scene.spark('plug', CRANKING, 1);
      return spark.availableVolts < spark.requiredVolts;
    };
    expect(none(middle(boxed))).toBe(false);
    const open = boxed.model.faults.find((f) => f.id === 'added-1.open')!;
    expect(none(boxed.weigher.ensemble([open]).scene(0))).toBe(true);
    expect(passesWith(boxed, 'added-1-drop', 'added-1.open')).toBe(false);
    expect(passesWith(boxed, 'added-1-drop', 'points.closed-up')).toBe(true);
  });
  it('a resistor takes from the coil what Ohm’s law says, and no more', () => {
    const [plain, resisting] = [fitted(), fitted({ what: 'resistor', label: 'Resistor', at })];
    const [amps, less] = [coilAmps(plain), coilAmps(resisting)];
    const ohms = middle(resisting).params['added-1']!['ohms']!;
    const volts = middle(plain).solve(KEY_ON_CLOSED).volts('post');
    // The loop's own ohms from its current, the warning lamp and the rest of the shop aside.
    expect(less / (volts / (volts / amps + ohms))).toBeCloseTo(1, 1);
    expect(less).toBeLessThan(0.85 * amps);
  });
  it('stands in the firing that is solved step by step as well', () => {
    const firing = (tracer: Tracer) => {
      const scene = middle(tracer);
      const plan = tracer.model.machine.firing(scene, CRANKING, 1, false);
      const run = solveTransient(plan.circuit, { until: plan.until, longest: plan.longest, fromInitial: true });
      if (!run.ok) throw new Error(run.code);
      return Math.max(...run.volts('sec').map(Math.abs));
    };
    expect(firing(fitted({ what: 'resistor', label: 'Resistor', at }))).toBeLessThan(0.95 * firing(fitted()));
  });
});

it('things at several places keep their numbers and their order', () => {
  const tracer = fitted(
    { what: 'alarm', label: 'Alarm', at: 'after the coil' },
    { what: 'relay', label: 'Relay' },
    { what: 'interlock', label: 'Neutral switch', at: 'before the switch' },
    { what: 'box', label: 'Box' },
  );
  const ids = tracer.model.machine.stations.map((s) => s.id).filter((id) => id.startsWith('added'));
  expect(ids).toEqual(['added-3', 'added-2', 'added-4', 'added-1']);
});
it('behind the coil only where one coil has one wire on', () => {
  const body = (layout: FitOutOne['layout']) => ({
    ...machine({ layout, cylinders: 2, added: [{ what: 'box', label: 'Box', at: 'after the coil' }] } as never),
  });
  expect(() => body('points-coils')).toThrow(/choose a place in the feed/);
  expect(storedMachineSchema.safeParse(body('electronic')).success).toBe(true);
});
