import type { Figures, FiguresOf } from '../../machine/part.ts';
import type { CHARGE_PARTS } from './parts/index.ts';
import type { MachineFigures } from './parts/source.ts';

/** What only some of the machines that charge have. */
type ChargerFigure =
  | 'fieldOhms'
  | 'residual'
  | 'coreOhms'
  | 'strength'
  | 'worn'
  | 'openLeg'
  | 'shortedLeg'
  | 'failedLeg'
  | 'feedsOhms'
  | 'ripple'
  | 'openDiode'
  | 'shortedDiode'
  | 'leakOhms';

/** Figures of this trail’s parts, by part id. */
declare module '../../machine/figures.ts' {
  interface PartFigures {
    belt: FiguresOf<typeof CHARGE_PARTS.belt>;
    charger: MachineFigures & Figures<never, ChargerFigure>;
    'cut-out': FiguresOf<typeof CHARGE_PARTS.cutOut>;
    'field-wire': FiguresOf<typeof CHARGE_PARTS.fieldWire>;
    'charge-wire': FiguresOf<typeof CHARGE_PARTS.chargeWire>;
    'charge-regulator': Figures<'setVolts' | 'warmthVolts', 'dead' | 'leakOhms' | 'senseVolts'>;
    'regulator-earth': FiguresOf<typeof CHARGE_PARTS.regulatorEarth>;
    'charge-lamp': Figures<never, 'watts' | 'ohms' | 'out' | 'led' | 'off'>;
    standing: FiguresOf<typeof CHARGE_PARTS.standing>;
    lamps: FiguresOf<typeof CHARGE_PARTS.lamps>;
  }
}
