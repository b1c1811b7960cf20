import type { VocabularyName } from '@pondu/core';
import { useEffect, useSyncExternalStore } from 'react';
import { useHouse } from '../api/hooks.ts';
import { speech } from './speech.ts';

/** In whose words the page speaks, once the shop's are known; kept for when there is no signal. */
export function useShopWords(): VocabularyName {
  const { data } = useHouse();
  const name = data?.house.vocabulary;
  useEffect(() => {
    if (name) speech.ofShop(name);
  }, [name]);
  return useSyncExternalStore(
    speech.watch,
    () => speech.name,
    () => speech.name,
  );
}
