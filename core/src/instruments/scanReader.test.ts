import { describe, expect, it } from 'vitest';
import { house, machine } from '../__tests__/machines.ts';
import { Scene } from '../machine/scene.ts';
import { drawSound } from '../tracing/draw.ts';
import { withBad } from '../__tests__/withBad.ts';
import { buildModel } from '../tracing/model.ts';
import { scanReport } from './index.ts';

const model = buildModel(
  machine({ layout: 'coil-on-plug', cylinders: 4, ballast: 'none', compressionRatio: 9 }),
  house,
);
const sound = drawSound(model, () => 0.5);
const report = (id?: string) => {
  const fault = model.faults.find((f) => f.id === id);
  return scanReport(new Scene(model.machine, fault ? withBad(model, sound, fault, 0.7) : sound));
};

describe('the stand-in scan reader', () => {
  it('counts next to nothing on a sound engine, and has frozen no frame', () => {
    const { counts, firings, freezeFrame, crankingRpm } = report();
    expect(Math.max(...counts) / firings).toBeLessThan(0.01);
    expect(freezeFrame).toBeNull();
    expect(crankingRpm).toBeGreaterThan(100);
  });
  it('counts the cylinder whose coil is dead, and froze the frame as it idled', () => {
    const { counts, firings, freezeFrame } = report('coil-3.dead');
    expect(counts.indexOf(Math.max(...counts))).toBe(2);
    expect(counts[2]! / firings).toBeGreaterThan(0.95);
    expect(freezeFrame?.load).toBe('idle');
  });
  it('counts all of them where they share what is wrong', () => {
    const { counts, firings } = report('coil-feed.broken');
    expect(Math.min(...counts) / firings).toBeGreaterThan(0.9);
  });
  it('sees no speed without its sensor', () => {
    expect(report('trigger.open').crankingRpm).toBe(0);
  });
});
