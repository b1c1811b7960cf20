import {
  AIR_KINDS,
  COMPRESSION_KINDS,
  CHARGE_KINDS,
  chargeOptions,
  CRANK_KINDS,
  FUEL_KINDS,
  fitOf,
  fitOutShape,
  SPARK_KINDS,
  STOP_KINDS,
  TIMING_KINDS,
  sparkOptions,
  type FitOut,
  type TrailFit,
  HEIGHTS,
  SPEEDS,
} from '@pondu/core/schema';
import { z } from 'zod';
import { typedNumber } from '../../ui/useDraftForm.ts';
import { readHeight, showHeight, typedHeight } from '../../units/quantity.ts';

/** As the buttons give it. */
const yesNo = z.enum(['true', 'false']).transform((v) => v === 'true');
/** One that a draft from before it was asked does not have. */
const asked = z
  .enum(['true', 'false'])
  .default('false')
  .transform((v) => v === 'true');
/** A choice that may stay unmade. */
const maybe = <V extends readonly [string, ...string[]]>(values: V) => z.enum(['', ...values]);

/** A number that may be left out. */
const mayBe = (message: string, low: number, high: number) =>
  z.string().transform((text, context) => {
    const value = Number(text.replace(',', '.'));
    if (text.trim() === '' || (value >= low && value <= high)) return text.trim() === '' ? undefined : value;
    context.addIssue({ code: 'custom', message: `“${text}”: ${message}` });
    return z.NEVER;
  });

/** A height as typed, in metres or feet as the shop goes; metres. */
const height = z.string().transform((text, context) => {
  if (text.trim() === '') return undefined;
  const read = readHeight(text);
  if (read.ok && read.value >= HEIGHTS.least && read.value <= HEIGHTS.most) return read.value;
  context.addIssue({
    code: 'custom',
    message: `“${text}”: from ${showHeight(HEIGHTS.least)} to ${showHeight(HEIGHTS.most)}, or nothing.`,
  });
  return z.NEVER;
});

const speed = ({ least, most }: { least: number; most: number }) =>
  mayBe(`rev/min, from ${least} to ${most}, or nothing.`, least, most);

/** One field beside the other, numbers as typed. */
const fields = fitOutShape
  .omit({ trails: true, litres: true, altitudeMetres: true, idleRpm: true, topRpm: true })
  .extend({
    ...sparkOptions.shape,
    sparks: yesNo,
    layout: z.enum(SPARK_KINDS),
    volts: z.enum(['6', '12', '24']).transform((v) => Number(v) as FitOut['volts']),
    cylinders: z.enum(['1', '2', '3', '4', '6', '8']).transform((v) => Number(v) as FitOut['cylinders']),
    ballast: z.enum(['none', 'external', 'bypassed']),
    fused: yesNo,
    suppressor: yesNo,
    resistorPlugs: asked,
    marine: yesNo,
    compressionRatio: typedNumber('a number from 3 to 23, such as 8.5.', 3, 23),
    litres: mayBe('litres, from 0.03 to 15, or nothing.', 0.03, 15),
    // A draft from before these were asked has none of them.
    idleRpm: speed(SPEEDS.idle).prefault(''),
    topRpm: speed(SPEEDS.top).prefault(''),
    altitude: height.prefault(''),
    crank: maybe(CRANK_KINDS),
    interlocks: z.string(),
    heat: z.enum(['plugs', 'intake heater']),
    isolator: asked,
    decompressor: asked,
    charge: maybe(CHARGE_KINDS),
    field: z.enum(['A', 'B']),
    wave: z.enum(['half', 'full']),
    control: z.enum(['shunt', 'series']),
    tells: z.enum(['lamp', 'ammeter', 'nothing']),
    // A draft from before these were asked has none of them.
    fuel: maybe(FUEL_KINDS).default(''),
    timing: maybe(TIMING_KINDS).default(''),
    stop: maybe(STOP_KINDS).default(''),
    air: maybe(AIR_KINDS).default(''),
    compression: maybe(COMPRESSION_KINDS).default(''),
    cooling: z.enum(['water', 'air']).default('water'),
    reeds: asked,
    accelerator: asked,
    mixed: asked,
    breather: asked,
    servo: asked,
    governor: asked,
    idleCutOff: asked,
    vacuumTap: asked,
    carburettors: z.enum(['1', '2', '3', '4']).default('1').transform(Number),
    sealed: asked,
    enriching: z.enum(['choke', 'enricher']).default('choke'),
    loads: z
      .array(
        z.object({
          label: chargeOptions.shape.loads.unwrap().element.shape.label,
          watts: typedNumber('watts, from 0 to 2000.', 0, 2000),
        }),
      )
      .max(12, 'Twelve at most.'),
  });
/** A fit-out as the form holds it; read, it is the fit-out itself. */
export const formFit = fields.transform((f): FitOut => {
  const { volts, earth, cylinders, marine, compressionRatio, litres, idleRpm, topRpm, altitude } = f;
  return {
    ...{ volts, earth, cylinders, marine, compressionRatio },
    ...(litres === undefined ? {} : { litres }),
    ...(idleRpm === undefined ? {} : { idleRpm }),
    ...(topRpm === undefined ? {} : { topRpm }),
    ...(altitude === undefined ? {} : { altitudeMetres: altitude }),
    trails: [
      ...sparkTrail(f),
      ...crankTrail(f),
      ...chargeTrail(f),
      ...fuelTrail(f),
      ...timingTrail(f),
      ...airTrail(f),
      ...stopTrail(f),
      ...compressionTrail(f),
    ],
  };
});
export type TypedFit = z.input<typeof formFit>;

type Flat = z.output<typeof fields>;

function sparkTrail(f: Flat): TrailFit[] {
  const { sparks, layout, ballast, fused, suppressor, resistorPlugs, trigger, module, coils, added } = f;
  if (!sparks) return [];
  const told = { trigger, module, coils, suppressor, added };
  const options = Object.fromEntries(Object.entries(told).filter(([, v]) => v !== undefined)) as typeof told;
  return [{ trail: 'spark', kind: layout, options: { ballast, fused, ...options, ...present({ resistorPlugs }) } }];
}
function crankTrail({ crank, interlocks, heat, isolator, decompressor }: Flat): TrailFit[] {
  if (crank === '') return [];
  const named = crank === 'pull' ? [] : interlocks.split(',').flatMap((name) => name.trim() || []);
  const has = present({ isolator: isolator && crank !== 'pull', decompressor });
  const heated = crank === 'glow' ? { heat } : {};
  return [{ trail: 'crank', kind: crank, options: { interlocks: named.slice(0, 4), ...heated, ...has } }];
}
function chargeTrail({ charge, field, wave, control, tells, loads }: Flat): TrailFit[] {
  if (charge === '') return [];
  const can = chargeAsks(charge);
  return [
    {
      trail: 'charge',
      kind: charge,
      options: {
        ...(can.field ? { field } : {}),
        ...(can.wave ? { wave } : {}),
        ...(can.control ? { control } : {}),
        ...(can.tells ? { tells } : {}),
        loads,
      },
    },
  ];
}

/** What is there, by its name; what is not, is not said. */
const present = <K extends string>(parts: Readonly<Record<K, boolean>>): Partial<Record<K, true>> =>
  Object.fromEntries(Object.entries(parts).filter(([, there]) => there)) as Partial<Record<K, true>>;

function fuelTrail(f: Flat): TrailFit[] {
  const { sparks, fuel, carburettors, sealed, enriching, accelerator, mixed, idleCutOff, vacuumTap } = f;
  if (fuel === '' || !sparks) return [];
  const has = present({ accelerator, mixed, idleCutOff, vacuumTap: vacuumTap && fuel === 'gravity' });
  return [{ trail: 'fuel', kind: fuel, options: { carburettors, sealed, enriching, ...has } }];
}

/** A spark whose moment is turned by a distributor: the others have it in their flywheel or pack. */
export const turnsItsSpark = (layout: TypedFit['layout']): boolean =>
  layout === 'battery-points' || layout === 'electronic' || layout === 'conversion';
function timingTrail({ sparks, layout, timing }: Flat): TrailFit[] {
  return timing !== '' && sparks && turnsItsSpark(layout) ? [{ trail: 'timing', kind: timing, options: {} }] : [];
}

function airTrail({ sparks, air, breather, servo, governor }: Flat): TrailFit[] {
  return air !== '' && sparks ? [{ trail: 'air', kind: air, options: present({ breather, servo, governor }) }] : [];
}
function compressionTrail({ compression, cooling, reeds }: Flat): TrailFit[] {
  if (compression === '') return [];
  return [
    { trail: 'compression', kind: compression, options: { cooling, reeds: reeds && compression === 'two-stroke' } },
  ];
}
function stopTrail({ sparks, stop }: Flat): TrailFit[] {
  return stop !== '' && !sparks ? [{ trail: 'stop', kind: stop, options: {} }] : [];
}

/** What the form asks of a kind of charging. */
export const chargeAsks = (kind: TypedFit['charge']) => ({
  field: kind === 'generator',
  wave: kind === 'stator-single',
  control: kind === 'stator-single' || kind === 'stator-three',
  tells: kind !== '' && kind !== 'lighting-coil',
});

const typedYes = (there: boolean | undefined) => (there ? 'true' : 'false');

const typedOrNot = (value: number | undefined) => (value === undefined ? '' : String(value));

/** A fit-out laid out for the form. */
export function typedFit(fitOut: FitOut): TypedFit {
  const { crank, charge, spark, fuel, timing, stop, air, compression, ...f } = fitOf(fitOut);
  return {
    volts: `${f.volts}`,
    earth: f.earth,
    cylinders: `${f.cylinders}`,
    marine: typedYes(f.marine),
    compressionRatio: String(f.compressionRatio),
    litres: typedOrNot(fitOut.litres),
    idleRpm: typedOrNot(fitOut.idleRpm),
    topRpm: typedOrNot(fitOut.topRpm),
    altitude: fitOut.altitudeMetres === undefined ? '' : typedHeight(fitOut.altitudeMetres),
    sparks: spark ? 'true' : 'false',
    layout: spark ?? 'battery-points',
    ballast: f.ballast,
    fused: typedYes(f.fused),
    suppressor: typedYes(f.suppressor),
    resistorPlugs: typedYes(f.resistorPlugs),
    ...(f.trigger ? { trigger: f.trigger } : {}),
    ...(f.module ? { module: f.module } : {}),
    ...(f.coils ? { coils: f.coils } : {}),
    added: f.added ?? [],
    crank: crank?.kind ?? '',
    interlocks: crank?.interlocks.join(', ') ?? '',
    heat: crank?.heat ?? 'plugs',
    isolator: typedYes(crank?.isolator),
    decompressor: typedYes(crank?.decompressor),
    charge: charge?.kind ?? '',
    field: charge?.field ?? 'A',
    wave: charge?.wave ?? 'full',
    control: charge?.control ?? 'shunt',
    tells: charge?.tells ?? 'lamp',
    fuel: fuel?.kind ?? '',
    timing: timing?.kind ?? '',
    stop: stop?.kind ?? '',
    air: air?.kind ?? '',
    breather: typedYes(air?.breather),
    servo: typedYes(air?.servo),
    governor: typedYes(air?.governor),
    idleCutOff: typedYes(fuel?.idleCutOff),
    vacuumTap: typedYes(fuel?.vacuumTap),
    compression: compression?.kind ?? '',
    cooling: compression?.cooling ?? 'water',
    reeds: typedYes(compression?.reeds),
    accelerator: typedYes(fuel?.accelerator),
    mixed: typedYes(fuel?.mixed),
    carburettors: `${fuel?.carburettors ?? 1}` as TypedFit['carburettors'],
    sealed: typedYes(fuel?.sealed),
    enriching: fuel?.enriching ?? 'choke',
    loads: (charge?.loads ?? []).map((l) => ({ label: l.label, watts: String(l.watts) })),
  };
}
