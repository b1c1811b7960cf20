/** Fuel of a two-stroke: petrol and oil together, so many parts of petrol to one of oil. Cubic metres. */
export interface Mix {
  readonly cubicMetres: number;
  readonly ratio: number;
}

/** Usual mixes; outside these somebody has misread the can. */
export const MIXES = { least: 10, most: 120 } as const;

const oilIn = ({ cubicMetres, ratio }: Mix): number => cubicMetres / (ratio + 1);

/** Oil for so much petrol. Cubic metres. */
export const oilFor = (petrolCubicMetres: number, ratio: number): number => petrolCubicMetres / ratio;

/** What makes a tankful of one mix into another: oil, or petrol, cubic metres. */
export function corrected(there: Mix, ratio: number): { readonly oil: number; readonly petrol: number } {
  const oil = oilIn(there);
  const petrol = there.cubicMetres - oil;
  return ratio < there.ratio ? { oil: petrol / ratio - oil, petrol: 0 } : { oil: 0, petrol: oil * ratio - petrol };
}
