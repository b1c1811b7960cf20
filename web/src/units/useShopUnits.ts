import type { UnitHabits } from '@pondu/core';
import { useEffect } from 'react';
import { useHouse } from '../api/hooks.ts';
import { habits, useHabits } from './habits.ts';

/** The units in use, once the shop's are known with its own choices; kept for when there is no signal. */
export function useShopUnits(): UnitHabits {
  const { data } = useHouse();
  const units = data?.house.units;
  useEffect(() => {
    if (units) habits.ofShop(units);
  }, [units]);
  return useHabits();
}
