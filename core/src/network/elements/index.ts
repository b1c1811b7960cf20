import type { Element } from '../types.ts';
import type { ElementModel } from './model.ts';
import { accumulator } from './accumulator.ts';
import { charger } from './charger.ts';
import { controlledVoltage, gap } from './controlled.ts';
import { diode } from './diode.ts';
import { filament } from './filament.ts';
import { gasOrifice } from './gasOrifice.ts';
import { gasSpace } from './gasSpace.ts';
import { motor } from './motor.ts';
import { orifice } from './orifice.ts';
import { capacitor, inductor } from './reactive.ts';
import { resistor } from './resistor.ts';
import { currentSource, voltageSource } from './sources.ts';
import { springValve } from './springValve.ts';
import { switchModel } from './switch.ts';

const MODELS = {
  resistor,
  voltage: voltageSource,
  current: currentSource,
  switch: switchModel,
  diode,
  filament,
  motor,
  charger,
  accumulator,
  inductor,
  capacitor,
  controlled: controlledVoltage,
  gap,
  orifice,
  'spring-valve': springValve,
  'gas-orifice': gasOrifice,
  'gas-space': gasSpace,
} as const;

/** The one place that lists the kinds of element. */
export function modelOf<E extends Element>(element: E): ElementModel<E> {
  return MODELS[element.type] as unknown as ElementModel<E>;
}
export { filamentOhms } from './filament.ts';
export { motorAt } from './motor.ts';
export { chargerCan } from './charger.ts';
