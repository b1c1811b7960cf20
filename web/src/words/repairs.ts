import type { RepairView } from '@pondu/core';

/** What each repair is called in a list: with its part where several are called alike, as one of eight leads is. */
export function repairNames(repairs: readonly RepairView[]): (repair: RepairView) => string {
  const seen = new Set<string>();
  const alike = new Set(repairs.flatMap(({ label }) => (seen.has(label) ? [label] : (seen.add(label), []))));
  return ({ label, part }) => (alike.has(label) ? `${label}: ${part.toLowerCase()}` : label);
}
