import { figuresAt, figuresIfAny } from '../../../machine/figures.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import { idOf } from '../../../machine/numbered.ts';
import type { Scene } from '../../../machine/scene.ts';
import { seenSo } from '../../../machine/seen.ts';
import { logistic } from '../../../random/lcg.ts';
import { BREATHER } from '../ids.ts';
import { warm } from './which.ts';

/** Leak over what is meant that changes an idle plainly; share open under which pinching it changes nothing. */
const MUCH_FROM = 0.14;
const PASSES_FROM = 0.45;

/** Chance that so much passes that the paper lifts. */
const BLOWS = 0.7;
/** Whether gas passes the pistons: rings or bores that have let oil by for long. */
const blowBy = ({ params, machine: { fit } }: Scene): boolean =>
  [
    'compression-bores' as const,
    ...Array.from({ length: fit.cylinders }, (_, i) => idOf('compression-rings', i + 1)),
  ].some((id) => (figuresIfAny(params, id)?.oil ?? 0) > 0);

/** The valve of the crankcase: pinched off, and what stands over the oil. */
export const breatherChecks: CheckMaker = (machine) =>
  machine.partById.has(BREATHER)
    ? [
        looking(
          {
            ...warm(machine),
            id: 'air-breather-pinch',
            station: BREATHER,
            label: 'Crankcase ventilation hose pinched',
            touch: 'Pinch it at the manifold with soft pliers; shake the valve: it rattles.',
            watch:
              'Slows a little: the valve works. Slows or steadies much: it is stuck open. No change at all: it is gummed shut.',
            words: ['slows a little', 'changes much', 'no change'],
            needs: [BREATHER],
            minutes: 2,
            cautions: [...warm(machine).cautions, 'hot coil'],
          },
          ({ params }) => {
            const { leakShare, openShare } = figuresAt(params, BREATHER);
            const much = seenSo(logistic((leakShare - MUCH_FROM) / 0.04), 0.94);
            const none = (1 - much) * (0.04 + 0.9 * logistic((PASSES_FROM - openShare) / 0.06));
            return { 'slows a little': 1 - much - none, 'changes much': much, 'no change': none };
          },
        ),
        looking(
          {
            ...warm(machine),
            id: 'air-breather-paper',
            station: BREATHER,
            label: 'Paper over the oil filler hole, idling',
            touch: 'Filler cap off; lay a stiff paper over the hole.',
            watch:
              'Paper sucked on: good. Paper blown off: the ventilation is blocked, or combustion gas leaks past the rings.',
            words: ['drawn on', 'blown off'],
            needs: [BREATHER],
            minutes: 1,
            look: true,
            cautions: [...warm(machine).cautions, 'hot coil'],
          },
          (scene) => {
            const shut = logistic((PASSES_FROM - figuresAt(scene.params, BREATHER).openShare) / 0.06);
            const blown = 0.02 + 0.93 * (1 - (1 - shut) * (blowBy(scene) ? 1 - BLOWS : 1));
            return { 'drawn on': 1 - blown, 'blown off': blown };
          },
        ),
      ]
    : [];
