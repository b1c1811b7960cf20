import { figuresAt } from '../../../machine/figures.ts';
import type { CheckMaker } from '../../../machine/check.ts';
import { seenSo } from '../../../machine/seen.ts';
import { FAST } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { drinks, feedOf, flowOf, starves, suffices } from '../feeding.ts';
import { TAP } from '../ids.ts';
import { look } from './feed.ts';

/** Of an idle's fuel, what must come through the diaphragm for its hose to be wet. */
const WET_FROM = 0.12;
/** Below this share of its travel a tap is felt not to open. */
const OPENS_FROM = 0.6;

/** A tap that the manifold’s vacuum opens: past it by hand, and it by itself. */
export const vacuumTapChecks: CheckMaker = (machine) => {
  if (!machine.fit.fuel?.vacuumTap || !machine.partById.has(TAP)) return [];
  return [
    look(
      machine,
      {
        id: 'fuel-tap-prime',
        station: TAP,
        label: 'Fuel tap turned to prime: does it run well?',
        set: 'Run it as it failed, then turn the tap to prime.',
        touch: 'Run it for as long as it took to fail; turn the tap back when done.',
        watch: 'Well on prime: the tap, or its vacuum hose. As before: look elsewhere.',
        words: ['well on prime', 'no different'],
        needs: [TAP],
        minutes: 4,
        state: FAST,
        cautions: ['fuel vapour', 'rotating parts', 'exhaust gas'],
      },
      ({ params, machine: { fit } }) => {
        const helped = 0.02 + 0.93 * starves(fit, params) * suffices(fit, feedOf(params, 'on prime'));
        return { 'well on prime': helped, 'no different': 1 - helped };
      },
    ),
    look(
      machine,
      {
        id: 'fuel-tap-hose',
        does: ['opens fuel'],
        station: TAP,
        label: 'Vacuum hose off the fuel tap: fuel in it?',
        set: 'Engine warm and stopped.',
        touch: 'Pull the thin hose off the tap; look into both ends, wipe them with a paper.',
        watch: 'Dry. Wet with fuel: the diaphragm weeps. Split or lying loose: that is why it does not open.',
        words: ['dry', 'wet with fuel', 'split or loose'],
        needs: [TAP],
        minutes: 1.5,
        look: true,
      },
      ({ params }) => {
        const tap = figuresAt(params, TAP);
        const wet = seenSo(logistic(((tap.weeps ?? 0) - WET_FROM) / 0.03), 0.95);
        const loose = (1 - wet) * seenSo(tap.hoseOff ?? 0, 0.93);
        return { dry: 1 - wet - loose, 'wet with fuel': wet, 'split or loose': loose };
      },
    ),
    look(
      machine,
      {
        id: 'fuel-tap-drawn',
        does: ['opens fuel'],
        station: TAP,
        label: 'Fuel tap opened by a hand vacuum pump: does fuel flow?',
        set: 'Tap on, fuel hose off the carburettor, its end in a can.',
        touch: 'A hand vacuum pump, or a clean syringe, on its vacuum nipple.',
        watch: 'Flows while vacuum is on, stops when it is let off. Never flows: the diaphragm or the strainer.',
        words: ['flows and stops', 'never flows'],
        needs: [TAP],
        minutes: 4,
        opens: ['fuel hose off'],
      },
      ({ params, machine: { fit } }) => {
        const tap = figuresAt(params, TAP);
        const opens = logistic(((tap.hoseOff ? 1 : (tap.opens ?? 1)) - OPENS_FROM) / 0.08);
        const feed = feedOf(params, 'on prime');
        const open = logistic((flowOf({ ...feed, after: [] }) / drinks(fit, 'full') - 0.5) / 0.1);
        const never = seenSo(1 - opens * open, 0.94);
        return { 'flows and stops': 1 - never, 'never flows': never };
      },
    ),
  ];
};
