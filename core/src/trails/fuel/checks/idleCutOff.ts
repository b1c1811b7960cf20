import { figuresAt } from '../../../machine/figures.ts';
import type { CheckMaker } from '../../../machine/check.ts';
import { seenSo } from '../../../machine/seen.ts';
import { KEY_ON_OPEN } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { CARBURETTOR } from '../ids.ts';
import { look } from './feed.ts';

/** Share of its travel left out below which the solenoid is not heard. */
const SILENT_FROM = 0.5;

/** The solenoid that shuts the idle passages: heard, and its feed. */
export const idleCutOffChecks: CheckMaker = (machine) => {
  if (!machine.partById.has(CARBURETTOR.idleCutOff)) return [];
  return [
    look(
      machine,
      {
        id: 'fuel-cut-off-click',
        station: 'fuel-jets',
        label: 'Idle cut-off, key turned on and off: does it click?',
        set: 'Engine still, all quiet.',
        touch: 'A finger on the solenoid; key on, off, on.',
        watch: 'One click each time. No click: it has no volts, or it sticks.',
        words: ['clicks', 'silent'],
        needs: [CARBURETTOR.idleCutOff],
        minutes: 0.5,
        look: true,
        state: KEY_ON_OPEN,
        cautions: ['fuel vapour'],
      },
      ({ params }) => {
        const { shut } = figuresAt(params, CARBURETTOR.idleCutOff);
        const silent = seenSo(logistic((shut - SILENT_FROM) / 0.06), 0.95);
        return { clicks: 1 - silent, silent };
      },
    ),
    look(
      machine,
      {
        id: 'fuel-cut-off-feed',
        station: 'fuel-jets',
        label: 'Test lamp at the terminal of the idle cut-off',
        set: 'Key on, wire left on the terminal.',
        touch: 'Test lamp from the terminal to bare metal.',
        watch: 'Bright: it is fed, look at the solenoid itself. Dark: its wire or what feeds it.',
        words: ['bright', 'dark or dim'],
        needs: [CARBURETTOR.idleCutOff],
        minutes: 1,
        state: KEY_ON_OPEN,
        cautions: ['fuel vapour'],
      },
      ({ params }) => {
        const dark = seenSo(1 - figuresAt(params, CARBURETTOR.idleCutOff).fed, 0.97);
        return { bright: 1 - dark, 'dark or dim': dark };
      },
    ),
  ];
};
