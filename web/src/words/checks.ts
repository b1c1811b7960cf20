import type { CheckView } from '@pondu/core';

export type Checks = readonly { check: CheckView }[];

export const checkOf = (checks: Checks, id: string): CheckView | undefined =>
  checks.find((c) => c.check.id === id)?.check;

/** As a mechanic calls it; one that this machine no longer has, by its id. */
export const labelOf = (checks: Checks, id: string): string => checkOf(checks, id)?.label ?? id;
