import { useEffect } from 'react';
import { useHouse } from '../api/hooks.ts';
import { habits, useHabits } from '../units/habits.ts';
import { speech, useSpeech } from '../vocabulary/speech.ts';

/** In which units and words the page speaks, as one text: the shop's once they are known, kept for when there is no signal. */
export function useShopHabits(): string {
  const { data } = useHouse();
  const house = data?.house;
  useEffect(() => {
    if (!house) return;
    habits.ofShop(house.units);
    speech.ofShop(house.vocabulary);
  }, [house]);
  return JSON.stringify([useHabits(), useSpeech()]);
}
