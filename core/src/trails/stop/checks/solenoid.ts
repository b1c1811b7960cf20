import { figuresAt } from '../../../machine/figures.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';
import { OPEN_OHMS } from '../../../machine/part.ts';
import { KEY_ON_OPEN } from '../../../machine/state.ts';
import { FEED, SOLENOID } from '../ids.ts';
import { STILL, running } from './state.ts';

/** Solenoid and its feed. */
export const solenoid: CheckMaker = (machine) => {
  if (!machine.partById.has(SOLENOID)) return [];
  const toRun = machine.fit.stop?.kind === 'cut-to-run';
  return [
    looking(
      {
        ...STILL,
        id: 'stop-click',
        station: SOLENOID,
        label: toRun
          ? 'Does the stop solenoid click as the key goes on?'
          : 'Does the stop solenoid click as the key is turned to stop?',
        set: 'Engine still, all quiet.',
        touch: toRun ? 'Hold a hand on it; key on, off, on.' : 'Hold a hand on it; turn the key to stop twice.',
        watch: 'A click each time.',
        words: ['clicks', 'silent'],
        needs: [SOLENOID],
        minutes: 0.7,
        look: true,
        state: KEY_ON_OPEN,
      },
      ({ params }) => {
        const own = figuresAt(params, SOLENOID);
        const silent = seen(own.stuck > 0.5 || own.coil < 0.5 || figuresAt(params, FEED).carries < 0.5, 0.95);
        return { clicks: 1 - silent, silent };
      },
    ),
    looking(
      {
        ...STILL,
        id: 'stop-feed-lamp',
        station: FEED,
        label: toRun ? 'Test lamp at the stop solenoid, key on' : 'Test lamp at the stop solenoid, key at stop',
        set: 'Engine still.',
        touch: 'Clip the test lamp to the solenoid body, touch its tip to the solenoid terminal.',
        watch: 'Bright.',
        words: ['bright', 'dark'],
        needs: [FEED],
        minutes: 1.2,
        state: KEY_ON_OPEN,
      },
      ({ params }) => {
        const dark = seen(figuresAt(params, FEED).carries < 0.5, 0.97);
        return { bright: 1 - dark, dark };
      },
    ),
    looking(
      {
        ...running(machine),
        id: 'stop-feed-back',
        station: FEED,
        label: toRun
          ? 'Test lamp at the stop solenoid, key turned off while it runs'
          : 'Test lamp at the stop solenoid, running',
        set: 'Engine idling, somebody at the lever.',
        touch: 'Touch the test lamp to the solenoid terminal; key off.',
        watch: toRun
          ? 'Goes dark with the key. Stays lit: something feeds it back; pull the lamp’s and the alternator’s wire in turn.'
          : 'Dark.',
        words: ['dark', 'stays lit'],
        needs: [FEED],
        minutes: 1.5,
      },
      ({ params }) => {
        const lit = seen(figuresAt(params, FEED).staysLive > 0.5, 0.96);
        return { dark: 1 - lit, 'stays lit': lit };
      },
    ),
    {
      ...STILL,
      id: 'stop-coil-ohms',
      station: SOLENOID,
      label: 'Stop solenoid coil',
      set: 'Its wire off.',
      touch: 'Touch one lead to its terminal, the other to its body.',
      watch: 'Some ohms. OL: its coil is open.',
      instrument: 'ohmmeter',
      probe: { kind: 'figure', value: ({ params }) => (figuresAt(params, SOLENOID).coil > 0.5 ? 6 : OPEN_OHMS) },
      needs: [SOLENOID],
      minutes: 1.5,
    },
  ];
};
