import { figuresAt } from '../../../machine/figures.ts';
import { z } from 'zod';
import { Scene } from '../../../machine/scene.ts';
import { CRANKING } from '../../../machine/state.ts';
import type { Fit } from '../../../schema/fit.ts';
import {
  costOf,
  inOrder,
  measuredAmps,
  measuredRpm,
  measuredVolts,
  usedPartShape,
  wantsOf,
  type Compared,
  type Want,
} from '../../shared/usedPart.ts';
import { engagement, motorIn } from '../cranking.ts';
import { MOTOR } from '../ids.ts';
import { startingOf } from '../starting.ts';

/** What was measured of a starter on the bench: running free, and held (or as it turns this engine, wherever volts are). */
export const usedStarter = z.object({
  ...usedPartShape,
  /** Running free: volts at its terminals, amperes, its own rev/min. */
  free: z.object({ volts: measuredVolts, amps: measuredAmps, rpm: measuredRpm }),
  /** Held still for a second: volts at its terminals, amperes. */
  held: z.object({ volts: measuredVolts, amps: measuredAmps }),
  teeth: z.enum(['good', 'worn', 'chipped']),
});
export type UsedStarter = z.infer<typeof usedStarter>;

/** Teeth of a usual ring gear over its pinion's. */
const GEAR = 12;

/**
 * Its windings' ohms from the held motor, its flux from the free one: V = k·φ(I)·ω + I·R at both. Figures at the crank.
 * Nothing where the free motor would have to lose more volts than it had.
 */
export function motorFrom(fit: Fit, { free, held }: UsedStarter) {
  const ohms = held.volts / held.amps;
  const turning = free.volts - free.amps * ohms;
  if (turning <= 0) return undefined;
  const { saturationAmps } = startingOf(fit);
  const flux = free.amps / (free.amps + saturationAmps);
  const crankSpeed = (free.rpm * Math.PI) / 30 / GEAR;
  return { ohms, voltsPerRadian: turning / (crankSpeed * flux), saturationAmps };
}

/** Below this share of the speed it should have, it is called slow. */
const SLOW = 0.68;

/** Which of several to fit to this engine; best first. Money by the hour. */
export function compareStarters(scene: Scene, of: readonly UsedStarter[], ratePerHour: number): readonly Compared[] {
  const { machine, params } = scene;
  const made = startingOf(machine.fit);
  return inOrder(
    of.map((one): Compared => {
      const wants: Want[] = wantsOf(one, 60);
      if (one.teeth !== 'good')
        wants.push({
          what: one.teeth === 'chipped' ? 'a new drive now: it would spoil the ring gear' : 'a drive that is worn',
          minutes: 40 + (one.teeth === 'chipped' ? 0 : 60),
          money: 35,
          chance: one.teeth === 'chipped' ? 1 : 0.3,
        });
      const cost = costOf(one.price, wants, ratePerHour);
      const motor = motorFrom(machine.fit, one);
      const failed = (problem: string): Compared => ({ name: one.name, cost, wants, does: false, why: [], problem });
      if (!motor) return failed('Held, it would have to lose more volts than it had running free: measure again.');
      const fitted = new Scene(machine, { ...params, [MOTOR]: { ...figuresAt(params, MOTOR), ...motor } });
      const { home } = engagement(fitted, CRANKING);
      const { rpm, amps } = motorIn(fitted, home);
      const volts = Math.abs(home.volts('main') - home.volts(machine.partById.get(MOTOR)!.nodes['b']!));
      return {
        name: one.name,
        cost,
        wants,
        does: rpm > SLOW * made.rpm,
        why: [
          `It would turn this engine at ${Math.round(rpm)} rev/min, drawing ${Math.round(amps)} A, the battery at ${volts.toFixed(1)} V.`,
          ...(rpm <= SLOW * made.rpm ? [`A sound one turns it at about ${made.rpm}: this one is too slow.`] : []),
        ],
        problem: undefined,
      };
    }),
  );
}
