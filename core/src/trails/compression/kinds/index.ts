import { numbered } from '../../../machine/numbered.ts';
import type { PartInstance } from '../../../machine/part.ts';
import type { Station, TrailKind } from '../../../machine/trail.ts';
import type { Fit } from '../../../schema/fit.ts';
import { BORES, CHAMBERS, CRANKCASE, GASKET, PORT, REEDS, VALVES } from '../ids.ts';
import { COMPRESSION_PARTS as PARTS } from '../parts/index.ts';
import { compressionOffers, EXHAUST, INTAKE, RINGS, twoStrokeOffers } from '../pressing.ts';

const one = (id: string, label: string, kind: PartInstance['kind']): PartInstance => ({
  id,
  label,
  station: id,
  kind,
  nodes: {},
  apart: true,
});
type Each = typeof RINGS | typeof EXHAUST | typeof INTAKE;
/** One of every cylinder. */
const each = (fit: Fit, what: Each, station: string, label: string, together: string, kind: PartInstance['kind']) =>
  Array.from({ length: fit.cylinders }, (_, i): PartInstance => {
    const several = fit.cylinders > 1;
    return {
      ...numbered(what, i + 1),
      label: several ? `${label} ${i + 1}` : label,
      ...(several ? { together } : {}),
      station,
      kind,
      nodes: {},
      apart: true,
      cylinder: i + 1,
      weight: 2 / fit.cylinders,
      ...(i > 0 ? { like: `${what}-1` } : {}),
    };
  });

/** Cylinders beside one another in one block: of eight, four and four. */
const pairs = (cylinders: number): number[] =>
  Array.from({ length: cylinders - 1 }, (_, i) => i + 1).filter((k) => cylinders !== 8 || k !== 4);
/** A way of failing at each cylinder; by its plain name where there is but one. */
const atEach = ({ cylinders }: Fit, way: string): string[] =>
  cylinders === 1 ? [way] : Array.from({ length: cylinders }, (_, i) => `${way}-${i + 1}`);
const joint = (fit: Fit): PartInstance => ({
  ...one(GASKET, fit.cylinders === 1 ? 'Head joint' : 'Head gasket', PARTS.gasket),
  fails: [
    ...atEach(fit, 'out'),
    ...(fit.compression?.cooling === 'water' ? atEach(fit, 'water') : []),
    ...pairs(fit.cylinders).map((k) => `between-${k}`),
  ],
});
const bottom = (fit: Fit): PartInstance[] => [
  // One bore is its own rings’ bore.
  { ...one(BORES, fit.cylinders === 1 ? 'Bore' : 'Bores', PARTS.bores) },
  ...each(fit, RINGS, BORES, 'Rings of cylinder', 'Rings', PARTS.rings),
];

const STATIONS = {
  bores: { id: BORES, label: 'Rings and bores', picture: 'piston' },
  valves: { id: VALVES, label: 'Valves', picture: 'valve' },
  gasket: { id: GASKET, label: 'Head gasket', picture: 'clamp' },
  chambers: { id: CHAMBERS, label: 'Chambers', picture: 'cap' },
  crankcase: { id: CRANKCASE, label: 'Crankcase seals', picture: 'box' },
  reeds: { id: REEDS, label: 'Reed valve', picture: 'valve' },
  port: { id: PORT, label: 'Exhaust port', picture: 'tank' },
} satisfies Record<string, Station>;

const fourStroke: TrailKind = {
  trail: 'compression',
  kind: 'four-stroke',
  label: 'Four strokes, valves',
  build: (fit) => ({
    id: 'compression',
    kind: 'four-stroke',
    stations: [STATIONS.bores, STATIONS.valves, STATIONS.gasket, ...(fit.spark ? [STATIONS.chambers] : [])],
    parts: [
      ...bottom(fit),
      ...each(fit, EXHAUST, VALVES, 'Exhaust valve', 'Exhaust valves', PARTS.exhaust),
      ...each(fit, INTAKE, VALVES, 'Inlet valve', 'Inlet valves', PARTS.intake).map((valve) => ({
        ...valve,
        mendedWith: { head: numbered(EXHAUST, valve.cylinder!).id },
      })),
      joint(fit),
      // What lights itself anyway has nothing to glow too soon.
      ...(fit.spark ? [one(CHAMBERS, 'Combustion chambers', PARTS.chambers)] : []),
    ],
    nodeNames: {},
    offers: compressionOffers,
  }),
};
const twoStroke: TrailKind = {
  trail: 'compression',
  kind: 'two-stroke',
  label: 'Two strokes, ports',
  build: (fit) => ({
    id: 'compression',
    kind: 'two-stroke',
    stations: [
      ...(fit.compression?.reeds ? [STATIONS.reeds] : []),
      STATIONS.crankcase,
      STATIONS.bores,
      STATIONS.gasket,
      STATIONS.port,
    ],
    parts: [
      ...(fit.compression?.reeds ? [one(REEDS, 'Reed valve', PARTS.reeds)] : []),
      one(CRANKCASE, 'Crankcase', PARTS.crankcase),
      ...bottom(fit),
      joint(fit),
      one(PORT, 'Exhaust port', PARTS.port),
    ],
    nodeNames: {},
    offers: twoStrokeOffers,
  }),
};
export const COMPRESSION_TRAILS: readonly TrailKind[] = [fourStroke, twoStroke];
