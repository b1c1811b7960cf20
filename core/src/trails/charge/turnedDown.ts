import { halved } from '../../engine/halved.ts';
import { chargerCan, type Charger } from '../../network/index.ts';

/** How far its regulator has turned the field down: the share of its volts with which it gives just these amperes. */
export function turnedDown(e: Charger, volts: number, amps: number): number {
  const can = (share: number) => chargerCan({ ...e, emfVolts: e.emfVolts * share }, volts).amps;
  return can(1) <= amps ? 1 : halved(0, 1, 40, (share) => can(share) < amps)[1];
}
