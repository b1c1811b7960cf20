import { burns } from '../../../engine/burns.ts';
import { richnessAt } from '../../../engine/ownMixture.ts';
import { lameCylinders } from '../../../engine/squeeze.ts';
import { figuresAt } from '../../../machine/figures.ts';
import type { CheckMaker } from '../../../machine/check.ts';
import { eachOf, idOf } from '../../../machine/numbered.ts';
import { firstSeen, seenFrom } from '../../../machine/seen.ts';
import { ofSeveral } from '../../../machine/several.ts';
import { IDLE } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { carburettorsOf, feeds } from '../apart.ts';
import { drinks, feedOf, flowOf } from '../feeding.ts';
import { look, moving } from './feed.ts';
import { halfShut } from './splits.ts';

const marine = (own: { fit: { marine: boolean } }) => (own.fit.marine ? (['marine'] as const) : []);

/** Several carburettors: which of them differs. */
export const carburettorsApart: CheckMaker = (machine) => {
  const { fit } = machine;
  if (carburettorsOf(fit) < 2) return [];
  const enricher = fit.fuel?.enriching === 'enricher';
  const cylinders = Array.from({ length: fit.cylinders }, (_, i) => i + 1);
  const running = ['rotating parts', 'exhaust gas', 'hot coil', ...marine(machine)] as const;
  const pipe = (n: number) => `only ${n} stays cold`;
  return [
    look(
      machine,
      {
        id: 'fuel-pipes',
        station: 'fuel-jets',
        label: 'Exhaust pipes, a minute after a cold start: which stays cold?',
        set: 'Started cold, left at its idle for one minute.',
        touch: 'A thermometer, or a drop of water, on each pipe an inch from the head. No bare hands.',
        watch: 'All hiss alike. One that only gets warm: its cylinder does no work at idle.',
        words: ['all warm alike', ...cylinders.map(pipe), 'will not run so'],
        needs: [idOf('carburettor', 1)],
        state: IDLE,
        minutes: 2,
        cautions: running,
      },
      (scene) => {
        const { none, alone } = ofSeveral(lameCylinders(scene, IDLE));
        const named = alone.map((only) => 0.93 * only + 0.01 * none);
        const alike = none * (1 - 0.01 * alone.length);
        return {
          'all warm alike': alike,
          ...Object.fromEntries(named.map((v, i) => [pipe(i + 1), v])),
          'will not run so': Math.max(0, 1 - alike - named.reduce((a, b) => a + b, 0)),
        };
      },
    ),
    ...eachOf(machine, 'carburettor', (n) =>
      look(
        machine,
        {
          id: `fuel-mouth-${n}`,
          station: 'fuel-jets',
          label: `Carburettor ${n}, idling: its mouth half covered`,
          set: 'Engine warm, running at its idle or as near as it will, filters off.',
          touch: `A card over half of the mouth of number ${n} alone; fingers and sleeves away from it.`,
          watch:
            'Picks up: this one was too weak. Slows: it is right. Steadies when it is left alone and smokes: too rich.',
          words: ['picks up', 'slows down', 'smokes and stops'],
          needs: [idOf('carburettor', n)],
          state: IDLE,
          minutes: 1,
          opens: ['air filter off'],
          cautions: running,
        },
        (scene) => {
          const fed = cylinders.find((c) => feeds(fit, c) === n)!;
          return halfShut(richnessAt(scene, IDLE, fed), burns(scene.see('richness', IDLE), IDLE));
        },
      ),
    ),
    ...eachOf(machine, 'carburettor', (n) =>
      look(
        machine,
        {
          ...moving(machine),
          id: `fuel-bowl-drain-${n}`,
          station: 'fuel-needle',
          label: `What comes out of the drain of carburettor ${n}`,
          touch: 'Open its drain screw over a jar; shut it, make the fuel move for fifteen seconds, open it again.',
          watch:
            'A bowlful, and again. Nothing the second time: nothing passes its needle. It does not stop: it does not shut.',
          words: ['a bowlful, and again', 'hardly anything', 'does not stop'],
          needs: [idOf('carburettor', n)],
          minutes: 2.5,
        },
        ({ params }) => {
          const own = figuresAt(params, idOf('carburettor', n));
          const fills =
            logistic((flowOf(feedOf(params, 'on prime')) / drinks(fit, 'idle') - 0.8) / 0.15) * (1 - own.starved);
          const spills = fills * seenFrom(own.high, 0.2, 0.5, 0.9);
          return {
            'hardly anything': 0.01 + 0.97 * (1 - fills),
            'does not stop': 0.01 + 0.97 * spills,
            'a bowlful, and again': 0.98 - 0.97 * (1 - fills + spills),
          };
        },
      ),
    ),
    ...eachOf(machine, 'carburettor', (n) =>
      look(
        machine,
        {
          id: `fuel-inside-${n}`,
          station: 'fuel-jets',
          label: `Carburettor ${n} opened: passages, jet, needle${enricher ? ', enricher' : ''}`,
          set: 'Its bowl off, over a clean cloth.',
          touch: `Blow through each passage; main jet to the light; lift the float${enricher ? '; work the enricher' : ''}.`,
          watch: `All passages free, the needle shuts${enricher ? ', the enricher’s seat is whole' : ''}.`,
          words: [
            'sound',
            'idle passages blocked',
            'main jet blocked',
            'needle or float',
            ...(enricher ? ['enricher does not seat'] : []),
          ],
          needs: [idOf('carburettor', n)],
          minutes: 6,
          opens: ['bowl off'],
        },
        ({ params }) => {
          const own = figuresAt(params, idOf('carburettor', n));
          return firstSeen(
            [
              ['idle passages blocked', seenFrom(own.idleBlocked, 0.03, 0.4, 0.94)],
              ['main jet blocked', seenFrom(own.mainBlocked, 0.03, 0.4, 0.94)],
              ['needle or float', Math.max(seenFrom(own.high, 0.03, 0.4, 0.9), seenFrom(own.starved, 0, 0.6, 0.9))],
              ...(enricher ? [['enricher does not seat', seenFrom(own.enriched, 0, 0.4, 0.85)] as const] : []),
            ],
            'sound',
          );
        },
      ),
    ),
  ];
};
