import { figuresIfAny, withFigures } from '../../machine/figures.ts';
import type { MachineParams } from '../../machine/known.ts';
import type { PartInstance } from '../../machine/part.ts';
import { SHARED_PARTS as PARTS } from './parts/index.ts';

const JOINTS = 'joints';

/** Stands for all joints between battery and coil, of which each may be a little off. */
export const jointsPart: PartInstance = {
  id: JOINTS,
  label: 'Joints from battery to coil',
  station: 'feed',
  kind: PARTS.joints,
  nodes: {},
  apart: true,
};

/** Joints that weather together, one `ohms` each; a fuse's stands in its holder. */
const WEATHER = ['feed', 'switch', 'coil-feed', 'body'] as const;

/** Small losses add up: what weather has put on every joint is put into each before anyone measures. */
export function settleJoints(params: MachineParams): MachineParams {
  const each = figuresIfAny(params, JOINTS)?.eachOhms ?? 0;
  if (each === 0) return params;
  const fuse = figuresIfAny(params, 'fuse');
  // Told once: what is settled again stays as it is.
  const told = withFigures(params, JOINTS, { eachOhms: 0 });
  const fused = fuse ? withFigures(told, 'fuse', { ...fuse, holderOhms: fuse.holderOhms + each }) : told;
  return WEATHER.reduce((all, id) => {
    const own = figuresIfAny(all, id);
    return own ? withFigures(all, id, { ...own, ohms: own.ohms + each }) : all;
  }, fused);
}
