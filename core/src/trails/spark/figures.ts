import type { Figures, FiguresOf } from '../../machine/part.ts';
import type { PARTS } from './parts/index.ts';
import type { CoilFigure } from './parts/ownCoil.ts';
import type { DeadOutput } from './parts/pack.ts';

/** Figures of this trail’s parts, by part id. */
declare module '../../machine/figures.ts' {
  interface PartFigures {
    'high-tension': FiguresOf<typeof PARTS.highTensionSet>;
    'coil-feed': FiguresOf<typeof PARTS.wire>;
    ballast: FiguresOf<typeof PARTS.ballast>;
    coil: FiguresOf<typeof PARTS.coil>;
    'coil-minus': FiguresOf<typeof PARTS.wire>;
    points: FiguresOf<typeof PARTS.points>;
    condenser: FiguresOf<typeof PARTS.condenser>;
    'coil-lead': FiguresOf<typeof PARTS.htLead>;
    cap: FiguresOf<typeof PARTS.distributorCap>;
    'lead-order': FiguresOf<typeof PARTS.leadOrder>;
    rotor: FiguresOf<typeof PARTS.rotor>;
    'distributor-shaft': FiguresOf<typeof PARTS.distributorShaft>;
    'rev-counter': FiguresOf<typeof PARTS.revCounter>;
    plugs: FiguresOf<typeof PARTS.plugSet>;
    [id: `lead-${number}`]: FiguresOf<typeof PARTS.htLead>;
    [id: `plug-${number}`]: FiguresOf<typeof PARTS.plug>;
    bypass: FiguresOf<typeof PARTS.crankingBypass>;
    module: FiguresOf<typeof PARTS.module>;
    'module-earth': FiguresOf<typeof PARTS.moduleEarth>;
    'module-feed': FiguresOf<typeof PARTS.moduleFeed>;
    trigger: FiguresOf<typeof PARTS.triggerCoil>;
    'trigger-connector': FiguresOf<typeof PARTS.connector>;
    sensor: FiguresOf<typeof PARTS.sensor>;
    'sensor-feed': FiguresOf<typeof PARTS.wire>;
    'sensor-signal': FiguresOf<typeof PARTS.signalWire>;
    computer: FiguresOf<typeof PARTS.engineComputer>;
    [id: `coil-${number}`]: Figures<CoilFigure, 'reversed' | 'gapVolts' | 'airGapMetres' | 'voltsPerRadian'>;
    [id: `coil-minus-${number}`]: FiguresOf<typeof PARTS.wire>;
    [id: `points-${number}`]: FiguresOf<typeof PARTS.points>;
    [id: `condenser-${number}`]: FiguresOf<typeof PARTS.condenser>;
    flywheel: FiguresOf<typeof PARTS.flywheel>;
    [id: `stop-wire-${number}`]: FiguresOf<typeof PARTS.wire>;
    'stop-switch': FiguresOf<typeof PARTS.stopSwitch>;
    drive: FiguresOf<typeof PARTS.magnetoDrive>;
    impulse: FiguresOf<typeof PARTS.impulseCoupling>;
    'magnet-rotor': FiguresOf<typeof PARTS.magnetRotor>;
    'charge-coil': FiguresOf<typeof PARTS.chargeCoil>;
    connector: FiguresOf<typeof PARTS.connector>;
    pack: Figures<'farads' | 'triggerVolts' | 'dead', 'leakOhms' | 'limitVolts' | 'storeVolts' | DeadOutput>;
    'pack-earth': FiguresOf<typeof PARTS.packEarth>;
    [id: `coil-wire-${number}`]: FiguresOf<typeof PARTS.wire>;
    [id: `command-${number}`]: FiguresOf<typeof PARTS.wire>;
  }
}
