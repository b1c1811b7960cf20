import { figuresAt, figuresIfAny, type PartFigures } from '../../machine/figures.ts';
import type { Fit } from '../../schema/fit.ts';
import type { Offers } from '../../machine/observed.ts';
import type { NodeName } from '../../network/index.ts';
import type { MachineState } from './parts/index.ts';
import type { Known } from '../../machine/known.ts';

/** Where nobody told its idle: those with magnetos are slow. Rev/min. */
const MAGNETO_IDLE_RPM = 800;

/** The magnets that turn: a flywheel's, or a magneto's own rotor. */
export const magnetsOf = ({ params }: Known): PartFigures['flywheel'] | PartFigures['magnet-rotor'] =>
  figuresIfAny(params, 'flywheel') ?? figuresAt(params, 'magnet-rotor');

/** Speed at which the magnets pass: the crankshaft's. An impulse coupling that trips snaps a slow magneto through each firing. */
export function crankshaftRpm(scene: Known, state: MachineState): number {
  if (state.key === 'run') return scene.see('rpm', state);
  const turned = Math.max(LEAST_RPM, scene.see('crankingRpm', state));
  const impulse = figuresIfAny(scene.params, 'impulse');
  return impulse && impulse.stuck < 0.5 ? Math.max(turned, impulse.snapRpm) : turned;
}
const LEAST_RPM = 5;

/** What a trail of magnets tells besides its sparks; `slip` is by how much its key has sheared, degrees of the crank. */
export const magnetOffers = (fit: Fit, slip: (scene: Known, state: MachineState) => number): Offers => ({
  degreesOff: slip,
  rpm: (scene, state) =>
    state.key === 'run'
      ? (fit.idleRpm ?? MAGNETO_IDLE_RPM)
      : state.key === 'crank'
        ? scene.see('crankingRpm', state)
        : 0,
  // What the cord, the hand or a starter that nobody has told gives.
  ...(fit.crank ? {} : { crankingRpm: (scene: Known) => magnetsOf(scene).crankRpm }),
});

/**
 * What of a coil's EMF stands at a node, and the ohms it comes through: Thévenin's theorem on the machine's own
 * network, the EMF put in as its Norton current beside the winding. The winding's node is `at`; its far end is earth.
 */
export function emfAt(
  scene: Known,
  state: MachineState,
  coil: { at: NodeName; ohms: number },
  node: NodeName,
): { share: number; ohms: number } {
  const norton = { type: 'current', id: 'emf', a: '0', b: coil.at, amps: 1 / coil.ohms } as const;
  const solved = scene.solveWith(state, [norton]);
  // What the battery puts there by itself is not the coil's.
  const standing = scene.has(state, node) ? scene.solve(state).volts(node) : 0;
  return { share: Math.abs(solved.volts(node) - standing), ohms: solved.outputOhms(node, '0') };
}

/** The trigger's pulse at a node, at its peak: with speed, and with the magnets where they are a flywheel's; volts, ohms. */
export function triggerPeak(scene: Known, state: MachineState, at: 'trg' | 'trg-in'): { volts: number; ohms: number } {
  const trigger = figuresAt(scene.params, 'trigger');
  const { share, ohms } = emfAt(scene, state, { at: 'trg', ohms: trigger.ohms }, at);
  const flywheel = figuresIfAny(scene.params, 'flywheel');
  const speed = flywheel ? crankshaftRpm(scene, state) / flywheel.crankRpm : 1;
  return { volts: trigger.peakVolts * (flywheel?.strength ?? 1) * speed * share, ohms };
}
export const triggerPeakVolts = (scene: Known, state: MachineState, at: 'trg' | 'trg-in'): number =>
  triggerPeak(scene, state, at).volts;
