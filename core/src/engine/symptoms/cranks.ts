import type { CrankWord } from '../../machine/observed.ts';
import type { SymptomId } from '../../schema/symptoms.ts';
import { CRANKING } from '../../machine/state.ts';
import type { Symptom } from './symptom.ts';

/** Of those who hear it, so many say it by this word; some take one noise for another. Judgement. */
const SAID = 0.9;

/** With the key at start it does one of these instead of turning well. */
const instead = (
  id: SymptomId,
  word: CrankWord,
  elsewhere: Symptom['elsewhere'],
  taken: Partial<Record<CrankWord, number>> = {},
): Symptom => ({
  id,
  // One that turns slowly is started all the same, from another battery.
  ...(word === 'turns slowly' ? {} : { stands: true }),
  likelihood: (scene) => {
    const heard = scene.see('cranking', CRANKING);
    return (
      0.002 + Object.entries({ ...taken, [word]: SAID }).reduce((sum, [w, p]) => sum + p * heard[w as CrankWord], 0)
    );
  },
  elsewhere,
});

/** Key let go, and it goes on turning. */
const stays: Symptom = {
  id: 'crank-stays',
  likelihood: (scene) => 0.001 + 0.95 * Number(scene.see('keepsCranking', CRANKING) !== 'nothing'),
  elsewhere: { crank: 0.06 },
};

export const CRANKS: readonly Symptom[] = [
  instead('crank-nothing', 'nothing', { crank: 0.3, charge: 0.04, stop: 0.02 }),
  instead('crank-click', 'clicks once', { crank: 0.25, charge: 0.05 }, { chatters: 0.06, grinds: 0.05 }),
  instead('crank-chatter', 'chatters', { crank: 0.1, charge: 0.12 }, { 'clicks once': 0.05 }),
  instead('crank-grinds', 'grinds', { crank: 0.06, charge: 0.01 }),
  instead('crank-slow', 'turns slowly', { crank: 0.25, charge: 0.15, timing: 0.03, compression: 0.01 }),
  instead('crank-free', 'spins free', { crank: 0.05 }),
  stays,
];
