import { figuresAt, figuresIfAny, withFigures } from '../../machine/figures.ts';
import type { MachineParams } from '../../machine/known.ts';
import { idOf } from '../../machine/numbered.ts';
import type { Fit } from '../../schema/fit.ts';
import { PARTS, type PartInstance } from './parts/index.ts';

const HIGH_TENSION = 'high-tension';

/** Stands for all that the spark passes from the cap on, of which each may be a little worn. */
export const wornSetPart: PartInstance = {
  id: HIGH_TENSION,
  label: 'Cap, rotor, leads and plugs',
  station: 'rotor',
  kind: PARTS.highTensionSet,
  nodes: {},
  apart: true,
};

/** Small losses add up: what years have put on each part of the spark's way is put into it before anyone measures. */
export function settleWorn(fit: Fit, params: MachineParams): MachineParams {
  const set = figuresIfAny(params, HIGH_TENSION);
  if (!set || (set.rotorVolts === 0 && set.leadOhms === 0 && set.plugMetres === 0)) return params;
  const rotor = figuresAt(params, 'rotor');
  const plugs = figuresAt(params, 'plugs');
  // Told once: what is settled again stays as it is.
  const told = withFigures(params, HIGH_TENSION, { rotorVolts: 0, leadOhms: 0, plugMetres: 0 });
  const turned = withFigures(told, 'rotor', { ...rotor, gapVolts: rotor.gapVolts + set.rotorVolts });
  const gapped = withFigures(turned, 'plugs', { ...plugs, extraGap: plugs.extraGap + set.plugMetres });
  const leads = ['coil-lead', ...Array.from({ length: fit.cylinders }, (_, i) => idOf('lead', i + 1))] as const;
  return leads.reduce((all, id) => {
    const own = figuresAt(all, id);
    return withFigures(all, id, { ...own, ohms: own.ohms + set.leadOhms });
  }, gapped);
}
