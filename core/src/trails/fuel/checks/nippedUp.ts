import { withinADrive } from '../../../engine/mixture.ts';
import type { CheckMaker } from '../../../machine/check.ts';
import { seenSo } from '../../../machine/seen.ts';
import { nipsAfter } from '../feeding.ts';
import { TANK } from '../ids.ts';
import { look } from './feed.ts';

/** An engine that its fuel oils: tight as it stalls, free once it is cool. */
export const nippedUp: CheckMaker = (machine) =>
  machine.fit.fuel?.mixed
    ? [
        look(
          machine,
          {
            id: 'fuel-nipped-up',
            does: ['turned by hand', 'touches what is hot'],
            station: TANK,
            label: 'Engine turned by hand right after it stalls hot',
            set: 'Run it until it stalls; ignition off, plug lead off and on earth.',
            touch: 'Turn it slowly by hand, again when it has cooled for a quarter of an hour.',
            watch:
              'As usual. Tight when hot and free when cold: a piston is seizing. Check the oil in the fuel, and do not run it.',
            words: ['as usual', 'tight hot, free cold'],
            needs: [TANK],
            minutes: 18,
          },
          ({ params }) => {
            const tight = seenSo(withinADrive(nipsAfter(params)), 0.9);
            return { 'as usual': 1 - tight, 'tight hot, free cold': tight };
          },
        ),
      ]
    : [];
