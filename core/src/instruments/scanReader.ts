import { figuresIfAny } from '../machine/figures.ts';
import type { Scene } from '../machine/scene.ts';
import type { Instrument } from './instrument.ts';
import { FAST, IDLE } from '../machine/state.ts';
import { sparkWords } from './sparkTester.ts';

/** What a computer with plug coils keeps: misses counted by cylinder over so many firings, and when they came. */
export interface ScanReport {
  readonly counts: readonly number[];
  readonly firings: number;
  readonly freezeFrame: { readonly rpm: number; readonly load: 'idle' | 'pulling' } | null;
  /** What it sees of the engine as it cranks; nothing without its sensor. */
  readonly crankingRpm: number;
}

const FIRINGS = 1000;
/** Of a sound engine: a miss in some hundreds is nothing. */
const BACKGROUND = 0.002;

/** Chance that a firing fails, by cylinder, running. */
export const missShares = (scene: Scene): number[] =>
  Array.from({ length: scene.machine.fit.cylinders }, (_, i) => {
    // It counts wherever the engine is driven: opened up, the same plug asks more.
    const missed = [IDLE, FAST].map((state) => {
      const { none, weak } = sparkWords(scene.spark('plug', state, i + 1));
      return none + 0.15 * weak;
    });
    return Math.min(1, BACKGROUND + Math.max(...missed));
  });

/** The stand-in's report of a machine: a simulated reader in place of a real one on a real plug. */
export function scanReport(scene: Scene): ScanReport {
  const shares = missShares(scene);
  const worst = Math.max(...shares);
  const blind = (figuresIfAny(scene.params, 'computer')?.untold ?? 0) > 0.5;
  return {
    counts: shares.map((s) => Math.round(FIRINGS * s)),
    firings: FIRINGS,
    freezeFrame: worst > 0.02 ? { rpm: 1500, load: worst > 0.5 ? 'idle' : 'pulling' } : null,
    crankingRpm: blind ? 0 : Math.round(scene.see('crankingRpm', { key: 'crank', points: 'turning' })),
  };
}

/** Reads what the computer has stored. Ships with Pondu as a stand-in: it asks the simulation. */
export const scanReader: Instrument = {
  id: 'scan reader',
  label: 'Scan reader',
  observe: (scene, { probe }) => {
    if (probe.kind !== 'look') throw new TypeError('A scan reader needs something stored');
    return { kind: 'category', shares: probe.sees(scene) };
  },
  error: () => 0,
};
