import { describe, expect, it } from 'vitest';
import { BREATHING } from '../__tests__/breathingMachines.ts';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { CRANKED } from '../__tests__/crankMachines.ts';
import { FUELLED } from '../__tests__/fuelMachines.ts';
import { KINDS } from '../__tests__/kinds.ts';
import { machine } from '../__tests__/machines.ts';
import { SQUEEZING } from '../__tests__/squeezingMachines.ts';
import { STOPPED } from '../__tests__/stoppedMachines.ts';
import { TIMED } from '../__tests__/timedMachines.ts';
import type { Machine } from '../machine/machine.ts';
import type { MachineBody } from '../schema/machine.ts';
import { checksOf } from './checks.ts';
import { buildMachine } from './index.ts';

const MACHINES: readonly (readonly [string, MachineBody])[] = [
  ...Object.entries(KINDS).map(([name, fit]) => [name, machine(fit)] as const),
  ...[FUELLED, BREATHING, SQUEEZING, CRANKED, CHARGED, TIMED, STOPPED].flatMap((group) => Object.entries(group)),
];

/** A word that a check may use only where the machine has such a thing. */
const NAMES: readonly { readonly said: RegExp; readonly has: (part: Machine['parts'][number]) => boolean }[] = [
  { said: /\bplug leads?\b|\bleads? \d\b/i, has: (p) => p.kind.kind === 'high-tension lead' },
  { said: /\bpoints\b/i, has: (p) => /points/.test(p.kind.kind) || /points/i.test(p.label) },
  { said: /\brotor arm\b/i, has: (p) => p.kind.kind === 'rotor' },
  {
    said: /\bdistributor\b/i,
    has: (p) => /distributor|rotor|cap/i.test(`${p.kind.kind} ${p.label}`) || p.id === 'body',
  },
  { said: /\bballast\b/i, has: (p) => /ballast/i.test(p.kind.kind) },
  { said: /\bcondenser\b/i, has: (p) => /condenser/i.test(p.kind.kind) },
  {
    said: /\bflywheel\b/i,
    has: (p) => /flywheel|ring|drive|starter|stator|coil under/i.test(`${p.kind.kind} ${p.label} ${p.station}`),
  },
  { said: /\bmodule\b/i, has: (p) => /module/i.test(`${p.kind.kind} ${p.label}`) },
  { said: /\bthe pack\b/i, has: (p) => /pack/i.test(`${p.kind.kind} ${p.label}`) },
  { said: /\bsparking plugs?\b|\bplugs out\b/i, has: (p) => /plug/i.test(p.kind.kind) },
  {
    said: /\bcarburettor\b/i,
    has: (p) => /carb|bowl|float|jet|needle|throttle|screw|manifold/i.test(`${p.kind.kind} ${p.label} ${p.station}`),
  },
  {
    said: /\bwarning lamp\b|\bcharge lamp\b/i,
    has: (p) => /lamp/i.test(`${p.kind.kind} ${p.label}`) || p.id === 'switch',
  },
  { said: /\bprimer bulb\b|\bsqueeze the bulb\b/i, has: (p) => /bulb/i.test(`${p.kind.kind} ${p.label}`) },
  { said: /\bkey on\b|\bkey at start\b/i, has: (p) => /switch/i.test(`${p.kind.kind} ${p.label}`) },
  { said: /\bbelt\b/i, has: (p) => /belt/i.test(`${p.kind.kind} ${p.label}`) },
];
/** What must be opened only where there is such a thing to open. */
const OPENED: Readonly<Record<string, (machine: Machine) => boolean>> = {
  'cap off': (m) => m.parts.some((p) => p.id === 'cap' || /points|module|sensor|magneto/i.test(p.kind.kind)),
  'plugs out': (m) =>
    m.parts.some((p) => /plug/i.test(p.kind.kind)) ||
    m.trails.some((t) => t.id === 'compression') ||
    m.parts.some((p) => p.id === 'engine'),
  'flywheel off': (m) => m.parts.some((p) => /flywheel/i.test(p.kind.kind)),
  'condenser unhooked': (m) => m.parts.some((p) => /condenser/i.test(p.kind.kind)),
  'belt cover off': (m) => m.parts.some((p) => /belt/i.test(`${p.kind.kind} ${p.label}`)),
  'starter off': (m) => m.parts.some((p) => /starter/i.test(`${p.kind.kind} ${p.label}`)),
};

describe('the words of a check name only what the machine has', () => {
  it.each(MACHINES)('%s', (_name, body) => {
    const built = buildMachine(body.fitOut);
    const wrong: string[] = [];
    for (const check of checksOf(built)) {
      const text = [check.label, check.set, check.touch, check.watch].join(' ');
      for (const { said, has } of NAMES)
        if (said.test(text) && !built.parts.some(has)) wrong.push(`${check.id}: ${said.exec(text)![0]}`);
      for (const opening of check.opens)
        if (OPENED[opening]?.(built) === false) wrong.push(`${check.id} opens: ${opening}`);
    }
    expect(wrong).toEqual([]);
  });
});
