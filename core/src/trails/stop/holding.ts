import { figuresAt, figuresIfAny, hasFigures } from '../../machine/figures.ts';
import { outsideOf } from '../../engine/altitude.ts';
import { ATMOSPHERE, leakDown, type VacuumLine } from '../../fluids/index.ts';
import type { Slow } from '../../machine/trail.ts';
import type { Known } from '../../machine/known.ts';
import type { Offers } from '../../machine/observed.ts';
import { logistic } from '../../random/lcg.ts';
import { ACTUATOR, CABLE, FEED, LINE, RACK, RESERVOIR, SOLENOID, SOURCE, VALVE } from './ids.ts';

/** Free area of a thin vacuum hose's fittings, square metres: what a leak works against. */
const SUPPLY = 1.8e-6;

/**
 * Vacuum that a source keeps up behind so much hose against so much of a hole: two sharp holes in a row share the
 * pressure as the squares of their areas (SOURCES, fuel). Pascal below the air outside.
 */
export const keptUp = (source: number, hole: number, supply = SUPPLY): number => source / (1 + (hole / supply) ** 2);

/**
 * At the source, behind the switch valve, at the actuator; told to stop, or to run. Pascal below the air outside: a
 * source draws down to a share of that, so that where the air is thin it draws less.
 */
export function vacuumAt({ params: p, machine: { fit } }: Known, told: 'stop' | 'run') {
  const drawn = (figuresAt(p, SOURCE).pascals * outsideOf(fit)) / ATMOSPHERE;
  const source = keptUp(drawn, figuresAt(p, RESERVOIR).leakSquareMetres);
  const passes = told === 'stop' ? 1 - figuresAt(p, VALVE).stuckShut : figuresAt(p, VALVE).staysOpen;
  const valve = source * passes;
  return {
    source,
    valve,
    actuator: keptUp(valve, figuresAt(p, LINE).leakSquareMetres + figuresAt(p, ACTUATOR).leakSquareMetres),
  };
}

/** The actuator has drawn the rack to stop from so much on. */
const DRAWS_FROM = 28e3;
/** Vacuum at which it is shut off, pascal at sea level; chamber and hose of an actuator, cubic metres; what rubber lets through, pascal for each kilogram a second. */
const SHUT_AT = 60e3;
const CHAMBER = 160e-6;
const SEEPS = 4.5e13;

/** Share of its vacuum that an actuator still has a minute after it was shut off, by the line's own transient. */
export const heldAfterMinute = (holeSquareMetres: number, outside = ATMOSPHERE): number => {
  const line = shutOff(holeSquareMetres, outside);
  return leakDown(line, [60])[0]! / line.vacuumPascals;
};
const shutOff = (holeSquareMetres: number, outside: number): VacuumLine => ({
  cubicMetres: CHAMBER,
  kelvin: 293,
  vacuumPascals: (SHUT_AT * outside) / ATMOSPHERE,
  outsidePascals: outside,
  holeSquareMetres,
  seepOhms: SEEPS,
});

/** Seconds over which a line that was shut off is drawn. */
const DRAWN = Array.from({ length: 121 }, (_, k) => (k + 0.001) * 2);
/** The line's vacuum after it was shut off, line and actuator together. */
export function lineSlowly({ params: p, machine: { fit } }: Known): Slow[] {
  const pascals = leakDown(
    shutOff(figuresAt(p, LINE).leakSquareMetres + figuresAt(p, ACTUATOR).leakSquareMetres, outsideOf(fit)),
    DRAWN,
  );
  return [{ id: 'vacuum line', minutes: DRAWN.map((t) => t / 60), pascals }];
}

/** Chance that the rack stands at stop, told so or told to run. */
export function rackAtStop(scene: Known, told: 'stop' | 'run'): number {
  const p = scene.params;
  const free = 1 - figuresAt(p, RACK).stuckOpen;
  const shut = figuresAt(p, RACK).stuckShut;
  return Math.max(shut, free * drawn(scene, told));
}
function drawn(scene: Known, told: 'stop' | 'run'): number {
  const p = scene.params;
  const cable = figuresIfAny(p, CABLE);
  if (cable) return told === 'stop' ? cable.pulls : cable.stays;
  if (hasFigures(p, SOLENOID)) {
    const toRun = figuresAt(p, SOLENOID).toRun > 0.5;
    const feed = figuresAt(p, FEED);
    const wanted = told === 'run' ? toRun : !toRun;
    const live = wanted ? feed.carries : feed.staysLive;
    const pulls = live * figuresAt(p, SOLENOID).coil;
    const acts = figuresAt(p, SOLENOID).stuck > 0.5 ? 0 : pulls;
    // One that is energised to run lets the rack go to stop when it does not act; stuck, it stays as it ran.
    if (!toRun) return acts;
    return figuresAt(p, SOLENOID).stuck > 0.5 ? 0 : 1 - pulls;
  }
  return logistic((vacuumAt(scene, told).actuator - DRAWS_FROM) / 2500);
}

export const stopOffers: Offers = {
  fuelCut: (scene) => rackAtStop(scene, 'run'),
  stops: (scene) => rackAtStop(scene, 'stop'),
};
