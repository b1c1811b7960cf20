import type { House } from '../schema/house.ts';
import type { ModelRepair } from './model.ts';

/** What a minute costs at the shop's rate. */
export const perMinute = (house: House): number => house.ratePerHour / 60;
/** Parts, and minutes at the shop's rate. */
export const costOf = ({ money, minutes }: ModelRepair, house: House): number =>
  money + (minutes * house.ratePerHour) / 60;
