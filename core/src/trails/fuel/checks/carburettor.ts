import { figuresAt } from '../../../machine/figures.ts';
import type { CheckMaker } from '../../../machine/check.ts';
import { seen, seenSo } from '../../../machine/seen.ts';
import { KEY_OFF } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { drinks, feedOf, flowOf } from '../feeding.ts';
import { CARBURETTOR as C, LINE } from '../ids.ts';
import { kindOf, look, moving } from './feed.ts';

/** From outside: does it drip, is there anything in the bowl, what does the choke do. */
export const carburettorOutside: CheckMaker = (machine) => {
  if (!kindOf(machine)) return [];
  const enricher = machine.fit.fuel?.enriching === 'enricher';
  // Vapour locks a pump; a tank above the carburettor lets it rise.
  const lifted = kindOf(machine) !== 'gravity';
  return [
    look(
      machine,
      {
        ...moving(machine),
        id: 'fuel-drips',
        station: C.needle,
        label: 'Carburettor, watched for two minutes',
        touch: 'A dry rag under it, a lamp down its throat. Then stop what moves the fuel.',
        watch: 'Dry. Fuel from the overflow or down the throat: needle, seat or float.',
        words: ['dry', 'drips or runs'],
        needs: [C.needle],
        minutes: 2.5,
        look: true,
      },
      (scene) => {
        const runs = 0.015 + 0.95 * scene.see('floods', KEY_OFF);
        return { dry: 1 - runs, 'drips or runs': runs };
      },
    ),
    look(
      machine,
      {
        id: 'fuel-hot-look',
        station: C.needle,
        label: 'Ten minutes after it was stopped hot: down the throat, and along the hose',
        set: 'Run hot, stopped, ten minutes by the clock; filter off.',
        touch: 'A lamp down the throat; a hand near the hose from tank to carburettor.',
        watch: 'Dry and quiet. Fuel bubbling or dripping inside: the bowl boils. A hose too hot to hold: vapour.',
        words: ['dry and quiet', 'bubbles or drips inside', ...(lifted ? ['hose too hot to hold'] : [])],
        minutes: 12,
        opens: ['air filter off'],
        cautions: ['fuel vapour', 'hot coil'],
      },
      ({ params }) => {
        const boils = seen((figuresAt(params, C.float).boils ?? 0) > 0.5, 0.93);
        const hot = lifted ? (1 - boils) * seen((figuresAt(params, LINE).vapour ?? 0) > 0.5, 0.9) : 0;
        return {
          'dry and quiet': 1 - boils - hot,
          'bubbles or drips inside': boils,
          ...(lifted ? { 'hose too hot to hold': hot } : {}),
        };
      },
    ),
    look(
      machine,
      {
        ...moving(machine),
        id: 'fuel-bowl-drain',
        does: ['opens fuel'],
        station: C.needle,
        label: 'What comes out of the bowl’s drain',
        touch: 'Open the drain screw over a jar; shut it, make the fuel move for fifteen seconds, open it again.',
        watch: 'A bowlful, and again. Nothing the second time: nothing passes the needle.',
        words: ['a bowlful, and again', 'hardly anything'],
        needs: [C.needle],
        minutes: 3,
      },
      (scene) => {
        const fills = logistic(
          (flowOf(feedOf(scene.params, 'on prime')) / drinks(scene.machine.fit, 'idle') - 0.8) / 0.15,
        );
        return { 'a bowlful, and again': 0.98 * fills + 0.01, 'hardly anything': 0.99 - 0.98 * fills };
      },
    ),
    look(
      machine,
      {
        id: 'fuel-choke-look',
        station: C.choke,
        label: enricher ? 'Enricher, pulled and let go' : 'Choke plate, cold and warm',
        set: enricher ? 'Cable or knob within reach.' : 'Air filter off, engine still.',
        touch: enricher
          ? 'Pull it, let go; look at its plunger move.'
          : 'Set it for a cold start, then for a warm engine.',
        watch: 'All the way in both directions.',
        words: ['closes and opens', 'stays open', 'stays shut'],
        needs: [C.choke],
        minutes: 1.2,
        look: true,
        opens: enricher ? [] : ['air filter off'],
        cautions: ['fuel vapour'],
      },
      ({ params }) => {
        const open = seenSo(logistic((0.7 - figuresAt(params, C.choke).closes) / 0.06), 0.94);
        const shut = (1 - open) * seenSo(logistic((0.7 - figuresAt(params, C.choke).opens) / 0.06), 0.94);
        return { 'closes and opens': 1 - open - shut, 'stays open': open, 'stays shut': shut };
      },
    ),
    ...(machine.fit.fuel?.accelerator
      ? [
          look(
            machine,
            {
              id: 'fuel-squirt',
              station: C.accelerator,
              label: 'Throttle opened, engine still: does it squirt?',
              set: 'Air filter off, engine still, fuel in the bowl.',
              touch: 'A lamp down the throat; open the throttle smartly.',
              watch: 'A thin jet at once, for as long as the throttle moves.',
              words: ['squirts', 'nothing or late'],
              needs: [C.accelerator],
              minutes: 0.6,
              look: true,
              opens: ['air filter off'],
              cautions: ['fuel vapour'],
            },
            (scene) => {
              const filled = flowOf(feedOf(scene.params)) > 0;
              const none = seen(figuresAt(scene.params, C.accelerator).squirts < 0.5 || !filled, 0.95);
              return { squirts: 1 - none, 'nothing or late': none };
            },
          ),
        ]
      : []),
  ];
};

/** Bowl and jets, opened. */
export const carburettorInside: CheckMaker = (machine) => {
  if (!kindOf(machine)) return [];
  const jet = (id: string, part: 'fuel-idle-jet' | 'fuel-main-jet', label: string) =>
    look(
      machine,
      {
        id,
        station: 'fuel-jets',
        label,
        set: 'Bowl and jets out, on a clean cloth.',
        touch: 'Hold it to the light; blow through its passages.',
        watch: 'A round hole, nothing in it.',
        words: ['clear', 'blocked'],
        needs: [part],
        minutes: 4,
        opens: ['bowl off'],
      },
      ({ params }) => {
        const blocked = seenSo(logistic((figuresAt(params, part).blocked - 0.22) / 0.05), 0.93);
        return { clear: 1 - blocked, blocked };
      },
    );
  return [
    jet('fuel-idle-jet-look', C.idleJet, 'Idle jet and its passages'),
    jet('fuel-main-jet-look', C.mainJet, 'Main jet'),
    look(
      machine,
      {
        id: 'fuel-float-look',
        station: C.needle,
        label: 'Float: shaken, weighed, its level gauged',
        set: 'Bowl off, carburettor upside down.',
        touch: 'Shake the float at your ear; gauge its height.',
        watch: 'Nothing slops in it; height as the plate says.',
        words: ['light and level', 'heavy', 'set too low'],
        needs: [C.float],
        minutes: 3,
        opens: ['bowl off'],
      },
      ({ params }) => {
        const heavy = seen((figuresAt(params, C.float).sinks ?? 0) > 0.5, 0.93);
        const low = (1 - heavy) * seenSo(logistic((-0.13 - figuresAt(params, C.float).high) / 0.03), 0.9);
        return { 'light and level': 1 - heavy - low, heavy, 'set too low': low };
      },
    ),
    look(
      machine,
      {
        id: 'fuel-needle-look',
        station: C.needle,
        label: 'Needle and seat, blown through and shut',
        set: 'Bowl off, carburettor upside down, then right way up.',
        touch: 'A hose on its inlet: blow gently with the float hanging, and with it lifted.',
        watch: 'Passes hanging, holds lifted.',
        words: ['passes and holds', 'never passes', 'never holds'],
        needs: [C.needle],
        minutes: 3,
        opens: ['bowl off', 'fuel hose off'],
      },
      ({ params, machine: { fit } }) => {
        const own = figuresAt(params, C.needle);
        const shut = seen(own.squareMetres < 0.3e-6 * (0.5 + fit.litres), 0.95);
        const leaks = (1 - shut) * seenSo(logistic(Math.log(own.leakSquareMetres / 3e-8) / 0.4), 0.92);
        return { 'passes and holds': 1 - shut - leaks, 'never passes': shut, 'never holds': leaks };
      },
    ),
  ];
};
