import type { PartInstance } from '../../../machine/part.ts';
import type { TrailKind } from '../../../machine/trail.ts';
import type { Fit } from '../../../schema/fit.ts';
import { lineSlowly, stopOffers } from '../holding.ts';
import { ACTUATOR, CABLE, FEED, LINE, RACK, RESERVOIR, SOLENOID, SOURCE, VALVE } from '../ids.ts';
import { STOP_PARTS as PARTS } from '../parts/index.ts';

type Kind = NonNullable<Fit['stop']>['kind'];
type Place = readonly [id: string, label: string, picture: string, kind: PartInstance['kind']];

const lever: Place = [RACK, 'Stop lever', 'choke', PARTS.rack];
const solenoid = (kind: PartInstance['kind']): readonly Place[] => [
  [FEED, 'Stop solenoid feed', 'wire', PARTS.feed],
  [SOLENOID, 'Stop solenoid', 'relay', kind],
  lever,
];
const PLACES: Readonly<Record<Kind, readonly Place[]>> = {
  vacuum: [
    [SOURCE, 'Vacuum pump', 'pump', PARTS.source],
    [RESERVOIR, 'Check valve', 'tap', PARTS.reservoir],
    [VALVE, 'Valve at the key', 'switch', PARTS.valve],
    [LINE, 'Vacuum line', 'hose', PARTS.line],
    [ACTUATOR, 'Actuator', 'bulb', PARTS.actuator],
    lever,
  ],
  'cut-to-run': solenoid(PARTS.solenoidToRun),
  'cut-to-stop': solenoid(PARTS.solenoidToStop),
  cable: [[CABLE, 'Stop cable', 'wire', PARTS.cable], lever],
};

const kind = (name: Kind, label: string): TrailKind => ({
  trail: 'stop',
  kind: name,
  label,
  build: () => ({
    id: 'stop',
    kind: name,
    stations: PLACES[name].map(([id, said, picture]) => ({ id, label: said, picture })),
    parts: PLACES[name].map(([id, said, , of]) => ({ id, label: said, station: id, kind: of, nodes: {}, apart: true })),
    nodeNames: {},
    offers: stopOffers,
    ...(name === 'vacuum' ? { slowly: lineSlowly } : {}),
  }),
});

export const STOP_TRAILS: readonly TrailKind[] = [
  kind('vacuum', 'Vacuum on the injection pump'),
  kind('cut-to-run', 'A solenoid, energised to run'),
  kind('cut-to-stop', 'A solenoid, energised to stop'),
  kind('cable', 'A cable'),
];
