import { describe, expect, it } from 'vitest';
import { machine } from '../../__tests__/machines.ts';
import { readsLike } from '../../__tests__/readsLike.ts';
import { house } from '../../__tests__/machines.ts';
import { figuresAt } from '../../machine/figures.ts';
import { KEY_ON_CLOSED } from '../../machine/state.ts';
import { middleScene } from '../../tracing/middle.ts';
import { buildModel } from '../../tracing/model.ts';
import { settleJoints } from './weathered.ts';

const body = machine({ fused: true, ballast: 'none' });
const model = buildModel(body, house);
const fault = (id: string) => model.faults.find((f) => f.id === id)!;

describe('joints that are all a little corroded', () => {
  const [sound, weathered] = [middleScene(model), middleScene(model, fault('joints.weathered'))];
  const drop = (scene: typeof sound, id: string) => {
    const { nodes } = scene.machine.partById.get(id)!;
    const at = scene.solve(KEY_ON_CLOSED);
    return Math.abs(at.volts(nodes['a']!) - at.volts(nodes['b']!));
  };
  it('take under two volts each and leave the coil several short: small losses add up', () => {
    const each = ['feed', 'fuse', 'switch', 'coil-feed'].map((id) => drop(weathered, id));
    for (const volts of each) {
      expect(volts).toBeGreaterThan(0.4);
      expect(volts).toBeLessThan(2);
    }
    expect(drop(sound, 'coil') - drop(weathered, 'coil')).toBeGreaterThan(2.5);
  });
  it('put the same ohms on each joint, and touch nothing that is sound', () => {
    const before = { feed: { ohms: 0.02, earthOhms: 1e8 }, fuse: { ratedAmps: 15, ohms: 0.01, holderOhms: 0.02 } };
    const after = settleJoints({ ...before, joints: { eachOhms: 0.4 } });
    expect(figuresAt(after, 'feed').ohms).toBeCloseTo(0.42, 9);
    expect(figuresAt(after, 'fuse').holderOhms).toBeCloseTo(0.42, 9);
    expect(figuresAt(after, 'fuse').ohms).toBe(0.01);
    expect(settleJoints(after)).toBe(after);
    const clean = { ...before, joints: { eachOhms: 0 } };
    expect(settleJoints(clean)).toBe(clean);
  });
});

describe('cap, rotor, leads and plugs that are all a little worn', () => {
  it('read each within what a worn part may, and ask thousands of volts more together', () => {
    const [sound, worn] = [middleScene(model), middleScene(model, fault('high-tension.worn'))];
    const spark = (scene: typeof sound) => scene.spark('plug', { key: 'run', points: 'turning' }, 1);
    expect(spark(worn).requiredVolts - spark(sound).requiredVolts).toBeGreaterThan(4e3);
    const lead = readsLike(body, 'lead-1-ohms', 'high-tension.worn') as number;
    expect(lead).toBeGreaterThan(15e3);
    // A lead that is broken reads megohms; this one only reads high.
    expect(lead).toBeLessThan(50e3);
    expect(readsLike(body, 'plug-1-gap', 'high-tension.worn')).toBeGreaterThan(0.9e-3);
  });
});
