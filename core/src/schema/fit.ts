import type {
  AirOptions,
  ChargeOptions,
  CompressionOptions,
  CrankOptions,
  FitOut,
  FuelOptions,
  SparkOptions,
  TrailFit,
  TrailId,
} from './fitOut.ts';

type KindOf<T extends TrailId> = (TrailFit & { trail: T })['kind'];

/**
 * A fit-out laid open for the parts: what is true of the whole machine, the spark trail's options beside it (what is
 * usual where none is told), and the other trails' under their names.
 */
export interface Fit extends Omit<FitOut, 'trails'>, SparkOptions {
  readonly litres: number;
  readonly spark?: KindOf<'spark'>;
  readonly crank?: CrankOptions & { readonly kind: KindOf<'crank'> };
  readonly fuel?: FuelOptions & { readonly kind: KindOf<'fuel'> };
  readonly air?: AirOptions & { readonly kind: KindOf<'air'> };
  readonly compression?: CompressionOptions & { readonly kind: KindOf<'compression'> };
  readonly stop?: { readonly kind: KindOf<'stop'> };
  readonly timing?: { readonly kind: KindOf<'timing'> };
  readonly charge?: ChargeOptions & { readonly kind: KindOf<'charge'> };
}

/** Usual swept volume of a cylinder, litres: of small magneto engines less. */
const LITRES_EACH = 0.42;

export function fitOf({ trails, ...whole }: FitOut): Fit {
  const found = <T extends TrailId>(trail: T) => trails.find((t): t is TrailFit & { trail: T } => t.trail === trail);
  const [spark, crank, charge] = [found('spark'), found('crank'), found('charge')];
  const [fuel, timing, stop, air] = [found('fuel'), found('timing'), found('stop'), found('air')];
  const compression = found('compression');
  return {
    ballast: 'none',
    fused: false,
    ...whole,
    litres: whole.litres ?? LITRES_EACH * whole.cylinders,
    ...spark?.options,
    ...(spark ? { spark: spark.kind } : {}),
    ...(crank ? { crank: { ...crank.options, kind: crank.kind } } : {}),
    ...(air ? { air: { ...air.options, kind: air.kind } } : {}),
    ...(compression ? { compression: { ...compression.options, kind: compression.kind } } : {}),
    ...(stop ? { stop: { kind: stop.kind } } : {}),
    ...(timing ? { timing: { kind: timing.kind } } : {}),
    ...(fuel ? { fuel: { ...fuel.options, kind: fuel.kind } } : {}),
    ...(charge ? { charge: { ...charge.options, kind: charge.kind } } : {}),
  };
}
