import type { CrankWord } from '../../machine/observed.ts';
import type { SymptomId } from '../../schema/symptoms.ts';
import { CRANKING } from '../../machine/state.ts';
import type { Symptom } from './symptom.ts';

/** With the key at start it does one of these instead of turning well. */
const instead = (id: SymptomId, word: CrankWord, elsewhere: Symptom['elsewhere']): Symptom => ({
  id,
  // One that turns slowly is started all the same, from another battery.
  ...(word === 'turns slowly' ? {} : { stands: true }),
  likelihood: (scene) => 0.002 + 0.9 * scene.see('cranking', CRANKING)[word],
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
  instead('crank-click', 'clicks once', { crank: 0.25, charge: 0.05 }),
  instead('crank-chatter', 'chatters', { crank: 0.1, charge: 0.12 }),
  instead('crank-grinds', 'grinds', { crank: 0.06, charge: 0.01 }),
  instead('crank-slow', 'turns slowly', { crank: 0.25, charge: 0.15, timing: 0.03, compression: 0.01 }),
  instead('crank-free', 'spins free', { crank: 0.05 }),
  stays,
];
