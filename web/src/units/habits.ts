import { QUANTITIES, UNIT_CHOICES, type UnitHabits } from '@pondu/core';
import { useSyncExternalStore } from 'react';

/** Where this device keeps what it chose for itself, and what the shop chose when it was last heard. */
const KEY = 'pondu.units';
const SHOP_KEY = 'pondu.units.shop';
const USUAL = Object.fromEntries(QUANTITIES.map((q) => [q, UNIT_CHOICES[q][0]])) as unknown as UnitHabits;

function readKept(key: string): Partial<UnitHabits> {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key) ?? '{}');
    // One that is no unit any more is left out by itself, and the others stay.
    return Object.fromEntries(
      QUANTITIES.flatMap((quantity) => {
        const chosen = (kept as Record<string, unknown> | null)?.[quantity];
        return UNIT_CHOICES[quantity].some((unit) => unit === chosen) ? [[quantity, chosen]] : [];
      }),
    );
  } catch {
    return {};
  }
}

function write(key: string, units: Partial<UnitHabits>): void {
  try {
    localStorage.setItem(key, JSON.stringify(units));
  } catch {
    // A full store: they hold for as long as the page is open.
  }
}

/** The units that are shown and meant on this page: the shop's, and before them those that this device chose. */
class Habits {
  private shop: UnitHabits = { ...USUAL, ...readKept(SHOP_KEY) };
  own: Partial<UnitHabits> = readKept(KEY);
  inUse: UnitHabits = { ...this.shop, ...this.own };
  private readonly watchers = new Set<() => void>();

  ofShop(units: UnitHabits): void {
    this.shop = units;
    write(SHOP_KEY, units);
    this.put();
  }
  ofDevice(own: Partial<UnitHabits>): void {
    this.own = own;
    write(KEY, own);
    this.put();
  }
  private put(): void {
    const next = { ...this.shop, ...this.own };
    if (JSON.stringify(next) === JSON.stringify(this.inUse)) return;
    this.inUse = next;
    for (const watcher of this.watchers) watcher();
  }
  watch = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => void this.watchers.delete(watcher);
  };
}

export const habits = new Habits();
export const useHabits = (): UnitHabits =>
  useSyncExternalStore(
    habits.watch,
    () => habits.inUse,
    () => habits.inUse,
  );
